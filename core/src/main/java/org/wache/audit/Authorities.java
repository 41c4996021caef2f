package org.wache.audit;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.wache.licence.AuthorisationLine;
import org.wache.licence.Licence;
import org.wache.rulebook.AuthorisedService;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.Room;

/** Says what makes a route legal. */
final class Authorities {

    private Authorities() {}

    static Authority of(Route route) {
        return new Authority(
                route.service().id(),
                route.licenceClass(),
                segment(route),
                route.held().licence().flatMap(Licence::callSign),
                source(route));
    }

    private static String segment(Route route) {
        if (route.service() instanceof AuthorisedService) {
            return route.held().licence().stream()
                    .flatMap(licence -> licence.lines().stream())
                    .filter(line -> line.frequency().equals(route.transmit()))
                    .findFirst()
                    .map(Authorities::line)
                    .orElse(route.place());
        }
        return route.channel()
                .map(channel -> route.service().title() + " channel " + channel.name())
                .or(() -> route.room().map(room -> room.band() + " " + room.span()))
                .orElse(route.place());
    }

    private static String line(AuthorisationLine line) {
        return "licence line " + line.frequency() + " " + line.emission();
    }

    private static String source(Route route) {
        if (route.service() instanceof AuthorisedService authorised) {
            return route.cite(authorised.source());
        }
        String section = route.channel()
                .map(FixedChannel::source)
                .or(() -> route.room().map(room -> source(room, route.held().classIndex())))
                .orElse(route.service().traits().part());
        return route.cite(section);
    }

    private static String source(Room room, int licenceClass) {
        String low = room.low().source(licenceClass);
        if (low.equals(room.high().source(licenceClass)) && low.indexOf(',') < 0) {
            return low;
        }
        return Stream.of(room.low().source(licenceClass), room.high().source(licenceClass))
                .flatMap(section -> Stream.of(section.split(", ")))
                .distinct()
                .collect(Collectors.joining(", "));
    }
}
