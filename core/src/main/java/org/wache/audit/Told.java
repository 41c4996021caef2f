package org.wache.audit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;

/**
 * A finding as it is told: once, with everyone whom it concerns.
 *
 * @param finding what was found
 * @param holders the names of the holders
 */
public record Told(Finding finding, List<String> holders) {

    private record Key(Slug slug, String message, java.util.Optional<String> radio) {}

    /**
     * The findings of an entry in the order they are told: holds before queries; among them the entry's own first, then
     * those of each set of licences.
     */
    public static List<Told> of(Auditor auditor, EntryAudit entry) {
        Map<Key, Told> told = new LinkedHashMap<>();
        List<String> everyone = auditor.context().holders().stream()
                .map(holder -> holder.name())
                .toList();
        entry.own().forEach(finding -> add(told, finding, everyone));
        IntStream.range(0, auditor.profiles()).forEach(profile -> entry.judgements()
                .get(profile)
                .findings()
                .forEach(finding -> add(told, finding, auditor.holdersOf(profile))));
        return told.values().stream()
                .sorted(Comparator.comparing(each -> !each.finding.holds()))
                .toList();
    }

    private static void add(Map<Key, Told> told, Finding finding, List<String> holders) {
        told.merge(
                new Key(finding.slug(), finding.message(), finding.radio()),
                new Told(finding, holders),
                (one, other) -> {
                    List<String> both = new ArrayList<>(one.holders);
                    other.holders.stream().filter(name -> !both.contains(name)).forEach(both::add);
                    return new Told(one.finding, both);
                });
    }
}
