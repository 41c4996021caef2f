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
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.wache.channel.Channel;
import org.wache.keypad.Coach;
import org.wache.keypad.Goal;
import org.wache.keypad.Handset;
import org.wache.keypad.KeypadSteps;
import org.wache.keypad.Screen;
import org.wache.radio.Keypad;
import org.wache.radio.Memories;
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
    private static final Set<String> KEYS = Set.of(
            "0", "1", "2", "3", "4", "5", "6", "7", "8", "9", "set", "up", "down", "keep", "back", "direct", "side");

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
            KeyNames keys,
            List<PaperEntry> entries) {}

    /** What is printed on the keys. */
    record KeyNames(String set, String up, String down, String keep, String back, String direct, String side) {}

    /**
     * An entry on the paper: its steps, or why it cannot be typed in; byNumber is how a radio with tables names it.
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
            List<PaperStep> steps) {}

    /** A step: the keys as they are printed. */
    record PaperStep(String what, List<String> keys, String see, String why) {}

    /** The presses of a learner so far, for an entry of a list. */
    record Practice(long list, long entry, @NotNull @Size(max = MOST_PRESSES) List<@NotNull String> presses) {}

    /** What the learner sees, and what the coach said, the newest first. */
    record PracticeStanding(
            String modelName,
            KeyNames keys,
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
        Memories memories = Memories.of(in.list(), radio.memory());
        List<PaperEntry> entries = new ArrayList<>();
        for (int i = 0; i < in.list().channels().size(); i++) {
            entries.add(entry(in, i, radio, memories));
        }
        String method = radio.keypad()
                .map(keypad -> switch (keypad.method()) {
                    case TWO_FREQUENCIES ->
                        "Two frequencies: where it hears is stored, then where it talks into the same memory. Shift and offset stay off.";
                    case SHIFT -> "One frequency: where it hears is typed, and the shift makes where it talks.";
                })
                .orElse("This model takes no entries by keypad.");
        return new KeypadPaper(
                list,
                in.name(),
                in.version(),
                releases.numberOf(account, list).orElse(null),
                model,
                radio.name(),
                method,
                keys(radio),
                entries);
    }

    private static KeyNames keys(RadioModel model) {
        Keypad.Keys keys = model.keypad().map(Keypad::keys).orElse(new Keypad.Keys("", "", "", "", "", "", ""));
        return new KeyNames(keys.set(), keys.up(), keys.down(), keys.keep(), keys.back(), keys.direct(), keys.side());
    }

    private static PaperEntry entry(ListTaking.InRadio in, int position, RadioModel model, Memories memories) {
        Channel channel = in.list().channels().get(position);
        Memories.Slot slot = memories.slots().get(position);
        Optional<Goal> goal = Goal.of(channel, slot.memory(), model);
        Optional<String> impossible = in.held()
                .get(position)
                .map(message -> "On hold: " + message)
                .or(() -> slot.exists()
                        ? Optional.empty()
                        : Optional.of("There is no memory for it: " + slot.problem() + "."))
                .or(() -> goal.isEmpty()
                        ? Optional.of("Its frequency cannot be read.")
                        : KeypadSteps.impossible(model, goal.get()));
        List<PaperStep> steps = impossible.isPresent()
                ? List.of()
                : KeypadSteps.of(model, goal.orElseThrow()).stream()
                        .map(step -> new PaperStep(step.what(), step.keys(), step.see(), step.why()))
                        .toList();
        return new PaperEntry(
                in.ids().get(position),
                channel.number(),
                channel.name(),
                slot.memory(),
                channel.receive().map(Frequency::megahertz).orElse(""),
                channel.transmit().map(Frequency::megahertz).orElse(""),
                channel.sends().map(Tone::text).orElse(""),
                channel.opensOn().map(Tone::text).orElse(""),
                impossible.orElse(null),
                byNumber(channel, model).orElse(null),
                steps);
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
        PaperEntry paper = entry(in, position, radio, Memories.of(in.list(), radio.memory()));
        if (paper.impossible() != null) {
            throw new Refused(paper.impossible());
        }
        practice.presses().stream()
                .filter(key -> !KEYS.contains(key))
                .findFirst()
                .ifPresent(key -> {
                    throw new Refused("There is no key “" + key + "”.");
                });
        Goal goal = Goal.of(in.list().channels().get(position), paper.memory(), radio)
                .orElseThrow();
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
