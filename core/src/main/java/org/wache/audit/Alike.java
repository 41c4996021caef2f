package org.wache.audit;

import org.wache.audit.context.AuditContext;
import org.wache.licence.Holder;

/** Whether two holders come to the same verdicts: as far as licences matter, names and far-off dates left out. */
public record Alike(Object licences) {

    /** Equal for holders who are judged alike in a context. */
    public static Alike of(Holder holder, AuditContext context) {
        return new Alike(Profile.of(holder, context));
    }
}
