package org.wache.reach;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.wache.licence.Holder;
import org.wache.radio.Radio;

/**
 * Somebody with the radios they have.
 *
 * @param holder who they are, and what they are licensed for
 * @param radios their radios; empty when nobody said: then no radio is judged
 * @param carries the places of the lists that are in their radios, from 0; empty when nobody said: then all are
 */
public record Person(Holder holder, Optional<List<Radio>> radios, Optional<Set<Integer>> carries) {

    public Person {
        radios = radios.map(List::copyOf);
        carries = carries.map(Set::copyOf);
    }

    /** Somebody who carries every list that is asked about. */
    public Person(Holder holder, Optional<List<Radio>> radios) {
        this(holder, radios, Optional.empty());
    }

    /** Whether the list at a place is in their radios. */
    public boolean carries(int list) {
        return carries.map(places -> places.contains(list)).orElse(true);
    }

    /** As messages name them. */
    public String name() {
        return holder.name();
    }

    /** The same with one more licence or radio. */
    Person with(Holder licensed) {
        return new Person(licensed, radios, carries);
    }

    Person with(Radio radio) {
        return new Person(holder, Optional.of(List.of(radio)), carries);
    }

    /** The same with other lists in their radios. */
    Person with(Set<Integer> lists) {
        return new Person(holder, radios, Optional.of(lists));
    }

    /** The same with one more list in their radios. */
    Person carrying(int list) {
        return new Person(holder, radios, carries.map(places -> {
            Set<Integer> more = new TreeSet<>(places);
            more.add(list);
            return more;
        }));
    }
}
