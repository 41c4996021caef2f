package org.wache.server.releases;

import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.exchange.FileProblem;
import org.wache.exchange.ReleaseContent;
import org.wache.exchange.ReleaseFile;
import org.wache.exchange.ReleaseWriter;
import org.wache.reach.Concern;
import org.wache.release.Gate;
import org.wache.release.Matter;
import org.wache.release.Waiver;
import org.wache.server.access.Role;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Freezing;
import org.wache.server.lists.NearbyRepeaters;
import org.wache.server.log.Logbook;
import org.wache.server.profiles.ProfileHolds;
import org.wache.server.profiles.Profiles;
import org.wache.server.reach.Reaching;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Forbidden;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.server.web.Stale;

/** What a list needs before it goes out, waivers, the word of a second person, and the release itself. */
@Service
public class Gating {

    private static final int LONGEST_REASON = 500;
    private static final int KEPT = 2_000;

    private final Freezing freezing;
    private final WaiverStore waivers;
    private final ReleaseStore releases;
    private final Logbook log;
    private final Clock clock;
    private final Rulebooks rulebooks;
    private final Profiles profiles;
    private final ProfileHolds holds;
    private final NearbyRepeaters repeaters;
    private final Reaching reaching;
    private final Map<List<Object>, Brief> briefs =
            Caffeine.newBuilder().maximumSize(KEPT).<List<Object>, Brief>build().asMap();

    Gating(
            Freezing freezing,
            WaiverStore waivers,
            ReleaseStore releases,
            Logbook log,
            Clock clock,
            Rulebooks rulebooks,
            Profiles profiles,
            ProfileHolds holds,
            NearbyRepeaters repeaters,
            Reaching reaching) {
        this.reaching = reaching;
        this.repeaters = repeaters;
        this.holds = holds;
        this.profiles = profiles;
        this.rulebooks = rulebooks;
        this.freezing = freezing;
        this.waivers = waivers;
        this.releases = releases;
        this.log = log;
        this.clock = clock;
    }

    /**
     * A list before the gate.
     *
     * @param state the sum over what would go out
     * @param signOff the newest word of a second person, for whichever state
     * @param profiles how the radios shall be set besides their channels
     * @param settingHolds what must not stay so in that, in words
     * @param reach what of who reaches whom needs an answer
     */
    record Stand(
            Freezing.Frozen frozen,
            Gate gate,
            List<WaiverStore.Kept> waivers,
            String state,
            Optional<WaiverStore.SignOff> signOff,
            List<ReleaseContent.TeamProfile> profiles,
            List<String> settingHolds,
            List<Answered> reach) {

        /** The word, if it is for what would go out now. */
        Optional<WaiverStore.SignOff> signed() {
            return signOff.filter(each -> each.state().equals(state));
        }

        /** How much of who reaches whom nobody has answered for. */
        long unanswered() {
            return reach.stream().filter(each -> each.waiver().isEmpty()).count();
        }

        /** Whether all but the second person's word is there. */
        boolean complete() {
            return gate.passes()
                    && settingHolds.isEmpty()
                    && unanswered() == 0
                    && !frozen.models().isEmpty()
                    && !frozen.entries().isEmpty();
        }
    }

    /** Something about who reaches whom, and what lets it stand. */
    record Answered(Concern concern, Optional<WaiverStore.Kept> waiver) {}

    /** A list as it stands before the gate. */
    @Transactional(readOnly = true)
    Stand stand(long account, long list) {
        return stand(freezing.seen(account, list));
    }

    /** How a list stands before the gate, in short; differs from its newest release when it was ever released. */
    record Brief(
            String name,
            List<String> missing,
            boolean complete,
            boolean signed,
            String lastChange,
            long lastChangeBy,
            boolean differs,
            String state) {}

    /** As {@link #stand}, in short: kept as long as nothing changes on which it depends. */
    @Transactional(readOnly = true)
    Brief brief(long account, long list) {
        List<Object> key =
                List.of(list, waivers.dependsOn(list), rulebooks.version(), repeaters.version(), LocalDate.now(clock));
        Brief known = briefs.get(key);
        if (known == null) {
            Stand stand = stand(account, list);
            known = new Brief(
                    stand.frozen().name(),
                    missing(stand),
                    stand.complete(),
                    stand.signed().isPresent(),
                    stand.frozen().last().name(),
                    stand.frozen().last().account(),
                    since(stand).map(each -> !each.isNothing()).orElse(false),
                    stand.state());
            briefs.put(key, known);
        }
        return known;
    }

    /** What differs from the newest release of the list; nothing when there is none. */
    Optional<SinceRelease> since(Stand stand) {
        return releases.newest(stand.frozen().list()).flatMap(head -> {
            try {
                return Optional.of(SinceRelease.of(
                        ReleaseFile.read(releases.body(head.id()).getBytes(StandardCharsets.UTF_8)),
                        stand.frozen(),
                        stand.gate().waivers(),
                        stand.profiles()));
            } catch (FileProblem old) {
                return Optional.empty(); // it cannot be read any more: its own page says so
            }
        });
    }

    private Stand stand(Freezing.Frozen frozen) {
        List<WaiverStore.Kept> kept = waivers.standing(frozen.list());
        Gate gate = Gate.of(
                frozen.parts().stream()
                        .map(part -> new Gate.Part(part.name(), part.audit()))
                        .toList(),
                frozen.models().stream()
                        .map(model -> new Gate.Meant(model.name(), model.audit()))
                        .toList(),
                kept.stream().map(WaiverStore.Kept::waiver).toList(),
                frozen.on());
        ReleaseContent content = content(frozen, gate);
        List<Answered> reach = answered(frozen, kept);
        return new Stand(
                frozen,
                gate,
                kept,
                state(content, reach),
                waivers.signOff(frozen.list()),
                content.profiles(),
                holds.of(
                        frozen.parts().get(0).audit().auditor().context().edition(),
                        frozen.club(),
                        content.profiles(),
                        carriers(frozen),
                        frozen.models().stream()
                                .map(model -> model.radio().model())
                                .distinct()
                                .toList()),
                reach);
    }

    private List<Answered> answered(Freezing.Frozen frozen, List<WaiverStore.Kept> kept) {
        Map<String, WaiverStore.Kept> standing = new HashMap<>();
        kept.stream()
                .filter(each -> each.aboutReach() && each.waiver().stands(frozen.on()))
                .forEach(each -> standing.put(each.waiver().print(), each));
        return reaching
                .concerns(
                        frozen.source(),
                        frozen.parts().stream().map(Freezing.Part::list).toList())
                .stream()
                .map(concern -> new Answered(concern, Optional.ofNullable(standing.get(concern.print()))))
                .toList();
    }

    /** What would go out, and what of who reaches whom is let stand with it: a second person signs for both. */
    private static String state(ReleaseContent content, List<Answered> reach) {
        String state = ReleaseWriter.state(content);
        List<String> stands = reach.stream()
                .flatMap(each -> each.waiver().stream())
                .map(each -> each.waiver().print() + each.waiver().reason())
                .sorted()
                .toList();
        return stands.isEmpty() ? state : DigestUtils.sha256Hex(state + String.join("", stands));
    }

    private ReleaseContent content(Freezing.Frozen frozen, Gate gate) {
        return new ReleaseContent(
                frozen.group(),
                frozen.name(),
                frozen.version(),
                frozen.overlayVersion(),
                frozen.on(),
                frozen.parts().stream()
                        .map(part -> new ReleaseContent.PartContent(part.name(), part.context(), part.audit()))
                        .toList(),
                frozen.models().stream()
                        .map(model -> new ReleaseContent.ModelContent(
                                model.name(),
                                model.body(),
                                model.radio().lock().map(lock -> lock.name()).orElse(""),
                                model.radio().inhibited(),
                                model.radio().off(),
                                gate.leftOut(model.name()).stream()
                                        .map(i -> frozen.parts()
                                                .get(0)
                                                .audit()
                                                .entry(i)
                                                .channel()
                                                .number())
                                        .toList()))
                        .toList(),
                profiles.forParties(frozen.club(), carriers(frozen)),
                gate.waivers());
    }

    private static List<Long> carriers(Freezing.Frozen frozen) {
        return frozen.parts().stream()
                .flatMap(part -> part.carriers().stream())
                .map(Freezing.Carrier::party)
                .distinct()
                .toList();
    }

    /** Lets queries stand, or leaves entries out of models: by name and with a reason, for the findings as they were seen. */
    @Transactional
    public int waive(Account by, long list, List<String> prints, String reason, Optional<LocalDate> until) {
        Freezing.Frozen frozen = freezing.held(by.id(), list);
        Stand stand = stand(frozen);
        String said = reasonable(reason);
        if (until.filter(day -> day.isBefore(frozen.on())).isPresent()) {
            throw new Refused("A waiver that ends on " + until.get() + " would count for nothing: that day is over.");
        }
        Map<String, List<String>> told = new LinkedHashMap<>();
        Map<String, Matter> open = new HashMap<>();
        stand.gate().matters().forEach(each -> open.put(each.matter().print(), each.matter()));
        Map<String, Concern> reach = new HashMap<>();
        stand.reach().forEach(each -> reach.put(each.concern().print(), each.concern()));
        for (String print : prints.stream().distinct().toList()) {
            if (reach.containsKey(print)) {
                Concern concern = reach.get(print);
                waivers.add(
                        list,
                        concern.entry() < 0 ? null : frozen.entries().get(concern.entry()),
                        concern,
                        said,
                        until,
                        by.id());
                logReach(by, frozen, concern, said, until);
                continue;
            }
            Matter matter = Optional.ofNullable(open.get(print))
                    .orElseThrow(() -> new Stale(
                            "What you would waive is no longer found so: the list was changed meanwhile. Nothing was"
                                    + " saved: look at what is found now.",
                            stand.state()));
            if (matter.kind() == Matter.Kind.HOLD) {
                throw new Refused("Entry " + matter.channel().number() + " is on hold: " + matter.message()
                        + " A hold is cured, never waived.");
            }
            waivers.add(list, frozen.entries().get(matter.position()), matter, said, until, by.id());
            told.computeIfAbsent(
                            matter.kind() == Matter.Kind.MISFIT
                                    ? "left out of " + matter.model()
                                    : "waived: " + matter.rule().text(),
                            any -> new ArrayList<>())
                    .add(matter.channel().number());
        }
        told.forEach((what, entries) -> log.add(
                by.id(),
                frozen.club(),
                Logbook.Deed.of(
                        Logbook.Kind.RELEASE,
                        list,
                        frozen.name(),
                        (entries.size() == 1 ? "entry " : "entries ") + String.join(", ", entries) + " " + what + ". "
                                + said + until.map(day -> " Until " + day + ".").orElse(""))));
        return prints.size();
    }

    private void logReach(Account by, Freezing.Frozen frozen, Concern concern, String said, Optional<LocalDate> until) {
        log.add(
                by.id(),
                frozen.club(),
                Logbook.Deed.of(
                        Logbook.Kind.RELEASE,
                        frozen.list(),
                        frozen.name(),
                        concern.subject() + " waived: " + concern.message() + " " + said
                                + until.map(day -> " Until " + day + ".").orElse("")));
    }

    private static String reasonable(String reason) {
        String said = reason.strip();
        if (said.length() < 5
                || said.length() > LONGEST_REASON
                || said.chars().anyMatch(c -> Character.isISOControl(c) && c != '\n')) {
            throw new Refused("Say in a sentence why it may stand: up to " + LONGEST_REASON
                    + " characters that somebody else understands later.");
        }
        return said;
    }

    /** Ends a waiver; what it settled is open again. */
    @Transactional
    public void endWaiver(Account by, long waiver) {
        WaiverStore.Kept kept = waivers.one(waiver).orElseThrow(() -> new Missing("The waiver"));
        Freezing.Frozen frozen = freezing.held(by.id(), kept.list());
        if (!waivers.end(waiver, by.id())) {
            throw new Refused("Somebody ended this waiver just now.");
        }
        log.add(
                by.id(),
                frozen.club(),
                Logbook.Deed.of(
                        Logbook.Kind.RELEASE,
                        kept.list(),
                        frozen.name(),
                        "waiver ended: " + kept.subject() + ", " + kept.waiver().rule()));
    }

    /** Why somebody cannot sign; nothing when they can. */
    Optional<String> whyNotSigning(Stand stand, long account) {
        if (!stand.complete()) {
            return Optional.of("What is missing above comes first.");
        }
        if (stand.frozen().last().account() == account) {
            return Optional.of("You made the last change of it. Somebody else has to look at it.");
        }
        Set<Waiver> settling = new HashSet<>(stand.gate().waivers());
        stand.reach().forEach(each -> each.waiver().ifPresent(kept -> settling.add(kept.waiver())));
        List<String> own = stand.waivers().stream()
                .filter(kept -> kept.account() == account && settling.contains(kept.waiver()))
                .map(WaiverStore.Kept::subject)
                .distinct()
                .toList();
        return own.isEmpty()
                ? Optional.empty()
                : Optional.of("You gave the waiver for " + String.join(", ", own)
                        + " yourself. Somebody else has to look at that.");
    }

    /** A second person's word for the state that they looked at. */
    @Transactional
    public void sign(Account by, long list, String state, String note) {
        Stand stand = stand(freezing.held(by.id(), list));
        same(stand, state, "sign");
        whyNotSigning(stand, by.id()).ifPresent(why -> {
            throw new Refused(why);
        });
        waivers.sign(list, state, by.id(), note.strip());
        log.add(
                by.id(),
                stand.frozen().club(),
                Logbook.Deed.of(
                        Logbook.Kind.RELEASE,
                        list,
                        stand.frozen().name(),
                        "version " + stand.frozen().version() + " signed"
                                + (note.isBlank() ? "" : ": " + note.strip())));
    }

    /** Takes the second person's word back; they themselves, or a coordinator. */
    @Transactional
    public void unsign(Account by, Role role, long list) {
        Freezing.Frozen frozen = freezing.held(by.id(), list);
        WaiverStore.SignOff signOff = waivers.signOff(list).orElseThrow(() -> new Refused("Nobody has signed."));
        if (signOff.account() != by.id() && role != Role.COORDINATOR) {
            throw new Forbidden(signOff.by() + " signed. They themselves, or a coordinator, can take it back.");
        }
        waivers.unsign(list, by.id());
        log.add(
                by.id(),
                frozen.club(),
                Logbook.Deed.of(
                        Logbook.Kind.RELEASE, list, frozen.name(), "signature of " + signOff.by() + " taken back"));
    }

    private static void same(Stand stand, String state, String what) {
        if (!stand.state().equals(state)) {
            throw new Stale(
                    "The list, its waivers, the roster or the radios were changed since you looked. Nothing was saved: look again before you "
                            + what + ".",
                    stand.state());
        }
    }

    /** What is missing before a list can go out, in words. */
    static List<String> missing(Stand stand) {
        List<String> missing = new ArrayList<>();
        count(missing, stand.gate().open(Matter.Kind.HOLD), "on hold");
        count(missing, stand.gate().open(Matter.Kind.QUERY), "with a query that is neither cured nor waived");
        count(missing, stand.gate().open(Matter.Kind.MISFIT), "unfit for a radio that it is for");
        if (stand.unanswered() > 0) {
            missing.add(
                    stand.unanswered() == 1
                            ? "one question of who reaches whom is open"
                            : stand.unanswered() + " questions of who reaches whom are open");
        }
        missing.addAll(stand.settingHolds());
        if (stand.frozen().models().isEmpty()) {
            missing.add("nobody has said which radios it is for");
        }
        if (stand.frozen().entries().isEmpty()) {
            missing.add("the list is empty");
        }
        if (stand.signed().isEmpty()) {
            missing.add("a second person has not signed");
        }
        return missing;
    }

    private static void count(List<String> missing, List<Matter> open, String what) {
        long entries = open.stream().map(Matter::position).distinct().count();
        if (entries > 0) {
            missing.add(entries + (entries == 1 ? " entry is " : " entries are ") + what);
        }
    }

    /** Releases a list as it was looked at. */
    @Transactional
    public long release(Account by, long list, String state) {
        Stand stand = stand(freezing.held(by.id(), list));
        same(stand, state, "release");
        List<String> missing = missing(stand);
        if (!missing.isEmpty()) {
            throw new Refused("It cannot go out yet: " + String.join("; ", missing) + ".");
        }
        if (releases.isInUse(list, state)) {
            throw new Refused("Nothing of it was changed since it was released last: that release is in use.");
        }
        WaiverStore.SignOff signOff = stand.signed().orElseThrow();
        int number = releases.nextNumber(list);
        OffsetDateTime now = OffsetDateTime.now(clock);
        ReleaseFile file = ReleaseWriter.of(
                content(stand.frozen(), stand.gate()), new ReleaseWriter.Stamp(number, now, by.name(), signOff.by()));
        long id = releases.add(stand.frozen(), number, file.text(), file.sum(), state, by.id(), now, signOff.account());
        log.add(
                by.id(),
                stand.frozen().club(),
                Logbook.Deed.of(
                        Logbook.Kind.RELEASE,
                        id,
                        stand.frozen().name(),
                        "release " + number + " of version " + stand.frozen().version() + ", SHA-256 " + file.sum()));
        return id;
    }

    /** Recalls a release: it is no longer to be used, and no radio is loaded with it again. */
    @Transactional
    public void recall(Account by, long release, String reason) {
        ReleaseStore.Head head = releases.one(release).orElseThrow(() -> new Missing("The release"));
        String said = reasonable(reason);
        if (!releases.recall(release, by.id(), said)) {
            throw new Refused("Release " + head.number() + " of " + head.name() + " was recalled already.");
        }
        log.add(
                by.id(),
                head.club(),
                Logbook.Deed.of(
                        Logbook.Kind.RELEASE, release, head.name(), "release " + head.number() + " recalled: " + said));
    }
}
