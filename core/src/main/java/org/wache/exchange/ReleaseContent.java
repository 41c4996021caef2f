package org.wache.exchange;

import java.time.LocalDate;
import java.util.List;
import org.wache.audit.Audit;
import org.wache.release.Waiver;

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
        List<Waiver> waivers) {

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
     * @param leftOut numbers of the entries that stay out of it
     */
    public record ModelContent(String name, String body, String lock, boolean inhibited, List<String> leftOut) {}
}
