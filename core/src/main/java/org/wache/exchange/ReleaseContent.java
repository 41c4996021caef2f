package org.wache.exchange;

import java.time.LocalDate;
import java.util.List;
import org.wache.audit.Audit;
import org.wache.release.Waiver;
import org.wache.settings.SettingsProfile;
import org.wache.signal.Span;

/**
 * What goes out with a release.
 *
 * @param group whose list it is
 * @param list what the list is called
 * @param revision version of the list
 * @param overlayVersion version of the group's own band plan
 * @param on the day it was judged for
 * @param parts the list itself first, then its variants
 * @param models the models of radio that it is for
 * @param profiles how the radios shall be set besides their channels, the whole group's first
 * @param waivers that settle what was found
 */
public record ReleaseContent(
        String group,
        String list,
        int revision,
        int overlayVersion,
        LocalDate on,
        List<PartContent> parts,
        List<ModelContent> models,
        List<TeamProfile> profiles,
        List<Waiver> waivers) {

    /**
     * How the radios of a team shall be set.
     *
     * @param team the team; empty for the whole group
     */
    public record TeamProfile(String team, SettingsProfile profile) {}

    /**
     * The list, or a variant of it.
     *
     * @param name of the variant; empty for the list itself
     * @param context what it was held against, as a context file without radios
     * @param audit what came out
     */
    public record PartContent(String name, String context, Audit audit) {}

    /**
     * A model of radio as it is set.
     *
     * @param name of the model with its setting
     * @param body the model as a file of the format {@code wache-radio/1}
     * @param lock its lock setting; empty for none
     * @param inhibited whether its transmitter is off
     * @param off bands on which its transmitter is off
     * @param leftOut numbers of the entries that stay out of it
     */
    public record ModelContent(
            String name, String body, String lock, boolean inhibited, List<Span> off, List<String> leftOut) {}
}
