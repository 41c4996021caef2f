package org.wache.server.keypad;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.context.HouseRules;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.keypad.ListPaper;
import org.wache.radio.RadioModel;
import org.wache.rulebook.Edition;
import org.wache.server.accounts.Account;
import org.wache.server.bench.ShouldHold;
import org.wache.server.profiles.Profiles;
import org.wache.server.radios.Fleet;
import org.wache.server.releases.CardLinks;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Missing;
import org.wache.server.web.OneLine;
import org.wache.server.web.Refused;
import org.wache.signal.Frequency;
import org.wache.station.Lengths;
import org.wache.typed.AddLine;
import org.wache.typed.Understood;

/** What somebody needs for the radio in their own hands: its paper, practice on its keys, and how long its antenna is. */
@RestController
class OwnRadioController {

    private static final int LONGEST_LINE = 400;
    private static final double LOWEST_MHZ = 0.1;
    private static final double HIGHEST_MHZ = 3_000;

    private final CardLinks links;
    private final Fleet fleet;
    private final ShouldHold should;
    private final Rulebooks rulebooks;
    private final Clock clock;
    private final Profiles profiles;

    OwnRadioController(
            CardLinks links, Fleet fleet, ShouldHold should, Rulebooks rulebooks, Clock clock, Profiles profiles) {
        this.profiles = profiles;
        this.links = links;
        this.fleet = fleet;
        this.should = should;
        this.rulebooks = rulebooks;
        this.clock = clock;
    }

    /** A radio in somebody's hands; inside is what is in it. */
    record OwnRadio(long unit, String label, String modelName, @Schema(nullable = true) String inside) {}

    /** A model on which one can practise. */
    record PracticeModel(long id, String name) {}

    /** The radios that the account's person of the roster has, and the models of the group to practise on. */
    record OwnRadios(boolean known, List<OwnRadio> radios, List<PracticeModel> models) {}

    /** The paper of what should be in one's own radio. */
    record OwnPaper(
            String label,
            String modelName,
            String name,
            String method,
            List<KeypadController.PrintedTable> tables,
            List<KeypadController.PaperStep> before,
            List<KeypadController.PaperStep> after,
            List<KeypadController.PaperEntry> entries,
            List<KeypadController.PaperProfile> profiles) {}

    /** An entry as one would write it, and what was pressed so far. */
    record FreePractice(
            long model,
            @OneLine @NotBlank @Size(max = LONGEST_LINE) String line,
            @NotNull @Size(max = KeypadController.MOST_PRESSES) List<@NotNull String> presses) {}

    /** How long antennas are for a frequency: in metres, and in feet and inches. */
    record AntennaLengths(
            String mhz,
            String halfWaveM,
            String halfWaveFt,
            String legM,
            String legFt,
            String quarterWaveM,
            String quarterWaveFt) {}

    @GetMapping("/api/groups/{group}/own-radios")
    OwnRadios radios(Account asking, @PathVariable long group) {
        Optional<Long> party = links.partyOf(asking.id(), group);
        return new OwnRadios(
                party.isPresent(),
                party.map(each -> held(group, each)).orElse(List.of()),
                fleet.typeable(group).entrySet().stream()
                        .map(each -> new PracticeModel(each.getKey(), each.getValue()))
                        .toList());
    }

    private List<OwnRadio> held(long group, long party) {
        return fleet.custody(group).values().stream()
                .filter(each -> each.party() == party)
                .map(each -> {
                    Fleet.Unit unit = fleet.unitOf(each.unit());
                    return new OwnRadio(
                            each.unit(),
                            unit.radio().label().orElse(""),
                            unit.radio().model().name(),
                            fleet.inside(each.unit()).map(Fleet.Inside::words).orElse(null));
                })
                .toList();
    }

    @GetMapping("/api/groups/{group}/own-radios/{unit}/paper")
    OwnPaper paper(Account asking, @PathVariable long group, @PathVariable long unit) {
        long party = links.partyOf(asking.id(), group).orElseThrow(() -> new Missing("Your radio"));
        Map<Long, Fleet.Custody> out = fleet.custody(group);
        if (!out.containsKey(unit) || out.get(unit).party() != party) {
            throw new Missing("Your radio");
        }
        Fleet.Unit own = fleet.unitOf(unit);
        Fleet.Inside inside = fleet.inside(unit)
                .orElseThrow(() -> new Refused("Nothing was put into this radio yet: ask your coordinator."));
        RadioModel model = own.radio().model();
        List<Channel> channels = should.of(asking.id(), inside.list(), unit);
        ListPaper paper = ListPaper.of(
                new ChannelList(inside.words(), List.of(), channels),
                model,
                channels.stream().map(any -> Optional.<String>empty()).toList());
        return new OwnPaper(
                own.radio().label().orElse(""),
                model.name(),
                inside.words(),
                ListPaper.method(model),
                paper.tables().stream()
                        .map(table -> new KeypadController.PrintedTable(table.title(), table.rows()))
                        .toList(),
                KeypadController.steps(paper.before()),
                KeypadController.steps(paper.after()),
                IntStream.range(0, channels.size())
                        .mapToObj(i -> KeypadController.entry(i, paper.entries().get(i), model))
                        .toList(),
                KeypadController.profiles(
                        profiles.forParty(profiles.of(group), Optional.of(party)).stream()
                                .toList(),
                        model));
    }

    /** Practice without a list: an entry as one would write it. */
    @PostMapping("/api/groups/{group}/own-radios/practice")
    KeypadController.PracticeStanding practise(
            Account asking, @PathVariable long group, @Valid @RequestBody FreePractice practice) {
        if (!fleet.typeable(group).containsKey(practice.model())) {
            throw new Missing("The model");
        }
        RadioModel model = fleet.model(asking.id(), practice.model());
        Edition edition = rulebooks.ofGroup(group).on(LocalDate.now(clock));
        Understood understood =
                AddLine.read(practice.line(), edition, HouseRules.NONE).best();
        Channel channel = understood
                .channel()
                .map(each -> each.number().isEmpty() ? each.with(Map.of(Field.NUMBER, "1")) : each)
                .orElseThrow(() -> new Refused(understood.problem().orElse("That is no entry.")));
        ListPaper.Entry typed = ListPaper.of(
                        new ChannelList("practice", List.of(), List.of(channel)), model, List.of(Optional.empty()))
                .entries()
                .get(0);
        typed.impossible().ifPresent(why -> {
            throw new Refused(why);
        });
        return Practising.play(
                model,
                typed.goal().orElseThrow(),
                practice.presses(),
                Practising.tones(LocalDate.now(clock)),
                KeypadController.entry(0, typed, model));
    }

    @GetMapping("/api/antenna-lengths")
    AntennaLengths lengths(@RequestParam String mhz) {
        Frequency frequency = Frequency.ofMegahertz(mhz.strip())
                .filter(each -> each.hertz() >= LOWEST_MHZ * 1e6 && each.hertz() <= HIGHEST_MHZ * 1e6)
                .orElseThrow(() -> new Refused("Write a frequency from 0.1 to 3000 MHz, such as 146.52."));
        double at = frequency.hertz() / 1e6;
        return new AntennaLengths(
                frequency.megahertz(),
                Lengths.metres(Lengths.halfWaveM(at)),
                Lengths.feetAndInches(Lengths.halfWaveFt(at)),
                Lengths.metres(Lengths.halfWaveM(at) / 2),
                Lengths.feetAndInches(Lengths.halfWaveFt(at) / 2),
                Lengths.metres(Lengths.quarterWaveM(at)),
                Lengths.feetAndInches(Lengths.quarterWaveFt(at)));
    }
}
