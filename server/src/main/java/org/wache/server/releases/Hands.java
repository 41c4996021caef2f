package org.wache.server.releases;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.exchange.ContextFile;
import org.wache.exchange.ReleaseFile;
import org.wache.radio.Radio;
import org.wache.release.Handed;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;

/** A release in one radio and in one hand: what each of its entries is there, under the licences of today. */
@Component
public class Hands {

    private final ReleaseStore store;
    private final Rulebooks rulebooks;
    private final Clock clock;

    Hands(ReleaseStore store, Rulebooks rulebooks, Clock clock) {
        this.store = store;
        this.rulebooks = rulebooks;
        this.clock = clock;
    }

    /**
     * A release, read once for many radios.
     *
     * @param parts the list itself first, then its variants
     */
    public record Opened(
            long release, long club, String list, ReleaseFile file, List<ReleaseFile.Part> parts, String overlay) {

        /** What a part is called. */
        public String name(String part) {
            return part.isEmpty() ? list : part;
        }

        ReleaseFile.Part part(String name) {
            return parts.stream()
                    .filter(each -> each.name().equals(name))
                    .findFirst()
                    .orElseThrow(() -> new Missing("This part of the release"));
        }

        /** Whether it has a part of this name. */
        public boolean has(String name) {
            return parts.stream().anyMatch(each -> each.name().equals(name));
        }
    }

    /** One of the roster. */
    public record Person(long id, String name, String licences) {}

    /** Opens a release that is in use. */
    public Opened open(Releases.InUse release) {
        return open(release.id(), release.club(), release.name(), release.file());
    }

    /** Opens any release that there ever was: what is in a radio may be an older one. */
    Opened open(long club, long release) {
        return open(
                release,
                club,
                store.one(release).orElseThrow().name(),
                ReleaseFile.read(store.body(release).getBytes(StandardCharsets.UTF_8)));
    }

    private Opened open(long release, long club, String list, ReleaseFile file) {
        return new Opened(
                release, club, list, file, file.parts(), store.standingOf(club).overlayRows());
    }

    /** Someone of a group's roster. */
    public Person person(long club, long party) {
        return store.people(club, List.of(party)).stream()
                .findFirst()
                .map(each -> new Person(each.party(), each.name(), each.licences()))
                .orElseThrow(() -> new Refused("Whom a radio is for has to be in the roster. Enter them there first."));
    }

    /** Who has a radio; somebody who is no longer in the roster has no licence. */
    Person whoHas(long club, long party) {
        return whoHave(club, List.of(party)).get(party);
    }

    /** As {@link #whoHas}, of several, by their keys. */
    Map<Long, Person> whoHave(long club, List<Long> parties) {
        Map<Long, Person> all = new HashMap<>();
        parties.forEach(party -> all.put(party, new Person(party, "Somebody who is no longer in the roster", "[]")));
        store.people(club, parties)
                .forEach(each -> all.put(each.party(), new Person(each.party(), each.name(), each.licences())));
        return all;
    }

    /** The part of a release that someone carries, when they carry one. */
    public Optional<String> carried(Opened release, Person person) {
        return store.carriedPart(release.release(), person.id()).filter(release::has);
    }

    /** A part in a radio for nobody in particular: as it was released. */
    public Handed toNobody(Opened release, String part, Radio radio) {
        AuditContext then = release.file().again(release.part(part)).auditor().context();
        return Handed.toNobody(new Auditor(Register.ALL, then.forRadios(List.of(radio)))
                .audit(release.part(part).list()));
    }

    /** A part in a radio in the hand of one person, as the rules and their licences are today. */
    public Handed toOne(Opened release, String part, Radio radio, Person person) {
        return Handed.toOne(audit(release, part, radio, person));
    }

    /** A part in a radio in the hand of one person, audited as the rules and their licences are today. */
    Audit audit(Opened release, String part, Radio radio, Person person) {
        LocalDate today = LocalDate.now(clock);
        ContextFile now = Today.of(
                release.part(part),
                release.overlay(),
                new ReleaseStore.Carrier(part, person.id(), person.name(), person.licences()));
        AuditContext context = now.under(rulebooks.of(release.file().rulebook()).on(today), today, now.holders());
        return new Auditor(Register.ALL, context.forRadios(List.of(radio)))
                .audit(release.part(part).list());
    }
}
