package org.wache.reach;

import java.util.List;
import java.util.Optional;
import org.wache.licence.Holder;
import org.wache.radio.Radio;

/**
 * Somebody with the radios they have.
 *
 * @param holder who they are, and what they are licensed for
 * @param radios their radios; empty when nobody said: then no radio is judged
 */
public record Person(Holder holder, Optional<List<Radio>> radios) {

    public Person {
        radios = radios.map(List::copyOf);
    }

    /** As messages name them. */
    public String name() {
        return holder.name();
    }

    /** The same with one more licence or radio. */
    Person with(Holder licensed) {
        return new Person(licensed, radios);
    }

    Person with(Radio radio) {
        return new Person(holder, Optional.of(List.of(radio)));
    }
}
