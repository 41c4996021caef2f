package org.wache.settings;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.wache.radio.SettingKind;

/**
 * How the radios of a team, or of a whole group, shall be set besides their channels.
 *
 * @param name what it is called
 * @param habits what the group has agreed on, against which it is held
 * @param wishes how they shall be set, and why
 */
public record SettingsProfile(String name, Habits habits, List<SettingsProfile.Wish> wishes) {

    /** How a tone at the end of each over counts. */
    public enum RogerTone {
        ALLOWED("allowed"),
        UNWANTED("unwanted"),
        FORBIDDEN("forbidden");

        private final String text;

        RogerTone(String text) {
            this.text = text;
        }

        /** As written in files. */
        public String text() {
            return text;
        }
    }

    /**
     * What was agreed on.
     *
     * @param rogerTone how a tone at the end of each over counts; unwanted when nothing was said
     * @param breaksIn whether these people must be able to break into a busy channel, as in an emergency
     * @param missesNothing whether these people must hear each call from its first syllable
     * @param longestS the longest time-out in seconds; 180 when nothing was said
     */
    public record Habits(RogerTone rogerTone, boolean breaksIn, boolean missesNothing, OptionalInt longestS) {

        /** Of a group that watches over something. */
        public static final Habits USUAL = new Habits(RogerTone.UNWANTED, true, true, OptionalInt.empty());

        private static final int LONGEST_S = 180;

        /** The longest time-out in seconds. */
        public int longest() {
            return longestS.orElse(LONGEST_S);
        }
    }

    /**
     * One thing that shall be set.
     *
     * @param kind what
     * @param which which of several of its kind; empty for all that a model has
     * @param value how, in plain words or as the model calls it
     * @param why for whoever sets it
     * @param model the model that it is for; empty for every one
     */
    public record Wish(SettingKind kind, String which, String value, String why, Optional<String> model) {

        /** For people. */
        public String label() {
            return kind.label() + (which.isEmpty() ? "" : " " + which);
        }
    }

    public SettingsProfile {
        wishes = List.copyOf(wishes);
    }
}
