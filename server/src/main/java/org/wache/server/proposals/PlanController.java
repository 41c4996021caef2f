package org.wache.server.proposals;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.finding.Wording;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.licence.Licence;
import org.wache.place.Circle;
import org.wache.planning.Demands;
import org.wache.planning.Plan;
import org.wache.planning.Planner;
import org.wache.radio.Radio;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.LicenceKind;
import org.wache.rulebook.Service;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Audits;
import org.wache.server.lists.ListService;
import org.wache.server.lists.NearbyRepeaters;
import org.wache.server.lists.Source;
import org.wache.server.reach.Reaching;
import org.wache.server.web.Refused;
import org.wache.signal.Content;
import org.wache.signal.Frequency;

/** A list from nothing: for the teams that carry it, with their licences and radios, where and when it is used. */
@RestController
class PlanController {

    /** Those who are in no team are planned for together. */
    private static final String OTHERS = "Others";

    private final ListService service;
    private final Audits audits;
    private final Reaching reaching;
    private final NearbyRepeaters nearby;

    PlanController(ListService service, Audits audits, Reaching reaching, NearbyRepeaters nearby) {
        this.nearby = nearby;
        this.service = service;
        this.audits = audits;
        this.reaching = reaching;
    }

    /**
     * Who a list is planned for.
     *
     * @param version of the list, which the entries are added to
     * @param next the first number that is free behind its entries
     * @param services those that somebody may use
     * @param repeaters near its place
     */
    record PlanStart(
            String name,
            int version,
            int next,
            @Schema(nullable = true) Long parent,
            LocalDate on,
            List<PlanTeam> teams,
            List<PlanService> services,
            List<PlanRepeater> repeaters) {}

    /** A repeater that the directory knows near the place of the list; its key is its output in megahertz. */
    record PlanRepeater(String mhz, String name, String words) {}

    /** A team, and who of those who carry the list is in it. */
    record PlanTeam(String name, List<PlanMember> members) {}

    /** Somebody; radios is null where nobody said which they have: then no radio is judged. */
    record PlanMember(String name, String holds, @Schema(nullable = true) List<String> radios) {}

    /** A service that somebody may use. */
    record PlanService(String id, String title) {}

    /** Two teams that have to reach each other. */
    record PlanPair(@NotNull @Size(max = 200) String one, @NotNull @Size(max = 200) String other) {}

    /** An entry that was fixed by hand: what it is, such as TAC 1, and where it talks. */
    record PlanKept(@NotNull @Size(max = 200) String key, @NotNull @Size(max = 20) String mhz) {}

    /**
     * What the list has to do.
     *
     * @param on the day it is for; today where nothing is said
     * @param services only these; any where none is named
     * @param command whether there has to be a channel for those who lead
     * @param repeaters the outputs, in megahertz, of those that shall be used
     * @param listen frequencies in megahertz
     * @param without frequencies that are not wanted, in megahertz
     */
    record PlanRequest(
            @Schema(nullable = true) Optional<LocalDate> on,
            @NotNull @Size(max = 2_000) List<@NotNull @Valid PlanPair> mustTalk,
            @NotNull @Size(max = 60) List<@NotNull @Size(max = 80) String> services,
            boolean calling,
            boolean command,
            @NotNull @Size(max = 20) List<@NotNull @Size(max = 20) String> repeaters,
            @Min(0) @Max(50) int spare,
            @NotNull @Size(max = 60) List<@NotNull @Size(max = 20) String> listen,
            @NotNull @Size(max = 200) List<@NotNull @Valid PlanKept> kept,
            @NotNull @Size(max = 400) List<@NotNull @Size(max = 20) String> without) {}

    /** An entry that is proposed; teams is empty where all use it. */
    record PlanLine(String key, Map<String, String> fields, List<String> teams, String why) {}

    /** What is proposed, or the smallest set of demands that contradict each other, and why. */
    record PlanView(List<PlanLine> lines, List<String> demands, List<String> reasons) {}

    @GetMapping("/api/lists/{list}/proposals/plan")
    PlanStart start(Account asking, @PathVariable long list) {
        Source source = service.source(asking.id(), list);
        LocalDate day = audits.today();
        Reaching.Carrying carrying = reaching.carrying(source, day);
        List<PlanTeam> teams = new ArrayList<>();
        teams(carrying)
                .forEach((name, members) -> teams.add(new PlanTeam(
                        name,
                        members.stream()
                                .map(i -> new PlanMember(
                                        carrying.people().get(i).name(),
                                        carrying.holds().get(i),
                                        carrying.people()
                                                .get(i)
                                                .radios()
                                                .map(radios -> radios.stream()
                                                        .map(Radio::name)
                                                        .distinct()
                                                        .toList())
                                                .orElse(null)))
                                .toList())));
        return new PlanStart(
                source.head().name(),
                source.head().version(),
                audits.of(source).nextNumber(),
                source.head().parent().orElse(null),
                day,
                teams,
                services(carrying)
                        .map(each -> new PlanService(each.id(), each.title()))
                        .toList(),
                repeaters(carrying).stream()
                        .map(each -> new PlanRepeater(
                                each.output().megahertz(),
                                each.name(),
                                each.output()
                                        + each.access()
                                                .map(tone -> ", " + tone.text())
                                                .orElse("")))
                        .toList());
    }

    @PostMapping("/api/lists/{list}/proposals/plan")
    PlanView plan(Account asking, @PathVariable long list, @Valid @RequestBody PlanRequest request) {
        Source source = service.source(asking.id(), list);
        Reaching.Carrying carrying = reaching.carrying(source, request.on().orElseGet(audits::today));
        Demands demands = demands(carrying, request, there(source), wanted(carrying, request));
        Plan plan = Planner.of(Register.ALL, carrying.context(), demands);
        if (plan instanceof Plan.Contradiction contradiction) {
            return new PlanView(List.of(), contradiction.demands(), contradiction.reasons());
        }
        return new PlanView(lines((Plan.Proposed) plan), List.of(), List.of());
    }

    /** The repeaters near the place of the list whose input is known, each output once. */
    private List<Demands.Repeater> repeaters(Reaching.Carrying carrying) {
        if (!(carrying.context().where().area().orElse(null) instanceof Circle circle)) {
            return List.of();
        }
        Map<Frequency, Demands.Repeater> all = new LinkedHashMap<>();
        nearby.sited(circle.centre()).forEach(each -> each.heard()
                .input()
                .ifPresent(input -> all.putIfAbsent(
                        each.heard().frequency(),
                        new Demands.Repeater(
                                each.name(),
                                each.heard().frequency(),
                                input,
                                each.heard().tone()))));
        return List.copyOf(all.values());
    }

    /** Where the list talks already: what is added to it is beside that. */
    private Set<Frequency> there(Source source) {
        return audits.of(source).stored().stream()
                .flatMap(each -> each.channel().transmit().stream())
                .collect(Collectors.toSet());
    }

    private static List<PlanLine> lines(Plan.Proposed proposed) {
        List<PlanLine> lines = new ArrayList<>();
        for (int i = 0; i < proposed.keys().size(); i++) {
            Channel channel = proposed.list().channels().get(i);
            Map<String, String> fields = new LinkedHashMap<>();
            for (Field field : Field.values()) {
                String text = channel.text(field);
                if (!text.isEmpty()) {
                    fields.put(field.key(), text);
                }
            }
            String zone = channel.text(Field.ZONE);
            lines.add(new PlanLine(
                    proposed.keys().get(i),
                    fields,
                    zone.isEmpty() ? List.of() : Arrays.asList(zone.split(",")),
                    channel.text(Field.NOTE)));
        }
        return lines;
    }

    /** The teams with the places of their members; a comma would part it in an entry's zone. */
    private static Map<String, List<Integer>> teams(Reaching.Carrying carrying) {
        Map<String, List<Integer>> teams = new java.util.TreeMap<>();
        List<Integer> others = new ArrayList<>();
        for (int i = 0; i < carrying.people().size(); i++) {
            if (carrying.teams().get(i).isEmpty()) {
                others.add(i);
            }
            for (String team : carrying.teams().get(i)) {
                teams.computeIfAbsent(team.replace(',', ' ').strip(), any -> new ArrayList<>())
                        .add(i);
            }
        }
        Map<String, List<Integer>> all = new LinkedHashMap<>(teams);
        if (!others.isEmpty()) {
            all.computeIfAbsent(OTHERS, any -> new ArrayList<>()).addAll(others);
        }
        return all;
    }

    /** Those on which somebody speaks: open to anyone, or somebody has a licence. */
    private static Stream<Service> services(Reaching.Carrying carrying) {
        Set<String> held = carrying.people().stream()
                .flatMap(each -> each.holder().licences().stream())
                .map(Licence::service)
                .collect(Collectors.toSet());
        return carrying.context().edition().services().stream()
                .filter(each -> each.traits().licence() == LicenceKind.NONE || held.contains(each.id()))
                .filter(each -> !each.traits().terms().aboardOnly())
                .filter(each -> !(each instanceof ChannelService channels)
                        || channels.channels().stream().anyMatch(channel -> (channel.allow() & Content.FM.bit()) != 0));
    }

    private List<Demands.Repeater> wanted(Reaching.Carrying carrying, PlanRequest request) {
        List<Demands.Repeater> known = repeaters(carrying);
        return request.repeaters().stream()
                .map(PlanController::frequency)
                .distinct()
                .map(output -> known.stream()
                        .filter(each -> each.output().equals(output))
                        .findFirst()
                        .orElseThrow(() -> new Refused("No repeater near the place of this list is heard on " + output
                                + ": choose among those that are offered.")))
                .toList();
    }

    private static Demands demands(
            Reaching.Carrying carrying, PlanRequest request, Set<Frequency> there, List<Demands.Repeater> repeaters) {
        Map<String, List<Integer>> teams = teams(carrying);
        if (teams.isEmpty()) {
            throw new Refused("Nobody carries this list yet. Choose who does on the Desk: it is planned for them.");
        }
        for (PlanPair pair : request.mustTalk()) {
            for (String name : List.of(pair.one(), pair.other())) {
                if (!teams.containsKey(name)) {
                    throw new Refused("No team that carries this list is called “" + name + "”. There is "
                            + Wording.list(List.copyOf(teams.keySet())) + ".");
                }
            }
        }
        for (String each : request.services()) {
            if (carrying.context().edition().service(each).isEmpty()) {
                throw new Refused("There is no service “" + each + "” in this rulebook.");
            }
        }
        Map<String, Frequency> kept = new HashMap<>();
        request.kept().forEach(each -> kept.put(each.key(), frequency(each.mhz())));
        Set<Frequency> without = new HashSet<>(there);
        request.without().forEach(each -> without.add(frequency(each)));
        return new Demands(
                carrying.people(),
                teams.entrySet().stream()
                        .map(team -> new Demands.Team(
                                team.getKey(),
                                team.getValue().stream()
                                        .map(i -> carrying.people().get(i).name())
                                        .toList()))
                        .toList(),
                request.mustTalk().stream()
                        .filter(pair -> !pair.one().equals(pair.other()))
                        .map(pair -> new Demands.Pair(pair.one(), pair.other()))
                        .distinct()
                        .toList(),
                Set.copyOf(request.services()),
                request.calling(),
                request.spare(),
                request.listen().stream()
                        .map(PlanController::frequency)
                        .distinct()
                        .toList(),
                request.command(),
                repeaters,
                kept,
                without);
    }

    private static Frequency frequency(String mhz) {
        return Frequency.ofMegahertz(mhz.strip())
                .orElseThrow(() -> new Refused("“" + mhz.strip() + "” is no frequency in MHz, such as 162.550."));
    }
}
