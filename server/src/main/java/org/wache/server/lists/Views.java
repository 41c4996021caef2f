package org.wache.server.lists;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.audit.Verdict;
import org.wache.audit.finding.Severity;
import org.wache.audit.finding.Sum;
import org.wache.server.papers.CarriedLicence;
import org.wache.server.papers.PlaceArea;
import org.wache.server.web.OneLine;
import org.wache.site.Keying;

/** What the API says of lists. Frequencies are hertz; field keys are those of the JSON list format. */
public final class Views {

    private Views() {}

    /**
     * A list in a list of lists.
     *
     * @param unjudged why it cannot be judged; then its counts say nothing
     * @param pending whether it is still being judged; then its entries, counts and carriers say nothing yet
     */
    public record ListSummary(
            long id,
            String name,
            int version,
            int entries,
            Counts counts,
            OffsetDateTime changedAt,
            String changedBy,
            List<String> carriers,
            @Schema(nullable = true) Long parent,
            Shelf shelf,
            @Schema(nullable = true) String unjudged,
            boolean pending) {}

    /** How many entries came to each verdict. */
    public record Counts(int hold, int query, int listen, int clear) {}

    /**
     * A list under audit.
     *
     * @param rules the mark of what it is held against beside its own entries, as the pulse of the group has it
     * @param unjudged why it cannot be judged, and then there are no slips
     */
    public record Desk(
            long id,
            long groupId,
            String name,
            int version,
            String rules,
            LocalDate on,
            LocalDate today,
            String rulebook,
            String edition,
            CarrierChoice choice,
            List<Carrier> holders,
            Settings settings,
            @Schema(nullable = true) Parent parent,
            Shelf shelf,
            Counts counts,
            List<String> assumptions,
            List<String> extraColumns,
            List<Slip> slips,
            @Schema(nullable = true) String unjudged) {}

    /** Someone who carries the list. */
    public record Carrier(@OneLine @NotNull String name, @NotNull List<@NotNull @Valid CarriedLicence> licences) {}

    /** Who carries a list: named with the list itself, chosen from the roster, or everyone of a team. */
    public record CarrierChoice(
            @NotNull List<@NotNull @Valid Carrier> carriers,
            @NotNull List<@NotNull Long> parties,
            @NotNull List<@NotNull String> teams) {

        /** Whether nobody was chosen: then a list is held against somebody without a licence. */
        public boolean nobody() {
            return carriers.isEmpty() && parties.isEmpty() && teams.isEmpty();
        }
    }

    /** Where a list is used, its antenna, the rulebook, its house rules, and how many radios carry it. */
    public record Settings(
            @Schema(nullable = true) Optional<@Valid PlaceArea> place,
            @Schema(nullable = true) Optional<Double> antennaGainDbd,
            @Schema(nullable = true) Optional<Double> feedLossDb,
            @Schema(nullable = true) Optional<String> directTones,
            @Schema(nullable = true) Optional<Integer> maxTimeoutS,
            @Schema(nullable = true) Optional<Integer> twoMetreRasterKhz,
            @Schema(nullable = true) Optional<Integer> unitsInUse,
            @Schema(nullable = true) Optional<Double> antennaHeightM,
            @Schema(nullable = true) Optional<String> rulebook) {

        public Settings {
            antennaHeightM = antennaHeightM == null ? Optional.empty() : antennaHeightM;
            rulebook = rulebook == null ? Optional.empty() : rulebook;
        }

        /** The same in a rulebook, where none is said. */
        Settings in(String usual) {
            return new Settings(
                    place,
                    antennaGainDbd,
                    feedLossDb,
                    directTones,
                    maxTimeoutS,
                    twoMetreRasterKhz,
                    unitsInUse,
                    antennaHeightM,
                    rulebook.or(() -> Optional.of(usual)));
        }
    }

    /** What of a list is keyed together, and the bases where it is by them. */
    public record Keyed(@NotNull Keying.How how, @NotNull List<@NotNull @Valid KeyedBase> bases) {}

    /** A base and the numbers of the entries that it works. */
    record KeyedBase(@OneLine @NotBlank @Size(max = 100) String name, @NotNull List<@NotNull String> numbers) {}

    /** The list that a variant follows. */
    public record Parent(long id, String name) {}

    /** An edge that a signal crosses; upper when what is beyond lies above it. */
    public record Edge(long hertz, boolean upper) {}

    /** One entry with its verdict in short, and the edge that its signal crosses. */
    public record Slip(
            long id,
            int version,
            Map<String, String> fields,
            List<String> extras,
            @Schema(nullable = true) Long rxHz,
            @Schema(nullable = true) Long txHz,
            @Schema(nullable = true) Long lowHz,
            @Schema(nullable = true) Long highHz,
            @Schema(nullable = true) Edge edge,
            @Schema(nullable = true) String emission,
            Verdict verdict,
            String reason,
            String rule,
            int more,
            @Schema(nullable = true) Cure cure) {}

    /** A proved cure; stillHeld are those who stay on hold for other reasons. */
    record Cure(String label, Map<String, String> changes, Verdict verdictAfter, List<String> stillHeld) {}

    /** All that the audit says of one entry. */
    public record Dossier(Slip slip, List<HolderVerdict> holders, List<FindingView> findings) {}

    /** What the entry comes to for holders who have the same rights on it. */
    record HolderVerdict(
            List<String> names,
            Verdict verdict,
            @Schema(nullable = true) Optional<String> authority,
            @Schema(nullable = true) Optional<String> source) {}

    /** A finding. */
    public record FindingView(
            String rule,
            String title,
            String meaning,
            Severity severity,
            List<String> holders,
            String message,
            List<SumLine> sum,
            String source,
            List<Cure> cures,
            List<String> advice) {}

    /** A line of a sum: role is term, total, limit, inside or rest. */
    public record SumLine(Sum.LineRole role, String sign, String amount, String unit, String label) {}

    /** An edit, addition or removal of an entry. */
    public record Change(
            @NotNull ChangeKind kind,
            @Schema(nullable = true) Optional<Long> entry,
            @Schema(nullable = true) Optional<Long> behind,
            @NotNull Map<String, String> before,
            @NotNull Map<String, String> after) {}

    /** Changes made on a version of the list. */
    public record Changes(
            int version,
            @NotNull List<@NotNull @Valid Change> changes,
            @Schema(nullable = true) Optional<@Valid Order> order) {

        public Changes {
            order = order == null ? Optional.empty() : order;
        }
    }

    /** A new order of the entries, and the one that it was begun on. */
    public record Order(@NotNull List<@NotNull Long> before, @NotNull List<@NotNull Long> after) {}

    /** What changes came to: the entries in their new order, and the slips that differ. */
    public record Changed(int version, Counts counts, List<Long> order, List<Slip> slips, List<Long> added) {}

    /** Two people changed one field. */
    public record Conflict(String title, String detail, int status, int version, List<ConflictingEntry> conflicts) {}

    /** Both versions of an entry that two people changed. */
    record ConflictingEntry(long entry, String name, Map<String, String> mine, Map<String, String> theirs) {}

    /** Fields of an entry being typed. */
    public record Trial(@NotNull Map<String, String> fields) {}

    /** What typing would come to: the entry, and the others that would change with it. */
    public record Tried(Dossier dossier, List<Slip> others, Counts counts) {}
}
