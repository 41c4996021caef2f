package org.wache.server.keypad;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.wache.channel.Channel;
import org.wache.keypad.Coach;
import org.wache.keypad.Goal;
import org.wache.keypad.Handset;
import org.wache.keypad.ListPaper;
import org.wache.keypad.Screen;
import org.wache.keypad.Step;
import org.wache.radio.Keypad;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;
import org.wache.rulebook.RulebookReader;
import org.wache.rulebook.ToneTable;
import org.wache.server.accounts.Account;
import org.wache.server.lists.ListTaking;
import org.wache.server.radios.Fleet;
import org.wache.server.releases.Releases;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/** Papers for entering a list by hand, and the hand-held to practise it on. */
@RestController
class KeypadController {

    private static final int MOST_PRESSES = 3_000;
    private static final int MOST_SAID = 6;
    private final ListTaking lists;
    private final Fleet fleet;
    private final Releases releases;
    private final Clock clock;

    KeypadController(ListTaking lists, Fleet fleet, Clock clock, Releases releases) {
        this.releases = releases;
        this.lists = lists;
        this.fleet = fleet;
        this.clock = clock;
    }

    /** The paper of a list for a model; release is the number under which this very version is in use. */
    record KeypadPaper(
            long list,
            String name,
            int version,
            @Schema(nullable = true) Integer release,
            long model,
            String modelName,
            String method,
            List<PrintedTable> tables,
            List<PaperStep> before,
            List<PaperStep> after,
            List<PaperEntry> entries) {}

    /** A table that the model is printed with: its rows by their numbers. */
    record PrintedTable(String title, List<String> rows) {}

    /** A key: how requests name it, and what is printed on it. */
    record KeyName(String id, String label) {}

    /**
     * An entry on the paper: its steps, or why it cannot be typed in; byNumber is how a radio with tables names it, atOnce how
     * it is used without a memory, where that goes.
     */
    record PaperEntry(
            long entry,
            String number,
            String name,
            int memory,
            String hears,
            String talks,
            String sends,
            String opensOn,
            @Schema(nullable = true) String impossible,
            @Schema(nullable = true) String byNumber,
            List<PaperStep> steps,
            List<PaperStep> atOnce) {}

    /** A step: the keys as they are printed. */
    record PaperStep(String what, List<String> keys, String see, String why) {}

    /** The presses of a learner so far, for an entry of a list. */
    record Practice(long list, long entry, @NotNull @Size(max = MOST_PRESSES) List<@NotNull String> presses) {}

    /** What the learner sees, and what the coach said, the newest first. */
    record PracticeStanding(
            String modelName,
            List<KeyName> keys,
            int memory,
            Screen screen,
            List<CoachSaid> said,
            List<String> missing,
            boolean right,
            boolean done,
            PaperEntry paper) {}

    /** What the coach said of a press, counted from 1: weight is good, wrong or note. */
    record CoachSaid(int press, String weight, String text, String cure) {}

    @GetMapping("/api/lists/{list}/keypad/{model}")
    KeypadPaper paper(Account asking, @PathVariable long list, @PathVariable long model) {
        long account = asking.id();
        RadioModel radio = fleet.model(account, model);
        ListTaking.InRadio in = lists.inRadio(account, list, Radio.of(radio));
        ListPaper paper = paper(in, radio);
        return new KeypadPaper(
                list,
                in.name(),
                in.version(),
                releases.numberOf(account, list).orElse(null),
                model,
                radio.name(),
                ListPaper.method(radio),
                paper.tables().stream()
                        .map(table -> new PrintedTable(table.title(), table.rows()))
                        .toList(),
                steps(paper.before()),
                steps(paper.after()),
                IntStream.range(0, paper.entries().size())
                        .mapToObj(i -> entry(in.ids().get(i), paper.entries().get(i), radio))
                        .toList());
    }

    private static ListPaper paper(ListTaking.InRadio in, RadioModel radio) {
        return ListPaper.of(
                in.list(),
                radio,
                in.held().stream()
                        .map(held -> held.map(message -> "On hold: " + message))
                        .toList());
    }

    private static List<PaperStep> steps(List<Step> steps) {
        return steps.stream()
                .map(step -> new PaperStep(step.what(), step.keys(), step.see(), step.why()))
                .toList();
    }

    private static List<KeyName> keys(RadioModel model) {
        Keypad keypad = model.keypad().orElseThrow();
        return Handset.keysOf(model).stream()
                .map(id -> new KeyName(id, keypad.label(id)))
                .toList();
    }

    private static PaperEntry entry(long id, ListPaper.Entry entry, RadioModel model) {
        Channel channel = entry.channel();
        return new PaperEntry(
                id,
                channel.number(),
                channel.name(),
                entry.memory(),
                channel.receive().map(Frequency::megahertz).orElse(""),
                channel.transmit().map(Frequency::megahertz).orElse(""),
                channel.sends().map(Tone::text).orElse(""),
                channel.opensOn().map(Tone::text).orElse(""),
                entry.impossible().orElse(null),
                byNumber(channel, model).orElse(null),
                steps(entry.steps()),
                steps(entry.atOnce()));
    }

    /** How a radio that names frequencies and tones by number would be told: {@code frequency 4, code 8}. */
    private static Optional<String> byNumber(Channel channel, RadioModel model) {
        if (model.tuning().table().isEmpty() || channel.receive().isEmpty()) {
            return Optional.empty();
        }
        int hears = model.tuning().index(channel.receive().get());
        int talks = channel.transmit().map(model.tuning()::index).orElse(hears);
        if (hears == 0 || talks == 0) {
            return Optional.empty();
        }
        String frequencies =
                hears == talks ? "frequency " + hears : "hears frequency " + hears + ", talks on frequency " + talks;
        return Optional.of(frequencies
                + channel.sends()
                        .map(model.tones()::index)
                        .filter(index -> index > 0)
                        .map(index -> ", code " + index)
                        .orElse(""));
    }

    /** Everything that was pressed so far, played again on a fresh hand-held. */
    @PostMapping("/api/models/{model}/practice")
    PracticeStanding practice(Account asking, @PathVariable long model, @Valid @RequestBody Practice practice) {
        long account = asking.id();
        RadioModel radio = fleet.model(account, model);
        ListTaking.InRadio in = lists.inRadio(account, practice.list(), Radio.of(radio));
        int position = in.ids().indexOf(practice.entry());
        if (position < 0) {
            throw new Missing("The entry");
        }
        ListPaper.Entry typed = paper(in, radio).entries().get(position);
        PaperEntry paper = entry(practice.entry(), typed, radio);
        if (paper.impossible() != null) {
            throw new Refused(paper.impossible());
        }
        List<String> keys = Handset.keysOf(radio);
        practice.presses().stream()
                .filter(press -> !keys.contains(press.replaceFirst(":(long|on)$", "")))
                .findFirst()
                .ifPresent(key -> {
                    throw new Refused("There is no key “" + key + "”.");
                });
        Goal goal = typed.goal().orElseThrow();
        Coach coach = new Coach(new Handset(radio, tones()), radio.keypad().orElseThrow(), goal, radio.name());
        Coach.Standing standing = coach.start();
        List<CoachSaid> said = new ArrayList<>();
        for (int i = 0; i < practice.presses().size(); i++) {
            standing = coach.press(practice.presses().get(i));
            for (Coach.Said each : standing.said()) {
                said.add(
                        0,
                        new CoachSaid(i + 1, each.weight().name().toLowerCase(Locale.ROOT), each.text(), each.cure()));
            }
        }
        return new PracticeStanding(
                radio.name(),
                keys(radio),
                paper.memory(),
                standing.screen(),
                said.subList(0, Math.min(MOST_SAID, said.size())),
                standing.missing(),
                standing.right(),
                standing.done(),
                paper);
    }

    private List<Tone> tones() {
        ToneTable table = RulebookReader.shipped(Rulebooks.usual())
                .on(LocalDate.now(clock))
                .tones();
        List<Tone> all = new ArrayList<>(table.ctcss());
        all.addAll(table.dcs());
        return all;
    }
}
