package org.wache.server.radios;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.finding.Sum;
import org.wache.measure.Measurement;
import org.wache.server.accounts.Account;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.EnumWords;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What was measured on radios, held against the limits of the day. */
@RestController
class MeasurementController {

    private static final JsonMapper JSON = Json.MAPPER;

    private final RadioStore store;
    private final MeasurementStore measurements;
    private final Clock clock;
    private final Rulebooks rulebooks;

    MeasurementController(RadioStore store, MeasurementStore measurements, Clock clock, Rulebooks rulebooks) {
        this.rulebooks = rulebooks;
        this.store = store;
        this.measurements = measurements;
        this.clock = clock;
    }

    /** A measurement with its verdict; spurMhz where a spur lies. */
    record MeasurementView(
            long id,
            Measurement.Kind kind,
            String title,
            String unit,
            String mhz,
            String nominal,
            String measured,
            MeasuredVerdict verdict,
            @Schema(nullable = true) String spurMhz,
            String message,
            List<ToleranceLine> sum,
            String source,
            OffsetDateTime at,
            String by) {}

    /** A line of a sum. */
    record ToleranceLine(Sum.LineRole role, String sign, String amount, String unit, String label) {}

    /** What can be measured. */
    record Measurable(Measurement.Kind kind, String title, String unit) {}

    /** The measurements of a radio, the newest first, and what can be measured. */
    record Measurements(List<MeasurementView> all, List<Measurable> kinds) {}

    /** A measurement as it is entered; nominal is the rated power, the nominal frequency or the fundamental's power, spurMhz where a spur lies. */
    record Measured(
            @NotNull Measurement.Kind kind,
            @NotBlank @Size(max = 20) String mhz,
            boolean narrow,
            @NotNull @Size(max = 20) String nominal,
            @NotBlank @Size(max = 20) String measured,
            @Schema(nullable = true) Optional<@Size(max = 20) String> spurMhz) {

        Measured {
            spurMhz = spurMhz == null ? Optional.empty() : spurMhz;
        }
    }

    @GetMapping("/api/units/{unit}/measurements")
    Measurements all(Account asking, @PathVariable long unit) {
        if (store.unit(asking.id(), unit).isEmpty()) {
            throw new Missing("The radio");
        }
        return new Measurements(
                measurements.of(unit).stream().map(MeasurementController::view).toList(),
                Arrays.stream(Measurement.Kind.values())
                        .map(each -> new Measurable(each, each.title(), each.unit()))
                        .toList());
    }

    @PostMapping("/api/units/{unit}/measurements")
    @ResponseStatus(HttpStatus.CREATED)
    MeasurementView add(Account asking, @PathVariable long unit, @Valid @RequestBody Measured given) {
        long account = asking.id();
        RadioStore.StoredUnit stored = store.unit(account, unit).orElseThrow(() -> new Missing("The radio"));
        Measuring measuring = Measuring.of(
                given,
                Fleet.model(store.modelOf(stored.modelId())),
                rulebooks.ofGroup(stored.clubId()).on(LocalDate.now(clock)));
        long id = measurements.add(unit, account, measuring, OffsetDateTime.now(clock));
        return measurements.of(unit).stream()
                .filter(each -> each.id() == id)
                .map(MeasurementController::view)
                .findFirst()
                .orElseThrow();
    }

    private static MeasurementView view(MeasurementStore.Kept kept) {
        JsonNode lines = JSON.readTree(kept.sum());
        return new MeasurementView(
                kept.id(),
                kept.kind(),
                kept.kind().title(),
                kept.kind().unit(),
                kept.mhz(),
                kept.nominal(),
                kept.measured(),
                EnumWords.read(MeasuredVerdict.class, kept.verdict()),
                kept.spurMhz().isEmpty() ? null : kept.spurMhz(),
                kept.message(),
                java.util.stream.StreamSupport.stream(lines.spliterator(), false)
                        .map(each -> JSON.treeToValue(each, ToleranceLine.class))
                        .toList(),
                kept.source(),
                kept.at(),
                kept.by());
    }
}
