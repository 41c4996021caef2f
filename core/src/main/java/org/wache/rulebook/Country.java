package org.wache.rulebook;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.place.Box;
import org.wache.place.Place;

/**
 * The country that a rulebook holds in.
 *
 * @param title its name
 * @param extent boxes that it lies in; empty where they are not known
 * @param later what is judged by later rules on days before
 * @param usualBand the band that most lists are about
 * @param examples entries as people there write them on a line
 * @param ruleNotes what is to be known of rules there, by their names
 */
public record Country(
        String title,
        List<Box> extent,
        List<Later> later,
        Optional<String> usualBand,
        List<String> examples,
        Map<String, String> ruleNotes) {

    /**
     * Days that an edition of the rulebook does not reach back to.
     *
     * @param before the first day that is judged as it was
     * @param say what to tell of days before
     */
    public record Later(LocalDate before, String say) {}

    public Country {
        extent = List.copyOf(extent);
        later = List.copyOf(later);
        examples = List.copyOf(examples);
        ruleNotes = Map.copyOf(ruleNotes);
    }

    /** Whether a place may lie in it; true where its extent is not known. */
    public boolean mayHold(Place place) {
        return extent.isEmpty()
                || extent.stream()
                        .anyMatch(box -> box.south() <= place.latitude()
                                && place.latitude() <= box.north()
                                && box.west() <= place.longitude()
                                && place.longitude() <= box.east());
    }
}
