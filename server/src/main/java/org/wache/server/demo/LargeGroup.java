package org.wache.server.demo;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.wache.server.access.Role;
import org.wache.server.accounts.Account;
import org.wache.server.accounts.AccountStore;
import org.wache.server.lists.ListIntake;
import org.wache.server.radios.RadioService;
import org.wache.server.releases.PastRelease;

/**
 * A large group for measuring, made from a seed beside the demo's: 500 lists, 2,000 people in 40 teams, 5,000 radios, 100
 * releases and a year of log. Lists, models and releases come in as anybody's do; people, radios and log are written in bulk. Who
 * signs in as “large”, with the demo's password, coordinates it. The same seed makes the same group.
 */
@Component
@Order(2)
class LargeGroup implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(LargeGroup.class);

    private static final int LISTS = 500;
    private static final int RELEASED = 100;
    private static final int LONG_LISTS = 20;
    private static final int LONG = 300;
    private static final int LONGEST = 4_000;
    private static final int USUAL = 30;
    private static final int PEOPLE = 2_000;
    private static final int TEAMS = 40;
    private static final int RADIOS = 5_000;
    private static final int DAYS = 365;
    private static final int A_DAY = 60;
    private static final String CONTEXT = "{\"format\":\"wache-context/1\",\"rulebook\":\"us\",\"holders\":[]}";

    private final String seed;
    private final AccountStore accounts;
    private final ListIntake lists;
    private final RadioService radios;
    private final PastRelease releases;
    private final PasswordEncoder encoder;
    private final TransactionTemplate transaction;
    private final JdbcTemplate jdbc;
    private final Clock clock;

    LargeGroup(
            @Value("${wache.demo-seed}") String seed,
            AccountStore accounts,
            ListIntake lists,
            RadioService radios,
            PastRelease releases,
            PasswordEncoder encoder,
            TransactionTemplate transaction,
            JdbcTemplate jdbc,
            Clock clock) {
        this.seed = seed;
        this.accounts = accounts;
        this.lists = lists;
        this.radios = radios;
        this.releases = releases;
        this.encoder = encoder;
        this.transaction = transaction;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (seed.isBlank() || isThere()) {
            return;
        }
        Random random = new Random(Long.parseLong(seed));
        long begun = System.nanoTime();
        Account large = transaction.execute(status -> people(random));
        long club = jdbc.queryForObject("select club_id from membership where account_id = ?", Long.class, large.id());
        Account second = transaction.execute(status -> second(club));
        List<Long> released = new ArrayList<>();
        for (int i = 0; i < LISTS; i++) {
            int place = i;
            long list = transaction.execute(status -> list(random, large.id(), club, place));
            if (place < RELEASED) {
                released.add(list);
            }
        }
        transaction.executeWithoutResult(status -> radios(random, large.id(), club));
        released.forEach(list -> transaction.executeWithoutResult(status -> {
            lists.meantFor(large.id(), list, model(club), "");
            releases.waiveAll(large, list, "It is for measuring only.");
            releases.release(large, second, list);
        }));
        transaction.executeWithoutResult(status -> {
            loads(large.id(), club);
            log(random, large, club);
        });
        LOG.info("The large group of seed {} was made in {} s", seed, (System.nanoTime() - begun) / 1_000_000_000L);
    }

    private boolean isThere() {
        return Boolean.TRUE.equals(
                jdbc.queryForObject("select exists (select 1 from account where login = 'large')", Boolean.class));
    }

    private Account second(long club) {
        long id = accounts.addAccount("large-reviewer", "Second Pair", encoder.encode("tern-valley"));
        accounts.addMember(id, club, Role.REVIEWER, null);
        return accounts.account(id).orElseThrow();
    }

    private static String team(int place) {
        return "Sector " + (place < 9 ? "0" : "") + (place + 1);
    }

    /** The group, who looks after it, and its people: most with an amateur licence, some with GMRS, some with nothing. */
    private Account people(Random random) {
        long club = accounts.addClub("High Country emergency radio");
        long id = accounts.addAccount("large", "Lena Fells", encoder.encode("tern-valley"));
        accounts.addMember(id, club, Role.COORDINATOR, null);
        LocalDate today = LocalDate.now(clock);
        List<Object[]> rows = new ArrayList<>();
        for (int i = 0; i < PEOPLE; i++) {
            int team = i % TEAMS;
            String teams = random.nextInt(4) == 0
                    ? "{" + team(team) + "," + team(random.nextInt(TEAMS)) + "}"
                    : "{" + team(team) + "}";
            rows.add(new Object[] {club, "Member " + (1_000 + i), teams, licences(random, i, today)});
        }
        jdbc.batchUpdate(
                "insert into party (club_id, kind, name, teams, licences) values (?, 'person', ?, ?::text[], ?::jsonb)",
                rows);
        jdbc.update("update club set roster_version = roster_version + 1 where id = ?", club);
        return accounts.account(id).orElseThrow();
    }

    /** Call signs with Q behind the figure are never given to anybody. */
    private static String licences(Random random, int place, LocalDate today) {
        LocalDate expires = today.plusDays(random.nextInt(3_600) - 60);
        String letters = "" + (char) ('A' + place / 26 % 26) + (char) ('A' + place % 26);
        String dates = "\"granted\":\"" + expires.minusYears(10) + "\",\"expires\":\"" + expires + "\"";
        String amateur = "{\"service\":\"amateur\",\"class\":\"%s\",\"callSign\":\"K" + (char) ('A' + place / 676 % 26)
                + "9Q" + letters + "\"," + dates + "}";
        String gmrs = "{\"service\":\"gmrs\",\"callSign\":\"WZZ" + (char) ('A' + place / 1_000)
                + String.format("%03d", place % 1_000) + "\"," + dates + "}";
        int kind = random.nextInt(100);
        if (kind < 80) {
            String held = amateur.formatted(kind < 45 ? "technician" : kind < 70 ? "general" : "extra");
            return random.nextInt(3) == 0 ? "[" + held + "," + gmrs + "]" : "[" + held + "]";
        }
        return kind < 95 ? "[" + gmrs + "]" : "[]";
    }

    private long list(Random random, long account, long club, int place) {
        MadeLists made = new MadeLists(random);
        byte[] file = place < RELEASED
                ? made.forAnybody()
                : made.mixed(
                        place == LISTS - 1
                                ? LONGEST
                                : place >= LISTS - 1 - LONG_LISTS ? LONG : USUAL + random.nextInt(USUAL));
        String team = team(place % TEAMS);
        return lists.take(account, club, team + ", list " + (place + 1), file, CONTEXT, List.of(team), "");
    }

    /** Models as the demo has them; two radios of three are in somebody's hands. */
    private void radios(Random random, long account, long club) {
        List<Long> models = new ArrayList<>();
        for (String file : List.of("heron-h2", "wren-p1", "otter-m5", "badger-b4", "curlew-c6", "plover-f2")) {
            models.add(radios.addModel(account, club, text("radios/" + file + ".json")));
        }
        List<Object[]> rows = new ArrayList<>();
        for (int i = 0; i < RADIOS; i++) {
            rows.add(new Object[] {
                club,
                models.get(random.nextInt(models.size())),
                "L-" + (10_000 + i),
                "Radio " + (i + 1),
                "High Country emergency radio"
            });
        }
        jdbc.batchUpdate(
                "insert into radio_unit (club_id, model_id, serial, label, owner) values (?, ?, ?, ?, ?)", rows);
        jdbc.update(
                """
            insert into custody (unit_id, party_id, out_by)
            select unit.id, person.id, ? from
              (select id, row_number() over (order by id) - 1 as place from radio_unit where club_id = ?) unit
              join (select id, row_number() over (order by id) - 1 as place from party where club_id = ?) person
                on person.place = unit.place % ?
            where unit.place % 3 < 2
            """,
                account, club, club, PEOPLE);
        jdbc.update("update club set radios_version = radios_version + 1 where id = ?", club);
    }

    private long model(long club) {
        return jdbc.queryForObject(
                "select id from radio_model where club_id = ? and name = 'Wren P1'", Long.class, club);
    }

    /** Each release is in the radios of those for whom it is. */
    private void loads(long account, long club) {
        jdbc.update(
                """
            insert into unit_load (unit_id, list_id, list_name, list_version, entries, sha256, account_id, verified, release_id, party_id, talks, listens, declared)
            select custody.unit_id, release.list_id, release.name, release.list_version, 18, release.sha256, ?, true, release.id, custody.party_id,
              array(select generate_series(0, 14)), array(select generate_series(15, 17)), 'elsewhere'
            from custody join party on party.id = custody.party_id
              join release_carrier on release_carrier.party_id = party.id join release on release.id = release_carrier.release_id
            where party.club_id = ? and custody.in_at is null and release.id =
              (select min(first.release_id) from release_carrier first where first.party_id = party.id)
            """,
                account,
                club);
    }

    private void log(Random random, Account by, long club) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        List<Object[]> rows = new ArrayList<>();
        for (int day = DAYS; day > 0; day--) {
            for (int i = 0; i < A_DAY; i++) {
                rows.add(new Object[] {
                    now.minusDays(day).plusMinutes(20L * i),
                    club,
                    by.id(),
                    by.name(),
                    random.nextBoolean() ? "list" : "radio",
                    team(random.nextInt(TEAMS)) + ", list " + (1 + random.nextInt(LISTS)),
                    "changed"
                });
            }
        }
        jdbc.batchUpdate(
                "insert into log (at, club_id, account_id, who, kind, subject, what) values (?, ?, ?, ?, ?, ?, ?)",
                rows);
    }

    private static String text(String file) {
        return new String(DemoData.bytes(file), StandardCharsets.UTF_8);
    }
}
