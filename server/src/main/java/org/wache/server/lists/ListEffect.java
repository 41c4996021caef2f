package org.wache.server.lists;

import java.util.List;
import org.wache.audit.Verdict;

/**
 * What something does to a list: how its entries count before and after, and those that change.
 *
 * @param list key of the list
 * @param name what it is called
 * @param before counts as it is
 * @param after counts as it would be
 * @param changed the entries whose verdict changes
 */
public record ListEffect(long list, String name, Views.Counts before, Views.Counts after, List<ChangedEntry> changed) {

    /**
     * An entry whose verdict changes.
     *
     * @param entry key
     * @param number of the entry
     * @param name of the entry
     * @param before verdict as it is
     * @param after verdict as it would be
     * @param why what is found then, in a sentence
     */
    public record ChangedEntry(long entry, String number, String name, Verdict before, Verdict after, String why) {}
}
