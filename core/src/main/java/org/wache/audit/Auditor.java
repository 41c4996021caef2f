package org.wache.audit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.wache.audit.context.AuditContext;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.licence.Holder;
import org.wache.radio.Radio;
import org.wache.rulebook.Service;

/** Holds lists against the rules for a day, its rulebook and the people who carry the list. Safe to share. */
public final class Auditor {

    /** From so many entries on, the processor's cores share the work: rules are pure, so the order does not matter. */
    private static final int WORTH_SHARING = 4_096;

    private final EntryRule[] entryRules;
    private final FitRule[] fitRules;
    private final StrandedRule[] strandedRules;
    private final RouteRule[] routeRules;
    private final AuditContext context;
    private final List<Profile> profiles;
    private final List<Integer> profileOfHolder;

    /** @throws IllegalArgumentException when a licence names a class that its service does not have */
    public Auditor(RuleSet rules, AuditContext context) {
        this.entryRules = rules.entry().toArray(EntryRule[]::new);
        this.fitRules = rules.fit().toArray(FitRule[]::new);
        this.strandedRules = rules.stranded().toArray(StrandedRule[]::new);
        this.routeRules = rules.route().toArray(RouteRule[]::new);
        this.context = context;
        Map<Profile, Integer> known = new LinkedHashMap<>();
        this.profileOfHolder = context.holders().stream()
                .map(holder -> Profile.of(holder, context))
                .map(profile -> known.computeIfAbsent(profile, any -> known.size()))
                .toList();
        this.profiles = List.copyOf(known.keySet());
    }

    /** What it holds lists against. */
    public AuditContext context() {
        return context;
    }

    /** How many different sets of licences the holders have. */
    public int profiles() {
        return profiles.size();
    }

    /** The place of a holder's judgement in {@link EntryAudit#judgements()}; holders count as in the context. */
    public int profileOf(int holder) {
        return profileOfHolder.get(holder);
    }

    /** The holders who share a judgement. */
    public List<String> holdersOf(int profile) {
        List<String> names = new ArrayList<>();
        List<Holder> holders = context.holders();
        for (int i = 0; i < holders.size(); i++) {
            if (profileOfHolder.get(i) == profile) {
                names.add(holders.get(i).name());
            }
        }
        return names;
    }

    /** Audits a whole list. */
    public Audit audit(ChannelList list) {
        ListIndex index = new ListIndex(list.channels());
        EntryAudit[] entries = new EntryAudit[list.channels().size()];
        IntStream positions = IntStream.range(0, entries.length);
        (entries.length < WORTH_SHARING ? positions : positions.parallel())
                .forEach(i -> entries[i] = judge(new Entry(list.channels().get(i), i, list, index, context)));
        return new Audit(this, list, index, entries);
    }

    EntryAudit judge(Entry entry) {
        List<Finding> own = List.of();
        boolean held = false;
        boolean queried = false;
        for (EntryRule rule : entryRules) {
            List<Finding> found = rule.on(entry);
            if (!found.isEmpty()) {
                own = joined(own, found);
            }
        }
        own = joined(own, fit(entry));
        for (int i = 0; i < own.size(); i++) {
            held |= own.get(i).holds();
            queried |= !own.get(i).holds();
        }
        Channel channel = entry.channel();
        Verdict base = held ? Verdict.HOLD : queried ? Verdict.QUERY : Verdict.CLEAR;
        boolean routable = channel.occupied().isPresent() && !implausible(own);
        List<Judgement> judgements = judgements(entry.asSent(), base, routable);
        Verdict worst = base;
        for (int i = 0; i < judgements.size(); i++) {
            worst = worst.worse(judgements.get(i).verdict());
        }
        return new EntryAudit(channel, own, judgements, worst);
    }

    private List<Finding> fit(Entry entry) {
        List<Radio> radios = context.radios();
        if (radios.isEmpty()) {
            return List.of();
        }
        List<Finding> all = new ArrayList<>();
        for (Radio radio : radios) {
            Fit fit = new Fit(entry, radio);
            for (FitRule rule : fitRules) {
                all.addAll(rule.on(fit));
            }
        }
        return all;
    }

    private static boolean implausible(List<Finding> own) {
        for (int i = 0; i < own.size(); i++) {
            if (own.get(i).slug() == Slug.FREQUENCY_IMPLAUSIBLE) {
                return true;
            }
        }
        return false;
    }

    private List<Judgement> judgements(Entry entry, Verdict base, boolean routable) {
        if (!routable) {
            Verdict alone = entry.channel().transmit().isEmpty() ? base.worse(Verdict.LISTEN) : base;
            Judgement same = new Judgement(alone, Optional.empty(), List.of());
            return java.util.Collections.nCopies(profiles.size(), same);
        }
        if (profiles.size() == 1) {
            return List.of(judge(entry, profiles.get(0), base));
        }
        List<Judgement> each = new ArrayList<>(profiles.size());
        for (Profile profile : profiles) {
            each.add(judge(entry, profile, base));
        }
        return each;
    }

    private static List<Finding> joined(List<Finding> some, List<Finding> more) {
        if (some.isEmpty() || more.isEmpty()) {
            return some.isEmpty() ? more : some;
        }
        List<Finding> all = new ArrayList<>(some);
        all.addAll(more);
        return all;
    }

    /** With several radios in use the worst counts: whoever carries the list may get any of them. */
    private Judgement judge(Entry entry, Profile profile, Verdict base) {
        List<Radio> radios = context.radios();
        if (radios.isEmpty()) {
            return judge(entry, profile, base, Optional.empty());
        }
        Judgement whole = null;
        for (Radio radio : radios) {
            Judgement one = radio.talksOn(entry.channel()).isPresent()
                            || entry.channel().transmit().isEmpty()
                    ? judge(entry, profile, base, Optional.of(radio))
                    : new Judgement(base.worse(Verdict.LISTEN), Optional.empty(), List.of());
            whole = whole == null ? one : both(whole, one);
        }
        return whole;
    }

    private static Judgement both(Judgement one, Judgement other) {
        List<Finding> findings = joined(one.findings(), other.findings());
        boolean held = one.verdict() == Verdict.HOLD || other.verdict() == Verdict.HOLD;
        return new Judgement(
                one.verdict().worse(other.verdict()),
                held ? Optional.empty() : one.route().or(other::route),
                findings);
    }

    private Judgement judge(Entry entry, Profile profile, Verdict base, Optional<Radio> radio) {
        List<Tried> tried = null;
        Tried best = null;
        List<Service> services = entry.services();
        for (int i = 0; i < services.size(); i++) {
            Service service = services.get(i);
            if (!service.traits().needsLicence()) {
                Tried next = tried(new Route(entry, service, Held.NONE_NEEDED, radio));
                tried = best == null ? null : added(tried, best, next);
                best = best == null ? next : best;
            } else {
                for (int j = 0; j < profile.held().size(); j++) {
                    if (profile.held().get(j).service() == service) {
                        Tried next = tried(
                                new Route(entry, service, profile.held().get(j).held(), radio));
                        tried = best == null ? null : added(tried, best, next);
                        best = best == null ? next : best;
                    }
                }
            }
        }
        if (best == null) {
            return stranded(entry);
        }
        return tried == null ? alone(best, base) : chosen(entry, tried, base);
    }

    /** Every route by which a holder could use an entry, the one that counts first; none where nobody could. */
    List<RouteOutcome> routes(Entry entry, int holder) {
        if (entry.channel().transmit().isEmpty() || entry.channel().occupied().isEmpty()) {
            return List.of();
        }
        return routes(entry.asSent(), profiles.get(profileOfHolder.get(holder)));
    }

    private List<RouteOutcome> routes(Entry entry, Profile profile) {
        Optional<Radio> radio = context.radios().stream().findFirst();
        List<Tried> all = new ArrayList<>();
        for (Service service : entry.services()) {
            if (!service.traits().needsLicence()) {
                all.add(tried(new Route(entry, service, Held.NONE_NEEDED, radio)));
            }
            profile.held().stream()
                    .filter(each -> each.service() == service)
                    .forEach(each -> all.add(tried(new Route(entry, service, each.held(), radio))));
        }
        sort(entry, all);
        return all.stream()
                .map(each -> new RouteOutcome(each.route, each.findings))
                .toList();
    }

    private static List<Tried> added(List<Tried> tried, Tried first, Tried next) {
        List<Tried> all = tried == null ? new ArrayList<>(List.of(first)) : tried;
        all.add(next);
        return all;
    }

    private Judgement stranded(Entry entry) {
        for (StrandedRule rule : strandedRules) {
            List<Finding> found = rule.on(entry);
            if (!found.isEmpty()) {
                return new Judgement(Verdict.HOLD, Optional.empty(), found);
            }
        }
        throw new IllegalStateException("No rule speaks of a transmit frequency without a service");
    }

    private static Judgement alone(Tried tried, Verdict base) {
        Verdict verdict = tried.holds > 0 ? Verdict.HOLD : tried.findings.isEmpty() ? base : base.worse(Verdict.QUERY);
        return new Judgement(verdict, tried.holds > 0 ? Optional.empty() : Optional.of(tried.route), tried.findings);
    }

    /** The best route makes it legal; without one, the route with the fewest holds is told first. */
    private static Judgement chosen(Entry entry, List<Tried> tried, Verdict base) {
        sort(entry, tried);
        Tried first = tried.get(0);
        if (first.holds == 0) {
            return alone(first, base);
        }
        List<Finding> all = new ArrayList<>(first.findings);
        for (Tried other : tried.subList(1, tried.size())) {
            other.findings.stream().filter(Finding::holds).forEach(all::add);
        }
        return new Judgement(Verdict.HOLD, Optional.empty(), all);
    }

    private static void sort(Entry entry, List<Tried> tried) {
        String hint = entry.channel().serviceHint();
        tried.sort(Comparator.<Tried>comparingInt(each -> each.holds)
                .thenComparing(each -> !each.route.service().id().equals(hint) && each.holds > 0)
                .thenComparingInt(each -> each.findings.size()));
    }

    private Tried tried(Route route) {
        List<Finding> findings = List.of();
        int holds = 0;
        for (RouteRule rule : routeRules) {
            List<Finding> found = rule.on(route);
            if (!found.isEmpty()) {
                findings = joined(findings, found);
                for (Finding finding : found) {
                    holds += finding.holds() ? 1 : 0;
                }
            }
        }
        return new Tried(route, findings, holds);
    }

    /** A route with what was found on it. */
    private record Tried(Route route, List<Finding> findings, int holds) {}
}
