package org.wache.server.lists;

import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.server.database.Hold;
import org.wache.server.log.Logbook;
import org.wache.server.papers.PartyKind;
import org.wache.server.web.EnumWords;

/** Lists and their entries. Every question about a list asks for the account too: groups see only their own. */
@Repository
public class ListStore {

    private static final Field[] FIELDS = Field.values();
    private static final String COLUMNS =
            Arrays.stream(FIELDS).map(Field::column).collect(Collectors.joining(", "));

    private final JdbcClient jdbc;
    private final Logbook log;

    ListStore(JdbcClient jdbc, Logbook log) {
        this.jdbc = jdbc;
        this.log = log;
    }

    /** A list without its entries. */
    public record Head(
            long id,
            long clubId,
            String name,
            int version,
            String context,
            List<String> extraColumns,
            OffsetDateTime changedAt,
            long changedById,
            String changedBy,
            int rosterVersion,
            int overlayVersion,
            String overlay,
            int radiosVersion,
            String radios,
            int rulebooksVersion,
            Optional<Long> parent,
            Optional<String> editionSeen,
            int neighboursVersion,
            String neighbours,
            String talkGroups,
            Shelf shelf) {}

    /** An entry as it is stored. */
    public record Stored(long id, int version, Channel channel) {}

    private static final String HEAD =
            """
      select channel_list.id, channel_list.club_id, channel_list.name, channel_list.version, channel_list.context,
             channel_list.extra_columns, channel_list.changed_at, channel_list.changed_by as changed_by_id, account.name as changed_by, channel_list.parent_id,
             channel_list.edition_seen, club.roster_version, club.overlay_version,
             coalesce(overlay.rows, '[]') as overlay, club.radios_version, (
               select coalesce(jsonb_agg(each.radio order by each.name, each.lock, each.inhibited), '[]') from (
                 select distinct radio_model.name, coalesce(radio_unit.lock, list_radio.lock) as lock, coalesce(radio_unit.inhibited, list_radio.inhibited) as inhibited,
                   radio_model.body || jsonb_build_object('inhibited', coalesce(radio_unit.inhibited, list_radio.inhibited))
                     || jsonb_build_object('set', coalesce(radio_unit.settings, '{}'))
                     || jsonb_strip_nulls(jsonb_build_object('lock', nullif(coalesce(radio_unit.lock, list_radio.lock), ''))) as radio
                 from list_radio left join radio_unit on radio_unit.id = list_radio.unit_id
                 join radio_model on radio_model.id = coalesce(radio_unit.model_id, list_radio.model_id) and not radio_model.removed
                 where list_radio.list_id in (channel_list.id, channel_list.parent_id) and (radio_unit.id is null or not radio_unit.removed)) each) as radios,
             (select count(*) + count(taken_at) from rulebook_addition) as rulebooks_version,
             coalesce(tone_knowledge.version, 0) as neighbours_version, coalesce(tone_knowledge.body -> 'neighbours', '[]') as neighbours,
             coalesce(tone_knowledge.body -> 'talkGroups', '[]') as talk_groups, channel_list.shelf
      from kept_list channel_list
      join club on club.id = channel_list.club_id
      left join overlay on overlay.club_id = club.id and overlay.version = club.overlay_version
      join membership on membership.club_id = channel_list.club_id and membership.account_id = :account
      join account on account.id = channel_list.changed_by
      left join tone_knowledge on tone_knowledge.club_id = club.id
      """;

    List<Head> heads(long account, long club) {
        return jdbc.sql(
                        HEAD
                                + "where channel_list.shelf <> 'deleted' and channel_list.club_id = :club order by channel_list.name, channel_list.id")
                .param("account", account)
                .param("club", club)
                .query(ListStore::head)
                .list();
    }

    public Optional<Head> head(long account, long list) {
        return headWherever(account, list).filter(head -> head.shelf() != Shelf.DELETED);
    }

    /** As {@link #head}, even of a list that was deleted. */
    Optional<Head> headWherever(long account, long list) {
        return jdbc.sql(HEAD + "where channel_list.id = :list")
                .param("account", account)
                .param("list", list)
                .query(ListStore::head)
                .optional();
    }

    /** As {@link #head}, and nobody else changes the list until the transaction ends. */
    Optional<Head> lockedHead(long account, long list) {
        Hold.row(jdbc, "channel_list", list);
        return head(account, list);
    }

    /** The lists that follow another, by name; nobody else changes them until the transaction ends where they are locked. */
    List<Head> variants(long account, long parent, boolean locked) {
        if (locked) {
            Hold.rows(jdbc, "channel_list", "parent_id", parent);
        }
        return jdbc.sql(
                        HEAD
                                + "where channel_list.shelf <> 'deleted' and channel_list.parent_id = :parent order by channel_list.name, channel_list.id")
                .param("account", account)
                .param("parent", parent)
                .query(ListStore::head)
                .list();
    }

    /** Nobody changes the roster, the plan or the radios of a group until the transaction ends. */
    void holdGroup(long club) {
        jdbc.sql("select id from club where id = :club for share")
                .param("club", club)
                .query(Long.class)
                .single();
    }

    /** What a list is called, even one that was taken out. */
    String nameOf(long list) {
        return jdbc.sql("select name from channel_list where id = :list")
                .param("list", list)
                .query(String.class)
                .single();
    }

    /** What a group is called. */
    String groupName(long club) {
        return jdbc.sql("select name from club where id = :club")
                .param("club", club)
                .query(String.class)
                .single();
    }

    private static Head head(ResultSet row, int number) throws SQLException {
        return new Head(
                row.getLong("id"),
                row.getLong("club_id"),
                row.getString("name"),
                row.getInt("version"),
                row.getString("context"),
                texts(row.getArray("extra_columns")),
                row.getObject("changed_at", OffsetDateTime.class),
                row.getLong("changed_by_id"),
                row.getString("changed_by"),
                row.getInt("roster_version"),
                row.getInt("overlay_version"),
                row.getString("overlay"),
                row.getInt("radios_version"),
                row.getString("radios"),
                row.getInt("rulebooks_version"),
                Optional.ofNullable(row.getObject("parent_id", Long.class)),
                Optional.ofNullable(row.getString("edition_seen")),
                row.getInt("neighbours_version"),
                row.getString("neighbours"),
                row.getString("talk_groups"),
                EnumWords.read(Shelf.class, row.getString("shelf")));
    }

    private static List<String> texts(Array array) throws SQLException {
        return List.of((String[]) array.getArray());
    }

    List<Stored> entries(long list) {
        return jdbc.sql("select id, version, extras, " + COLUMNS
                        + " from entry where list_id = :list and not removed order by position, id")
                .param("list", list)
                .query(ListStore::stored)
                .list();
    }

    /** The entries of several lists, by list. */
    Map<Long, List<Stored>> entries(List<Long> lists) {
        Map<Long, List<Stored>> byList = new HashMap<>();
        lists.forEach(list -> byList.put(list, new ArrayList<>()));
        jdbc.sql("select list_id, id, version, extras, " + COLUMNS
                        + " from entry where list_id = any(:lists) and not removed order by list_id, position, id")
                .param("lists", lists.toArray(Long[]::new))
                .query(row -> {
                    byList.get(row.getLong("list_id")).add(stored(row, 0));
                });
        return byList;
    }

    private static final String HOLDER = "party.id as party, party.kind, party.name, party.teams, party.licences";

    /** Everyone of a group's roster. */
    public List<RosterHolder> roster(long club) {
        return jdbc.sql("select " + HOLDER
                        + " from party where club_id = :club and not removed order by lower(name), id")
                .param("club", club)
                .query(ListStore::holder)
                .list();
    }

    /** Those of the roster who carry lists, by list: each once, however many of their teams carry it. */
    public Map<Long, List<RosterHolder>> carriers(List<Long> lists) {
        Map<Long, List<RosterHolder>> byList = new HashMap<>();
        lists.forEach(list -> byList.put(list, new ArrayList<>()));
        jdbc.sql(
                        "select distinct on (channel_list.id, lower(party.name), party.id) channel_list.id as list, "
                                + HOLDER
                                + """
             from channel_list
             join list_carrier on list_carrier.list_id = channel_list.id
             join party on party.club_id = channel_list.club_id and not party.removed
                       and (party.id = list_carrier.party_id or list_carrier.team = any(party.teams))
             where channel_list.id = any(:lists)
             order by channel_list.id, lower(party.name), party.id
            """)
                .param("lists", lists.toArray(Long[]::new))
                .query(row -> {
                    byList.get(row.getLong("list")).add(holder(row, 0));
                });
        return byList;
    }

    /** The keys of a list and of those that follow it, without those in the bin. */
    public List<Long> family(long list) {
        return jdbc.sql(
                        "select id from channel_list where id = :list or parent_id = :list and shelf <> 'deleted' order by id")
                .param("list", list)
                .query(Long.class)
                .list();
    }

    /** Those of the roster who are in a team, each once. */
    List<RosterHolder> inTeam(long club, String team) {
        return jdbc.sql("select " + HOLDER
                        + " from party where club_id = :club and not removed and :team = any(teams) order by id")
                .param("club", club)
                .param("team", team)
                .query(ListStore::holder)
                .list();
    }

    private static RosterHolder holder(ResultSet row, int number) throws SQLException {
        return new RosterHolder(
                row.getLong("party"),
                EnumWords.read(PartyKind.class, row.getString("kind")),
                row.getString("name"),
                texts(row.getArray("teams")),
                row.getString("licences"));
    }

    /** A choice of carriers from the roster: keys of parties, or names of teams. */
    record Chosen(List<Long> parties, List<String> teams) {}

    public Chosen chosen(long list) {
        return new Chosen(
                jdbc.sql(
                                "select party_id from list_carrier where list_id = :list and party_id is not null order by party_id")
                        .param("list", list)
                        .query(Long.class)
                        .list(),
                jdbc.sql("select team from list_carrier where list_id = :list and team is not null order by team")
                        .param("list", list)
                        .query(String.class)
                        .list());
    }

    /** The team that carries the newest list of a group that a team carries. */
    Optional<String> lastTeam(long club) {
        return jdbc.sql(
                        """
            select list_carrier.team from kept_list channel_list join list_carrier on list_carrier.list_id = channel_list.id
            where channel_list.club_id = :club and channel_list.shelf = 'in-use' and list_carrier.team is not null
            order by channel_list.changed_at desc, channel_list.id desc, list_carrier.team limit 1
            """)
                .param("club", club)
                .query(String.class)
                .optional();
    }

    /** Sets the choice; parties of other groups are left out, and told by the number that came in. */
    public int choose(long list, Chosen chosen) {
        jdbc.sql("delete from list_carrier where list_id = :list")
                .param("list", list)
                .update();
        jdbc.sql("insert into list_carrier (list_id, team) select :list, team from unnest(:teams) as given(team)")
                .param("list", list)
                .param("teams", chosen.teams().stream().distinct().toArray(String[]::new))
                .update();
        return jdbc.sql(
                        """
            insert into list_carrier (list_id, party_id)
            select channel_list.id, party.id
            from channel_list join party on party.club_id = channel_list.club_id and not party.removed
            where channel_list.id = :list and party.id = any(:parties)
            """)
                .param("list", list)
                .param("parties", chosen.parties().stream().distinct().toArray(Long[]::new))
                .update();
    }

    /** A list that follows another. */
    long addVariant(Head parent, long account, String name, String context) {
        long id = jdbc.sql(
                        """
            insert into channel_list (club_id, name, context, extra_columns, changed_by, parent_id)
            values (:club, :name, :context::jsonb, :columns, :account, :parent) returning id
            """)
                .param("club", parent.clubId())
                .param("name", name)
                .param("context", context)
                .param("columns", parent.extraColumns().toArray(String[]::new))
                .param("account", account)
                .param("parent", parent.id())
                .query(Long.class)
                .single();
        log.add(
                account,
                parent.clubId(),
                Logbook.Deed.of(Logbook.Kind.LIST, id, name, "made as a variant of " + parent.name()));
        return id;
    }

    /** The radios that a list is for. */
    public Meant meant(long list) {
        return new Meant(
                jdbc.sql(
                                """
            select list_radio.model_id as model, list_radio.lock, list_radio.inhibited
            from list_radio join radio_model on radio_model.id = list_radio.model_id and not radio_model.removed
            where list_radio.list_id = :list and list_radio.unit_id is null order by radio_model.name, list_radio.lock, list_radio.inhibited
            """)
                        .param("list", list)
                        .query(Meant.Setting.class)
                        .list(),
                jdbc.sql(
                                """
            select radio_unit.id from list_radio join radio_unit on radio_unit.id = list_radio.unit_id and not radio_unit.removed
            where list_radio.list_id = :list order by radio_unit.id
            """)
                        .param("list", list)
                        .query(Long.class)
                        .list());
    }

    /** Sets the radios that a list is for; those of other groups are left out, and told by the number that came in. */
    int setMeant(long list, Meant meant) {
        jdbc.sql("delete from list_radio where list_id = :list")
                .param("list", list)
                .update();
        int settings = jdbc.sql(
                        """
            insert into list_radio (list_id, model_id, lock, inhibited)
            select distinct channel_list.id, radio_model.id, given.lock, given.inhibited
            from unnest(:models, :locks, :inhibited) as given(model, lock, inhibited)
            join channel_list on channel_list.id = :list
            join radio_model on radio_model.club_id = channel_list.club_id and radio_model.id = given.model and not radio_model.removed
            """)
                .param("list", list)
                .param(
                        "models",
                        meant.settings().stream().map(Meant.Setting::model).toArray(Long[]::new))
                .param(
                        "locks",
                        meant.settings().stream().map(Meant.Setting::lock).toArray(String[]::new))
                .param(
                        "inhibited",
                        meant.settings().stream().map(Meant.Setting::inhibited).toArray(Boolean[]::new))
                .update();
        return settings
                + jdbc.sql(
                                """
            insert into list_radio (list_id, model_id, unit_id)
            select channel_list.id, radio_unit.model_id, radio_unit.id
            from channel_list join radio_unit on radio_unit.club_id = channel_list.club_id and not radio_unit.removed
            where channel_list.id = :list and radio_unit.id = any(:units)
            """)
                        .param("list", list)
                        .param("units", meant.units().stream().distinct().toArray(Long[]::new))
                        .update();
    }

    /** Notes under which edition somebody looked at a list. */
    void setEditionSeen(long list, String edition) {
        jdbc.sql("update channel_list set edition_seen = :edition where id = :list")
                .param("list", list)
                .param("edition", edition)
                .update();
    }

    /** One entry, even a removed one. */
    Optional<Stored> entry(long list, long entry) {
        return jdbc.sql("select id, version, extras, " + COLUMNS + " from entry where list_id = :list and id = :entry")
                .param("list", list)
                .param("entry", entry)
                .query(ListStore::stored)
                .optional();
    }

    private static Stored stored(ResultSet row, int number) throws SQLException {
        String[] values = new String[FIELDS.length];
        for (int i = 0; i < FIELDS.length; i++) {
            values[i] = row.getString(FIELDS[i].column());
        }
        return new Stored(
                row.getLong("id"), row.getInt("version"), Channel.ofTexts(values, texts(row.getArray("extras"))));
    }

    long add(long club, long account, String context, ChannelList list) {
        long id = jdbc.sql(
                        """
            insert into channel_list (club_id, name, context, extra_columns, changed_by)
            values (:club, :name, :context::jsonb, :columns, :account) returning id
            """)
                .param("club", club)
                .param("name", list.name())
                .param("context", context)
                .param("columns", list.extraColumns().toArray(String[]::new))
                .param("account", account)
                .query(Long.class)
                .single();
        addEntries(id, 1, 0, list.channels());
        begun(id, account);
        log.add(
                account,
                club,
                Logbook.Deed.of(
                        Logbook.Kind.LIST,
                        id,
                        list.name(),
                        "made, with " + list.channels().size() + " entries"));
        return id;
    }

    /** All entries in one statement: each field travels as an array of its texts. */
    void addEntries(long list, int version, int from, List<Channel> channels) {
        jdbc.sql("update channel_list set size_chars = size_chars + :chars where id = :list")
                .param("chars", Quota.characters(channels))
                .param("list", list)
                .update();
        String arrays = Arrays.stream(FIELDS).map(field -> ":" + field.column()).collect(Collectors.joining(", "));
        JdbcClient.StatementSpec insert = jdbc.sql("insert into entry (list_id, version, position, " + COLUMNS
                        + ", extras) select :list, :version, row, " + COLUMNS + ", string_to_array(extra, chr(31))"
                        + " from unnest(:rows, " + arrays + ", :extra) as given(row, " + COLUMNS + ", extra)")
                .param("list", list)
                .param("version", version)
                .param(
                        "rows",
                        IntStream.range(from, from + channels.size()).boxed().toArray(Integer[]::new))
                .param(
                        "extra",
                        channels.stream()
                                .map(channel -> String.join("\u001F", channel.extras()))
                                .toArray(String[]::new));
        for (Field field : FIELDS) {
            insert = insert.param(
                    field.column(),
                    channels.stream().map(channel -> channel.text(field)).toArray(String[]::new));
        }
        insert.update();
    }

    private static final String ORDER =
            """
      select coalesce(array_agg(entry.id order by entry.position, entry.id), '{}') from entry
      where entry.list_id = :list and not entry.removed""";

    /** The first version of a list, with its entries as they came. */
    private void begun(long list, long account) {
        jdbc.sql(
                        "insert into list_change (list_id, version, account_id, what) values (:list, 1, :account, '{\"made\": true}')")
                .param("list", list)
                .param("account", account)
                .update();
        rememberOrder(list, 1);
    }

    /** Notes which entries the list has, in their order, from a version on. */
    void rememberOrder(long list, int version) {
        jdbc.sql("insert into entry_order (list_id, version, entries) select :list, :version, (" + ORDER + ")")
                .param("list", list)
                .param("version", version)
                .update();
    }

    /** The list goes on to its next version; what was changed is kept, and written down in the log. */
    void advance(Head head, long account, ListChange change) {
        int version = head.version() + 1;
        jdbc.sql(
                        """
            update channel_list set version = :version, changed_at = now(), changed_by = :account where id = :list
            """)
                .param("version", version)
                .param("account", account)
                .param("list", head.id())
                .update();
        jdbc.sql(
                        """
            insert into list_change (list_id, version, account_id, what, words, back, undoes)
            values (:list, :version, :account, :what::jsonb, :words, :back::jsonb, :undoes)
            """)
                .param("list", head.id())
                .param("version", version)
                .param("account", account)
                .param("what", change.record())
                .param("words", change.words())
                .param("back", change.back(), java.sql.Types.VARCHAR)
                .param("undoes", change.undoes(), java.sql.Types.INTEGER)
                .update();
        log.add(
                account,
                head.clubId(),
                new Logbook.Deed(
                        Logbook.Kind.LIST,
                        head.id(),
                        head.name(),
                        change.words() + " (version " + version + ")",
                        change.before(),
                        change.after()));
    }

    void setContext(long list, String context) {
        jdbc.sql("update channel_list set context = :context::jsonb where id = :list")
                .param("context", context)
                .param("list", list)
                .update();
    }

    void setName(long list, String name) {
        jdbc.sql("update channel_list set name = :name where id = :list")
                .param("name", name)
                .param("list", list)
                .update();
    }

    void edit(long entry, int version, Channel channel) {
        String set = Arrays.stream(FIELDS)
                .map(field -> field.column() + " = :" + field.column())
                .collect(Collectors.joining(", "));
        JdbcClient.StatementSpec update = jdbc.sql("update entry set version = :version, " + set + " where id = :entry")
                .param("version", version)
                .param("entry", entry);
        for (Field field : FIELDS) {
            update = update.param(field.column(), channel.text(field));
        }
        update.update();
    }

    void setRemoved(long entry, int version, boolean removed) {
        jdbc.sql("update entry set removed = :removed, version = :version where id = :entry")
                .param("removed", removed)
                .param("version", version)
                .param("entry", entry)
                .update();
    }

    /** A new entry behind the given position; -1 puts it first. */
    long insert(long list, int behind, int version, Channel channel) {
        jdbc.sql("update entry set position = position + 1 where list_id = :list and position > :behind")
                .param("list", list)
                .param("behind", behind)
                .update();
        String values = Arrays.stream(FIELDS).map(field -> ":" + field.column()).collect(Collectors.joining(", "));
        JdbcClient.StatementSpec insert = jdbc.sql("insert into entry (list_id, position, version, " + COLUMNS
                        + ") values (:list, :position, :version, " + values + ") returning id")
                .param("list", list)
                .param("position", behind + 1)
                .param("version", version);
        for (Field field : FIELDS) {
            insert = insert.param(field.column(), channel.text(field));
        }
        return insert.query(Long.class).single();
    }

    /** The entries of a list in their order. */
    List<Long> order(long list) {
        return jdbc.sql("select id from entry where list_id = :list and not removed order by position, id")
                .param("list", list)
                .query(Long.class)
                .list();
    }

    /** A change of a list: its version, when, by whom, what it did in words or, of old, as it was asked for, and the release of it. */
    public record Past(
            int version, OffsetDateTime at, String by, String what, String words, Integer release, boolean recalled) {}

    /** The changes of a list, the newest first. */
    public List<Past> past(long list, int most) {
        return jdbc.sql(
                        """
            select list_change.version, list_change.at, account.name, list_change.what, list_change.words, release.number, release.recalled_at is not null as recalled
            from list_change join account on account.id = list_change.account_id
            left join release on release.list_id = list_change.list_id and release.list_version = list_change.version
              and release.number = (select max(number) from release other where other.list_id = release.list_id and other.list_version = release.list_version)
            where list_change.list_id = :list order by list_change.version desc limit :most
            """)
                .param("list", list)
                .param("most", most)
                .query((row, number) -> new Past(
                        row.getInt("version"),
                        row.getObject("at", OffsetDateTime.class),
                        row.getString("name"),
                        row.getString("what"),
                        row.getString("words"),
                        row.getObject("number", Integer.class),
                        row.getBoolean("recalled")))
                .list();
    }

    /** A change that somebody made: what it was, what it replaced, and which change it undid. */
    record Made(int version, String what, String words, String back, Integer undoes) {}

    /** What an account changed of a list since a moment, in its order. */
    List<Made> madeBy(long account, long list, OffsetDateTime since) {
        return jdbc.sql(
                        "select version, what, words, back, undoes from list_change where list_id = :list and account_id = :account and at > :since and version > 1"
                                + " order by version")
                .param("list", list)
                .param("account", account)
                .param("since", since)
                .query(Made.class)
                .list();
    }

    /** Puts a list where it is kept. */
    void setShelf(long list, Shelf shelf) {
        jdbc.sql("update channel_list set shelf = :shelf where id = :list")
                .param("shelf", EnumWords.of(shelf))
                .param("list", list)
                .update();
    }

    /** Whether the order of the entries was kept with a version, so that it differs from the one before. */
    boolean keptOrder(long list, int version) {
        return jdbc.sql("select exists (select 1 from entry_order where list_id = :list and version = :version)")
                .param("list", list)
                .param("version", version)
                .query(Boolean.class)
                .single();
    }

    /** The entries as they were in a version; nothing when that version is not kept. */
    public Optional<List<Stored>> entriesAt(long list, int version) {
        Optional<Long[]> order = jdbc.sql(
                        "select entries from entry_order where list_id = :list and version <= :version"
                                + " order by version desc limit 1")
                .param("list", list)
                .param("version", version)
                .query((row, number) -> (Long[]) row.getArray("entries").getArray())
                .optional();
        return order.map(entries -> {
            Map<Long, Stored> byId = new HashMap<>();
            jdbc.sql("select distinct on (entry_id) entry_id as id, version, extras, " + COLUMNS + " from entry_past"
                            + " where list_id = :list and version <= :version order by entry_id, version desc")
                    .param("list", list)
                    .param("version", version)
                    .query(ListStore::stored)
                    .list()
                    .forEach(stored -> byId.put(stored.id(), stored));
            return Arrays.stream(entries)
                    .filter(byId::containsKey)
                    .map(byId::get)
                    .toList();
        });
    }

    /** From what a list was copied. */
    public record Copied(long from, int version) {}

    public Optional<Copied> copied(long list) {
        return jdbc.sql(
                        "select copied_from, copied_version from channel_list where id = :list and copied_from is not null")
                .param("list", list)
                .query((row, number) -> new Copied(row.getLong("copied_from"), row.getInt("copied_version")))
                .optional();
    }

    public void setCopied(long list, long from, int version) {
        jdbc.sql("update channel_list set copied_from = :from, copied_version = :version where id = :list")
                .param("from", from)
                .param("version", version)
                .param("list", list)
                .update();
    }

    /** Notes for the entries of a list, in their order, of which entries they are copies. */
    public void setOrigins(long list, List<Long> origins) {
        List<Long> entries = order(list);
        jdbc.sql("update entry set origin_entry = given.origin from unnest(:entries, :origins) as given(id, origin)"
                        + " where entry.id = given.id")
                .param("entries", entries.toArray(Long[]::new))
                .param("origins", origins.toArray(Long[]::new))
                .update();
    }

    /** For the entries of a list that are copies, of which ones. */
    public Map<Long, Long> origins(long list) {
        Map<Long, Long> origins = new HashMap<>();
        jdbc.sql("select id, origin_entry from entry where list_id = :list and origin_entry is not null")
                .param("list", list)
                .query(row -> {
                    origins.put(row.getLong("id"), row.getLong("origin_entry"));
                });
        return origins;
    }

    /** Gives entries the places in which they stand here. */
    void arrange(List<Long> entries) {
        jdbc.sql("update entry set position = given.place from unnest(:entries) with ordinality as given(id, place)"
                        + " where entry.id = given.id")
                .param("entries", entries.toArray(Long[]::new))
                .update();
    }

    void setExtraColumns(long list, List<String> columns) {
        jdbc.sql("update channel_list set extra_columns = :columns where id = :list")
                .param("columns", columns.toArray(String[]::new))
                .param("list", list)
                .update();
    }

    int position(long entry) {
        return jdbc.sql("select position from entry where id = :entry")
                .param("entry", entry)
                .query(Integer.class)
                .single();
    }

    int lastPosition(long list) {
        return jdbc.sql("select coalesce(max(position), -1) from entry where list_id = :list")
                .param("list", list)
                .query(Integer.class)
                .single();
    }
}
