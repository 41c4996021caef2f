package org.wache.server.lists;

import java.util.List;
import org.wache.audit.context.Neighbour;
import org.wache.place.Place;

/** The repeaters that a directory knows near a place, as they are known now; asking it waits for nobody. */
public interface NearbyRepeaters {

    /** Those near a place; none while the directory has not answered. */
    List<Neighbour> near(Place place);

    /** A repeater with where it stands. */
    record Sited(String name, Place place, Neighbour heard) {}

    /** As {@link #near}, with where they stand; the nearest first. */
    List<Sited> sited(Place place);

    /** Changes when what is known changes. */
    int version();
}
