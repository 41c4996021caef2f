package org.wache.server;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Bringing in, adding, proposals, the directory, versions: played in the real interface. */
@ExtendWith(RunningServer.class)
class IntakeBrowserTest extends InBrowser {

    private static final String CSV =
            """
      number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone
      1,Ridge,146.940,146.340,FM,5,100.0
      2,Levee East,146.550,146.550,FM,5,
      3,Weather,162.550,,NFM,,
      """;

    private final Browserless coordinator;

    IntakeBrowserTest(RunningServer server) {
        super(server);
        this.coordinator = Browserless.signedIn(server.address(), "coordinator");
    }

    private long opened(String name) {
        long list = coordinator.take(name, CSV);
        page.navigate(address + "/lists/" + list);
        assertThat(slip("Ridge")).isVisible();
        return list;
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator slip(String name) {
        return page.locator("[data-entry]").filter(new Locator.FilterOptions().setHasText(name));
    }

    private void tool(String name) {
        page.getByText("Tools ▾").click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(name))
                .click();
    }

    private void drop(String name, String text) {
        page.getByLabel("List file")
                .setInputFiles(new FilePayload(name, "text/csv", text.getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void anyTableIsBroughtInWithItsColumnsCorrected() throws IOException {
        drop(
                "club.csv",
                "Place,Output,Offset,Tone,Remark\nTern Ridge,146.94,-,100,open\nWeir Hill,147.135,+,114.8,\nGap,14x,,,\n");
        Locator rows = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The rows"));
        assertThat(rows).containsText("146.940 MHz − 600.0 kHz = 146.340 MHz, the plan's offset there");
        assertThat(rows).containsText("“14x” under Output is no frequency.");
        assertAccessible();
        page.getByLabel("What Remark is").selectOption("name");
        page.getByLabel("What Place is").selectOption("note");
        assertThat(rows).containsText("open");
        page.getByLabel("Its name").fill("Club repeaters");
        button("Bring in 2 entries").click();
        assertThat(page.getByText("1 row of club made no entry.")).isVisible();
        assertThat(slip("hears 146.940")).containsText("open");
        button("Look at it").click();
        button("Make an entry").click();
        Locator line = page.getByLabel("Entry as you would write it");
        assertThat(line).hasValue("Gap 14x");
        line.fill("147.39 + Gap");
        assertThat(page.getByText("hears 147.390 · talks on 147.990 · FM")).isVisible();
        assertAccessible();
        page.keyboard().press("Enter");
        assertThat(slip("Gap")).isVisible();
        assertThat(page.getByText("made no entry").first()).isHidden();
    }

    @Test
    void aListOfOurOwnAsksWhoCarriesItBeforeItComesIn() throws IOException {
        drop("own.csv", Fleets.LIST);
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Who carries it?")))
                .isVisible();
        assertAccessible();
        page.getByLabel("Its name").fill("Own and carried");
        page.getByLabel("Carried by").selectOption("Levee walkers");
        button("Bring in 4 entries").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Own and carried")))
                .isVisible();
        assertThat(page.getByText("Nobody carries this list yet")).isHidden();
    }

    @Test
    void whatIsNoEntryStaysInTheBarOrIsKeptBesideTheList() throws IOException {
        opened("leftovers");
        page.keyboard().press("n");
        Locator line = page.getByLabel("Entry as you would write it");
        line.fill("147.135 114.8 Weir\nthe one at the mill");
        page.keyboard().press("Control+Enter"); // before the answer has come
        page.keyboard().press("Control+Enter"); // and once more
        assertThat(slip("Weir")).isVisible();
        assertThat(line).hasValue("the one at the mill");
        assertThat(slip("Weir")).hasCount(1);
        assertAccessible();
        button("Keep it beside the list").click();
        assertThat(line).hasValue("");
        assertThat(page.getByText("1 row of typed lines made no entry.")).isVisible();
    }

    @Test
    void aRowOfWhichSomethingIsLeftIsNotDoneWith() {
        long list = opened("half a row");
        coordinator.post("/api/lists/" + list + "/aside", "{\"lines\":[\"147.135 114.8 Weir; gmrs 99\"]}");
        button("Look at it").click(); // it has come by itself
        button("Make an entry").click();
        Locator line = page.getByLabel("Entry as you would write it");
        assertThat(page.getByText("Not yet an entry.")).isVisible();
        line.press("Enter");
        assertThat(line).hasValue("gmrs 99");
        assertThat(button("Put away")).isVisible();
        line.fill("146.565 Mill");
        assertThat(page.getByText("hears 146.565")).isVisible();
        line.press("Enter");
        assertThat(button("Put away")).isHidden();
        assertThat(slip("Weir")).isVisible();
        assertThat(slip("Mill")).isVisible();
    }

    @Test
    void linesArePastedAndReadOneByOne() {
        button("Paste lines or a table").click();
        page.getByLabel("Lines or a table").fill("gmrs 16 rpt 141.3\nfrs 14 code 27\nno channel at all\n");
        page.keyboard().press("Control+Enter");
        Locator rows = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The rows"));
        assertThat(rows).containsText("hears 462.575 · talks on 467.575 · FM · sends 141.3");
        assertThat(rows).containsText("code 27 is 167.9 Hz");
        button("Bring in 2 entries").click();
        assertThat(slip("FRS 14")).isVisible();
    }

    @Test
    void aFileThatIsNoneSaysWhatToDo() {
        page.getByLabel("List file")
                .setInputFiles(
                        new FilePayload("old.xls", "", new byte[] {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0}));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("The workbook is damaged");
        page.getByLabel("List file").setInputFiles(new FilePayload("old.csv", "", new byte[] {
            'r', 'x', ',', 'n', '\n', '1', '4', '6', '.', '5', '2', ',', (byte) 0xFC, '\n'
        }));
        button("Read as Windows text").click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The rows")))
                .containsText("ü");
    }

    @Test
    void entriesAreAddedByKeysAloneAndUndone() throws IOException {
        opened("by keys");
        page.keyboard().press("n");
        page.keyboard().type("147.135 114.8 Weir");
        Locator add = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Add entries"));
        assertThat(add).containsText("147.735 000");
        assertThat(add).containsText("talks on 147.735");
        assertAccessible();
        page.keyboard().press("Enter");
        assertThat(slip("Weir")).isVisible();
        page.keyboard().type("24");
        assertThat(add).containsText("“24” is the repeater pair"); // and no longer what “2” alone could mean
        assertThat(add).containsText("It could mean");
        page.keyboard().press("ArrowDown");
        assertThat(add).containsText("hears 27.235");
        page.keyboard().press("Enter");
        assertThat(slip("CB 24")).isVisible();
        page.keyboard().type("nothing");
        assertThat(add).containsText("“nothing” is no frequency and no channel.");
        page.keyboard().press("Escape");
        assertThat(add).isHidden();
        page.keyboard().press("Control+z");
        assertThat(slip("CB 24")).isHidden();
    }

    @Test
    void aProposalIsSeenTakenInPartAndUndone() throws IOException {
        opened("swapped");
        tool("Swap the service");
        page.getByLabel("Channels").fill("3-5");
        Locator changes = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What would change"));
        assertThat(changes).containsText(java.util.regex.Pattern.compile("called FRS [345] instead of Ridge"));
        assertThat(button("Apply 3 changes")).isVisible();
        assertAccessible();
        changes.getByRole(AriaRole.CHECKBOX).nth(2).uncheck();
        button("Apply 2 changes").click();
        assertThat(slip("FRS")).hasCount(2);
        assertThat(slip("Weather")).isVisible();
        page.keyboard().press("Control+z");
        assertThat(slip("Ridge")).isVisible();
    }

    @Test
    void theListIsPutInOrderAndBack() throws IOException {
        opened("arranged");
        page.keyboard().press("g");
        page.keyboard().press("g"); // as in the list
        tool("Order, numbers, zones");
        assertThat(page.getByText("The entries stand in another order.")).isVisible();
        assertAccessible();
        button("Apply 3 changes").click();
        assertThat(page.locator("[data-entry]").first()).containsText("Levee East");
        page.keyboard().press("Control+z");
        assertThat(page.locator("[data-entry]").first()).containsText("Ridge");
    }

    @Test
    void tonesArePlannedClearOfNeighbours() throws IOException {
        opened("toned");
        tool("Plan the tones");
        Locator changes = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What would change"));
        assertThat(changes).containsText("opens with");
        button("Neighbours, tables, talk groups").click();
        assertThat(page.getByLabel("Who").first()).isVisible();
        assertAccessible();
        page.keyboard().press("Escape");
    }

    @Test
    void namesAreSeenBeforeTheyAreTaken() {
        opened("named");
        tool("Fit the names");
        page.getByLabel("Characters of the display").fill("5");
        assertThat(page.getByText("called LveeE instead of Levee East")
                        .or(page.getByText("called LeveE instead of Levee East")))
                .isVisible();
        page.keyboard().press("Escape");
        assertThat(slip("Levee East")).isVisible();
    }

    @Test
    void aRepeaterNearIsAddedWithOnePress() throws IOException {
        opened("near");
        page.keyboard().press("d");
        button("Add Weir Hill").click();
        assertThat(page.getByText("in the list: Weir Hill")).isVisible();
        assertAccessible();
        button("Done").click();
        assertThat(slip("Weir Hill")).isVisible();
        page.keyboard().press("Control+z");
        assertThat(slip("Weir Hill")).isHidden();
    }

    @Test
    void anEarlierVersionIsComparedAndBroughtBack() throws IOException {
        long list = opened("versioned");
        page.keyboard().press("n");
        page.keyboard().type("146.52 Calling");
        page.keyboard().press("Enter");
        assertThat(slip("Calling")).isVisible();
        page.navigate(address + "/lists/" + list + "/versions");
        page.getByText("the list as it came").click();
        assertThat(page.getByText("hears 146.520 MHz, direct")).isVisible();
        assertAccessible();
        button("Bring version 1 back").click();
        assertThat(page.getByText("No entry differs, 3 say the same")).isVisible();
    }

    @Test
    void aCopyIsMergedWithItsConflictSettled() {
        long list = opened("origin");
        page.navigate(address + "/lists/" + list + "/versions");
        button("Make a copy to change by itself").click();
        page.getByLabel("Name of the copy").fill("of Jonas");
        button("Copy").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("of Jonas")))
                .isVisible();
        long copy = Long.parseLong(page.url().replaceFirst(".*/lists/([0-9]+).*", "$1"));
        change(copy, "88.5");
        change(list, "114.8");
        page.navigate(address + "/lists/" + copy + "/versions");
        button("Bring in what changed there").click();
        assertThat(button("Settle 1 entry first")).isDisabled();
        assertThat(page.getByText("here 88.5, there 114.8")).isVisible();
        button("Take what is there").click();
        button("Apply 1 of 1").click();
        assertThat(page.getByText("The other list has nothing new for this one."))
                .isVisible();
    }

    private void change(long list, String tone) {
        long entry = Browserless.json(coordinator.get("/api/lists/" + list))
                .path("slips")
                .path(0)
                .path("id")
                .asLong();
        coordinator.post(
                "/api/lists/" + list + "/changes",
                "{\"version\":1,\"changes\":[{\"kind\":\"edit\",\"entry\":" + entry
                        + ",\"before\":{},\"after\":{\"txTone\":\"" + tone + "\"}}]}");
    }

    @Test
    void onAPhoneNothingRunsOverTheSide() {
        context.close();
        open(390, 800, ColorScheme.DARK);
        drop("club.csv", "Place,Output,Offset,Tone\nTern Ridge,146.94,-,100\n");
        assertThat(page.getByText("What each column is")).isVisible();
        assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
                .isLessThanOrEqualTo(390);
    }
}
