package org.wache.audit.cure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import org.wache.audit.Audit;
import org.wache.audit.Entry;
import org.wache.audit.Sites;
import org.wache.audit.Verdict;
import org.wache.audit.finding.Change;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Use;
import org.wache.rulebook.BandPlan;
import org.wache.rulebook.PlanRow;
import org.wache.site.Findings;
import org.wache.site.Hit;
import org.wache.site.SiteStudy;

/** Finds what clears interference at a site with the least change. */
public final class Clearing {

    private static final int MOST_TRIED = 40;
    private static final int LEAST_TRIED = 6;
    /** Trying costs more with every transmitter, and between many there is seldom room. */
    private static final int WORK = 2_000;

    private static final int OFFERED = 3;

    private Clearing() {}

    /** Changes of the disturbed entry itself: the narrow width, or the nearest direct channels where nothing of the kind lands. */
    public static List<Change> cures(Entry entry) {
        Channel channel = entry.channel();
        if (!movable(channel, entry.plan())) {
            return channel.emission().isEmpty() ? List.of() : Cures.narrower(channel);
        }
        List<Change> cures = new ArrayList<>(Cures.narrower(channel));
        String service =
                service(entry.services().stream().map(each -> each.id()).toList(), channel);
        SiteStudy study = entry.reached().site().map(Sites.Site::study).orElse(null);
        if (study == null) {
            return cures;
        }
        long now = worth(entry.reached().findings());
        DirectChannels.near(channel, service, entry.context(), tries(study)).stream()
                .map(to -> Cures.moved(
                        "Move to " + to.transmit().orElseThrow(),
                        channel,
                        to.transmit().orElseThrow()))
                .filter(change -> worth(study.at(entry.position(), channel.with(change.fields()))) < now)
                .limit(OFFERED)
                .forEach(cures::add);
        return cures;
    }

    /** A repeater's frequencies are its own, and a calling channel is where others call. */
    private static boolean movable(Channel channel, BandPlan plan) {
        return channel.use() == Use.DIRECT
                && channel.transmit().isPresent()
                && channel.occupied().isPresent()
                && plan.rowAt(channel.transmit().get())
                        .flatMap(PlanRow::calling)
                        .isEmpty();
    }

    /** Products and overlap weigh, nearness does not: within one band it hardly ever goes away by moving. */
    private static long worth(Findings findings) {
        return findings.total() - findings.count(Hit.Kind.NEAR);
    }

    private static String service(List<String> services, Channel channel) {
        return services.contains(channel.serviceHint()) || services.isEmpty() ? channel.serviceHint() : services.get(0);
    }

    /**
     * A change that clears a hit, tried on the whole site.
     *
     * @param position whose entry changes
     * @param change what changes
     * @param verdictAfter what the entry comes to
     * @param hitsBefore hits at the site before
     * @param hitsAfter hits at the site after: fewer
     */
    public record Least(int position, Change change, Verdict verdictAfter, long hitsBefore, long hitsAfter) {}

    /**
     * What clears one hit with the least change: of the disturbed entry and of those that disturb it the one that need only
     * be narrowed, else the one that moves least. A change that leaves a hold, or as many hits, is not offered.
     */
    public static List<Least> least(Audit audit, Sites.Site site, Hit hit) {
        TreeSet<Integer> involved = new TreeSet<>(List.of(hit.receiver().entry()));
        hit.terms().stream()
                .map(Hit.Term::emitter)
                .filter(each -> each.entries().size() == 1)
                .forEach(each -> involved.add(each.entries().get(0)));
        long before = total(site.study());
        List<Least> found = new ArrayList<>();
        for (int position : involved) {
            Channel channel = audit.entry(position).channel();
            changes(audit, site.study(), channel).stream()
                    .map(change -> tried(audit, site, hit, position, change, before))
                    .flatMap(Optional::stream)
                    .limit(1)
                    .forEach(found::add);
        }
        return found.stream()
                .sorted(Comparator.comparingLong((Least each) -> distance(audit, each))
                        .thenComparing(Least::hitsAfter))
                .limit(OFFERED)
                .toList();
    }

    private static long distance(Audit audit, Least least) {
        Channel before = audit.entry(least.position()).channel();
        Channel after = audit.changed(least.position(), least.change().fields());
        return before.transmit().isEmpty() || after.transmit().isEmpty()
                ? 0
                : Math.abs(after.transmit().get().minus(before.transmit().get()));
    }

    /** How many neighbouring channels are tried. */
    private static int tries(SiteStudy study) {
        return Math.max(
                LEAST_TRIED,
                Math.min(MOST_TRIED, WORK / Math.max(1, study.emitters().size())));
    }

    private static List<Change> changes(Audit audit, SiteStudy study, Channel channel) {
        List<Change> changes = new ArrayList<>();
        boolean calling = channel.transmit()
                .flatMap(audit.auditor().context().edition().plan()::rowAt)
                .flatMap(PlanRow::calling)
                .isPresent();
        if (channel.emission().isPresent() && !calling) {
            changes.addAll(Cures.narrower(channel));
        }
        if (movable(channel, audit.auditor().context().edition().plan())) {
            List<String> services = audit
                    .auditor()
                    .context()
                    .edition()
                    .servicesAt(channel.transmit().get())
                    .stream()
                    .map(each -> each.id())
                    .toList();
            DirectChannels.near(
                            channel, service(services, channel), audit.auditor().context(), tries(study))
                    .forEach(to -> changes.add(Cures.moved(
                            "Move to " + to.transmit().orElseThrow(),
                            channel,
                            to.transmit().orElseThrow())));
        }
        return changes;
    }

    private static Optional<Least> tried(
            Audit audit, Sites.Site site, Hit hit, int position, Change change, long before) {
        ChannelList list = audit.list().with(position, audit.changed(position, change.fields()));
        if (hit.kind() != Hit.Kind.NEAR && hit.standsIn(list.channels())) {
            return Optional.empty();
        }
        SiteStudy study = site.study().of(list.channels());
        boolean fewer = study.at(hit.receiver().entry()).count(hit.kind())
                < site.study().at(hit.receiver().entry()).count(hit.kind());
        long after = fewer ? total(study) : before;
        if (after >= before) {
            return Optional.empty();
        }
        Verdict verdict = audit.tried(position, list.channels().get(position)).verdict();
        return verdict == Verdict.HOLD
                ? Optional.empty()
                : Optional.of(new Least(position, change, verdict, before, after));
    }

    /** All hits of a site but nearness. */
    public static long total(SiteStudy study) {
        return study.receivers().stream()
                .mapToLong(each -> worth(study.at(each)))
                .sum();
    }
}
