package org.wache.rulebook;

import java.util.List;
import java.util.Optional;

/**
 * What holds for a service everywhere.
 *
 * @param id identifier
 * @param title name for people
 * @param part part of the law
 * @param licence how it is licensed
 * @param classes licence classes, least first; empty without classes
 * @param sharedWithPublic whether strangers share its channels
 * @param tonesExpected whether its repeaters usually want a tone
 * @param hiddenMeaningSource section that forbids hidden meaning; empty when none does
 * @param emissionSource section that lists its emissions
 * @param channelSource section that lists its channels
 * @param repeaterSource section on repeaters
 * @param edgeSource section that wants a signal to stay inside, with its whole width
 * @param renewalSource section on the end of licences
 * @param callSigns the shape of its call signs; empty where there are none
 * @param certification what its radios must be certified under; empty where none is needed
 * @param terms what else the law says of it
 */
public record ServiceTraits(
        String id,
        String title,
        String part,
        LicenceKind licence,
        List<String> classes,
        boolean sharedWithPublic,
        boolean tonesExpected,
        String hiddenMeaningSource,
        String emissionSource,
        String channelSource,
        String repeaterSource,
        String edgeSource,
        String renewalSource,
        Optional<CallSignShape> callSigns,
        Optional<Certification> certification,
        FurtherTerms terms) {

    /** The place of a class in {@link #classes()}, or -1. */
    public int classIndex(String name) {
        return classes.indexOf(name);
    }

    /** Whether a licence is needed. */
    public boolean needsLicence() {
        return licence != LicenceKind.NONE;
    }
}
