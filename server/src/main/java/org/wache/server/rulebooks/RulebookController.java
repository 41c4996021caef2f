package org.wache.server.rulebooks;

import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.finding.Wording;
import org.wache.reference.FrequencyFacts;
import org.wache.rulebook.BandService;
import org.wache.rulebook.ChannelNames;
import org.wache.rulebook.EdgeTable;
import org.wache.rulebook.Edition;
import org.wache.rulebook.EditionDifference;
import org.wache.rulebook.Rulebook;
import org.wache.rulebook.ToneTable;
import org.wache.server.accounts.Account;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/** The rulebook, to be read: what is where, who may do what, band edges, tones, names, editions. */
@RestController
class RulebookController {

    private final Editions editions;

    RulebookController(Editions editions) {
        this.editions = editions;
    }

    /** A rulebook: of which country, and what it is taken from. */
    record RulebookName(String id, String title, String law) {}

    @GetMapping("/api/rulebooks")
    List<RulebookName> rulebooks() {
        return org.wache.rulebook.RulebookReader.ids().stream()
                .map(id -> editions.rulebook(Optional.of(id)))
                .map(book -> new RulebookName(book.id(), book.title(), book.law()))
                .toList();
    }

    /** The chart: for each band and each class the spans that a kind of emission may fill. */
    record Chart(String edition, List<KindName> kinds, List<ChartBand> bands) {}

    record KindName(String id, String title) {}

    record ChartBand(String name, long low, long high, boolean channelised, List<ChartClass> classes) {}

    record ChartClass(String name, List<ChartKind> kinds) {}

    record ChartKind(String kind, List<ChartSpan> spans) {}

    record ChartSpan(long low, long high, String source) {}

    @GetMapping("/api/rulebook/chart")
    Chart chart(@RequestParam Optional<String> rulebook, @RequestParam Optional<LocalDate> on) {
        Edition edition = editions.on(rulebook, on);
        BandService amateur = amateur(edition);
        List<String> names =
                amateur.grants().stream().map(grant -> grant.band()).distinct().toList();
        List<ChartBand> bands =
                names.stream().map(name -> band(edition, amateur, name)).toList();
        return new Chart(
                edition.dates().id(),
                EmissionKind.ALL.stream()
                        .map(each -> new KindName(each.id(), each.title()))
                        .toList(),
                bands);
    }

    private static ChartBand band(Edition edition, BandService amateur, String name) {
        var span = amateur.channelised().stream()
                .filter(grant -> grant.band().equals(name))
                .map(grant -> grant.span())
                .findFirst()
                .or(() -> amateur.band(name))
                .orElseThrow();
        boolean channelised =
                amateur.channelised().stream().anyMatch(grant -> grant.band().equals(name));
        List<ChartClass> classes = new java.util.ArrayList<>();
        for (int held = 0; held < amateur.traits().classes().size(); held++) {
            int index = held;
            classes.add(new ChartClass(
                    Wording.capital(amateur.traits().classes().get(held)),
                    EmissionKind.ALL.stream()
                            .map(kind -> new ChartKind(kind.id(), spans(edition, amateur, name, index, kind.bits())))
                            .toList()));
        }
        return new ChartBand(name, span.low(), span.high(), channelised, classes);
    }

    private static List<ChartSpan> spans(Edition edition, BandService amateur, String name, int held, int bits) {
        List<ChartSpan> spans = new java.util.ArrayList<>();
        var whole = amateur.band(name).orElseThrow();
        amateur.rooms(held, bits).stream()
                .filter(room -> room.span().overlaps(whole))
                .forEach(room -> spans.add(new ChartSpan(
                        Math.max(room.span().low(), whole.low()),
                        Math.min(room.span().high(), whole.high()),
                        edition.cite(room.low().source()))));
        amateur.channels().stream()
                .filter(channel -> amateur.placeName(channel.centre()).equals(name)
                        || amateur.channelised().stream()
                                .anyMatch(g -> g.band().equals(name) && g.span().contains(channel.centre())))
                .filter(channel -> channel.lowestClass() <= held && (channel.allow() & bits) != 0)
                .forEach(channel -> spans.add(new ChartSpan(
                        channel.centre().hertz() - channel.width().hertz() / 2,
                        channel.centre().hertz() + channel.width().hertz() / 2,
                        edition.cite(channel.source()))));
        return spans;
    }

    static BandService amateur(Edition edition) {
        return (BandService) edition.services().stream()
                .filter(BandService.class::isInstance)
                .findFirst()
                .orElseThrow();
    }

    /** What is at a frequency. */
    record At(
            long hertz,
            String edition,
            List<String> names,
            @Schema(nullable = true) FrequencyFacts.Whose whose,
            List<FrequencyFacts.ServiceTerms> services,
            List<Partner> partners,
            List<FrequencyFacts.Kept> plan) {}

    record Partner(long hertz, boolean input, String words, String source) {}

    @GetMapping("/api/rulebook/at")
    At at(
            Account asking,
            @RequestParam String mhz,
            @RequestParam Optional<Long> group,
            @RequestParam Optional<String> rulebook,
            @RequestParam Optional<LocalDate> on) {
        Edition edition = editions.of(asking, rulebook, group, on);
        Frequency frequency = Looked.up(edition, mhz);
        FrequencyFacts facts = FrequencyFacts.at(edition, frequency);
        return new At(
                frequency.hertz(),
                edition.dates().id(),
                facts.names(),
                facts.whose().orElse(null),
                facts.services(),
                facts.partners().stream()
                        .map(each -> new Partner(each.frequency().hertz(), each.input(), each.words(), each.source()))
                        .toList(),
                facts.plan());
    }

    /** A table of band edges. */
    record Edges(
            String edition,
            String licenceClass,
            List<EdgeSlot> slots,
            List<EdgeSlot> left,
            List<String> channelised,
            String text) {}

    /** A slot: where the dial may stand, and the edges that the whole signal stays inside. */
    record EdgeSlot(int number, String band, long low, long high, long edgeLow, long edgeHigh) {}

    @GetMapping("/api/rulebook/edges")
    Edges edges(
            @RequestParam(name = "class") String licenceClass,
            @RequestParam List<String> send,
            @RequestParam(defaultValue = "") List<String> bands,
            @RequestParam(defaultValue = "20") int slots,
            @RequestParam Optional<String> rulebook,
            @RequestParam Optional<LocalDate> on) {
        Edition edition = editions.on(rulebook, on);
        EdgeTable table = EdgeTables.of(edition, licenceClass, send, bands, slots);
        return new Edges(
                edition.dates().id(),
                licenceClass,
                table.slots().stream().map(RulebookController::slot).toList(),
                table.left().stream().map(RulebookController::slot).toList(),
                table.channelised(),
                table.text());
    }

    /** The table as a CSV file. */
    @GetMapping(path = "/api/rulebook/edges.csv", produces = "text/csv")
    ResponseEntity<byte[]> edgesFile(
            @RequestParam(name = "class") String licenceClass,
            @RequestParam List<String> send,
            @RequestParam(defaultValue = "") List<String> bands,
            @RequestParam(defaultValue = "20") int slots,
            @RequestParam Optional<String> rulebook,
            @RequestParam Optional<LocalDate> on) {
        StringBuilder text = new StringBuilder("slot,dial_low_mhz,dial_high_mhz,band\r\n");
        EdgeTables.of(editions.on(rulebook, on), licenceClass, send, bands, slots)
                .slots()
                .forEach(slot -> text.append(slot.number())
                        .append(',')
                        .append(Frequency.megahertz(slot.dial().low()))
                        .append(',')
                        .append(Frequency.megahertz(slot.dial().high()))
                        .append(',')
                        .append(slot.band())
                        .append("\r\n"));
        String name = "band-edges-" + licenceClass.replaceAll("[^a-z]", "") + ".csv";
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .body(text.toString().getBytes(StandardCharsets.UTF_8));
    }

    private static EdgeSlot slot(EdgeTable.Slot slot) {
        return new EdgeSlot(
                slot.number(),
                slot.band(),
                slot.dial().low(),
                slot.dial().high(),
                slot.span().low(),
                slot.span().high());
    }

    /** The tone charts. */
    record Tones(List<CtcssTone> ctcss, List<DcsCode> dcs, String factoryDefault) {}

    /** A tone in hertz, with the consumer code number that stands for it. */
    record CtcssTone(String hertz, @Schema(nullable = true) Integer code) {}

    /** A code, and the one that it sounds like under inverted polarity. */
    record DcsCode(String code, @Schema(nullable = true) String partner) {}

    @GetMapping("/api/rulebook/tones")
    Tones tones(@RequestParam Optional<String> rulebook, @RequestParam Optional<LocalDate> on) {
        ToneTable table = editions.on(rulebook, on).tones();
        List<CtcssTone> ctcss = table.ctcss().stream()
                .map(tone -> new CtcssTone(tone.text(), code(table, tone)))
                .toList();
        List<DcsCode> dcs = table.dcs().stream()
                .map(code -> new DcsCode(
                        code.text().substring(1, 4),
                        table.sameSound(new Tone.Dcs(code.code(), true))
                                .map(same -> same.text().substring(1, 4))
                                .orElse(null)))
                .toList();
        return new Tones(ctcss, dcs, table.factoryDefault().text());
    }

    private static Integer code(ToneTable table, Tone.Ctcss tone) {
        for (int number = 1; table.consumerCode(number).isPresent(); number++) {
            if (table.consumerCode(number).get().equals(tone)) {
                return number;
            }
        }
        return null;
    }

    /** Personal-radio channels in every naming scheme; names stand in the order of the schemes, empty where there is none. */
    record Names(List<Scheme> schemes, List<NamedChannel> channels) {}

    record Scheme(String id, String title, String words) {}

    record NamedChannel(long rxHz, long txHz, List<String> names) {}

    @GetMapping("/api/rulebook/channel-names")
    Names names(@RequestParam Optional<String> rulebook, @RequestParam Optional<LocalDate> on) {
        ChannelNames names = editions.on(rulebook, on).channelNames();
        return new Names(
                names.schemes().stream()
                        .map(each -> new Scheme(each.id(), each.title(), each.words()))
                        .toList(),
                names.channels().stream()
                        .map(each -> new NamedChannel(
                                each.receive().hertz(),
                                each.transmit().hertz(),
                                names.schemes().stream()
                                        .map(scheme -> each.names().getOrDefault(scheme.id(), ""))
                                        .toList()))
                        .toList());
    }

    /** The editions of the rulebook, oldest first, and what each changed from the one before. */
    record EditionView(
            String id,
            LocalDate from,
            String title,
            String source,
            boolean inForce,
            List<EditionDifference.Line> gone,
            List<EditionDifference.Line> come) {}

    @GetMapping("/api/rulebook/editions")
    List<EditionView> editions(@RequestParam Optional<String> rulebook) {
        Rulebook book = editions.rulebook(rulebook);
        String inForce = editions.on(rulebook, Optional.empty()).dates().id();
        List<Edition> all =
                book.editions().stream().map(each -> book.on(each.from())).toList();
        return java.util.stream.IntStream.range(0, all.size())
                .mapToObj(i -> {
                    Edition.EditionDates dates = all.get(i).dates();
                    EditionDifference changed = i == 0
                            ? new EditionDifference(List.of(), List.of())
                            : EditionDifference.between(all.get(i - 1), all.get(i));
                    return new EditionView(
                            dates.id(),
                            dates.from(),
                            dates.title(),
                            all.get(i).cite(dates.source()),
                            dates.id().equals(inForce),
                            changed.gone(),
                            changed.come());
                })
                .toList();
    }
}
