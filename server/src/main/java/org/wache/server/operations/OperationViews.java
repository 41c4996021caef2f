package org.wache.server.operations;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.util.List;
import org.wache.operation.Trouble;

/** Operations, for the API. */
final class OperationViews {

    private OperationViews() {}

    /** An operation in short; what is wrong is null when it is over, or when it has too many people to tell. */
    record OperationHead(
            long id,
            String name,
            String place,
            LocalDateTime from,
            LocalDateTime until,
            boolean over,
            List<String> teams,
            @Schema(nullable = true) Integer fails,
            @Schema(nullable = true) Integer questions) {}

    /** One that was made. */
    record OperationMade(long id) {}

    /** An operation as it is kept, and what comes of it. */
    record OperationKept(
            long id,
            int version,
            OperationForm form,
            String changedBy,
            OffsetDateTime changedAt,
            OperationSheet sheet) {}

    /**
     * What comes of an operation.
     *
     * @param on the day whose licences count: the last
     * @param watches in the order of the form
     */
    record OperationSheet(
            LocalDate on,
            List<OperationList> lists,
            List<OperationWatch> watches,
            List<OperationTrouble> troubles,
            List<OperationPerson> people) {}

    /**
     * A list that is used.
     *
     * @param there false when it is not there any more
     * @param release the number under which it went out last; null when none is in use
     * @param changed whether it was changed since
     */
    record OperationList(
            long id,
            String name,
            boolean there,
            @Schema(nullable = true) Integer release,
            boolean changed,
            List<OperationEntry> entries) {}

    /** An entry: how it is said, and whether anybody talks on it at all. */
    record OperationEntry(long id, String number, String name, String words, boolean talks) {}

    /** Who is on a watch. */
    record OperationWatch(String name, List<String> people) {}

    /**
     * What is wrong.
     *
     * @param watch its place in the form; null when it is about several or none
     * @param why why one does not reach another, where it is about that
     * @param least what would change it, each by itself
     */
    record OperationTrouble(
            Trouble.Kind kind,
            boolean fails,
            @Schema(nullable = true) Integer watch,
            String subject,
            String message,
            List<String> why,
            List<String> least) {}

    /** Somebody of the operation: what they carry, and the radios that they have. */
    record OperationPerson(long party, String name, List<String> carries, List<OperationRadio> radios) {}

    /** A radio: what is in it, in words; empty when that is not known. */
    record OperationRadio(long unit, String label, String model, String inside) {}
}
