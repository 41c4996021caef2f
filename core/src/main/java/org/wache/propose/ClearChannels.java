package org.wache.propose;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.EntryAudit;
import org.wache.audit.Sites;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.cure.Clearing;
import org.wache.audit.cure.DirectChannels;
import org.wache.audit.finding.Finding;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.signal.Frequency;
import org.wache.signal.Span;
import org.wache.site.Findings;
import org.wache.site.Hit;
import org.wache.site.Receiver;
import org.wache.site.SiteStudy;

/** Picks direct channels that everyone who carries a list may use, and that its site leaves clear. */
public final class ClearChannels {

    /** So that not all picks are neighbours of the best one. */
    private static final long BAND = 10_000_000;

    private static final int OF_A_BAND = 4;
    /** So many are offered of those that are not clear. */
    private static final int LEAST = 4;

    private ClearChannels() {}

    /**
     * A channel that could be taken.
     *
     * @param entry the entry, without a name
     * @param place the band or the service that it is in, for people
     * @param verdict what it comes to for those who are to use it: clear or query
     * @param findings what is asked of it
     * @param near how many transmitters of the site are so near that they need filters or turns
     * @param apart how far the nearest frequency of the site is, hertz
     * @param disturbs what reaches it, when no channel is clear; nothing for a clear one
     */
    public record Pick(
            Channel entry,
            String place,
            Verdict verdict,
            List<Finding> findings,
            long near,
            long apart,
            List<Hit> disturbs) {}

    /**
     * What is looked for.
     *
     * @param judge holds each channel against those who are to use it, with their radios
     * @param places only in these bands and services; empty for any
     * @param powerW output in watts as text; empty for unknown
     * @param most how many are wanted, 1 or more
     */
    public record Wanted(Auditor judge, Set<String> places, String powerW, int most) {}

    /** The bands and services that have direct channels, in their order. */
    public static List<String> places(AuditContext context) {
        return DirectChannels.of(context).stream()
                .map(each -> DirectChannels.place(context, each))
                .distinct()
                .toList();
    }

    /**
     * The channels, the best first: clear before query, without near transmitters before others, then those that stand furthest from the rest
     * of the site. Where none is clear, those that are disturbed least, with what disturbs them. A calling channel is never among them.
     *
     * @param audit the list under audit
     * @param site the site that it would be added to
     */
    public static List<Pick> of(Audit audit, Sites.Site site, Wanted wanted) {
        AuditContext context = audit.auditor().context();
        Set<Long> taken = taken(audit);
        List<Pick> legal = new ArrayList<>();
        for (Channel each : DirectChannels.of(wanted.judge().context())) {
            Frequency frequency = each.transmit().orElseThrow();
            String place = DirectChannels.place(context, each);
            if (!taken.contains(frequency.hertz())
                    && (wanted.places().isEmpty() || wanted.places().contains(place))
                    && !DirectChannels.isCalling(context, frequency)) {
                pick(audit, site, wanted, each.with(Map.of(Field.POWER_W, wanted.powerW())), place)
                        .ifPresent(legal::add);
            }
        }
        legal.sort(Comparator.comparingInt((Pick each) -> each.disturbs().size())
                .thenComparing(each -> each.verdict() != Verdict.CLEAR)
                .thenComparing(each -> each.near() > 0)
                .thenComparing(Comparator.comparingLong(Pick::apart).reversed()));
        List<Pick> clear = some(
                legal.stream().filter(each -> each.disturbs().isEmpty()).toList(), audit, site, wanted.most(), true);
        return clear.isEmpty() ? some(legal, audit, site, LEAST, false) : clear;
    }

    private static Set<Long> taken(Audit audit) {
        Set<Long> taken = new HashSet<>();
        audit.list().channels().forEach(channel -> {
            channel.receive().ifPresent(each -> taken.add(each.hertz()));
            channel.transmit().ifPresent(each -> taken.add(each.hertz()));
        });
        audit.auditor().context().neighbours().all().forEach(each -> {
            taken.add(each.frequency().hertz());
            each.input().ifPresent(input -> taken.add(input.hertz()));
        });
        return taken;
    }

    private static Optional<Pick> pick(Audit audit, Sites.Site site, Wanted wanted, Channel entry, String place) {
        Span span = entry.occupied().orElseThrow();
        Findings heard = site.study().at(new Receiver(-1, (span.low() + span.high()) / 2, span.length() / 2));
        EntryAudit alone = wanted.judge()
                .audit(new ChannelList("", audit.list().extraColumns(), List.of(entry)))
                .entry(0);
        if (alone.verdict() == Verdict.HOLD) {
            return Optional.empty();
        }
        List<Finding> asked = new ArrayList<>(alone.own());
        alone.judgements().forEach(judgement -> asked.addAll(judgement.findings()));
        List<Hit> disturbs = Arrays.stream(Hit.Kind.values())
                .filter(kind -> kind != Hit.Kind.NEAR)
                .flatMap(kind -> heard.nearest(kind).stream())
                .toList();
        return Optional.of(new Pick(
                entry,
                place,
                alone.verdict(),
                asked,
                heard.count(Hit.Kind.NEAR),
                apart(site.study(), entry),
                disturbs));
    }

    /** So many, not all of them neighbours; with a clear one nothing else of the site may be disturbed more than before. */
    private static List<Pick> some(List<Pick> from, Audit audit, Sites.Site site, int most, boolean clear) {
        long before = Clearing.total(site.study());
        Map<Long, Integer> inBand = new HashMap<>();
        List<Pick> picked = new ArrayList<>();
        for (Pick each : from) {
            if (picked.size() == most) {
                break;
            }
            if (inBand.merge(each.entry().transmit().orElseThrow().hertz() / BAND, 1, Integer::sum) <= OF_A_BAND
                    && (!clear || Clearing.total(with(audit, site, each.entry())) <= before)) {
                picked.add(each);
            }
        }
        return picked;
    }

    /** The site with one more entry. */
    private static SiteStudy with(Audit audit, Sites.Site site, Channel entry) {
        List<Channel> channels = new ArrayList<>(audit.list().channels());
        channels.add(entry);
        List<Integer> positions = new ArrayList<>(site.study().positions());
        positions.add(channels.size() - 1);
        return new SiteStudy(
                channels, positions, audit.auditor().context().edition().nearness());
    }

    private static long apart(SiteStudy study, Channel entry) {
        long here = entry.transmit().map(Frequency::hertz).orElseThrow();
        long nearest = Long.MAX_VALUE;
        for (Receiver receiver : study.receivers()) {
            nearest = Math.min(nearest, Math.abs(receiver.centre() - here));
        }
        for (var emitter : study.emitters()) {
            nearest = Math.min(nearest, Math.abs(emitter.centre() - here));
        }
        return nearest;
    }
}
