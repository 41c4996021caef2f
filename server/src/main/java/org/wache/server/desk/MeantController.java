package org.wache.server.desk;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.radio.LockMode;
import org.wache.server.accounts.Account;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.Meant;
import org.wache.server.lists.Source;
import org.wache.server.radios.Fleet;

/** What radios a list is for: models as they are set, and single radios. */
@RestController
class MeantController {

    private final ListService service;
    private final ListStore store;
    private final Fleet fleet;

    MeantController(ListService service, ListStore store, Fleet fleet) {
        this.service = service;
        this.store = store;
        this.fleet = fleet;
    }

    /** What can be chosen, and what is chosen: meant is of the list that goes out, of which a variant is a part. */
    record MeantFor(long list, Meant meant, List<MeantSetting> settings) {}

    /** A model as it is set, with the radios that are set so; words are what it is called. */
    record MeantSetting(Meant.Setting setting, String model, String words, List<Fleet.Named> units) {}

    /** The radios that a list is for: those before, and those from now on. */
    record MeantChange(@NotNull @Valid Meant before, @NotNull @Valid Meant after) {}

    @GetMapping("/api/lists/{list}/radios")
    MeantFor meant(Account asking, @PathVariable long list) {
        Source source = service.source(asking.id(), list);
        long club = source.head().clubId();
        long of = source.entriesOf();
        Meant meant = store.meant(of);
        List<Fleet.Setting> settings = new ArrayList<>(fleet.settings(club));
        meant.settings().stream()
                .map(each -> fleet.setting(club, each.model(), each.lock(), each.inhibited()))
                .filter(each ->
                        settings.stream().noneMatch(setting -> setting.words().equals(each.words())))
                .forEach(settings::add);
        return new MeantFor(
                of,
                meant,
                settings.stream()
                        .map(each -> new MeantSetting(
                                new Meant.Setting(
                                        each.model(),
                                        each.radio().lock().map(LockMode::name).orElse(""),
                                        each.radio().inhibited()),
                                each.radio().model().name(),
                                each.words(),
                                fleet.unitsOf(club, each)))
                        .toList());
    }

    @PutMapping("/api/lists/{list}/radios")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void choose(Account asking, @PathVariable long list, @Valid @RequestBody MeantChange change) {
        service.setMeant(asking.id(), list, change.before(), change.after());
    }
}
