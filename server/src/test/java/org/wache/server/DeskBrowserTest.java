package org.wache.server;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The coordinator's first ten minutes, in a real browser. */
@ExtendWith(RunningServer.class)
class DeskBrowserTest extends InBrowser {

    private static final String CSV =
            """
      number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone
      1,Top edge,147.995,147.995,FM,5,
      2,Ridge,146.940,146.340,FM,5,100.0
      3,Sign wrong,146.760,147.360,FM,5,107.2
      4,Weather,162.550,,NFM,,
      5,Guard,121.500,121.500,AM,5,
      """;

    DeskBrowserTest(RunningServer server) {
        super(server);
    }

    private void take(String csv) {
        page.getByLabel("List file")
                .setInputFiles(new FilePayload("my list.csv", "text/csv", csv.getBytes(StandardCharsets.UTF_8)));
        page.getByLabel("Carried by").selectOption("");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Bring in \\d+ entr")))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("my list")))
                .isVisible();
    }

    private void carriedBy(String licenceClass) {
        page.getByText("Carried by").click();
        page.getByLabel("Amateur class").selectOption(licenceClass);
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Add").setExact(true))
                .click();
        page.keyboard().press("Escape");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Carried by"))))
                .containsText(licenceClass);
    }

    private Locator slip(String name) {
        return page.locator("[data-entry]").filter(new Locator.FilterOptions().setHasText(name));
    }

    private Locator count(String verdict) {
        return page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Show only"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(verdict));
    }

    @Test
    void fromAFileToAVerdictACureAndASavedList() throws IOException {
        take(CSV);
        assertThat(count("Hold")).containsText("4");
        carriedBy("Technician");
        assertThat(count("Hold")).containsText("2");

        slip("Top edge").click();
        Locator entry = page.getByLabel("The entry", new Page.GetByLabelOptions().setExact(true));
        assertThat(entry).containsText("The signal reaches 3.0 kHz past the top of the 2 m band.");
        assertThat(entry).containsText("148.003 000");
        assertThat(entry).containsText("47 CFR 97.307(b)");
        entry.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^1 Move to 147.990 MHz")))
                .click();
        assertThat(count("Hold")).containsText("1");
        assertThat(page.getByTestId("verdict")).containsText("Query");

        page.keyboard().press("Control+z");
        assertThat(count("Hold")).containsText("2");
        page.keyboard().press("Control+Shift+z");
        assertThat(count("Hold")).containsText("1");

        page.reload();
        assertThat(count("Hold")).containsText("1");
        page.getByText("Export").click();
        Download file = page.waitForDownload(
                () -> page.getByText("CSV, for any program").click());
        assertThat(Files.readString(file.path())).contains("1,Top edge,147.990,147.990,FM");
    }

    /** Opens the fields of the entry that is chosen. */
    private static void opened(Page where) {
        where.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Change it"))
                .click();
    }

    @Test
    void typingIsJudgedAtEachKeystrokeAndEnterSaves() {
        take(CSV);
        carriedBy("Technician");
        slip("Top edge").click();
        assertThat(page.getByLabel("Hears (RX), MHz")).isHidden(); // the verdict comes first
        opened(page);
        Locator hears = page.getByLabel("Hears (RX), MHz");
        Locator talks = page.getByLabel("Talks on (TX), MHz");
        hears.fill("146.55");
        talks.fill("146.55");
        assertThat(page.getByTestId("verdict")).containsText("Clear");
        talks.fill("146.55x");
        assertThat(page.getByTestId("verdict")).containsText("Hold");
        talks.fill("146.55");
        assertThat(page.getByTestId("verdict")).containsText("Clear");
        talks.press("Enter");
        assertThat(count("Hold")).containsText("1");
        page.reload();
        assertThat(slip("Top edge")).containsText("146.550");
    }

    /** Leaving a field saves nothing and loses nothing; what is odd is asked about; the other end of a direct channel and of a pair comes along. */
    @Test
    void whatIsTypedIsSavedWhenSomebodySaysSo() {
        take(CSV);
        slip("Top edge").click();
        opened(page);
        page.getByLabel("Power, W").fill("147.42");
        page.keyboard().press("Tab");
        assertThat(page.getByText("147.42 W is written like a frequency. Is that meant?"))
                .isVisible();
        page.getByLabel("Power, W").press("Enter");
        slip("Weather").click();
        assertThat(page.getByText("Top edge: typed, and not saved")).isVisible();
        assertThat(page.getByLabel("Power, W")).hasValue("");
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("The list"))
                .getByText("Versions")
                .click();
        assertThat(page.getByText("the list as it came")).isVisible();
        page.goBack();
        page.reload();
        slip("Top edge").first().click();
        assertThat(page.getByLabel("Power, W")).hasValue("147.42");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Discard changes"))
                .click();
        assertThat(page.getByLabel("Power, W")).hasValue("5");
        page.getByLabel("Hears (RX), MHz").fill("146.580");
        assertThat(page.getByLabel("Talks on (TX), MHz")).hasValue("146.580");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Let it talk where it did"))
                .click();
        assertThat(page.getByLabel("Talks on (TX), MHz")).hasValue("147.995");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Discard changes"))
                .click();
        slip("Ridge").click();
        page.getByLabel("Hears (RX), MHz").fill("147.000");
        assertThat(page.getByLabel("Talks on (TX), MHz")).hasValue("146.400");
        page.getByLabel("Hears (RX), MHz").press("Enter");
        assertThat(slip("Ridge")).containsText("146.400");
    }

    @Test
    void theSearchLosesNothingThatIsTypedFast() {
        take(CSV);
        page.keyboard().press("/");
        page.keyboard().type("146.940", new com.microsoft.playwright.Keyboard.TypeOptions().setDelay(20));
        assertThat(page.getByLabel("Find an entry")).hasValue("146.940");
        assertThat(page.locator("[data-entry]")).hasCount(1);
        assertThat(page).hasURL(Pattern.compile("find=146.940"));
    }

    @Test
    void noKeyGoesBehindADialog() {
        take(CSV);
        assertThat(page.locator("[data-entry]")).hasCount(5);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Tools ▾"))
                .click();
        page.getByRole(AriaRole.MENUITEM).first().click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        page.waitForFunction("() => document.querySelector('[role=dialog]').contains(document.activeElement)");
        page.evaluate("() => document.activeElement.blur()");
        page.keyboard().press("Delete");
        page.keyboard().press("Escape");
        assertThat(dialog).hasCount(0);
        assertThat(page.locator("[data-entry]")).hasCount(5);
        slip("Guard").click();
        page.keyboard().press("Delete");
        assertThat(page.locator("[data-entry]")).hasCount(4);
        String gone = page.url().replaceAll(".*entry=(\\d+).*", "$1");
        assertThat(page.locator("[data-entry='" + gone + "']")).hasCount(1);
    }

    @Test
    void everythingGoesWithoutAMouse() {
        take(CSV);
        carriedBy("Technician");
        page.locator("body").press("h");
        assertThat(page.locator("[data-entry]")).hasCount(2);
        page.keyboard().press("j");
        page.keyboard().press("k");
        assertThat(slip("Top edge")).hasAttribute("aria-current", "true");
        page.keyboard().press("1");
        assertThat(count("Hold")).containsText("1");
        page.keyboard().press("j");
        assertThat(slip("Guard")).hasAttribute("aria-current", "true");
        page.keyboard().press("1");
        assertThat(count("Hold")).containsText("0");
        page.keyboard().press("Control+z");
        assertThat(count("Hold")).containsText("1");
        page.keyboard().press("/");
        page.keyboard().type("ridge");
        page.keyboard().press("Escape");
        page.keyboard().press("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("next and previous entry");
        page.keyboard().press("Escape");
        page.keyboard().press("n");
        assertThat(count("Query").or(count("Listen")).first()).isVisible();
    }

    @Test
    void aFileThatCannotBeReadSaysWhereAndWhatHelps() {
        page.getByLabel("List file")
                .setInputFiles(
                        new FilePayload("bad.csv", "text/csv", new byte[] {'r', 'x', '\n', '1', (byte) 0xFF, '\n'}));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Line 2, column 2: not text in UTF-8");
        page.getByLabel("List file")
                .setInputFiles(new FilePayload(
                        "bad.csv", "text/csv", "rx_mhz,tx_mhz\n146,52,146,52\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("A number with a decimal comma has to stand in quotes"))
                .isVisible();
    }

    @Test
    void twoPeopleOnOneFieldChooseBetweenBothTexts() {
        take(CSV);
        slip("Ridge").click();
        Page other = context.newPage();
        other.navigate(page.url());
        opened(other);
        assertThat(other.getByLabel("Sends")).hasValue("100.0");
        other.getByLabel("Sends").fill("103.5");
        other.getByLabel("Sends").press("Enter");
        assertThat(other.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo")))
                .isEnabled();
        opened(page);
        page.getByLabel("Sends").fill("88.5");
        page.getByLabel("Sends").press("Enter");
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("88.5");
        dialog.getByText("Keep theirs").click();
        assertThat(page.getByLabel("Sends")).hasValue("103.5");
    }

    @Test
    void carriersThatSomebodyElseChangedMeanwhileAreTold() {
        take(CSV);
        Page other = context.newPage();
        other.route("**/presence", route -> {}); // it hears of nothing before it saves, however long that takes here
        other.navigate(page.url());
        assertThat(other.getByText("Nobody with a licence").first()).isVisible();
        carriedBy("Technician");
        other.getByText("Carried by").click();
        other.getByLabel("Amateur class").selectOption("extra");
        other.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Add").setExact(true))
                .click();
        other.keyboard().press("Escape");
        assertThat(other.getByRole(AriaRole.ALERT)).containsText("Somebody else changed who carries the list");
        assertThat(other.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Carried by"))))
                .containsText("Technician");
    }

    @Test
    void theRulerShowsTheSignalOverTheEdgeAndSelectsWhatIsPressed() {
        take(CSV);
        carriedBy("Technician");
        slip("Top edge").click();
        Locator ruler = page.getByTestId("ruler");
        assertThat(ruler).containsText("3.0 kHz over");
        assertThat(ruler).containsText("repeater outputs");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Channel").setExact(true))
                .click();
        assertThat(ruler).containsText("148.000");
        slip("Ridge").click();
        assertThat(ruler).containsText("−600 kHz");
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Bands"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^2 m")))
                .click();
        assertThat(slip("Top edge")).hasAttribute("aria-current", "true");
    }

    @Test
    void nothingJumpsWhenACureChangesAVerdictAndItRegroupsWhenTheSelectionMoves() {
        take(CSV);
        carriedBy("Technician");
        slip("Top edge").click();
        page.keyboard().press("1");
        assertThat(slip("Top edge")).containsText("Query");
        assertThat(page.locator("[data-entry]").first()).containsText("Top edge");
        slip("Ridge").click();
        assertThat(page.locator("[data-entry]").first()).containsText("Guard");
    }

    @Test
    void theOtherThemeIsRemembered() {
        page.getByText("Ada Fenwright").first().click();
        page.getByText("Dark theme").click();
        assertThat(page.locator("html")).hasAttribute("data-theme", "dark");
        page.reload();
        assertThat(page.locator("html")).hasAttribute("data-theme", "dark");
    }

    @Test
    void onAPhoneTheEntryCoversTheListAndGivesItBack() {
        context.close();
        open(390, 800, ColorScheme.LIGHT);
        take(CSV);
        slip("Ridge").click();
        assertThat(page.getByTestId("verdict")).isVisible();
        page.getByText("All entries").click();
        assertThat(slip("Ridge")).isVisible();
        assertThat(page.evaluate("() => document.documentElement.scrollWidth")).isEqualTo(390);
    }

    @Test
    void tenThousandEntriesDrawOnlyWhatIsInSight() {
        StringBuilder csv = new StringBuilder("number,name,rx_mhz,tx_mhz,mode,power_w\n");
        for (int i = 0; i < 10_000; i++) {
            csv.append(i + 1)
                    .append(",E")
                    .append(i + 1)
                    .append(',')
                    .append(String.format("%.4f", 144.2 + i * 0.0003))
                    .append(",,FM,\n");
        }
        take(csv.toString());
        assertThat(count("Listen")).containsText("10000");
        Locator list = page.getByTestId("slips");
        list.evaluate("list => { list.scrollTop = list.scrollHeight; }");
        assertThat(slip("E10000")).isVisible();
        assertThat(page.locator("[data-entry]").count()).isLessThan(80);
    }

    @Test
    void theMainScreensAreAccessibleInBothThemes() throws IOException {
        for (ColorScheme scheme : List.of(ColorScheme.LIGHT, ColorScheme.DARK)) {
            context.close();
            open(1280, 800, scheme);
            assertAccessible();
            page.getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName(Pattern.compile("^Volunteers, working list")))
                    .click();
            assertThat(page.getByTestId("verdict")).isVisible();
            assertAccessible();
        }
    }

    /** The entry moves from channel to channel, by keys and with the pointer; its verdict follows, and nothing is saved before it is told to be. */
    @Test
    void anEntryIsMovedAlongTheRuler() {
        take(CSV);
        carriedBy("Technician");
        slip("Ridge").click();
        Locator verdict = page.getByTestId("verdict");
        assertThat(verdict).hasText("Clear");
        Locator moved = page.getByText("Moved from 146.940.");
        page.keyboard().press("Shift+ArrowRight");
        assertThat(moved).isVisible();
        assertThat(slip("Ridge")).containsText("146.955"); // the plan's raster there is 15 kHz
        assertThat(slip("Ridge")).containsText("146.355"); // and its offset stays
        page.keyboard().press("Escape");
        assertThat(moved).isHidden();
        assertThat(slip("Ridge")).containsText("146.940");

        slip("Top edge").click();
        assertThat(verdict).hasText("Hold");
        com.microsoft.playwright.options.BoundingBox lane =
                page.getByTestId("ruler").locator("svg").boundingBox();
        // 2 m with a fiftieth of its width beside it, from 143.92 to 148.08 MHz.
        double perMegahertz = lane.width / 4.16;
        double x = lane.x + (147.995 - 143.92) * perMegahertz;
        page.mouse().move(x, lane.y + 15);
        page.mouse().down();
        page.mouse()
                .move(
                        x - 0.44 * perMegahertz,
                        lane.y + 15,
                        new com.microsoft.playwright.Mouse.MoveOptions().setSteps(5));
        assertThat(verdict).hasText("Clear"); // among the direct channels from 147.42 MHz on
        page.mouse().up();
        assertThat(page.getByText("Moved from 147.995.")).isVisible();
        page.keyboard().press("Enter");
        assertThat(page.getByText("Moved from 147.995.")).isHidden();
        assertThat(verdict).hasText("Clear");
        page.keyboard().press("Control+z");
        assertThat(slip("Top edge")).containsText("147.995");
        assertThat(verdict).hasText("Hold");
    }
}
