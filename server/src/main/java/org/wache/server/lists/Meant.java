package org.wache.server.lists;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;

/**
 * The radios that a list is for.
 *
 * @param settings models as they are set
 * @param units single radios, as they are set now
 */
public record Meant(
        @NotNull @Size(max = 500) List<@NotNull Setting> settings,
        @NotNull @Size(max = 5_000) List<@NotNull Long> units) {

    /** A model as it is set; lock is empty for one that has no such settings, or for none in particular. */
    public record Setting(long model, @NotNull @Size(max = 200) String lock, boolean inhibited) {}

    static final Meant NOTHING = new Meant(List.of(), List.of());

    /** Whether it means the same radios, in whatever order. */
    boolean same(Meant other) {
        return Set.copyOf(settings).equals(Set.copyOf(other.settings))
                && Set.copyOf(units).equals(Set.copyOf(other.units));
    }
}
