package org.wache.server.lists;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the API says of lists. Frequencies are hertz; field keys are those of the JSON list format. */
final class Views {

  private Views() {}

  /** A list in a list of lists. */
  record ListSummary(long id, String name, int version, int entries, Counts counts, OffsetDateTime changedAt,
      String changedBy, List<String> carriers) {}

  /** How many entries came to each verdict. */
  record Counts(int hold, int query, int listen, int clear) {}

  /** A list under audit. */
  record Desk(long id, long groupId, String name, int version, LocalDate on, String rulebook, String edition,
      List<Carrier> carriers, Counts counts, List<String> assumptions, List<String> extraColumns, List<Slip> slips) {}

  /** Someone who carries the list. */
  record Carrier(@NotNull String name, @NotNull @Valid List<@NotNull CarriedLicence> licences) {}

  /** A licence of a carrier. */
  record CarriedLicence(@NotNull String service, @Schema(nullable = true) Optional<String> licenceClass, @Schema(nullable = true) Optional<String> callSign,
      @Schema(nullable = true) Optional<LocalDate> expires, @NotNull List<@NotNull LicenceLine> lines) {}

  /** A line of a business licence. */
  record LicenceLine(String mhz, String emission, @Schema(nullable = true) Optional<Double> outputW, @Schema(nullable = true) Optional<Double> erpW,
      @Schema(nullable = true) Optional<Integer> units, @Schema(nullable = true) Optional<LicenceArea> area) {}

  /** The circle of a licence line. */
  record LicenceArea(double latitude, double longitude, double radiusKm) {}

  /** One entry with its verdict in short; edgeHz is the edge that its signal crosses. */
  record Slip(long id, int version, Map<String, String> fields, List<String> extras, @Schema(nullable = true) Long rxHz, @Schema(nullable = true) Long txHz, @Schema(nullable = true) Long lowHz,
      @Schema(nullable = true) Long highHz, @Schema(nullable = true) Long edgeHz, @Schema(nullable = true) String emission, String verdict, String reason, String rule, int more, @Schema(nullable = true) Cure cure) {}

  /** A proved cure. */
  record Cure(String label, Map<String, String> changes, String verdictAfter) {}

  /** All that the audit says of one entry. */
  record Dossier(Slip slip, List<HolderVerdict> holders, List<FindingView> findings) {}

  /** What the entry comes to for one holder. */
  record HolderVerdict(String name, String verdict, @Schema(nullable = true) Optional<String> authority, @Schema(nullable = true) Optional<String> source) {}

  /** A finding. */
  record FindingView(String rule, String title, String meaning, String severity, List<String> holders, String message,
      List<SumLine> sum, String source, List<Cure> cures) {}

  /** A line of a sum: role is term, total, limit, inside or rest. */
  record SumLine(String role, String sign, String amount, String unit, String label) {}

  /** An edit, addition or removal of an entry. */
  record Change(@NotNull String kind, @Schema(nullable = true) Optional<Long> entry, @Schema(nullable = true) Optional<Long> behind,
      @NotNull Map<String, String> before, @NotNull Map<String, String> after) {}

  /** Changes made on a version of the list. */
  record Changes(int version, @NotNull @Valid List<@NotNull Change> changes) {}

  /** What changes came to: the entries in their new order, and the slips that differ. */
  record Changed(int version, Counts counts, List<Long> order, List<Slip> slips, List<Long> added) {}

  /** Two people changed one field. */
  record Conflict(String title, String detail, int status, int version, List<ConflictingEntry> conflicts) {}

  /** Both versions of an entry that two people changed. */
  record ConflictingEntry(long entry, String name, Map<String, String> mine, Map<String, String> theirs) {}

  /** Fields of an entry being typed. */
  record Trial(@NotNull Map<String, String> fields) {}

  /** What typing would come to: the entry, and the others that would change with it. */
  record Tried(Dossier dossier, List<Slip> others, Counts counts) {}
}
