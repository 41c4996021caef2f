package org.wache.audit.rules.site;

import java.util.List;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.Sites;
import org.wache.audit.cure.Clearing;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.site.Findings;
import org.wache.site.Hit;

/** What all rules about transmitters beside a receiver share: they speak only of lists that are keyed together. */
abstract class Beside implements EntryRule {

    private final Slug slug;
    private final List<Hit.Kind> kinds;

    Beside(Slug slug, Hit.Kind... kinds) {
        this.slug = slug;
        this.kinds = List.of(kinds);
    }

    @Override
    public final Slug slug() {
        return slug;
    }

    @Override
    public final List<Finding> on(Entry entry) {
        if (!entry.context().houseRules().keyedTogether().any()) {
            return List.of();
        }
        Sites.Reached reached = entry.reached();
        Findings found = reached.findings();
        long count = kinds.stream().mapToLong(found::count).sum();
        if (count == 0) {
            return List.of();
        }
        List<Hit> hits = kinds.stream()
                .map(found::nearest)
                .flatMap(List::stream)
                .toList(); // the strongest kind first, then the nearest
        Hit nearest = hits.get(0);
        String site = reached.site()
                .map(Sites.Site::name)
                .filter(name -> !name.isEmpty())
                .map(name -> "At " + name + ": ")
                .orElse("");
        return List.of(Finding.query(slug)
                .message(() -> site + words(entry, nearest) + (count == 1 ? "." : " (and " + (count - 1) + " more)."))
                .working(() -> HitMessage.sum(nearest, entry.list()))
                .source(source(entry, nearest))
                .advice(() -> hits.stream()
                        .skip(1)
                        .map(hit -> "Also " + HitMessage.equation(hit) + " MHz (" + HitMessage.kind(hit.kind()) + " of "
                                + HitMessage.sources(hit, entry.list()) + ").")
                        .toList())
                .cures(() -> slug == Slug.TRANSMIT_NEAR_RECEIVE
                        ? List.of()
                        : entry.clearing(Clearing::cures))); // moving within the band leaves it near
    }

    /** What is, without a full stop. */
    abstract String words(Entry entry, Hit nearest);

    String source(Entry entry, Hit nearest) {
        return "common practice, no source";
    }
}
