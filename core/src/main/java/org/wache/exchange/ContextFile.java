package org.wache.exchange;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.wache.audit.context.Antenna;
import org.wache.audit.context.AuditContext;
import org.wache.audit.context.HouseRules;
import org.wache.audit.context.Neighbour;
import org.wache.audit.context.Neighbours;
import org.wache.licence.Holder;
import org.wache.place.Area;
import org.wache.radio.Radio;
import org.wache.rulebook.Edition;
import org.wache.rulebook.PlanRow;
import org.wache.signal.Decibels;

/**
 * What a context file ({@code wache-context/1}) says.
 *
 * @param rulebook rulebook identifier, when given
 * @param on day of the audit, when given
 * @param holders who carries the list; may be empty
 * @param site where it is used
 * @param antenna the site's or a radio's antenna
 * @param houseRules what the group has settled
 * @param radios the radios that the list is meant for
 * @param overlay the group's own rows of the band plan
 * @param unitsInUse how many radios carry the list
 * @param neighbours who is known to be near
 */
public record ContextFile(
        Optional<String> rulebook,
        Optional<LocalDate> on,
        List<Holder> holders,
        Optional<Area> site,
        Antenna antenna,
        HouseRules houseRules,
        List<Radio> radios,
        List<PlanRow> overlay,
        OptionalInt unitsInUse,
        List<Neighbour> neighbours) {

    /** Nothing said. */
    public static final ContextFile EMPTY = new ContextFile(
            Optional.empty(),
            Optional.empty(),
            List.of(),
            Optional.empty(),
            Antenna.ASSUMED,
            HouseRules.NONE,
            List.of(),
            List.of(),
            OptionalInt.empty(),
            List.of());

    /**
     * Reads a context file.
     *
     * @throws FileProblem when it is not one
     */
    public static ContextFile read(byte[] bytes) {
        return new ContextReader(JsonText.read(bytes)).read();
    }

    /** All that it says, for these holders, under an edition on a day. */
    public AuditContext under(Edition edition, LocalDate day, List<Holder> carriers) {
        Edition planned = edition.withPlan(edition.plan().overlaid(overlay));
        return AuditContext.of(planned, day, carriers)
                .with(antenna)
                .with(houseRules)
                .withUnits(unitsInUse)
                .forRadios(radios)
                .at(site)
                .beside(new Neighbours(neighbours));
    }

    static Antenna antenna(double gainDbd, double feedLossDb) {
        return new Antenna(new Decibels(gainDbd), new Decibels(feedLossDb), true, OptionalDouble.empty());
    }
}
