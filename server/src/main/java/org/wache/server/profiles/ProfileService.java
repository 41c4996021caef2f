package org.wache.server.profiles;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.exchange.ProfileFile;
import org.wache.server.radios.Fleet;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.server.web.Stale;
import org.wache.settings.SettingsProfile;

/** Profiles: each change is one transaction, recorded, and never made over somebody else's. */
@Service
public class ProfileService {

    private static final int MOST = 100;
    private static final String CHANGED =
            "Somebody else changed this profile meanwhile. Nothing was saved: look at what is there now, and make your change again.";

    private final ProfileStore store;
    private final Fleet fleet;

    ProfileService(ProfileStore store, Fleet fleet) {
        this.store = store;
        this.fleet = fleet;
    }

    /**
     * Adds one.
     *
     * @param team the team it is for; empty for the whole group
     */
    @Transactional
    public long add(long account, long club, String team, SettingsProfile profile) {
        fleet.visible(account, club);
        free(club, team, 0);
        if (store.all(club).size() >= MOST) {
            throw new Refused("A group has up to " + MOST + " profiles.");
        }
        String body = ProfileFile.write(profile);
        long id = store.add(club, team, body);
        fleet.record(club, account, "profile", id, profile.name(), null, body);
        return id;
    }

    @Transactional
    public void change(long account, long id, int version, String team, SettingsProfile profile) {
        ProfileStore.StoredProfile before = found(account, id);
        free(before.clubId(), team, id);
        String body = ProfileFile.write(profile);
        put(account, before, version, team, body, false);
        fleet.record(before.clubId(), account, "profile", id, profile.name(), before.body(), body);
    }

    @Transactional
    public void remove(long account, long id, int version) {
        ProfileStore.StoredProfile before = found(account, id);
        put(account, before, version, before.team(), before.body(), true);
        fleet.record(
                before.clubId(),
                account,
                "profile",
                id,
                Profiles.read(before).profile().name(),
                before.body(),
                null);
    }

    private ProfileStore.StoredProfile found(long account, long id) {
        return store.one(account, id).orElseThrow(() -> new Missing("The profile"));
    }

    private void put(
            long account, ProfileStore.StoredProfile before, int version, String team, String body, boolean removed) {
        if (!store.change(before.id(), version, team, body, removed)) {
            throw new Stale(
                    CHANGED,
                    store.one(account, before.id())
                            .map(ProfileStore.StoredProfile::body)
                            .orElse(null));
        }
    }

    private void free(long club, String team, long except) {
        boolean known = team.isEmpty()
                || store.members(club).stream()
                        .map(ProfileStore.Member::teams)
                        .flatMap(List::stream)
                        .anyMatch(team::equalsIgnoreCase);
        if (!known) {
            throw new Refused("Nobody of the roster is in a team “" + team + "”. Choose one of its teams.");
        }
        if (store.isTaken(club, team, except)) {
            throw new Refused((team.isEmpty() ? "The whole group" : "“" + team + "”")
                    + " has a profile already. Change that one.");
        }
    }
}
