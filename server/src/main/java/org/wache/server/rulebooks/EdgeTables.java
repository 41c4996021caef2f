package org.wache.server.rulebooks;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.wache.audit.finding.Wording;
import org.wache.rulebook.BandService;
import org.wache.rulebook.EdgeTable;
import org.wache.rulebook.Edition;
import org.wache.server.web.Refused;

/** Band edges as they are asked for over the web. */
public final class EdgeTables {

    private static final int MOST_SLOTS = 200;

    private EdgeTables() {}

    /**
     * The table of a class.
     *
     * @param send kinds of emission by their identifiers; none for all
     * @param bands their names; none for all
     * @throws Refused when there is no such class or kind, or no such number of slots
     */
    public static EdgeTable of(Edition edition, String licenceClass, List<String> send, List<String> bands, int slots) {
        BandService amateur = RulebookController.amateur(edition);
        int held = amateur.traits().classIndex(licenceClass);
        if (held < 0) {
            throw new Refused("There is no class “" + licenceClass + "”; there is "
                    + Wording.list(amateur.traits().classes()) + ".");
        }
        if (slots < 1 || slots > MOST_SLOTS) {
            throw new Refused("A transceiver has 1 to " + MOST_SLOTS + " slots.");
        }
        int bits = 0;
        for (String kind : send) {
            bits |= EmissionKind.ALL.stream()
                    .filter(each -> each.id().equals(kind))
                    .findFirst()
                    .orElseThrow(() -> new Refused("“" + kind + "” is no kind of emission; there is "
                            + Wording.list(EmissionKind.ALL.stream()
                                    .map(EmissionKind::id)
                                    .toList()) + "."))
                    .bits();
        }
        Set<String> wanted = bands.stream().filter(each -> !each.isBlank()).collect(Collectors.toSet());
        return EdgeTable.of(amateur, edition.plan(), held, bits, wanted, slots);
    }
}
