package org.wache.server.releases;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.finding.Wording;
import org.wache.exchange.GroupForm;
import org.wache.exchange.ReleaseFile;
import org.wache.licence.Holder;
import org.wache.server.prints.PaperDates;
import org.wache.server.prints.PaperSize;
import org.wache.server.prints.TableSheet;
import org.wache.server.prints.TableSheet.Column;
import org.wache.server.sheets.ListWorkbook;
import org.wache.server.web.Missing;

/** What is handed in and sent along with a release: the plan and the inventory of emergency groups, and the letter that says what is new. */
@RestController
class FormController {

    private static final String WORKBOOK = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";
    private static final float[] PLAN = {5, 5, 9, 13, 10, 11, 7, 11, 7, 6, 16};
    private static final float[] INVENTORY = {10, 14, 12, 10, 5, 7, 10, 5, 7, 6, 14};

    private final ReleaseStore store;
    private final Releases releases;

    FormController(ReleaseStore store, Releases releases) {
        this.store = store;
        this.releases = releases;
    }

    @GetMapping(path = "/api/releases/{release}/communications-plan.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> plan(
            @PathVariable long release,
            @RequestParam(defaultValue = "letter") PaperSize paper,
            @RequestParam(defaultValue = "UTC") ZoneId zone) {
        return sheet(release, GroupForm.COMMUNICATIONS_PLAN, "Incident radio communications plan", PLAN, paper, zone);
    }

    @GetMapping(path = "/api/releases/{release}/communications-plan.xlsx", produces = WORKBOOK)
    ResponseEntity<byte[]> planWorkbook(@PathVariable long release) {
        return workbook(release, GroupForm.COMMUNICATIONS_PLAN, "communications-plan");
    }

    @GetMapping(path = "/api/releases/{release}/inventory.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> inventory(
            @PathVariable long release,
            @RequestParam(defaultValue = "letter") PaperSize paper,
            @RequestParam(defaultValue = "UTC") ZoneId zone) {
        return sheet(release, GroupForm.INVENTORY, "Communications resource availability", INVENTORY, paper, zone);
    }

    @GetMapping(path = "/api/releases/{release}/inventory.xlsx", produces = WORKBOOK)
    ResponseEntity<byte[]> inventoryWorkbook(@PathVariable long release) {
        return workbook(release, GroupForm.INVENTORY, "inventory");
    }

    private ResponseEntity<byte[]> sheet(
            long release, GroupForm form, String title, float[] widths, PaperSize paper, ZoneId zone) {
        ReleaseFile file = releases.file(release);
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i < widths.length; i++) {
            String heading = form.headings().get(i);
            columns.add(
                    heading.startsWith("Channel Name")
                            ? Column.name("Channel name or talk group", widths[i])
                            : heading.matches(".*(Freq|Tone|#).*")
                                    ? Column.figures(heading, widths[i])
                                    : Column.words(heading, widths[i]));
        }
        List<TableSheet.Table> tables = file.parts().stream()
                .map(part -> new TableSheet.Table(part.name(), columns, form.rows(part.list())))
                .toList();
        return PaperFile.pdf(
                file,
                form == GroupForm.INVENTORY ? "inventory" : "communications-plan",
                new TableSheet(
                                title,
                                List.of(
                                        file.list() + ", release " + file.number() + " of " + file.group()
                                                + ". Prepared " + PaperDates.moment(file.releasedAt(), zone) + " by "
                                                + file.releasedBy() + ", signed by " + file.signedBy() + ".",
                                        "Operational period: from ____________________ to ____________________"),
                                tables,
                                "N: narrow, up to 12.5 kHz. W: wide. A: analogue. D: digital. M: mixed. Tones in hertz or as codes. Listen-only"
                                        + " channels have no transmit frequency. A licence comes before this plan.")
                        .write(paper, true, PaperFile.foot(file)));
    }

    private ResponseEntity<byte[]> workbook(long release, GroupForm form, String what) {
        ReleaseFile file = releases.file(release);
        List<List<String>> rows = new ArrayList<>();
        rows.add(form.headings());
        rows.addAll(form.rows(file.parts().get(0).list()));
        return PaperFile.of(file, what + ".xlsx", WORKBOOK, ListWorkbook.write(file.list(), rows));
    }

    /** What is new since the release before, for whom, and what to do with it. */
    @GetMapping(path = "/api/releases/{release}/letter.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> letter(
            @PathVariable long release,
            @RequestParam(defaultValue = "letter") PaperSize paper,
            @RequestParam(defaultValue = "UTC") ZoneId zone) {
        ReleaseStore.Head head = store.one(release).orElseThrow(() -> new Missing("The release"));
        ReleaseFile file = releases.file(release);
        Optional<ReleaseFile> earlier = store.before(release).map(releases::file);
        return PaperFile.pdf(
                file, "letter", ReleaseLetter.of(head, file, earlier, zone).write(paper, false, PaperFile.foot(file)));
    }

    /** Who carries a release, as it went out. */
    static String carriers(ReleaseFile file) {
        return Wording.list(file.parts().get(0).context().holders().stream()
                .map(Holder::name)
                .toList());
    }
}
