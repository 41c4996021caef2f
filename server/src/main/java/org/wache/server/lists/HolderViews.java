package org.wache.server.lists;

import java.util.Optional;
import org.wache.audit.finding.Wording;
import org.wache.licence.AuthorisationLine;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
import org.wache.place.Area;
import org.wache.place.Box;
import org.wache.place.Circle;
import org.wache.place.Region;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Service;
import org.wache.server.papers.CarriedLicence;
import org.wache.server.papers.LicenceLine;
import org.wache.server.papers.PlaceArea;

/** Licences as the audit has them, for the API. */
public final class HolderViews {

    private HolderViews() {}

    public static CarriedLicence licence(Licence licence) {
        return new CarriedLicence(
                licence.service(),
                licence.licenceClass(),
                licence.callSign(),
                Optional.empty(),
                licence.expires(),
                licence.lines().stream().map(HolderViews::line).toList());
    }

    private static LicenceLine line(AuthorisationLine line) {
        Optional<Integer> units =
                line.units().isPresent() ? Optional.of(line.units().getAsInt()) : Optional.empty();
        return new LicenceLine(
                line.frequency().megahertz(),
                line.emission().designator(),
                line.output().map(watts -> watts.value()),
                line.erp().map(watts -> watts.value()),
                units,
                line.area().map(HolderViews::area),
                line.station().map(station -> station.code()));
    }

    private static PlaceArea area(Area area) {
        Optional<Double> none = Optional.empty();
        if (area instanceof Circle circle) {
            return new PlaceArea(
                    Optional.of(circle.centre().latitude()),
                    Optional.of(circle.centre().longitude()),
                    Optional.of(circle.radiusKm()),
                    none,
                    none,
                    none,
                    none,
                    circle.centre().region());
        }
        if (area instanceof Box box) {
            return new PlaceArea(
                    none,
                    none,
                    none,
                    Optional.of(box.south()),
                    Optional.of(box.west()),
                    Optional.of(box.north()),
                    Optional.of(box.east()),
                    Optional.empty());
        }
        return new PlaceArea(none, none, none, none, none, none, none, Optional.of(((Region) area).code()));
    }

    /** What somebody is licensed for, in a few words. */
    public static String holds(Edition edition, Holder holder) {
        return holder.licences().isEmpty()
                ? "no licence"
                : Wording.list(holder.licences().stream()
                        .map(licence -> word(edition, licence))
                        .distinct()
                        .toList());
    }

    private static String word(Edition edition, Licence licence) {
        return licence.licenceClass().map(Wording::capital).orElseGet(() -> edition.service(licence.service())
                .map(Service::inText)
                .orElse(licence.service()));
    }
}
