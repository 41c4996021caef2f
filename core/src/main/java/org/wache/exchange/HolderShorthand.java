package org.wache.exchange;

import java.util.ArrayList;
import java.util.List;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
import org.wache.rulebook.Edition;
import org.wache.rulebook.LicenceKind;
import org.wache.rulebook.Service;

/** Holders written in short, as on the command line: {@code amateur:general,gmrs} or {@code nobody}. */
public final class HolderShorthand {

    /** The word for a holder without a licence. */
    public static final String NOBODY = "nobody";

    private HolderShorthand() {}

    /**
     * Reads one holder.
     *
     * @throws IllegalArgumentException with what would be understood, when it is not
     */
    public static Holder holder(String words, Edition edition) {
        List<Licence> licences = new ArrayList<>();
        for (String word : words.split(",", -1)) {
            String one = word.trim();
            if (!one.equals(NOBODY)) {
                licences.add(licence(one, edition));
            }
        }
        return new Holder(words, licences);
    }

    private static Licence licence(String word, Edition edition) {
        int colon = word.indexOf(':');
        String id = colon < 0 ? word : word.substring(0, colon);
        Service service = edition.service(id)
                .filter(found -> found.traits().needsLicence() && found.traits().licence() != LicenceKind.LINES)
                .orElseThrow(() -> new IllegalArgumentException(expected(word, edition)));
        boolean classes = service.traits().licence() == LicenceKind.CLASS;
        String licenceClass = colon < 0 ? "" : word.substring(colon + 1);
        if (classes != (colon >= 0) || classes && service.traits().classIndex(licenceClass) < 0) {
            throw new IllegalArgumentException(expected(word, edition));
        }
        return classes ? Licence.ofClass(id, licenceClass) : Licence.of(id);
    }

    private static String expected(String word, Edition edition) {
        List<String> known = new ArrayList<>();
        for (Service service : edition.services()) {
            if (service.traits().licence() == LicenceKind.CLASS) {
                known.add(service.id() + ":" + String.join("|", service.traits().classes()));
            } else if (service.traits().licence() == LicenceKind.PLAIN) {
                known.add(service.id());
            }
        }
        return "“" + word + "” is no licence; expected " + String.join(", ", known) + ", or " + NOBODY;
    }
}
