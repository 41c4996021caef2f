package org.wache.typed;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wache.channel.Field;
import org.wache.channel.TalkGroup;
import org.wache.signal.Mode;

/** What digital channels need, as people write it: {@code cc1 ts2 tg 3100}, {@code nac 293}, {@code ran 5}. */
final class DigitalWords {

    private static final Pattern SHAPE = Pattern.compile("([a-z-]+)[:=.#-]?([0-9]{1,8})|(nac)[:=.#-]?([0-9a-f]{3})");
    private static final Pattern FIGURES = Pattern.compile("[:=#]?([0-9a-f]{1,8})");
    private static final Set<String> COLOUR = Set.of("cc", "colour", "color", "colourcode", "colorcode");
    private static final Set<String> SLOT = Set.of("ts", "slot", "timeslot", "tslot");
    private static final Set<String> GROUP = Set.of("tg", "talkgroup", "tgid");
    private static final Set<String> NETWORK = Set.of("nac");
    private static final Set<String> RANDOM = Set.of("ran");
    private static final Set<String> SQUELCH = Set.of("dsq", "dgid", "dg-id", "dcs-sq", "csq-code");

    private static final int MOST_WORDS = 4;

    private DigitalWords() {}

    /**
     * A digital setting.
     *
     * @param field where it goes
     * @param text its figures
     * @param mode the mode that alone has it; empty when several have
     * @param words how many words it took
     */
    record Setting(Field field, String text, Optional<Mode> mode, int words) {}

    /** Reads a setting from a word and those behind it, in plain spelling; empty when it is none. */
    static Optional<Setting> read(String word, String next, String afterNext) {
        Matcher glued = SHAPE.matcher(word);
        if (glued.matches()) {
            boolean network = glued.group(3) != null;
            Optional<Setting> one = setting(glued.group(network ? 3 : 1), glued.group(network ? 4 : 2), 1);
            if (one.isPresent()) {
                return one;
            }
        }
        boolean second = (word.equals("time") && next.equals("slot"))
                || (word.equals("talk") && next.equals("group"))
                || ((word.equals("colour") || word.equals("color")) && next.equals("code"));
        String name = second ? word + next : word;
        Matcher figures = FIGURES.matcher(second ? afterNext : next);
        return figures.matches() ? setting(name, figures.group(1), second ? 3 : 2) : Optional.empty();
    }

    /**
     * A talk group by the name that the group's list has for it, {@code tg valley}; empty when it is none.
     *
     * @param behind the words behind the one that says what it is
     */
    static Optional<Setting> named(String word, List<String> behind, List<TalkGroup> known) {
        if (!GROUP.contains(word)) {
            return Optional.empty();
        }
        for (int many = Math.min(MOST_WORDS, behind.size()); many > 0; many--) {
            String name = String.join(" ", behind.subList(0, many));
            Optional<TalkGroup> meant =
                    known.stream().filter(each -> each.isCalled(name)).findFirst();
            if (meant.isPresent()) {
                return Optional.of(new Setting(
                        Field.TALK_GROUP, Integer.toString(meant.get().number()), Optional.of(Mode.DMR), many + 1));
            }
        }
        return Optional.empty();
    }

    private static Optional<Setting> setting(String name, String text, int words) {
        boolean whole = text.matches("[0-9]+");
        if (COLOUR.contains(name) && whole) {
            return Optional.of(new Setting(Field.COLOUR_CODE, text, Optional.of(Mode.DMR), words));
        }
        if (SLOT.contains(name) && whole) {
            return Optional.of(new Setting(Field.TIME_SLOT, text, Optional.of(Mode.DMR), words));
        }
        if (GROUP.contains(name) && whole) {
            return Optional.of(new Setting(Field.TALK_GROUP, text, Optional.of(Mode.DMR), words));
        }
        if (NETWORK.contains(name)) {
            return Optional.of(new Setting(
                    Field.ACCESS_CODE, text.toUpperCase(java.util.Locale.ROOT), Optional.of(Mode.P25), words));
        }
        if (RANDOM.contains(name) && whole) {
            return Optional.of(new Setting(Field.ACCESS_CODE, text, Optional.of(Mode.NXDN), words));
        }
        return SQUELCH.contains(name) && whole
                ? Optional.of(new Setting(Field.ACCESS_CODE, text, Optional.empty(), words))
                : Optional.empty();
    }
}
