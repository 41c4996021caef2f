package org.wache.server;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The pages On site, Stations, Abroad, and additions to the rulebooks. */
@ExtendWith(RunningServer.class)
class OnSiteBrowserTest extends InBrowser {

    private static final String CSV =
            """
      number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone
      1,Calling,146.520,146.520,FM,5,
      2,Ridge,146.610,146.010,FM,5,100.0
      3,Mill,147.030,147.630,FM,5,88.5
      4,Levee,147.510,147.510,FM,5,
      """;

    private final Browserless coordinator;

    OnSiteBrowserTest(RunningServer server) {
        super(server);
        this.coordinator = Browserless.signedIn(server.address(), "coordinator");
    }

    private long carried() {
        long list = coordinator.take("seen on site", CSV);
        String none = "{\"carriers\":[],\"parties\":[],\"teams\":[]}";
        coordinator.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":" + none + ",\"after\":" + none.replace("\"teams\":[]", "\"teams\":[\"River watch\"]")
                        + "}");
        return list;
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator panel() {
        return page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("What reaches it"));
    }

    @Test
    void aHitIsOpenedWithItsSumAndClearedByTheLeastChange() throws IOException {
        long list = carried();
        page.navigate(address + "/lists/" + list + "/site");
        Locator disturbed = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Disturbed entries"));
        assertThat(disturbed).containsText("2 × 146.520 − 146.010 = 147.030");
        disturbed
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("Levee")))
                .click();
        panel().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("3 × 146.520")))
                .click();
        assertThat(panel()).containsText("lands here");
        assertThat(panel()).containsText("The least change that clears it");
        assertAccessible();
        panel().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Do it"))
                .first()
                .click();
        assertThat(page.getByRole(AriaRole.STATUS).first()).containsText("Levee: ");
        assertThat(disturbed.getByRole(
                        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("Levee.*fifth"))))
                .hasCount(0);
        button("Undo").click();
        assertThat(disturbed.getByRole(
                        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("Levee.*fifth"))))
                .hasCount(1);
    }

    @Test
    void whatIsKeyedTogetherIsChosenAndTheDeskAsks() throws IOException {
        long list = carried();
        page.navigate(address + "/lists/" + list + "/site");
        assertThat(page.getByText("Only looked at: the Desk does not ask about it."))
                .isVisible();
        button("Hold the list against it").click();
        assertThat(page.getByText("The Desk asks about what is found here.")).isVisible();
        page.navigate(address + "/lists/" + list);
        assertThat(page.locator("body")).containsText("The third-order product 2 × 146.520 − 146.010 = 147.030 MHz");
        page.navigate(address + "/lists/" + list + "/site");
        button("Per base").click();
        page.getByLabel("Calling at Ferry landing").check();
        page.getByLabel("Mill at Ferry landing").check();
        button("Hold the list against it").click();
        assertThat(page.getByText(Pattern.compile("2 transmit frequencies, 2 receivers")))
                .isVisible();
        assertAccessible();
    }

    @Test
    void aClearChannelIsPickedAndAdded() {
        long list = carried();
        page.navigate(address + "/lists/" + list + "/site");
        button("Look").click();
        Locator picks = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("A clear channel"));
        picks.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add it"))
                .first()
                .click();
        assertThat(page.getByRole(AriaRole.STATUS).first())
                .containsText(java.util.regex.Pattern.compile("CLR [\\d.]+ was added as number 5"));
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("See it in the list"))
                .click();
        assertThat(page.getByLabel("The entry", new Page.GetByLabelOptions().setExact(true)))
                .containsText("CLR ");
        assertThat(Browserless.json(coordinator.get("/api/lists/" + list)).path("slips"))
                .hasSize(5);
    }

    @Test
    void aStationIsTypedInAnyUnitAndEachFigureOpensItsSum() throws IOException {
        long list = carried();
        page.navigate(address + "/stations?station=new&list=" + list);
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Sluice");
        page.getByLabel("Output at most").fill("47 dBm");
        assertThat(page.getByText("50.1 W = 47.0 dBm = 17.0 dBW")).isVisible();
        page.getByLabel("Antenna gain").fill("5.15 dBi");
        assertThat(page.getByText("3 dBd = 5.15 dBi")).isVisible();
        button("Calling").click();
        Locator figure = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Keep people away")));
        figure.click();
        assertThat(page.getByText(Pattern.compile("OET Bulletin 65 equation 6")).first())
                .isVisible();
        assertAccessible();
        button("Add it").click();
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Stations")))
                .containsText("Sluice");
        button("Remove it").click();
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Stations")))
                .not()
                .containsText("Sluice");
    }

    @Test
    void aListIsTakenAbroad() throws IOException {
        long list = carried();
        page.navigate(address + "/lists/" + list + "/abroad");
        assertThat(page.getByText("4 of 4 entries may not be keyed in the United Kingdom"))
                .isVisible();
        assertThat(page.getByRole(AriaRole.COMPLEMENTARY)).containsText("does not count");
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("May I take this along to"))
                .selectOption("au");
        assertThat(page.getByText(Pattern.compile("Nothing that may be keyed at home is lost in Australia")))
                .isVisible();
        assertAccessible();
    }

    @Test
    void theRulebookOfAnotherCountryIsRead() throws IOException {
        page.navigate(address + "/rulebook?view=bands");
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Country"))
                .selectOption("uk");
        button("4 m").click();
        assertThat(page.locator("main")).containsText("70.000–70.500 MHz");
        assertThat(page.locator("main")).containsText("Foundation");
        assertAccessible();
    }

    @Test
    void anAdditionIsCheckedAsItIsTyped() throws IOException {
        page.navigate(address + "/installation/rulebooks");
        button("a private service").click();
        Locator text = page.getByLabel("Text of the addition");
        assertThat(page.getByText("counts at once")).isVisible();
        text.fill(text.inputValue().replace("kind: channels", "kind: canals"));
        assertThat(page.getByRole(AriaRole.ALERT))
                .containsText("line 7: kind should be bands, channels or authorised, not “canals”");
        assertThat(button("Put it in force")).hasCount(0);
        assertAccessible();
        text.fill(
                text.inputValue().replace("kind: canals", "kind: channels").replace("harbour-net", "harbour-net-two"));
        button("Put it in force").click();
        assertThat(page.getByText("harbour-net-two, us")).isVisible();
        button("Take it back …").click();
        button("Take it back").click();
        assertThat(page.getByText(Pattern.compile("Taken back by Ada Fenwright"))
                        .first())
                .isVisible();
        page.waitForTimeout(500);
        assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
    }

    @Test
    void thePagesAreReadableInTheDarkAndOnANarrowScreen() throws IOException {
        long list = carried();
        context.close();
        open(390, 844, ColorScheme.DARK);
        for (String path : new String[] {
            "/lists/" + list + "/site", "/lists/" + list + "/abroad", "/stations", "/installation/rulebooks"
        }) {
            page.navigate(address + path);
            assertThat(page.getByRole(AriaRole.MAIN)).isVisible();
            page.waitForTimeout(600);
            assertAccessible();
            assertThat((Boolean) page.evaluate("() => document.documentElement.scrollWidth <= window.innerWidth + 1"))
                    .as(path + " is not wider than the screen")
                    .isTrue();
        }
    }
}
