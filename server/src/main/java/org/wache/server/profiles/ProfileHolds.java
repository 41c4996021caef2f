package org.wache.server.profiles;

import java.util.Collection;
import java.util.List;
import org.springframework.stereotype.Component;
import org.wache.exchange.ReleaseContent.TeamProfile;
import org.wache.radio.RadioModel;
import org.wache.rulebook.Edition;

/** What keeps a list from going out because of how its radios would be set. */
@Component
public class ProfileHolds {

    private final ProfileViews views;

    ProfileHolds(ProfileViews views) {
        this.views = views;
    }

    /**
     * In words; nothing when nothing does.
     *
     * @param profiles those that go out with the list
     * @param parties who carries it
     * @param models the models that it is for
     */
    public List<String> of(
            Edition edition, long club, List<TeamProfile> profiles, Collection<Long> parties, List<RadioModel> models) {
        return views.holds(edition, club, profiles, parties, models);
    }
}
