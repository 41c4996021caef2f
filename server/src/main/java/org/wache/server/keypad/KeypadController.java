package org.wache.server.keypad;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.wache.channel.Channel;
import org.wache.exchange.ReleaseContent.TeamProfile;
import org.wache.keypad.ListPaper;
import org.wache.keypad.Screen;
import org.wache.keypad.SettingSteps;
import org.wache.keypad.Step;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;
import org.wache.server.accounts.Account;
import org.wache.server.lists.ListTaking;
import org.wache.server.profiles.Profiles;
import org.wache.server.radios.Fleet;
import org.wache.server.releases.Releases;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.settings.SettingPlan;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/** Papers for entering a list by hand, and the hand-held to practise it on. */
@RestController
class KeypadController {

    static final int MOST_PRESSES = 3_000;
    private final ListTaking lists;
    private final Fleet fleet;
    private final Releases releases;
    private final Clock clock;
    private final Profiles profiles;

    KeypadController(ListTaking lists, Fleet fleet, Clock clock, Releases releases, Profiles profiles) {
        this.profiles = profiles;
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
            List<PaperEntry> entries,
            List<PaperProfile> profiles) {}

    /** How what belongs to no channel is set: by which profile, for which team (empty for the whole group). */
    record PaperProfile(String name, String team, List<PaperStep> steps) {}

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
                        .toList(),
                profiles(profiles.forList(list), radio));
    }

    /** Those that say anything of a model. */
    static List<PaperProfile> profiles(List<TeamProfile> profiles, RadioModel model) {
        return profiles.stream()
                .map(each -> new PaperProfile(
                        each.profile().name(),
                        each.team(),
                        steps(SettingSteps.of(model, SettingPlan.of(each.profile(), model)))))
                .filter(each -> !each.steps().isEmpty())
                .toList();
    }

    private static ListPaper paper(ListTaking.InRadio in, RadioModel radio) {
        return ListPaper.of(
                in.list(),
                radio,
                in.held().stream()
                        .map(held -> held.map(message -> "On hold: " + message))
                        .toList());
    }

    static List<PaperStep> steps(List<Step> steps) {
        return steps.stream()
                .map(step -> new PaperStep(step.what(), step.keys(), step.see(), step.why()))
                .toList();
    }

    static PaperEntry entry(long id, ListPaper.Entry entry, RadioModel model) {
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
        return Practising.play(radio, typed.goal().orElseThrow(), practice.presses(), tones(), paper);
    }

    private List<Tone> tones() {
        return Practising.tones(LocalDate.now(clock));
    }
}
