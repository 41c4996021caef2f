package org.wache.server.tones;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.wache.channel.TalkGroup;
import org.wache.server.web.OneLine;

/**
 * What a group knows of tones.
 *
 * @param neighbours the tones that others near use
 * @param tables the tones that its radio models can do, in the order of each model's own numbers
 * @param talkGroups the talk groups that it has agreed on; null, as before there were any, for none
 */
public record ToneKnowledge(
        @NotNull @Size(max = 500) List<@NotNull @Valid NeighbourTone> neighbours,
        @NotNull @Size(max = 60) List<@NotNull @Valid ModelTones> tables,
        @Size(max = 500) List<@NotNull @Valid AgreedTalkGroup> talkGroups) {

    public ToneKnowledge {
        talkGroups = talkGroups == null ? List.of() : talkGroups;
    }

    /** Nothing known. */
    public static final ToneKnowledge NONE = new ToneKnowledge(List.of(), List.of(), List.of());

    /**
     * A tone that somebody near uses.
     *
     * @param who whose it is
     * @param mhz where; empty when it is everywhere, or not known
     * @param tone as a list writes it
     */
    public record NeighbourTone(
            @NotNull @Size(max = 120) String who,
            @NotNull @Size(max = 20) String mhz,
            @NotNull @Size(max = 12) String tone) {}

    /**
     * The tones of a radio model.
     *
     * @param model what it is called
     * @param tones the first is what the model calls 1
     */
    public record ModelTones(
            @NotNull @Size(max = 120) String model,
            @NotNull @Size(max = 250) List<@NotNull @Size(max = 12) String> tones) {}

    /**
     * A talk group.
     *
     * @param number what is called
     * @param name what people call it
     * @param slot its slot on repeaters; null where it has none of its own
     * @param forWhom whose it is, in words; empty for everybody
     */
    public record AgreedTalkGroup(
            @Min(1) @Max(TalkGroup.HIGHEST) int number,
            @OneLine @NotBlank @Size(max = 40) String name,
            @Min(1) @Max(2) @Schema(nullable = true) Integer slot,
            @OneLine @NotNull @Size(max = 120) String forWhom) {}
}
