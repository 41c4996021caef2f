package org.wache.server.profiles;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.wache.exchange.FileProblem;
import org.wache.exchange.ProfileFile;
import org.wache.radio.SettingKind;
import org.wache.server.web.OneLine;
import org.wache.server.web.Refused;
import org.wache.settings.SettingsProfile;

/**
 * A profile as it is entered.
 *
 * @param rogerTone how a tone at the end of each over counts
 * @param breaksIn whether these people must be able to break into a busy channel
 * @param missesNothing whether they must hear each call from its first syllable
 * @param maxTimeoutS the longest time-out in seconds; null for the usual
 */
record ProfileBody(
        @OneLine @NotBlank @Size(max = 80) String name,
        @NotNull SettingsProfile.RogerTone rogerTone,
        boolean breaksIn,
        boolean missesNothing,
        @Schema(nullable = true) Integer maxTimeoutS,
        @NotNull @Size(max = 200) List<@NotNull @Valid ProfileWish> settings) {

    /** One thing that shall be set; model is the one that it is for, null for every one. */
    record ProfileWish(
            @NotNull SettingKind kind,
            @OneLine @NotNull @Size(max = 60) String which,
            @OneLine @NotBlank @Size(max = 80) String value,
            @NotNull @Size(max = 300) String why,
            @OneLine @Size(max = 80) @Schema(nullable = true) String model) {}

    static ProfileBody of(SettingsProfile profile) {
        return new ProfileBody(
                profile.name(),
                profile.habits().rogerTone(),
                profile.habits().breaksIn(),
                profile.habits().missesNothing(),
                profile.habits().longestS().isPresent()
                        ? profile.habits().longestS().getAsInt()
                        : null,
                profile.wishes().stream()
                        .map(each -> new ProfileWish(
                                each.kind(),
                                each.which(),
                                each.value(),
                                each.why(),
                                each.model().orElse(null)))
                        .toList());
    }

    /** @throws Refused when it is not one */
    SettingsProfile profile() {
        SettingsProfile given = new SettingsProfile(
                name.strip(),
                new SettingsProfile.Habits(
                        rogerTone,
                        breaksIn,
                        missesNothing,
                        maxTimeoutS == null ? OptionalInt.empty() : OptionalInt.of(maxTimeoutS)),
                settings.stream()
                        .map(each -> new SettingsProfile.Wish(
                                each.kind(),
                                each.which().strip(),
                                each.value().strip(),
                                each.why().strip(),
                                Optional.ofNullable(each.model())
                                        .map(String::strip)
                                        .filter(text -> !text.isEmpty())))
                        .toList());
        try {
            return ProfileFile.read(ProfileFile.write(given).getBytes(StandardCharsets.UTF_8));
        } catch (FileProblem e) {
            throw new Refused(e.getMessage() + ".");
        }
    }
}
