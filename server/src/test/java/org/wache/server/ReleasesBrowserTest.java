package org.wache.server;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The gate, releases and their papers, the card on a telephone, people, the log, and two browsers on one list. */
@ExtendWith(RunningServer.class)
class ReleasesBrowserTest extends InBrowser {

    private static final String PLAIN = "Plain P1";
    /** Pages hear of each other every six seconds. */
    private static final com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions LATER =
            new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions().setTimeout(15_000);

    private static final String QUERIED =
            """
      number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,rx_tone,scan,timeout_s
      1,RIDGE,146.940,146.340,FM,5,100.0,,yes,180
      2,PUMPS,147.570,147.570,FM,,103.5,103.5,yes,180
      """;

    private final Browserless who;
    private final Fleets fleets;

    ReleasesBrowserTest(RunningServer server) {
        super(server);
        this.who = Browserless.signedIn(server.address(), "coordinator");
        this.fleets = new Fleets(who);
        who.post(
                "/api/groups/" + who.group() + "/models",
                "{\"body\":{\"format\":\"wache-radio/1\",\"model\":\"" + PLAIN + "\"}}"); // the first time
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator button(Page of, String name) {
        return of.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private void as(String login, String path) {
        context.close();
        openAs(login, 1280, 800, ColorScheme.LIGHT);
        page.navigate(address + path);
    }

    @Test
    void aListIsWaivedSignedReleasedAndRecalled() throws IOException {
        long list = fleets.list("Through the gate", QUERIED);
        fleets.choose(list, PLAIN);
        page.navigate(address + "/lists/" + list + "/release");
        assertThat(
                        page.getByText(
                                "In the way: 1 entry is with a query that is neither cured nor waived; a second person has not signed."))
                .isVisible();
        assertThat(button("Release 1")).isDisabled();
        button("Waive …").click();
        page.getByLabel("Why it may stand: your name goes with it").fill("The pump crews keep to 5 W");
        assertAccessible();
        page.keyboard().press("Enter");
        assertThat(page.getByText("Waived by Ada Fenwright")).isVisible();
        assertThat(page.getByText("You made the last change of it. Somebody else has to look at it."))
                .isVisible();
        assertAccessible();

        as("reviewer", "/lists");
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions()
                                .setName(Pattern.compile("Through the gate waits for a second person to sign")))
                .click();
        page.getByLabel("A note, if you like").fill("Looked at each");
        button("I have looked at it: sign").click();
        assertThat(page.getByText(Pattern.compile("Signed by Jonas Weirley"))).isVisible();
        assertThat(button("Release 1")).hasCount(0);

        as("coordinator", "/lists/" + list + "/release");
        assertThat(page.getByText("Nothing is in the way. It can go out.")).isVisible();
        button("Release 1").click();
        assertThat(page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName(Pattern.compile("Through the gate, release 1"))))
                .isVisible();
        assertThat(page.getByText("The pump crews keep to 5 W").first()).isVisible();
        assertAccessible();
        Download file = page.waitForDownload(
                () -> page.getByText("The release as a file").click());
        page.navigate(address + "/releases");
        page.locator("input[type=file]").setInputFiles(file.path());
        assertThat(page.getByText("As it was released: Through the gate, release 1 of Tern Valley flood watch"))
                .isVisible();
        assertAccessible();

        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Release 1.*by Ada.*in no radio")))
                .first()
                .click();
        button("Recall it …").click();
        page.getByLabel("Why").fill("A test is over");
        button("Recall release 1").click();
        assertThat(page.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("A test is over")))
                .isVisible();
    }

    @ParameterizedTest
    @ValueSource(strings = {"/people", "/log", "/account", "/installation", "/releases/1", "/lists/7/release"})
    void newScreensAreAccessibleInBothThemes(String path) throws IOException {
        page.navigate(address + path);
        assertThat(page.getByRole(AriaRole.HEADING).first()).isVisible();
        page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
        assertAccessible();
        context.close();
        open(390, 844, ColorScheme.DARK);
        page.navigate(address + path);
        page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
        assertAccessible();
        assertThat((Boolean) page.evaluate("() => document.documentElement.scrollWidth <= 390"))
                .as("nothing reaches over the edge")
                .isTrue();
    }

    @Test
    void aMemberOnATelephoneSeesTheirCardAndNothingOfTheGroup() throws IOException {
        context.close();
        openAs("member", 390, 844, ColorScheme.LIGHT);
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Rosa Quill")))
                .isVisible();
        assertThat(page.getByText("RIDGE", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Roster")))
                .hasCount(0);
        assertAccessible();
        page.navigate(address + "/roster");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Rosa Quill")))
                .isVisible();
    }

    @Test
    void theCardOpensByItsCodeAndThenWithoutANetwork(RunningServer server) throws Exception {
        long party = Browserless.json(who.get("/api/releases/1"))
                .path("holders")
                .path(0)
                .path("party")
                .asLong();
        who.bytes("/api/releases/1/cards.pdf?party=" + party);
        String token;
        try (var connection = java.sql.DriverManager.getConnection(server.database(), "wache", "");
                var found = connection
                        .createStatement()
                        .executeQuery("select token from card_link where ended_at is null and party_id = " + party)) {
            found.next();
            token = found.getString(1);
        }
        context.close();
        context = browser.newContext(new Browser.NewContextOptions().setViewportSize(390, 844));
        page = context.newPage();
        page.navigate(address + "/card#" + token);
        assertThat(page.getByText("River hand-helds, spring, release 1")).isVisible();
        page.waitForFunction(
                "() => navigator.serviceWorker.ready.then(() => caches.match('/card')).then((found) => !!found)");
        assertAccessible();
        context.setOffline(true);
        page.navigate(address + "/card#" + token);
        page.reload();
        assertThat(page.getByText("RIDGE", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(page.getByText(Pattern.compile("^No network: as it was on"))).isVisible();
        context.setOffline(false);
    }

    @Test
    void twoBrowsersOnOneListSeeEachOtherAndAConflictIsSettledEntryByEntry() {
        long list = fleets.list("Two at once", QUERIED);
        page.navigate(address + "/lists/" + list);
        page.getByText("PUMPS").first().click();
        BrowserContext second = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
        try {
            Page other = second.newPage();
            other.navigate(address);
            other.getByLabel("Name").fill("reviewer");
            other.getByLabel("Password").fill("tern-valley");
            other.keyboard().press("Enter");
            assertThat(other.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Pages")))
                    .isVisible();
            other.navigate(address + "/lists/" + list);
            assertThat(other.getByText("Ada Fenwright is here too, at 2 PUMPS")).isVisible();
            assertThat(page.getByText(Pattern.compile("Jonas Weirley is here too")))
                    .isVisible(LATER);

            page.keyboard().press("e");
            page.getByLabel("Power, W").fill("4"); // typed, not saved
            other.getByText("PUMPS").first().click();
            other.keyboard().press("e");
            other.getByLabel("Power, W").fill("25");
            other.getByLabel("Power, W").press("Enter");
            assertThat(page.getByText(Pattern.compile("Jonas Weirley saved something while you type")))
                    .isVisible(LATER);
            page.getByLabel("Power, W").press("Enter");
            assertThat(page.getByRole(AriaRole.DIALOG).getByText("25")).isVisible();
            page.getByRole(AriaRole.DIALOG)
                    .getByText("Mine", new Locator.GetByTextOptions().setExact(true))
                    .click();
            button("Save mine").click();
            assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
            assertThat(page.getByLabel("Power, W")).hasValue("4");
            assertThat(other.getByText("4 W").first()).isVisible(LATER); // comes in by itself where nobody types
            assertThat(button(other, "Save mine")).hasCount(0);
        } finally {
            second.close();
        }
    }

    @Test
    void somebodyIsInvitedAndComesIn() {
        page.navigate(address + "/people");
        page.getByLabel("Who it is for").fill("Wim Sandpiper");
        page.getByRole(
                        AriaRole.COMBOBOX,
                        new Page.GetByRoleOptions().setName("As").setExact(true))
                .selectOption("technician");
        button("Create the link").click();
        String link = page.getByRole(AriaRole.STATUS).locator("code").textContent();
        context.close();
        context = browser.newContext();
        page = context.newPage();
        page.navigate(link);
        assertThat(page.getByText("Ada Fenwright invites Wim Sandpiper to")).isVisible();
        page.getByLabel("Your name").fill("Wim Sandpiper");
        page.getByLabel("Name to sign in with").fill("wim");
        page.getByLabel("Password, at least 10 characters").fill("by the sluice");
        button("Create the account").click();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bench")))
                .isVisible();
        page.navigate(address + "/lists/7");
        assertThat(page.getByText("RIDGE").first()).isVisible();
        button("All its fields").click();
        assertThat(page.getByLabel("Hears (RX), MHz")).not().isEditable();
    }

    @Test
    void theLogIsFilteredAndShowsWhatWasBefore() {
        long list = fleets.list("Written down", QUERIED);
        long entry = Browserless.json(who.get("/api/lists/" + list))
                .path("slips")
                .path(1)
                .path("id")
                .asLong();
        who.post(
                "/api/lists/" + list + "/changes",
                "{\"version\":2,\"changes\":[{\"kind\":\"edit\",\"entry\":" + entry
                        + ",\"before\":{\"name\":\"PUMPS\"},\"after\":{\"name\":\"PUMP 1\"}}]}");
        page.navigate(address + "/log");
        page.getByLabel("Find").fill("pump 1");
        assertThat(page.getByText(Pattern.compile("PUMPS: called PUMP 1|PUMP 1"))
                        .first())
                .isVisible();
        button("1 value").first().click();
        assertThat(page.getByRole(
                        AriaRole.CELL,
                        new Page.GetByRoleOptions().setName("PUMP 1").setExact(true)))
                .isVisible();
        page.getByRole(
                        AriaRole.COMBOBOX,
                        new Page.GetByRoleOptions().setName("What").setExact(true))
                .selectOption("radio");
        assertThat(page.getByText("Nothing is written down that fits.")).isVisible();
    }
}
