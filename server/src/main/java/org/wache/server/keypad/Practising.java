package org.wache.server.keypad;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.wache.keypad.Coach;
import org.wache.keypad.Goal;
import org.wache.keypad.Handset;
import org.wache.radio.Keypad;
import org.wache.radio.RadioModel;
import org.wache.rulebook.RulebookReader;
import org.wache.rulebook.ToneTable;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Refused;
import org.wache.signal.Tone;

/** Plays presses on a simulated radio, with the coach beside it. */
final class Practising {

    private static final int MOST_SAID = 6;

    private Practising() {}

    /**
     * Everything that was pressed so far, played again on a fresh radio.
     *
     * @throws Refused when a key is pressed that the model does not have
     */
    static KeypadController.PracticeStanding play(
            RadioModel radio, Goal goal, List<String> presses, List<Tone> tones, KeypadController.PaperEntry paper) {
        List<String> keys = Handset.keysOf(radio);
        presses.stream()
                .filter(press -> !keys.contains(press.replaceFirst(":(long|on)$", "")))
                .findFirst()
                .ifPresent(key -> {
                    throw new Refused("There is no key “" + key + "”.");
                });
        Keypad keypad = radio.keypad().orElseThrow();
        Coach coach = new Coach(new Handset(radio, tones), keypad, goal, radio.name());
        Coach.Standing standing = coach.start();
        List<KeypadController.CoachSaid> said = new ArrayList<>();
        for (int i = 0; i < presses.size(); i++) {
            standing = coach.press(presses.get(i));
            for (Coach.Said each : standing.said()) {
                said.add(
                        0,
                        new KeypadController.CoachSaid(
                                i + 1, each.weight().name().toLowerCase(Locale.ROOT), each.text(), each.cure()));
            }
        }
        return new KeypadController.PracticeStanding(
                radio.name(),
                keys.stream()
                        .map(id -> new KeypadController.KeyName(id, keypad.label(id)))
                        .toList(),
                paper.memory(),
                standing.screen(),
                said.subList(0, Math.min(MOST_SAID, said.size())),
                standing.missing(),
                standing.right(),
                standing.done(),
                paper);
    }

    /** The tones that a radio without a table of its own offers. */
    static List<Tone> tones(LocalDate day) {
        ToneTable table = RulebookReader.shipped(Rulebooks.usual()).on(day).tones();
        List<Tone> all = new ArrayList<>(table.ctcss());
        all.addAll(table.dcs());
        return all;
    }
}
