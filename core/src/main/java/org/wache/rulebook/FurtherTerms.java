package org.wache.rulebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;

/**
 * What else the law says of a service.
 *
 * @param conditions what is asked about
 * @param heights how high antennas may stand
 * @param uses where uses other than direct and repeater are allowed
 * @param sets what certified sets of the service send in a mode, where that differs from what the mode usually stands for
 * @param mixtureSource section that names the designators of voice without combinations of voice and data; empty when none does
 * @param aboard where one has to be to use it, such as aboard a vessel: it cannot be licensed by others; empty for ordinary services
 * @param clearSource section that wants a call sign sent in the clear where meaning may be hidden; empty when none does
 * @param renewalDays how many days before its end a licence may be renewed; 0 where it is not known
 */
public record FurtherTerms(
        List<Condition> conditions,
        List<HeightLimit> heights,
        List<SpecialUse> uses,
        Map<Mode, Emission> sets,
        String mixtureSource,
        Optional<String> aboard,
        String clearSource,
        int renewalDays) {

    public FurtherTerms {
        conditions = List.copyOf(conditions);
        heights = List.copyOf(heights);
        uses = List.copyOf(uses);
        sets = Map.copyOf(sets);
    }

    /** Whether only those aboard a vessel or an aircraft may use it. */
    public boolean aboardOnly() {
        return aboard.isPresent();
    }

    /** The conditions that hold for a frequency and contents, in the order of the file. */
    public List<Condition> conditions(Frequency frequency, int contents) {
        List<Condition> found = List.of(); // asked for every trial of a cure, and nearly always none
        for (Condition each : conditions) {
            if (each.span().contains(frequency) && (each.contents() & contents) != 0) {
                found = found.isEmpty() ? new ArrayList<>() : found;
                found.add(each);
            }
        }
        return found;
    }

    /** The limit of height for a frequency. */
    public Optional<HeightLimit> height(Frequency frequency) {
        return heights.stream().filter(each -> each.span().contains(frequency)).findFirst();
    }

    /** What is said of a use. */
    public Optional<SpecialUse> use(String name) {
        return uses.stream().filter(each -> each.use().equals(name)).findFirst();
    }
}
