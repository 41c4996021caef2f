package org.wache.server.papers;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A licence as the API says it.
 *
 * @param service identifier of the service
 * @param licenceClass its class, in a service with classes
 * @param callSign when known
 * @param granted first day
 * @param expires last day
 * @param lines the lines of a business licence
 */
public record CarriedLicence(
        @NotNull String service,
        @Schema(nullable = true) Optional<String> licenceClass,
        @Schema(nullable = true) Optional<String> callSign,
        @Schema(nullable = true) Optional<LocalDate> granted,
        @Schema(nullable = true) Optional<LocalDate> expires,
        @NotNull List<@NotNull @Valid LicenceLine> lines) {}
