package org.wache.server.radios;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.wache.server.web.OneLine;

/**
 * A radio as it is entered.
 *
 * @param model key of its model
 * @param serial its serial number
 * @param label what people call it
 * @param lock its lock setting as it is to be; empty when the model has none
 * @param inhibited whether its transmitter is to be off: for a child or a listener
 * @param owner whose it is
 */
public record UnitDraft(
        long model,
        @OneLine @NotBlank @Size(max = 60) String serial,
        @OneLine @NotBlank @Size(max = 60) String label,
        @NotNull @Size(max = 60) String lock,
        boolean inhibited,
        @NotNull @Size(max = 120) String owner) {}
