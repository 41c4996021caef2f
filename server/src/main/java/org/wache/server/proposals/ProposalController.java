package org.wache.server.proposals;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.propose.Arrangement;
import org.wache.propose.ServiceSwap;
import org.wache.propose.TonePlan;
import org.wache.radio.ShortNames;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Service;
import org.wache.server.accounts.Account;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.tones.ToneKnowledge;
import org.wache.server.tones.ToneKnowledgeStore;
import org.wache.server.tones.ToneTables;
import org.wache.server.web.Refused;
import org.wache.server.web.Unjudgeable;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;
import org.wache.typed.WrittenTone;

/** Proposals for a list as a whole: another service, tones, names, order. Each is seen before it is taken. */
@RestController
class ProposalController {

    private final ListService service;
    private final ToneKnowledgeStore knowledge;
    private final ToneTables tables;

    ProposalController(ListService service, ToneKnowledgeStore knowledge, ToneTables tables) {
        this.service = service;
        this.knowledge = knowledge;
        this.tables = tables;
    }

    /**
     * A swap of services.
     *
     * @param service frs, gmrs or murs
     * @param channels names of channels; empty for all
     * @param tone a tone, "none", or "choose" for a free one
     */
    record SwapRequest(
            @NotNull String service,
            @NotNull @Size(max = 60) List<@NotNull String> channels,
            boolean narrow,
            @Min(0) @Max(50) double watts,
            @NotNull String tone,
            boolean repeaters) {}

    /** Which entries get tones (all when empty), of which kind, and which models have to be able to do them. */
    record ToneRequest(
            @NotNull @Size(max = 20_000) List<@NotNull Long> entries,
            boolean digital,
            boolean codesOnly,
            @NotNull List<@NotNull String> models) {}

    /** How long names may be, and of which letters. */
    record NameRequest(@Min(1) @Max(64) int length, @NotNull String letters) {}

    /** How a list is sorted, put together and numbered. */
    record ArrangeRequest(
            @NotNull String sort,
            @NotNull String group,
            @Schema(nullable = true) Optional<@Min(0) @Max(99_999) Integer> from,
            boolean inEachGroup,
            boolean zones,
            @Schema(nullable = true) Optional<@Min(1) @Max(20_000) Integer> zoneSize) {}

    private ListService.Seen seen(Account asking, long list) {
        return service.seen(asking.id(), list);
    }

    private static Edition edition(ListService.Seen seen) {
        return seen.audited().audit().auditor().context().edition();
    }

    /** The channels of a service in place of what is in the list. */
    @PostMapping("/api/lists/{list}/proposals/swap")
    Proposals.Proposal swap(Account asking, @PathVariable long list, @Valid @RequestBody SwapRequest request) {
        ListService.Seen seen = seen(asking, list);
        Edition edition = edition(seen);
        if (!(edition.service(request.service()).orElse(null) instanceof ChannelService target)) {
            throw new Refused("A list can be swapped for a service with fixed channels: "
                    + Wording.list(edition.services().stream()
                            .filter(ChannelService.class::isInstance)
                            .map(Service::id)
                            .toList())
                    + ".");
        }
        if (request.watts() <= 0) {
            throw new Refused("Say a power above 0 W; it is lowered where a channel allows less.");
        }
        long account = asking.id();
        List<ListService.Seen> others = others(account, seen);
        List<TonePlan.Taken> taken = taken(account, seen, others);
        Map<Frequency, Integer> uses = uses(account, seen, others);
        Proposals.Draft draft = new Proposals.Draft(seen.audited());
        Optional<Tone> tone = tone(request.tone(), edition, taken, draft);
        List<ServiceSwap.Swapped> swapped;
        try {
            swapped = ServiceSwap.of(
                    edition,
                    target,
                    new ServiceSwap.Wanted(
                            request.channels(), request.narrow(), request.watts(), tone, request.repeaters()),
                    frequency -> uses.getOrDefault(frequency, 0));
        } catch (IllegalArgumentException e) {
            throw new Refused(e.getMessage() + ".");
        }
        List<ListStore.Stored> stored = seen.audited().stored();
        int next = seen.audited().nextNumber();
        for (int i = 0; i < swapped.size(); i++) {
            if (i < stored.size()) {
                draft.edit(
                        i,
                        Proposals.onTheAir(swapped.get(i).channel()),
                        swapped.get(i).why());
            } else {
                draft.add(
                        swapped.get(i).channel().with(Map.of(Field.NUMBER, Integer.toString(next++))),
                        swapped.get(i).why());
            }
        }
        for (int i = swapped.size(); i < stored.size(); i++) {
            draft.remove(i, "the service has no more channels");
        }
        return draft.proposal();
    }

    private static Optional<Tone> tone(
            String wanted, Edition edition, List<TonePlan.Taken> taken, Proposals.Draft draft) {
        if (wanted.equals("choose")) {
            Optional<Tone> free = ServiceSwap.freeTone(
                    edition, taken.stream().map(TonePlan.Taken::tone).toList());
            draft.note(free.map(tone -> "Tone " + tone.text() + ": not the factory's, and nobody known uses it.")
                    .orElse("Every consumer tone is in use by somebody known; none is set."));
            return free;
        }
        if (wanted.isBlank() || wanted.equals("none")) {
            return Optional.empty();
        }
        return Optional.of(WrittenTone.read(wanted, edition.tones())
                .flatMap(WrittenTone::tone)
                .orElseThrow(() -> new Refused("“" + wanted + "” is no tone. Write it like 100.0, D023 or code 12.")));
    }

    /** The tones that neighbours and the group's other lists use. */
    private List<TonePlan.Taken> taken(long account, ListService.Seen seen, List<ListService.Seen> others) {
        List<TonePlan.Taken> all = new ArrayList<>();
        for (ToneKnowledge.NeighbourTone each :
                knowledge.known(account, seen.head().clubId()).knowledge().neighbours()) {
            Tone.parse(each.tone())
                    .ifPresent(
                            tone -> all.add(new TonePlan.Taken(each.who(), Frequency.ofMegahertz(each.mhz()), tone)));
        }
        for (ListService.Seen other : others) {
            other.audited().stored().forEach(each -> each.channel()
                    .sends()
                    .ifPresent(tone -> all.add(new TonePlan.Taken(
                            "the list " + other.head().name(), each.channel().transmit(), tone))));
        }
        return all;
    }

    /** How often neighbours and the group's other lists talk on a frequency. */
    private Map<Frequency, Integer> uses(long account, ListService.Seen seen, List<ListService.Seen> others) {
        Map<Frequency, Integer> uses = new java.util.HashMap<>();
        knowledge.known(account, seen.head().clubId()).knowledge().neighbours().forEach(each -> Frequency.ofMegahertz(
                        each.mhz())
                .ifPresent(on -> uses.merge(on, 1, Integer::sum)));
        others.forEach(other -> other.audited()
                .stored()
                .forEach(each -> each.channel().transmit().ifPresent(on -> uses.merge(on, 1, Integer::sum))));
        return uses;
    }

    private List<ListService.Seen> others(long account, ListService.Seen seen) {
        return service.sources(account, seen.head().clubId()).stream()
                .filter(each ->
                        each.head().id() != seen.head().id() && each.parent().isEmpty())
                .flatMap(each -> judged(account, each.head().id()).stream())
                .toList();
    }

    private Optional<ListService.Seen> judged(long account, long list) {
        try {
            return Optional.of(service.seen(account, list));
        } catch (Unjudgeable problem) {
            return Optional.empty(); // its own row says so
        }
    }

    /** A tone for each direct channel. */
    @PostMapping("/api/lists/{list}/proposals/tones")
    Proposals.Proposal tones(Account asking, @PathVariable long list, @Valid @RequestBody ToneRequest request) {
        ListService.Seen seen = seen(asking, list);
        Edition edition = edition(seen);
        List<Channel> channels = seen.audited().audit().list().channels();
        Set<Long> chosen = new HashSet<>(request.entries());
        List<Integer> wanted = new ArrayList<>();
        for (int i = 0; i < channels.size(); i++) {
            if (chosen.isEmpty()
                    || chosen.contains(seen.audited().stored().get(i).id())) {
                wanted.add(i);
            }
        }
        long account = asking.id();
        ToneKnowledge known = knowledge.known(account, seen.head().clubId()).knowledge();
        List<ToneKnowledge.ModelTones> models = request.models().stream()
                .map(name -> tables.of(seen.head().clubId(), known).stream()
                        .filter(each -> each.model().equals(name))
                        .findFirst()
                        .orElseThrow(() -> new Refused("The group has no table of tones for “" + name + "”.")))
                .toList();
        List<Set<Tone>> able =
                new ArrayList<>(models.stream().map(ProposalController::tones).toList());
        if (request.codesOnly()) {
            able.add(codes(edition));
        }
        TonePlan plan = TonePlan.of(
                edition, channels, wanted, taken(account, seen, others(account, seen)), able, request.digital());
        Proposals.Draft draft = new Proposals.Draft(seen.audited());
        for (TonePlan.Chosen each : plan.chosen()) {
            draft.edit(
                    each.position(),
                    Map.of(
                            Field.TX_TONE,
                            each.tone().text(),
                            Field.RX_TONE,
                            each.tone().text()),
                    each.why() + translated(each.tone(), edition, models));
        }
        plan.left()
                .forEach(each -> draft.note(channels.get(each.position()).number() + " "
                        + channels.get(each.position()).name() + ": " + each.why() + "."));
        return draft.proposal();
    }

    private static Set<Tone> tones(ToneKnowledge.ModelTones model) {
        Set<Tone> tones = new HashSet<>();
        model.tones().forEach(text -> Tone.parse(text).ifPresent(tones::add));
        return tones;
    }

    private static Set<Tone> codes(Edition edition) {
        Set<Tone> tones = new HashSet<>();
        for (int code = 1; edition.tones().consumerCode(code).isPresent(); code++) {
            tones.add(edition.tones().consumerCode(code).get());
        }
        return tones;
    }

    /** How consumer radios and the models call a tone. */
    private static String translated(Tone tone, Edition edition, List<ToneKnowledge.ModelTones> models) {
        StringBuilder words = new StringBuilder();
        for (int code = 1; edition.tones().consumerCode(code).isPresent(); code++) {
            if (edition.tones().consumerCode(code).get().equals(tone)) {
                words.append("; consumer code ").append(code);
            }
        }
        for (ToneKnowledge.ModelTones model : models) {
            int at = model.tones().indexOf(tone.text());
            if (at >= 0) {
                words.append("; number ").append(at + 1).append(" of ").append(model.model());
            }
        }
        return words.toString();
    }

    /** Names that fit a display. */
    @PostMapping("/api/lists/{list}/proposals/names")
    Proposals.Proposal names(Account asking, @PathVariable long list, @Valid @RequestBody NameRequest request) {
        ListService.Seen seen = seen(asking, list);
        List<Channel> channels = seen.audited().audit().list().channels();
        List<ShortNames.Named> named = ShortNames.of(
                channels.stream().map(Channel::name).toList(),
                request.length(),
                value(ShortNames.Letters.class, request.letters()));
        Proposals.Draft draft = new Proposals.Draft(seen.audited());
        for (int i = 0; i < named.size(); i++) {
            if (!named.get(i).name().equals(channels.get(i).name())) {
                draft.edit(
                        i,
                        Map.of(Field.NAME, named.get(i).name()),
                        String.join(", ", named.get(i).how()));
            }
        }
        return draft.proposal();
    }

    /** Another order, numbers and zones. */
    @PostMapping("/api/lists/{list}/proposals/arrangement")
    Proposals.Proposal arrangement(
            Account asking, @PathVariable long list, @Valid @RequestBody ArrangeRequest request) {
        ListService.Seen seen = seen(asking, list);
        List<Channel> channels = seen.audited().audit().list().channels();
        Arrangement arranged = Arrangement.of(
                edition(seen),
                channels,
                new Arrangement.Wanted(
                        value(Arrangement.SortBy.class, request.sort()),
                        value(Arrangement.GroupBy.class, request.group()),
                        whole(request.from()),
                        request.inEachGroup(),
                        request.zones(),
                        whole(request.zoneSize())));
        Proposals.Draft draft = new Proposals.Draft(seen.audited());
        draft.order(arranged.order());
        for (int i = 0; i < channels.size(); i++) {
            Map<Field, String> fields = new java.util.EnumMap<>(Field.class);
            if (!arranged.numbers().isEmpty()) {
                fields.put(Field.NUMBER, arranged.numbers().get(i));
            }
            if (!arranged.zones().isEmpty()) {
                fields.put(Field.ZONE, arranged.zones().get(i));
            }
            draft.edit(i, fields, "");
        }
        return draft.proposal();
    }

    private static OptionalInt whole(Optional<Integer> number) {
        return number.isPresent() ? OptionalInt.of(number.get()) : OptionalInt.empty();
    }

    private static <E extends Enum<E>> E value(Class<E> type, String word) {
        for (E each : type.getEnumConstants()) {
            if (each.name().toLowerCase(Locale.ROOT).replace('_', '-').equals(word)) {
                return each;
            }
        }
        throw new Refused("“" + word + "” is not one of the choices.");
    }
}
