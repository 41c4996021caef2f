package org.wache.server.bench;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.arrival.ArrivalProblem;
import org.wache.arrival.Read;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.compare.Item;
import org.wache.compare.ListDifference;
import org.wache.exchange.CsvLists;
import org.wache.exchange.FileProblem;
import org.wache.exchange.ListFiles;
import org.wache.radio.RadioModel;
import org.wache.server.log.Logbook;
import org.wache.server.radios.DeclaredHow;
import org.wache.server.radios.Fleet;
import org.wache.server.radios.SetOtherwise;
import org.wache.server.releases.Hands;
import org.wache.server.rulebooks.Editions;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.server.web.Stale;
import org.wache.table.TableProblem;
import tools.jackson.databind.json.JsonMapper;

/** Radios that somebody typed by hand, or loaded elsewhere: what should be in them, that it is, and what shows it. */
@Service
class DeclareService {

    private static final int MOST_FILES = 20;
    private static final long MEGABYTE = 1024 * 1024;
    private static final JsonMapper JSON = Json.MAPPER;

    private final BenchService bench;
    private final BenchStore records;
    private final DeclareStore store;
    private final Fleet fleet;
    private final Editions editions;
    private final Logbook log;
    private final long mostBytes;

    DeclareService(
            BenchService bench,
            BenchStore records,
            DeclareStore store,
            Fleet fleet,
            Editions editions,
            Logbook log,
            @Value("${wache.quota.radio-files-mb}") long mostMegabytes) {
        this.mostBytes = mostMegabytes * MEGABYTE;
        this.bench = bench;
        this.records = records;
        this.store = store;
        this.fleet = fleet;
        this.editions = editions;
        this.log = log;
    }

    /**
     * What should be in a radio.
     *
     * @param plan what a run would put in
     * @param channels it by memory, as a list
     * @param model the radio's
     */
    record Should(BenchService.RunPlan plan, BenchService.UnitPlan unit, List<Channel> channels, RadioModel model) {}

    /** What the release in use would put into a radio, for whoever has it. */
    Should should(long account, long list, Order order) {
        BenchService.RunPlan plan = bench.plan(account, list, List.of(order));
        BenchService.UnitPlan unit = plan.units().get(0);
        Fleet.Unit radio = fleet.unit(account, order.unit());
        return new Should(
                plan,
                unit,
                SavedLists.channels(
                        unit.planned().loading().image(), radio.radio().model()),
                radio.radio().model());
    }

    /** An entry that was looked at in the radio. */
    record Checked(String number, boolean good, String note) {}

    /** Notes that it is in the radio. */
    @Transactional
    public long declare(
            long account,
            long list,
            long release,
            Order order,
            DeclaredHow how,
            String note,
            List<Checked> checked,
            Map<String, String> settings) {
        Fleet.Unit radio = fleet.unit(account, order.unit());
        fleet.hold(radio.club()); // nobody gets or gives it back meanwhile, and no licence changes
        Should should = should(account, list, order);
        if (should.plan().chosen().release().id() != release) {
            throw new Stale(
                    "Release " + should.plan().chosen().release().number()
                            + " of the list came out meanwhile: what you checked is not what should be in the radio. Look again.",
                    should.plan().chosen().release().id());
        }
        BenchService.decided(should.unit());
        SetOtherwise.check(settings, should.model());
        List<String> numbers = should.channels().stream().map(Channel::number).toList();
        checked.stream()
                .filter(each -> !numbers.contains(each.number()))
                .findFirst()
                .ifPresent(each -> {
                    throw new Refused("Memory " + each.number() + " should hold nothing in this radio.");
                });
        UnitPlans.Planned planned = should.unit().planned();
        String name =
                planned.part().isEmpty() ? should.plan().chosen().release().name() : planned.part();
        long load = store.add(new DeclareStore.Declaration(
                order.unit(),
                should.plan().chosen().release().list(),
                name,
                should.plan().chosen().release().version(),
                should.unit().entries(),
                account,
                release,
                planned.part(),
                planned.person().map(Hands.Person::id),
                planned.talks(),
                planned.listens(),
                how,
                note,
                JSON.writeValueAsString(checked),
                CsvLists.write(new ChannelList(name, List.of(), should.channels())),
                settings.isEmpty() ? null : JSON.writeValueAsString(settings)));
        long bad = checked.stream().filter(each -> !each.good()).count();
        String words = (how == DeclaredHow.BY_HAND ? "typed by hand: " : "loaded elsewhere: ") + name + ", "
                + should.plan().words() + "; " + checked.size() + " of "
                + should.unit().entries()
                + " entries looked at" + (bad == 0 ? "" : ", " + bad + " of them wrong")
                + (settings.isEmpty() ? "" : "; " + settings.size() + " settings looked at");
        records.note(account, order.unit(), words);
        log.add(
                account,
                radio.club(),
                Logbook.Deed.of(Logbook.Kind.BENCH, order.unit(), should.unit().label(), words));
        return load;
    }

    /** Something that differs between what should be in a radio and what a file says is in it. */
    record ExportDiffers(String number, String name, String what) {}

    /**
     * What a file that a radio's own program gave out says.
     *
     * @param entries how many entries it has
     * @param same how many are as they should be
     */
    record ExportCompared(int entries, int same, List<ExportDiffers> differs) {}

    /** Keeps a photograph, or a file of the radio's own program, which is compared when it is a table or a list. */
    @Transactional
    public long attach(long account, long unit, long load, String name, byte[] bytes) {
        Fleet.Unit radio = fleet.unit(account, unit);
        DeclareStore.Load of = store.load(unit, load).orElseThrow(() -> new Missing("What was declared"));
        if (store.files(load) >= MOST_FILES) {
            throw new Refused("Up to " + MOST_FILES + " files are kept with a radio each time.");
        }
        fleet.hold(radio.club()); // so that two at once do not get past the quota together
        if (store.bytesOf(radio.club()) + bytes.length > mostBytes) {
            throw new Refused("The files of a group's radios take up to " + mostBytes / MEGABYTE
                    + " MB together. Ask whoever runs this installation for more (WACHE_QUOTA_RADIO_FILES_MB).");
        }
        String media = media(bytes);
        Optional<ExportCompared> compared =
                media.startsWith("image/") ? Optional.empty() : compared(account, radio.club(), of, name, bytes);
        long file = store.addFile(
                load, name, media, bytes, compared.map(JSON::writeValueAsString).orElse(null), account);
        records.note(
                account,
                unit,
                "file “" + name + "” attached"
                        + compared.map(each -> each.differs().isEmpty()
                                        ? ": its " + each.entries() + " entries are as they should be"
                                        : ": " + each.differs().size() + " entries differ")
                                .orElse(""));
        return file;
    }

    /** By what is in it, not by its name. */
    private static String media(byte[] bytes) {
        if (bytes.length > 3 && (bytes[0] & 0xff) == 0xff && (bytes[1] & 0xff) == 0xd8 && (bytes[2] & 0xff) == 0xff) {
            return "image/jpeg";
        }
        boolean png =
                bytes.length > 8 && (bytes[0] & 0xff) == 0x89 && bytes[1] == 'P' && bytes[2] == 'N' && bytes[3] == 'G';
        return png ? "image/png" : "application/octet-stream";
    }

    private Optional<ExportCompared> compared(
            long account, long club, DeclareStore.Load load, String name, byte[] bytes) {
        List<Channel> found;
        try {
            found = Read.file(bytes, name, editions.ofGroup(account, club))
                    .list(name)
                    .channels();
        } catch (ArrivalProblem | TableProblem | FileProblem e) {
            return Optional.empty(); // the program's own form, which nobody else can read: it is kept as it came
        }
        if (found.isEmpty()) {
            return Optional.empty();
        }
        List<Channel> should = ListFiles.read(load.holds().getBytes(java.nio.charset.StandardCharsets.UTF_8), "holds")
                .channels();
        return Optional.of(compared(should, found));
    }

    /** Columns that the file does not have are not compared: a radio's program does not give out everything. */
    static ExportCompared compared(List<Channel> should, List<Channel> found) {
        Map<Field, String> lacking = new EnumMap<>(Field.class);
        for (Field field : Field.values()) {
            boolean kept = field == Field.RX_MHZ || field == Field.TX_MHZ;
            if (!kept && found.stream().allMatch(each -> each.text(field).isBlank())) {
                lacking.put(field, "");
            }
        }
        lacking.put(Field.NOTE, "");
        List<Channel> left = should.stream().map(each -> each.with(lacking)).toList();
        List<Channel> right = found.stream()
                .map(each -> each.with(Map.of(Field.NOTE, "", Field.USE, "", Field.SERVICE, "")))
                .toList();
        ListDifference difference = ListDifference.of(items(left), items(right));
        List<ExportDiffers> all = new ArrayList<>();
        for (ListDifference.Row row : difference.rows()) {
            Channel of = row.before()
                    .map(left::get)
                    .orElseGet(() -> right.get(row.after().orElseThrow()));
            String what = row.before().isEmpty()
                    ? "should not be there"
                    : row.after().isEmpty() ? "is missing" : String.join("; ", row.words());
            if (row.before().isEmpty() || row.after().isEmpty() || !row.words().isEmpty()) {
                all.add(new ExportDiffers(of.number(), of.name(), what));
            }
        }
        return new ExportCompared(found.size(), difference.same(), all);
    }

    private static List<Item> items(List<Channel> channels) {
        return channels.stream()
                .map(channel -> new Item(Optional.empty(), channel))
                .toList();
    }

    /** Something that somebody tried on a real radio and ticked. */
    record Tick(AirCheckKind kind, Optional<Long> other, int memory, String name, boolean good, String note) {}

    @Transactional
    public void tick(long account, long unit, Tick tick) {
        Fleet.Unit one = fleet.unit(account, unit);
        tick.other().ifPresent(other -> {
            if (other == unit || fleet.unit(account, other).club() != one.club()) {
                throw new Refused("A pair is two radios of one group.");
            }
        });
        if (tick.kind() == AirCheckKind.PAIR && tick.other().isEmpty()) {
            throw new Refused("Say with which other radio.");
        }
        records.ticked(
                unit,
                tick.other().orElse(null),
                tick.kind(),
                account,
                tick.good(),
                JSON.writeValueAsString(Map.of(
                        "lines",
                        List.of(new AirController.CheckLine(tick.memory(), tick.name(), tick.good(), tick.note())))));
    }
}
