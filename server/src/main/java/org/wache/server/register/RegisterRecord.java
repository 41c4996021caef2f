package org.wache.server.register;

import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What a licence register says of a call sign.
 *
 * @param callSign in capitals
 * @param name whose it is
 * @param service identifier of the service
 * @param licenceClass class, in a service with classes
 * @param status active, expired or cancelled
 * @param granted first day
 * @param expires last day
 */
public record RegisterRecord(
        String callSign,
        String name,
        String service,
        @JsonProperty("class") @Schema(nullable = true) Optional<String> licenceClass,
        String status,
        @Schema(nullable = true) Optional<LocalDate> granted,
        @Schema(nullable = true) Optional<LocalDate> expires) {}
