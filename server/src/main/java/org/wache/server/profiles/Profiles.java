package org.wache.server.profiles;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.wache.exchange.ProfileFile;
import org.wache.exchange.ReleaseContent.TeamProfile;
import org.wache.radio.OtherSetting;
import org.wache.radio.RadioModel;
import org.wache.radio.SettingKind;
import org.wache.settings.SettingPlan;
import org.wache.settings.SettingsProfile;

/** Which profile is whose, and what it comes to in one radio. */
@Component
public class Profiles {

    private static final String OWN = "set so on this radio alone";

    private final ProfileStore store;

    Profiles(ProfileStore store) {
        this.store = store;
    }

    static TeamProfile read(ProfileStore.StoredProfile stored) {
        return new TeamProfile(stored.team(), ProfileFile.read(stored.body().getBytes(StandardCharsets.UTF_8)));
    }

    /** Those of a group, the whole group's first. */
    public List<TeamProfile> of(long club) {
        return store.all(club).stream().map(Profiles::read).toList();
    }

    /** Those that are for somebody of these, and the whole group's: what goes out with a list that they carry. */
    public List<TeamProfile> forParties(long club, Collection<Long> parties) {
        List<String> teams = store.teamsOf(parties);
        return of(club).stream()
                .filter(each -> each.team().isEmpty() || teams.stream().anyMatch(each.team()::equalsIgnoreCase))
                .toList();
    }

    /** What goes out with a list: the whole group's, and those of the people who carry it. */
    public List<TeamProfile> forList(long list) {
        return forParties(store.groupOf(list), store.carriers(list));
    }

    /** Of these the one for somebody: of the first of their teams that has one, else the whole group's. */
    public Optional<TeamProfile> forParty(List<TeamProfile> profiles, Optional<Long> party) {
        return chosen(profiles, party.map(store::teams).orElse(List.of()));
    }

    static Optional<TeamProfile> chosen(List<TeamProfile> profiles, List<String> teams) {
        List<String> order = new ArrayList<>(teams);
        order.add("");
        return order.stream()
                .flatMap(team -> profiles.stream().filter(each -> each.team().equalsIgnoreCase(team)))
                .findFirst();
    }

    /**
     * A profile in one radio.
     *
     * @param otherwise what this radio is to be set to otherwise
     */
    public static SettingPlan inRadio(
            Optional<SettingsProfile> profile, RadioModel model, Map<String, String> otherwise) {
        return SettingPlan.of(of(profile, model, otherwise), model);
    }

    /** A profile with what one radio is to be set to otherwise. */
    static SettingsProfile of(Optional<SettingsProfile> profile, RadioModel model, Map<String, String> otherwise) {
        List<SettingsProfile.Wish> wishes = new ArrayList<>();
        for (OtherSetting setting : model.otherSettings()) {
            if (otherwise.containsKey(setting.id())) {
                wishes.add(new SettingsProfile.Wish(
                        setting.kind(), setting.which(), otherwise.get(setting.id()), OWN, Optional.of(model.name())));
            }
        }
        profile.ifPresent(each -> wishes.addAll(each.wishes()));
        return new SettingsProfile(
                profile.map(SettingsProfile::name).orElse(""),
                profile.map(SettingsProfile::habits).orElse(SettingsProfile.Habits.USUAL),
                wishes);
    }

    /**
     * What is set in a radio on the bench. A band of which nobody says anything transmits as the radio comes, whatever was
     * switched off before.
     */
    public static Map<String, String> wanted(
            Optional<SettingsProfile> profile, RadioModel model, Map<String, String> otherwise) {
        Map<String, String> all =
                new LinkedHashMap<>(inRadio(profile, model, otherwise).wanted());
        model.otherSettings().stream()
                .filter(each -> each.kind() == SettingKind.BAND_TRANSMIT)
                .forEach(each -> each.usual().ifPresent(usual -> all.putIfAbsent(each.id(), usual)));
        return all;
    }
}
