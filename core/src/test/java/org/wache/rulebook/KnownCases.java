package org.wache.rulebook;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.Audits;
import org.wache.audit.context.AuditContext;
import org.wache.audit.finding.Finding;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.HolderShorthand;
import org.wache.place.Area;
import org.wache.place.Circle;
import org.wache.place.Place;
import org.wache.place.Region;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;

/** Makes cases of the tables of what is known: verdicts on both sides of every edge, limit and channel. */
final class KnownCases {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 25);
    private static final String SMALL = "10H0";

    private final String country;
    private final List<KnownCase> all = new ArrayList<>();

    private KnownCases(String country) {
        this.country = country;
    }

    static List<KnownCase> of(String country) {
        KnownCases cases = new KnownCases(country);
        cases.privileges();
        cases.channels();
        cases.restricted();
        cases.powers();
        cases.widths();
        cases.plan();
        cases.allocations();
        cases.written();
        KnownFigures.add(country, cases.all);
        return List.copyOf(cases.all);
    }

    /** The rows of a table of cases, by heading. */
    static List<Map<String, String>> rows(String name) {
        try (InputStream in = KnownCases.class.getResourceAsStream("/cases/" + name + ".csv");
                CsvReader<NamedCsvRecord> reader =
                        CsvReader.builder().ofNamedCsvRecord(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            return reader.stream().map(NamedCsvRecord::getFieldsAsMap).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private List<Map<String, String>> mine(String name) {
        return rows(name).stream()
                .filter(row -> row.get("country").equals(country))
                .toList();
    }

    // --- audits
    // ---------------------------------------------------------------------------------------------------------

    /** One entry, held for one holder on a day at a place: verdict and rules. */
    private void entry(
            String about,
            String holder,
            LocalDate day,
            Optional<Area> where,
            Map<Field, String> texts,
            boolean held,
            String... rules) {
        Channel channel = Audits.withCodes(Channel.of(texts));
        List<Long> hertz = new ArrayList<>();
        channel.transmit().ifPresent(each -> hertz.add(each.hertz()));
        channel.receive().ifPresent(each -> hertz.add(each.hertz()));
        all.add(new KnownCase(
                country + " " + about + " " + texts + " by " + holder,
                hertz,
                Optional.empty(),
                book -> outcome(book, holder, day, where, channel),
                said -> said.startsWith("hold") == held && Arrays.stream(rules).allMatch(said::contains)));
    }

    static String outcome(Rulebook book, String holder, LocalDate day, Optional<Area> where, Channel channel) {
        Edition edition = book.on(day);
        AuditContext context = AuditContext.of(edition, day, List.of(HolderShorthand.holder(holder, edition)))
                .at(where);
        Audit audit = new Auditor(Register.ALL, context).audit(new ChannelList("", List.of(), List.of(channel)));
        TreeSet<String> rules = new TreeSet<>();
        for (Finding finding : audit.findings(0)) {
            rules.add(finding.slug().text() + (finding.holds() ? "!" : "?"));
        }
        return audit.entry(0).verdict().text() + " " + String.join(" ", rules);
    }

    private static Map<Field, String> texts(String rx, String tx, String emission, String power) {
        Map<Field, String> texts = new EnumMap<>(Field.class);
        texts.put(Field.RX_MHZ, rx);
        texts.put(Field.TX_MHZ, tx);
        texts.put(Field.EMISSION, emission);
        texts.put(Field.POWER_W, power);
        if (emission.charAt(4) == 'J') {
            texts.put(Field.MODE, "USB");
        }
        if (!rx.equals(tx)) {
            texts.put(Field.USE, "repeater");
            texts.put(Field.TX_TONE, "100.0");
        }
        return texts;
    }

    private static String megahertz(long hertz) {
        return Frequency.megahertz(hertz);
    }

    private static String emission(String kind) {
        return SMALL
                + switch (kind) {
                    case "CW" -> "A1A";
                    case "DATA" -> "J2B";
                    case "VOICE", "AM" -> "A3E";
                    case "SSB" -> "J3E";
                    case "FM" -> "F3E";
                    default -> "A3F";
                };
    }

    /** Just inside both ends it may be keyed, just outside not by what ends there. */
    private void privileges() {
        for (Map<String, String> row : mine("known-privileges")) {
            for (String text : row.get("spans_mhz").split(" ")) {
                org.wache.signal.Span span = org.wache.signal.Span.ofMegahertz(text);
                String kind = row.get("kind").equals("FM") ? "30K0F3E" : emission(row.get("kind"));
                long half = Emission.of(kind).bandwidth() / 2;
                long near = text.matches(".*\\.\\d{4,}.*") ? 40 : 300;
                String about = row.get("holder") + " " + row.get("kind") + " " + text + " (" + row.get("source") + ")";
                for (long at : new long[] {span.low() + near + half, span.high() - near - half}) {
                    entry(
                            about,
                            row.get("holder"),
                            DAY,
                            Optional.of(new Region("KS")),
                            texts(megahertz(at), megahertz(at), kind, "0.1"),
                            false);
                }
                for (long at : new long[] {span.low() - near, span.high() + near}) {
                    boolean open = rows("known-privileges").stream()
                            .anyMatch(other -> other.get("country").equals(country)
                                    && other.get("kind").equals(row.get("kind"))
                                    && covers(other.get("holder"), row.get("holder"))
                                    && Arrays.stream(other.get("spans_mhz").split(" "))
                                            .anyMatch(each -> !each.equals(text)
                                                    && org.wache.signal.Span.ofMegahertz(each)
                                                            .contains(at)));
                    boolean licenceFree = country.equals("us")
                            && at > 2_400_000_000L
                            && at < 2_483_500_000L; // there a device without a licence is a question
                    if (!open && !licenceFree && at > 0) {
                        entry(
                                about + " outside",
                                row.get("holder"),
                                DAY,
                                Optional.of(new Region("KS")),
                                texts(megahertz(at), megahertz(at), kind, "0.1"),
                                true);
                    }
                }
            }
        }
    }

    private static final List<String> CLASSES = List.of(
            "novice",
            "technician",
            "general",
            "advanced",
            "extra",
            "foundation",
            "intermediate",
            "standard",
            "advanced",
            "full");

    /** Whether what one holder has the other has too: a class as low or lower. */
    private static boolean covers(String lower, String higher) {
        String one = lower.substring(lower.indexOf(':') + 1);
        String other = higher.substring(higher.indexOf(':') + 1);
        return CLASSES.indexOf(one) <= CLASSES.lastIndexOf(other);
    }

    /** On the channel with all that is allowed; a little wider, a little stronger, and beside it. */
    private void channels() {
        for (Map<String, String> row : mine("known-channels")) {
            int count = Integer.parseInt(row.get("count"));
            for (int i = 0; i < count; i++) {
                BigDecimal at = new BigDecimal(row.get("first_mhz"))
                        .add(new BigDecimal(row.get("step_khz"))
                                .movePointLeft(3)
                                .multiply(BigDecimal.valueOf(i)));
                String tx = megahertz(at.movePointRight(6).longValueExact());
                String rx = megahertz(at.add(new BigDecimal(row.get("rx_offset_mhz")))
                        .movePointRight(6)
                        .longValueExact());
                String kind = row.get("kind");
                String about = "channel " + tx + " (" + row.get("source") + ")";
                LocalDate day = LocalDate.parse(row.get("on"));
                entry(
                        about,
                        row.get("holder"),
                        day,
                        Optional.empty(),
                        texts(rx, tx, row.get("width") + kind, row.get("watts")),
                        false);
                entry(
                        about + " wider",
                        row.get("holder"),
                        day,
                        Optional.empty(),
                        texts(rx, tx, wider(row.get("width")) + kind, row.get("watts")),
                        !kind.equals("A1A"));
                entry(
                        about + " stronger",
                        row.get("holder"),
                        day,
                        Optional.empty(),
                        texts(
                                rx,
                                tx,
                                row.get("width") + kind,
                                new BigDecimal(row.get("watts"))
                                        .multiply(new BigDecimal("1.009"))
                                        .toPlainString()),
                        true,
                        "power-over!");
            }
        }
    }

    /** Kept for something else: on hold for that, and for width and power besides where they are too much. */
    private void restricted() {
        for (Map<String, String> row : mine("known-restricted")) {
            for (String at : row.get("mhz").split(" ")) {
                String about = "kept channel (" + row.get("source") + ")";
                entry(
                        about,
                        row.get("holder"),
                        DAY,
                        Optional.empty(),
                        texts(at, at, row.get("width") + row.get("kind"), row.get("watts")),
                        true,
                        "channel-restricted!");
                entry(
                        about + " wider",
                        row.get("holder"),
                        DAY,
                        Optional.empty(),
                        texts(at, at, wider(row.get("width")) + row.get("kind"), row.get("watts")),
                        true,
                        "bandwidth-over!");
                entry(
                        about + " stronger",
                        row.get("holder"),
                        DAY,
                        Optional.empty(),
                        texts(
                                at,
                                at,
                                row.get("width") + row.get("kind"),
                                new BigDecimal(row.get("watts"))
                                        .multiply(new BigDecimal("1.009"))
                                        .toPlainString()),
                        true,
                        "power-over!");
            }
        }
    }

    /** The next wider figure that a designator can write, short of a step of the limit. */
    private static String wider(String width) {
        long hertz = Emission.of(width + "F3E").bandwidth();
        return Emission.bandwidthText(hertz < 10_000 ? hertz + 10 : hertz + 100);
    }

    private void powers() {
        for (Map<String, String> row : mine("known-powers")) {
            Optional<Area> where =
                    row.get("region").isEmpty() ? Optional.empty() : Optional.of(new Region(row.get("region")));
            for (String at : row.get("mhz").split(" ")) {
                String about = "power at " + at + " (" + row.get("source") + ")";
                String most = new BigDecimal(row.get("watts"))
                        .multiply(new BigDecimal("0.9999"))
                        .toPlainString();
                entry(about, row.get("holder"), DAY, where, texts(at, at, row.get("emission"), most), false);
                entry(
                        about + " more",
                        row.get("holder"),
                        DAY,
                        where,
                        texts(
                                at,
                                at,
                                row.get("emission"),
                                new BigDecimal(row.get("watts"))
                                        .multiply(new BigDecimal("1.0005"))
                                        .toPlainString()),
                        true,
                        "power-over!");
            }
        }
    }

    private void widths() {
        for (Map<String, String> row : mine("known-widths")) {
            String at = row.get("mhz");
            entry(
                    "width (" + row.get("source") + ")",
                    row.get("holder"),
                    DAY,
                    Optional.of(new Region("KS")),
                    texts(at, at, row.get("widest") + row.get("kind"), "1"),
                    false);
            entry(
                    "wider (" + row.get("source") + ")",
                    row.get("holder"),
                    DAY,
                    Optional.of(new Region("KS")),
                    texts(at, at, row.get("over") + row.get("kind"), "1"),
                    true,
                    "bandwidth-over!");
        }
    }

    // --- lookups
    // --------------------------------------------------------------------------------------------------------

    /** The tables that were written down by hand: the verdict, and exactly these rules. */
    private void written() {
        for (String name : List.of("law", "plan-and-tone", "expert", "elsewhere")) {
            for (Map<String, String> row : rows(name)) {
                String holder = row.get("holder");
                String own = holder.contains(";")
                        ? holder.substring(0, holder.indexOf(';'))
                        : row.getOrDefault("rulebook", "us");
                if (!own.equals(country)) {
                    continue;
                }
                Map<Field, String> texts = new EnumMap<>(Field.class);
                Map.of(
                                "name",
                                Field.NAME,
                                "rx_mhz",
                                Field.RX_MHZ,
                                "tx_mhz",
                                Field.TX_MHZ,
                                "mode",
                                Field.MODE,
                                "emission",
                                Field.EMISSION,
                                "power_w",
                                Field.POWER_W,
                                "tx_tone",
                                Field.TX_TONE,
                                "rx_tone",
                                Field.RX_TONE,
                                "use",
                                Field.USE,
                                "service",
                                Field.SERVICE)
                        .forEach((key, field) -> texts.put(field, row.getOrDefault(key, "")));
                LocalDate day = row.getOrDefault("on", "").isEmpty() ? DAY : LocalDate.parse(row.get("on"));
                Optional<Area> where = row.getOrDefault("region", "").isEmpty()
                        ? Optional.empty()
                        : Optional.of(new Region(row.get("region")));
                written(name, row, holder.substring(holder.indexOf(';') + 1), day, where, texts);
            }
        }
        if (country.equals("us")) {
            for (Map<String, String> row : rows("places")) {
                Optional<Area> where = row.get("latitude").isEmpty()
                        ? row.get("region").isEmpty() ? Optional.empty() : Optional.of(new Region(row.get("region")))
                        : Optional.of(new Circle(
                                new Place(
                                        Double.parseDouble(row.get("latitude")),
                                        Double.parseDouble(row.get("longitude")),
                                        row.get("region").isEmpty()
                                                ? Optional.empty()
                                                : Optional.of(row.get("region"))),
                                row.get("radius_km").isEmpty() ? 0 : Double.parseDouble(row.get("radius_km"))));
                written(
                        "places",
                        row,
                        row.get("holder"),
                        DAY,
                        where,
                        Map.of(
                                Field.RX_MHZ,
                                row.get("mhz"),
                                Field.TX_MHZ,
                                row.get("mhz"),
                                Field.MODE,
                                row.get("mode"),
                                Field.POWER_W,
                                row.get("power_w")));
            }
        }
    }

    private void written(
            String table,
            Map<String, String> row,
            String holder,
            LocalDate day,
            Optional<Area> where,
            Map<Field, String> texts) {
        Channel channel = Audits.withCodes(Channel.of(texts));
        List<Long> hertz = new ArrayList<>();
        channel.transmit().ifPresent(each -> hertz.add(each.hertz()));
        channel.receive().ifPresent(each -> hertz.add(each.hertz()));
        all.add(new KnownCase(
                country + " " + table + " " + row,
                hertz,
                Optional.empty(),
                book -> outcome(book, holder, day, where, channel),
                said -> said.replaceAll("[!?]", "")
                        .strip()
                        .equals((row.get("verdict") + " "
                                        + String.join(
                                                " ",
                                                new TreeSet<>(List.of(row.get("rules")
                                                        .replace("|", "")
                                                        .split(" ")))))
                                .strip())));
    }

    /** What the plan keeps the ends of a part for, a little inside; at a single frequency, there. */
    private void plan() {
        for (Map<String, String> row : mine("known-plan")) {
            org.wache.signal.Span span =
                    new org.wache.signal.Span(hertz(row.get("low_mhz")), hertz(row.get("high_mhz")));
            for (long at :
                    span.length() == 0 ? new long[] {span.low()} : new long[] {span.low() + 4, span.high() - 4}) {
                all.add(new KnownCase(
                        country + " plan " + row,
                        List.of(at),
                        Optional.empty(),
                        book -> book.on(DAY)
                                .plan()
                                .rowAt(new Frequency(at))
                                .map(PlanRow::words)
                                .orElse("nothing"),
                        said -> said.contains(row.get("words"))));
            }
            for (long at : new long[] {span.low() - 4, span.high() + 4}) {
                all.add(new KnownCase(
                        country + " beside the plan's " + row,
                        List.of(at),
                        Optional.empty(),
                        book -> book.on(DAY)
                                .plan()
                                .rowAt(new Frequency(at))
                                .map(PlanRow::words)
                                .orElse("nothing"),
                        said -> true));
            }
        }
    }

    private static long hertz(String megahertz) {
        return Frequency.ofMegahertz(megahertz).orElseThrow().hertz();
    }

    private void allocations() {
        for (Map<String, String> row : mine("known-allocations")) {
            long low = hertz(row.get("low_mhz"));
            long high = hertz(row.get("high_mhz"));
            for (long at : low == high ? new long[] {low} : new long[] {low + 4, high - 4}) {
                all.add(new KnownCase(
                        country + " whose " + row,
                        List.of(at),
                        Optional.empty(),
                        book -> book.on(DAY)
                                .allocation(new Frequency(at))
                                .map(Allocation::whose)
                                .orElse("nobody"),
                        said -> said.contains(row.get("whose"))));
            }
            for (long at : new long[] {low - 4, high + 4}) {
                all.add(new KnownCase(
                        country + " beside " + row,
                        List.of(at),
                        Optional.empty(),
                        book -> book.on(DAY)
                                .allocation(new Frequency(at))
                                .map(Allocation::whose)
                                .orElse("nobody"),
                        said -> true));
            }
        }
    }
}
