package org.wache.server.tones;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import org.wache.rulebook.RulebookReader;
import org.wache.server.accounts.AccountStore;
import org.wache.server.database.Hold;
import org.wache.server.log.Logbook;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.server.web.Stale;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;
import org.wache.typed.WrittenTone;
import tools.jackson.databind.json.JsonMapper;

/** Keeps what groups know of tones; a change begun on an older version is refused. */
@Repository
public class ToneKnowledgeStore {

    private static final JsonMapper JSON = Json.MAPPER;

    private final JdbcClient jdbc;
    private final AccountStore accounts;
    private final Logbook log;

    ToneKnowledgeStore(JdbcClient jdbc, AccountStore accounts, Logbook log) {
        this.log = log;
        this.jdbc = jdbc;
        this.accounts = accounts;
    }

    /** A version of it; 0 before there is any. */
    public record Known(int version, ToneKnowledge knowledge) {}

    /** What a group of the account's knows. */
    public Known known(long account, long club) {
        if (!accounts.isMember(account, club)) {
            throw new Missing("The group");
        }
        return jdbc.sql("select version, body from tone_knowledge where club_id = :club")
                .param("club", club)
                .query((row, number) ->
                        new Known(row.getInt("version"), JSON.readValue(row.getString("body"), ToneKnowledge.class)))
                .optional()
                .orElse(new Known(0, ToneKnowledge.NONE));
    }

    /** Puts it in place of the version that it was begun on. */
    @Transactional
    public int put(long account, long club, int before, ToneKnowledge given) {
        if (!accounts.isMember(account, club)) {
            throw new Missing("The group");
        }
        ToneKnowledge knowledge = checked(given);
        Hold.row(jdbc, "club", club);
        Known was = known(account, club);
        int now = was.version();
        if (now != before) {
            throw new Stale(
                    "Somebody else changed the neighbours, the tables or the talk groups meanwhile. Nothing was saved: look at what is"
                            + " there now, and make your change again.",
                    was.knowledge());
        }
        jdbc.sql(
                        """
            insert into tone_knowledge (club_id, version, body, account_id) values (:club, :version, :body::jsonb, :account)
            on conflict (club_id) do update set version = excluded.version, body = excluded.body,
              account_id = excluded.account_id, at = now()
            """)
                .param("club", club)
                .param("version", now + 1)
                .param("body", JSON.writeValueAsString(knowledge))
                .param("account", account)
                .update();
        log.add(
                account,
                club,
                new Logbook.Deed(
                        Logbook.Kind.TONES,
                        null,
                        "Tones of neighbours and models, talk groups",
                        "changed",
                        JSON.writeValueAsString(was.knowledge()),
                        JSON.writeValueAsString(knowledge)));
        return now + 1;
    }

    /** With tones and frequencies as a list writes them; what cannot be read is refused by name. */
    private static ToneKnowledge checked(ToneKnowledge given) {
        return new ToneKnowledge(
                given.neighbours().stream()
                        .map(each -> new ToneKnowledge.NeighbourTone(
                                each.who().strip(), megahertz(each.mhz()), tone(each.tone(), each.who())))
                        .toList(),
                given.tables().stream()
                        .map(each -> new ToneKnowledge.ModelTones(
                                each.model().strip(),
                                each.tones().stream()
                                        .map(text -> tone(text, each.model()))
                                        .toList()))
                        .toList(),
                talkGroups(given));
    }

    private static List<ToneKnowledge.AgreedTalkGroup> talkGroups(ToneKnowledge given) {
        Set<Integer> numbers = new HashSet<>();
        given.talkGroups().stream()
                .filter(each -> !numbers.add(each.number()))
                .findFirst()
                .ifPresent(each -> {
                    throw new Refused("Talk group " + each.number() + " is there twice. Take one of the two out.");
                });
        return given.talkGroups();
    }

    private static String megahertz(String text) {
        return text.isBlank()
                ? ""
                : Frequency.ofMegahertz(text.strip())
                        .map(Frequency::megahertz)
                        .orElseThrow(() -> new Refused(
                                "“" + text + "” is no frequency in MHz. Write it like 462.5625, or leave it empty."));
    }

    private static String tone(String text, String whose) {
        Optional<Tone> read = WrittenTone.read(
                        text,
                        RulebookReader.shipped(Rulebooks.usual())
                                .on(java.time.LocalDate.EPOCH)
                                .tones())
                .flatMap(WrittenTone::tone);
        return read.map(Tone::text)
                .orElseThrow(() -> new Refused(
                        "“" + text + "” of " + whose + " is no tone. Write it like 100.0, D023 or code 12."));
    }
}
