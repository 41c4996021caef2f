package org.wache.server.intake;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.arrival.Arrival;
import org.wache.arrival.Sheet;
import org.wache.audit.context.HouseRules;
import org.wache.channel.ChannelList;
import org.wache.rulebook.Edition;
import org.wache.server.accounts.AccountStore;
import org.wache.server.lists.ListTaking;
import org.wache.server.rulebooks.Editions;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.table.Guess;
import org.wache.table.Mapping;
import org.wache.table.Table;
import org.wache.table.TableReading;
import org.wache.typed.AddLine;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Takes in files: kept as they came, looked at as often as one likes, then made a list in one transaction. */
@Service
class IntakeService {

    private static final JsonMapper JSON = Json.MAPPER;

    private final IntakeStore store;
    private final AccountStore accounts;
    private final Editions editions;
    private final ListTaking lists;

    IntakeService(IntakeStore store, AccountStore accounts, Editions editions, ListTaking lists) {
        this.store = store;
        this.accounts = accounts;
        this.editions = editions;
        this.lists = lists;
    }

    @Transactional
    public IntakeStore.Kept keep(long account, long club, String name, Arrival arrival) {
        if (!accounts.isMember(account, club)) {
            throw new Missing("The group");
        }
        return new IntakeStore.Kept(store.add(club, account, name, arrival), club, name, arrival);
    }

    IntakeStore.Kept kept(long account, long intake) {
        return store.find(account, intake).orElseThrow(() -> new Missing("What you brought in"));
    }

    /** A table, how it is read, and what comes of it. */
    record Looked(Sheet sheet, Mapping mapping, boolean remembered, TableReading reading) {}

    /** Who will carry what is brought in: those of a list that it is added to, or a team, or nobody yet. */
    record Destination(Optional<Long> into, Optional<String> team) {}

    /** As {@link #look}, for those who will carry it. */
    Looked lookFor(
            long account,
            IntakeStore.Kept kept,
            String sheetName,
            Optional<Mappings.TableMapping> asked,
            Destination destination) {
        Looked looked = look(account, kept, sheetName, asked);
        Optional<Set<String>> held = destination.into().isPresent()
                ? destination.into().flatMap(list -> {
                    lists.visible(account, list);
                    return lists.heldFor(list);
                })
                : destination
                        .team()
                        .filter(team -> !team.isBlank())
                        .flatMap(team -> lists.heldInTeam(kept.club(), team));
        return held.map(services -> new Looked(
                        looked.sheet(),
                        looked.mapping(),
                        looked.remembered(),
                        looked.reading().carriedBy(services, editions.ofGroup(account, kept.club()))))
                .orElse(looked);
    }

    /** Reads a table as it is asked for, else as the group last read one with these headings, else as it seems best. */
    private Looked look(long account, IntakeStore.Kept kept, String sheetName, Optional<Mappings.TableMapping> asked) {
        Sheet sheet = sheet(kept, sheetName);
        Edition edition = editions.ofGroup(account, kept.club());
        Mapping guess = Guess.of(sheet.table(), edition);
        Optional<Mapping> known = asked.isPresent() ? Optional.empty() : remembered(kept.club(), sheet.table(), guess);
        Mapping mapping = asked.map(view -> refined(view, sheet.table(), edition))
                .or(() -> known)
                .orElse(guess);
        return new Looked(
                sheet, mapping, known.isPresent(), TableReading.of(sheet.table(), mapping, edition, HouseRules.NONE));
    }

    /** Where only the heading row is chosen, the columns are guessed anew from it. */
    private static Mapping refined(Mappings.TableMapping view, Table table, Edition edition) {
        return view.columns().isEmpty() ? Guess.of(table, edition, view.heading()) : Mappings.of(view, table);
    }

    private static Sheet sheet(IntakeStore.Kept kept, String name) {
        List<Sheet> sheets = kept.arrival().sheets();
        if (sheets.isEmpty()) {
            throw new Refused("The file is a list already: its columns need no choice.");
        }
        return name.isEmpty()
                ? kept.arrival().largest()
                : sheets.stream()
                        .filter(sheet -> sheet.name().equals(name))
                        .findFirst()
                        .orElseThrow(() -> new Refused("The workbook has no sheet “" + name + "”."));
    }

    private static String headings(Table table, Mapping mapping) {
        return mapping.heading()
                .map(row -> table.rows().get(row).cells().stream()
                        .map(cell -> cell.strip().toLowerCase(java.util.Locale.ROOT))
                        .collect(Collectors.joining("\u001E")))
                .orElse("none, " + table.width() + " columns");
    }

    private Optional<Mapping> remembered(long club, Table table, Mapping guess) {
        return store.mapping(club, headings(table, guess)).flatMap(text -> {
            try {
                Mappings.TableMapping view = JSON.readValue(text, Mappings.TableMapping.class);
                return Optional.of(Mappings.of(
                        new Mappings.TableMapping(guess.heading(), view.columns(), view.unsaid(), view.levels()),
                        table));
            } catch (JacksonException | Refused e) {
                return Optional.empty(); // an old version's choice that no longer fits
            }
        });
    }

    /** What a list was made of. */
    record Taken(long list, String name, int entries, int aside) {}

    /** Makes a list of it, or adds it to one, with the rows that are kept aside; how it was read is remembered. */
    @Transactional
    public Taken take(
            long account,
            long intake,
            String name,
            String sheet,
            Optional<Mappings.TableMapping> asked,
            Destination destination) {
        IntakeStore.Kept kept = kept(account, intake);
        boolean asList = kept.arrival().list().isPresent() && asked.isEmpty();
        ChannelList list;
        List<TableReading.RowReading> aside = List.of();
        if (asList) {
            list = kept.arrival().list().get();
        } else {
            Looked looked = lookFor(account, kept, sheet, asked, destination);
            aside = looked.reading().aside();
            list = looked.reading().list(name);
            store.remember(
                    kept.club(),
                    account,
                    headings(looked.sheet().table(), looked.mapping()),
                    JSON.writeValueAsString(Mappings.view(looked.mapping())));
        }
        ChannelList named = new ChannelList(name, list.extraColumns(), list.channels());
        long id = destination.into().isPresent()
                ? lists.append(account, kept.club(), destination.into().get(), named)
                : lists.add(account, kept.club(), named);
        if (destination.into().isEmpty()) {
            destination
                    .team()
                    .filter(given -> !given.isBlank())
                    .ifPresent(carries -> lists.carriedBy(account, id, carries));
        }
        store.keepAside(
                id,
                kept.name(),
                aside.stream()
                        .map(row -> new IntakeStore.Unmade(
                                row.line(), row.cells(), row.aside().orElseThrow()))
                        .toList());
        store.remove(intake);
        return new Taken(id, name, named.channels().size(), aside.size());
    }

    /** The team that last carried a list of the group. */
    Optional<String> lastTeam(long club) {
        return lists.lastTeam(club);
    }

    List<IntakeStore.Aside> aside(long account, long list) {
        lists.visible(account, list);
        return store.aside(list);
    }

    /** So many rows wait beside a list when more lines are put there by hand; a table may bring more. */
    private static final int MOST_WAITING = 2_000;

    /**
     * Keeps lines that somebody wrote, and that made no entry, beside a list, each with what was not understood of it.
     *
     * @throws Refused when too many wait there already
     */
    @Transactional
    public void keepLines(long account, long list, List<String> lines) {
        lists.visible(account, list);
        List<String> written = lines.stream().filter(line -> !line.isBlank()).toList();
        if (store.aside(list).size() + written.size() > MOST_WAITING) {
            throw new Refused("Beside a list wait up to " + MOST_WAITING
                    + " rows that made no entry. Make entries of some, or put them away, first.");
        }
        Edition edition = lists.edition(account, list);
        store.keepAside(
                list,
                "typed lines",
                IntStream.range(0, written.size())
                        .mapToObj(i -> new IntakeStore.Unmade(
                                i + 1, List.of(written.get(i).replace('\u001F', ' ')), why(written.get(i), edition)))
                        .toList());
    }

    private static String why(String line, Edition edition) {
        return AddLine.read(line, edition, HouseRules.NONE).best().problem().orElse("It was put aside by hand.");
    }

    @Transactional
    public void settle(long account, long list, List<Long> rows) {
        lists.visible(account, list);
        store.settle(list, rows);
    }
}
