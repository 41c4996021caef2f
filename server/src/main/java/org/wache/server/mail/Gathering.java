package org.wache.server.mail;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;
import org.wache.server.access.Role;
import org.wache.server.home.Pulses;
import org.wache.server.releases.ReleaseOverview;
import org.wache.server.roster.Party;
import org.wache.server.roster.RosterService;

/** Looks at what is and keeps whatever somebody is to be told of it; nobody is told the same twice. */
@Component
class Gathering {

    /** How long a recall is told to those who are not told yet. */
    private static final int RECALL_DAYS = 3;

    private static final int GROUPS = 20_000;

    private final MailStore store;
    private final RosterService roster;
    private final ReleaseOverview releases;
    private final Pulses pulses;
    private final Clock clock;
    /** The marks under which groups were looked through, and for whom. */
    private final Cache<Long, String> looked =
            Caffeine.newBuilder().maximumSize(GROUPS).build();

    Gathering(MailStore store, RosterService roster, ReleaseOverview releases, Pulses pulses, Clock clock) {
        this.store = store;
        this.roster = roster;
        this.releases = releases;
        this.pulses = pulses;
        this.clock = clock;
    }

    /** Looks through the groups of everybody who wants to be told something; how much is new. */
    int gather() {
        Map<Long, List<MailStore.Reader>> groups = new HashMap<>();
        store.readers().forEach(each -> groups.computeIfAbsent(each.club(), any -> new ArrayList<>())
                .add(each));
        return groups.entrySet().stream()
                .mapToInt(each -> gather(each.getKey(), each.getValue()))
                .sum();
    }

    /** Groups that stand as they stood when they were last looked through have nothing new to tell the same people. */
    private int gather(long group, List<MailStore.Reader> readers) {
        String mark = pulses.of(group).mark() + readers;
        if (mark.equals(looked.getIfPresent(group))) {
            return 0;
        }
        int added = licences(group, readers) + recalls(group, readers) + signatures(group, readers);
        looked.put(group, mark);
        return added;
    }

    private static List<MailStore.Reader> wanting(List<MailStore.Reader> readers, MailKind kind) {
        return readers.stream().filter(each -> each.wants(kind)).toList();
    }

    /** Of the whole roster to coordinators, of their own licences to everybody else. */
    private int licences(long group, List<MailStore.Reader> readers) {
        List<MailStore.Reader> wanting = wanting(readers, MailKind.LICENCES);
        if (wanting.isEmpty()) {
            return 0;
        }
        LocalDate today = LocalDate.now(clock);
        List<Party> parties = roster.parties(wanting.get(0).account(), group);
        return wanting.stream()
                .mapToInt(reader -> add(
                        reader,
                        LicenceTidings.of(
                                parties.stream()
                                        .filter(party -> reader.role() == Role.COORDINATOR
                                                || Objects.equals(reader.party(), party.id()))
                                        .toList(),
                                today)))
                .sum();
    }

    private int recalls(long group, List<MailStore.Reader> readers) {
        List<MailStore.Reader> wanting = wanting(readers, MailKind.RECALLS);
        if (wanting.isEmpty()) {
            return 0;
        }
        int added = 0;
        for (MailStore.Recalled each :
                store.recalled(group, OffsetDateTime.now(clock).minusDays(RECALL_DAYS))) {
            Tiding tiding = new Tiding(
                    MailKind.RECALLS,
                    "recall " + each.release(),
                    each.name() + ", release " + each.number() + ", was recalled by " + each.by() + ": "
                            + each.reason().strip() + " Do not load it; what has it in it is to be loaded anew.",
                    "/releases/" + each.release());
            added += wanting.stream()
                    .filter(reader -> reader.account() != each.byAccount())
                    .filter(reader -> reader.role() != Role.MEMBER
                            || reader.party() != null && store.concerns(each.release(), reader.party()))
                    .mapToInt(reader -> add(reader, List.of(tiding)))
                    .sum();
        }
        return added;
    }

    /** To those who may sign, except whoever changed the list last: they may not. */
    private int signatures(long group, List<MailStore.Reader> readers) {
        List<MailStore.Reader> wanting = wanting(readers, MailKind.SIGNATURES).stream()
                .filter(each -> each.role() == Role.COORDINATOR || each.role() == Role.REVIEWER)
                .toList();
        if (wanting.isEmpty()) {
            return 0;
        }
        int added = 0;
        for (ReleaseOverview.Waiting each : releases.waiting(wanting.get(0).account(), group)) {
            if (!each.onlySignature()) {
                continue;
            }
            Tiding tiding = new Tiding(
                    MailKind.SIGNATURES,
                    "sign " + each.list() + " " + each.state(),
                    each.name() + " waits for a second person to sign; " + each.lastChange() + " changed it last.",
                    "/lists/" + each.list() + "/release");
            added += wanting.stream()
                    .filter(reader -> reader.account() != each.lastChangeBy())
                    .mapToInt(reader -> add(reader, List.of(tiding)))
                    .sum();
        }
        return added;
    }

    private int add(MailStore.Reader reader, List<Tiding> tidings) {
        return (int) tidings.stream()
                .filter(each -> store.add(reader.account(), reader.club(), each))
                .count();
    }
}
