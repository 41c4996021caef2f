package org.wache.audit;

import java.util.List;
import java.util.Optional;
import org.wache.audit.context.AuditContext;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Service;

/**
 * The licences of a holder as far as they matter to a judgement. Holders with equal profiles are judged once, which
 * keeps a matrix of two hundred holders as cheap as its few kinds of holder.
 *
 * @param held licences, with names and far-off dates left out
 */
record Profile(List<Profile.HeldFor> held) {

    /** A licence and the service it is for. */
    record HeldFor(Service service, Held held) {}

    static Profile of(Holder holder, AuditContext context) {
        return new Profile(holder.licences().stream()
                .map(licence -> heldFor(licence, context))
                .flatMap(Optional::stream)
                .toList());
    }

    private static Optional<HeldFor> heldFor(Licence licence, AuditContext context) {
        Edition edition = context.edition();
        return edition.service(licence.service()).map(service -> {
            int index = licence.licenceClass().map(service.traits()::classIndex).orElse(0);
            if (index < 0) {
                throw new IllegalArgumentException("The service " + service.id() + " has no class "
                        + licence.licenceClass().orElse("") + "; it has "
                        + String.join(", ", service.traits().classes()));
            }
            boolean dateMatters =
                    LicenceTime.expired(licence, context.on()) || LicenceTime.expiring(licence, service, context.on());
            boolean plain = !dateMatters && licence.lines().isEmpty();
            Licence kept = plain
                    ? new Licence(
                            licence.service(), licence.licenceClass(), Optional.empty(), Optional.empty(), List.of())
                    : licence;
            return new HeldFor(service, new Held(Optional.of(kept), index));
        });
    }
}
