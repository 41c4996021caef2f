package org.wache.propose;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.Verdict;
import org.wache.audit.context.Antenna;
import org.wache.audit.context.AuditContext;
import org.wache.audit.context.HouseRules;
import org.wache.audit.context.Neighbours;
import org.wache.audit.context.Whereabouts;
import org.wache.audit.rules.Register;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Rulebook;
import org.wache.rulebook.Visitors;
import org.wache.site.Keying;

/**
 * A list under the rules of another country: may its radios be taken along?
 *
 * @param audit the list as it is judged there
 * @param counted what each licence of those who carry it counts as there
 * @param fates what becomes of each entry, in the list's order
 */
public record Abroad(Audit audit, List<Counted> counted, List<Fate> fates) {

    /** What becomes of an entry. */
    public enum Fate {
        /** It may be used at home and not there. */
        DIES,
        /** It is clear at home and asked about there. */
        ASKED,
        /** It comes to the same. */
        SAME,
        /** It comes to less than at home. */
        EASIER,
        /** It may not be used at home either. */
        HELD
    }

    /**
     * What a licence counts as there.
     *
     * @param holder whose it is
     * @param licence the licence, in words
     * @param countsAs the class there; empty when it does not count
     * @param words on what terms, or why not
     * @param source where that stands; may be empty
     */
    public record Counted(String holder, String licence, Optional<String> countsAs, String words, String source) {}

    /**
     * Judges a list abroad. The group's own band plan, its place and its raster are of home and do not count there.
     *
     * @param home the list as it is judged at home
     * @param there the rulebook of the other country
     * @param day the day of the visit
     * @param as the class that everyone holds there; empty for what their own licences count as
     * @throws IllegalArgumentException when there is no such class
     */
    public static Abroad of(Audit home, Rulebook there, LocalDate day, Optional<String> as) {
        AuditContext at = home.auditor().context();
        Edition edition = there.on(day);
        List<Counted> counted = new ArrayList<>();
        List<Holder> visitors = at.holders().stream()
                .map(holder -> as.map(words -> org.wache.exchange.HolderShorthand.holder(words, edition))
                        .map(given -> new Holder(holder.name(), given.licences()))
                        .orElseGet(() -> visitor(holder, at.edition().rulebook(), there, edition, counted)))
                .toList();
        HouseRules house = new HouseRules(
                at.houseRules().directTones(),
                at.houseRules().maxTimeoutS(),
                OptionalInt.empty(),
                Keying.NONE,
                at.houseRules().talkGroups());
        AuditContext context = new AuditContext(
                edition,
                day,
                visitors,
                new Whereabouts(Optional.empty(), edition.geography()),
                Antenna.ASSUMED,
                house,
                OptionalInt.empty(),
                at.radios(),
                Neighbours.NONE);
        Audit audit = new Auditor(Register.ALL, context).audit(home.list());
        List<Fate> fates = new ArrayList<>();
        for (int i = 0; i < audit.entries().size(); i++) {
            fates.add(fate(home.entry(i).verdict(), audit.entry(i).verdict()));
        }
        return new Abroad(audit, List.copyOf(counted), List.copyOf(fates));
    }

    private static Fate fate(Verdict home, Verdict there) {
        if (there == Verdict.HOLD) {
            return home == Verdict.HOLD ? Fate.HELD : Fate.DIES;
        }
        if (home == there) {
            return Fate.SAME;
        }
        return there == Verdict.QUERY && home != Verdict.HOLD ? Fate.ASKED : Fate.EASIER;
    }

    private static Holder visitor(Holder holder, String home, Rulebook there, Edition edition, List<Counted> counted) {
        List<Licence> licences = new ArrayList<>();
        for (Licence licence : holder.licences()) {
            String words = licence.service()
                    + licence.licenceClass().map(each -> " " + each).orElse("");
            Optional<Visitors> rule = there.visitors().stream()
                    .filter(each -> each.rulebook().equals(home)
                            && each.service().equals(licence.service())
                            && each.licenceClass().equals(licence.licenceClass().orElse("")))
                    .findFirst();
            Optional<String> countsAs = rule.flatMap(Visitors::countsAs);
            countsAs.ifPresent(each -> licences.add(new Licence(
                    licence.service(), Optional.of(each), licence.callSign(), licence.expires(), List.of())));
            counted.add(new Counted(
                    holder.name(),
                    words,
                    countsAs,
                    rule.map(Visitors::words)
                            .orElse(
                                    edition.service(licence.service()).isPresent()
                                            ? "nothing is known of it there"
                                            : "there is no such service there"),
                    rule.map(Visitors::source).orElse("")));
        }
        return new Holder(holder.name(), licences);
    }
}
