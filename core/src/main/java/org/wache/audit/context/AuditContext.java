package org.wache.audit.context;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.wache.licence.Holder;
import org.wache.place.Area;
import org.wache.radio.Radio;
import org.wache.rulebook.Edition;

/**
 * What an audit is held against, beside the list.
 *
 * @param edition the rulebook as it stands on the day and at the place, with the group's band plan
 * @param on the day
 * @param holders who carries the list; at least one
 * @param where the place it is used at
 * @param antenna what makes radiated power of output
 * @param houseRules what the group has settled
 * @param unitsInUse how many radios carry the list, when known
 * @param radios the radios that the list is meant for; without any, fit and certification are not judged
 * @param neighbours who is known to be near
 */
public record AuditContext(
        Edition edition,
        LocalDate on,
        List<Holder> holders,
        Whereabouts where,
        Antenna antenna,
        HouseRules houseRules,
        OptionalInt unitsInUse,
        List<Radio> radios,
        Neighbours neighbours) {

    /** @throws IllegalArgumentException without a holder */
    public AuditContext {
        holders = List.copyOf(holders);
        radios = List.copyOf(radios);
        if (holders.isEmpty()) {
            throw new IllegalArgumentException("Somebody carries a list: name at least one holder");
        }
    }

    /** A context with nothing but the day and the holders. */
    public static AuditContext of(Edition edition, LocalDate on, List<Holder> holders) {
        return new AuditContext(
                edition,
                on,
                holders,
                new Whereabouts(Optional.empty(), edition.geography()),
                Antenna.ASSUMED,
                HouseRules.NONE,
                OptionalInt.empty(),
                List.of(),
                Neighbours.NONE);
    }

    /** The same at a place; what is allowed only there counts. */
    public AuditContext at(Optional<Area> area) {
        Edition there = area.map(edition::at).orElse(edition);
        return new AuditContext(
                there,
                on,
                holders,
                new Whereabouts(area, edition.geography()),
                antenna,
                houseRules,
                unitsInUse,
                radios,
                neighbours);
    }

    /** The same with an antenna. */
    public AuditContext with(Antenna other) {
        return new AuditContext(edition, on, holders, where, other, houseRules, unitsInUse, radios, neighbours);
    }

    /** The same under house rules. */
    public AuditContext with(HouseRules other) {
        return new AuditContext(edition, on, holders, where, antenna, other, unitsInUse, radios, neighbours);
    }

    /** The same for other holders. */
    public AuditContext with(List<Holder> others) {
        return new AuditContext(edition, on, others, where, antenna, houseRules, unitsInUse, radios, neighbours);
    }

    /** The same with so many radios in use. */
    public AuditContext withUnits(OptionalInt units) {
        return new AuditContext(edition, on, holders, where, antenna, houseRules, units, radios, neighbours);
    }

    /** The same for these radios. */
    public AuditContext forRadios(List<Radio> others) {
        return new AuditContext(edition, on, holders, where, antenna, houseRules, unitsInUse, others, neighbours);
    }

    /** The same with these neighbours. */
    public AuditContext beside(Neighbours others) {
        return new AuditContext(edition, on, holders, where, antenna, houseRules, unitsInUse, radios, others);
    }
}
