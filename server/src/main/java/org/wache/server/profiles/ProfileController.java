package org.wache.server.profiles;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;
import org.wache.server.radios.RadioService;
import org.wache.server.web.OneLine;

/** Profiles of settings, and the settings of one radio. */
@RestController
class ProfileController {

    private final ProfileService service;
    private final ProfileViews views;
    private final RadioService radios;

    ProfileController(ProfileService service, ProfileViews views, RadioService radios) {
        this.service = service;
        this.views = views;
        this.radios = radios;
    }

    /** A new profile; team is empty for the whole group. */
    record ProfileDraft(@OneLine @NotNull @Size(max = 60) String team, @NotNull @Valid ProfileBody body) {}

    /** A profile, in place of the version that it was begun on. */
    record ProfileChange(
            int version, @OneLine @NotNull @Size(max = 60) String team, @NotNull @Valid ProfileBody body) {}

    record ProfileMade(long id) {}

    /** What one radio is to be set to otherwise than its profile says, by setting, on the version that was begun on. */
    record SetOtherwiseChange(int version, @NotNull @Size(max = 100) Map<@NotNull String, @NotNull String> settings) {}

    @GetMapping("/api/groups/{group}/profiles")
    ProfileViews.SettingsPage all(Account asking, @PathVariable long group) {
        return views.all(asking.id(), group);
    }

    /** What a profile that is being typed would come to; nothing is saved. */
    @PostMapping("/api/groups/{group}/profiles/look")
    ProfileViews.ProfileView look(Account asking, @PathVariable long group, @Valid @RequestBody ProfileDraft draft) {
        return views.draft(asking.id(), group, draft.team(), draft.body().profile());
    }

    @PostMapping("/api/groups/{group}/profiles")
    @ResponseStatus(HttpStatus.CREATED)
    ProfileMade add(Account asking, @PathVariable long group, @Valid @RequestBody ProfileDraft draft) {
        return new ProfileMade(
                service.add(asking.id(), group, draft.team(), draft.body().profile()));
    }

    @PutMapping("/api/profiles/{profile}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(Account asking, @PathVariable long profile, @Valid @RequestBody ProfileChange change) {
        service.change(
                asking.id(),
                profile,
                change.version(),
                change.team(),
                change.body().profile());
    }

    @DeleteMapping("/api/profiles/{profile}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(Account asking, @PathVariable long profile, @RequestParam int version) {
        service.remove(asking.id(), profile, version);
    }

    /** How one radio shall be set, and how it was found. */
    @GetMapping("/api/units/{unit}/settings")
    ProfileViews.UnitSettings ofUnit(Account asking, @PathVariable long unit) {
        return views.ofUnit(asking.id(), unit);
    }

    @PutMapping("/api/units/{unit}/settings")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setUnit(Account asking, @PathVariable long unit, @Valid @RequestBody SetOtherwiseChange change) {
        radios.changeSettings(asking.id(), unit, change.version(), change.settings());
    }
}
