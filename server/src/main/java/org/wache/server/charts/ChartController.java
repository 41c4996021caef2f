package org.wache.server.charts;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.finding.Wording;
import org.wache.exchange.HolderShorthand;
import org.wache.rulebook.BandService;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.server.accounts.Account;
import org.wache.server.prints.Paper;
import org.wache.server.prints.PaperDates;
import org.wache.server.prints.PaperSize;
import org.wache.server.rulebooks.Editions;
import org.wache.server.web.Refused;

/** The sheets of bands: to look at, to print, to hang up. */
@RestController
class ChartController {

    private final Editions editions;
    private final Clock clock;

    ChartController(Editions editions, Clock clock) {
        this.editions = editions;
        this.clock = clock;
    }

    /** Which sheets there are: for whom, and of which bands. */
    record ChartBands(List<ChartHolder> holders, List<String> bands) {}

    @GetMapping("/api/rulebook/bands")
    ChartBands bands(@RequestParam Optional<String> rulebook, @RequestParam Optional<LocalDate> on) {
        Edition edition = editions.on(rulebook, on);
        return new ChartBands(holders(edition), BandSheet.bands(edition));
    }

    /** What stands on the sheet of a band, and how it is drawn. */
    record ChartSheet(BandSheet sheet, Drawing drawing) {}

    /** Somebody whom a sheet can be drawn for, in shorthand and in words. */
    record ChartHolder(String as, String words) {}

    @GetMapping("/api/rulebook/sheet")
    ChartSheet sheet(
            Account asking,
            @RequestParam String band,
            @RequestParam(defaultValue = "nobody") String as,
            @RequestParam Optional<String> rulebook,
            @RequestParam Optional<Long> group,
            @RequestParam Optional<LocalDate> on,
            @RequestParam(defaultValue = "letter") PaperSize paper) {
        Edition edition = editions.of(asking, rulebook, group, on);
        BandSheet sheet = sheet(edition, as, band, on);
        return new ChartSheet(sheet, SheetLayout.of(sheet, paper));
    }

    @GetMapping(path = "/api/rulebook/sheet.svg", produces = "image/svg+xml")
    ResponseEntity<byte[]> svg(
            Account asking,
            @RequestParam String band,
            @RequestParam(defaultValue = "nobody") String as,
            @RequestParam Optional<String> rulebook,
            @RequestParam Optional<Long> group,
            @RequestParam Optional<LocalDate> on,
            @RequestParam(defaultValue = "letter") PaperSize paper) {
        BandSheet sheet = sheet(editions.of(asking, rulebook, group, on), as, band, on);
        return file(
                sheet.band() + ".svg",
                "image/svg+xml",
                SvgPen.draw(SheetLayout.of(sheet, paper), title(sheet)).getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping(path = "/api/rulebook/sheet.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> pdf(
            Account asking,
            @RequestParam String band,
            @RequestParam(defaultValue = "nobody") String as,
            @RequestParam Optional<String> rulebook,
            @RequestParam Optional<Long> group,
            @RequestParam Optional<LocalDate> on,
            @RequestParam(defaultValue = "letter") PaperSize paper) {
        BandSheet sheet = sheet(editions.of(asking, rulebook, group, on), as, band, on);
        return file(
                sheet.band() + ".pdf",
                MediaType.APPLICATION_PDF_VALUE,
                Paper.of(paper, false, title(sheet), title(sheet))
                        .write(
                                "sheets",
                                new Told(
                                        "",
                                        List.of(),
                                        List.of(new Page(PaperPen.draw(SheetLayout.of(sheet, paper)))))));
    }

    private record Page(String drawing) {}

    private record Told(String title, List<String> lead, List<Page> pages) {}

    /** All bands, a page each, behind a page that says what is in it. */
    @GetMapping(path = "/api/rulebook/booklet.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> booklet(
            Account asking,
            @RequestParam(defaultValue = "nobody") String as,
            @RequestParam Optional<String> rulebook,
            @RequestParam Optional<Long> group,
            @RequestParam Optional<LocalDate> on,
            @RequestParam(defaultValue = "letter") PaperSize paper) {
        Edition edition = editions.of(asking, rulebook, group, on);
        List<BandSheet> sheets = BandSheet.bands(edition).stream()
                .map(band -> sheet(edition, as, band, on))
                .toList();
        List<String> lead = new ArrayList<>();
        lead.add(
                sheets.get(0).holder() + ", for " + PaperDates.day(sheets.get(0).day()) + ", rulebook "
                        + edition.rulebook() + " " + edition.dates().id() + ".");
        lead.add("A page for each band: "
                + Wording.list(sheets.stream().map(BandSheet::band).toList()) + ".");
        lead.add(
                "At the left of each scale stands what the law allows, at the right what the band plan keeps the parts for.");
        return file(
                "bands.pdf",
                MediaType.APPLICATION_PDF_VALUE,
                Paper.of(
                                paper,
                                false,
                                "The bands",
                                "The bands · " + sheets.get(0).holder())
                        .write(
                                "sheets",
                                new Told(
                                        "The bands",
                                        lead,
                                        sheets.stream()
                                                .map(sheet -> new Page(PaperPen.draw(SheetLayout.of(sheet, paper))))
                                                .toList())));
    }

    private BandSheet sheet(Edition edition, String as, String band, Optional<LocalDate> on) {
        try {
            HolderShorthand.holder(as, edition);
        } catch (IllegalArgumentException e) {
            throw new Refused(e.getMessage() + ".");
        }
        String words = holders(edition).stream()
                .filter(each -> each.as().equals(as))
                .map(ChartHolder::words)
                .findFirst()
                .orElse("For " + as.replace(",", ", ").replace(":", " "));
        return BandSheet.of(edition, as, words, band, on.orElseGet(() -> LocalDate.now(clock)));
    }

    /** The classes of the service that the plan is for, the lowest first; before them somebody without a licence. */
    private static List<ChartHolder> holders(Edition edition) {
        List<ChartHolder> holders = new ArrayList<>();
        holders.add(new ChartHolder("nobody", "For somebody without a licence"));
        edition.planned().map(BandService::traits).ifPresent(traits -> traits.classes()
                .forEach(each -> holders.add(
                        new ChartHolder(traits.id() + ":" + each, "For the class " + Wording.capital(each)))));
        edition.services().stream()
                .filter(service -> service instanceof ChannelService
                        && service.traits().needsLicence()
                        && !service.traits().terms().aboardOnly())
                .forEach(service ->
                        holders.add(new ChartHolder(service.id(), "With a " + service.title() + " licence")));
        return holders;
    }

    private static String title(BandSheet sheet) {
        return sheet.band() + " · " + sheet.holder();
    }

    /** A drawing is taken along: shown from here, the rules for pages would keep its typefaces from it. */
    private static ResponseEntity<byte[]> file(String name, String type, byte[] bytes) {
        return ResponseEntity.ok()
                .header(
                        "Content-Disposition",
                        (type.startsWith("image/") ? "attachment" : "inline") + "; filename=\""
                                + name.replaceAll("[^A-Za-z0-9.]+", "-").toLowerCase(Locale.ROOT) + "\"")
                .contentType(MediaType.parseMediaType(type))
                .body(bytes);
    }
}
