package org.wache.server;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The pages beside the Desk: who may key, cures of a list, roster, place, band plan, rulebook. */
@ExtendWith(RunningServer.class)
class PagesBrowserTest extends InBrowser {

    private static final String CSV =
            """
      number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone
      1,Calling,146.520,146.520,FM,5,
      2,Twenty,14.250,14.250,USB,100,
      3,Weather,162.550,,NFM,,
      4,Edge,147.994,147.994,FM,5,
      """;
    private static final String NO_CHOICE = "{\"carriers\":[],\"parties\":[],\"teams\":[]}";

    private final Browserless coordinator;

    PagesBrowserTest(RunningServer server) {
        super(server);
        this.coordinator = Browserless.signedIn(server.address(), "coordinator");
    }

    private long carriedBy(String csv, String team) {
        long list = coordinator.take("looked at", csv);
        coordinator.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":" + NO_CHOICE + ",\"after\":"
                        + NO_CHOICE.replace("\"teams\":[]", "\"teams\":[\"" + team + "\"]") + "}");
        return list;
    }

    private void go(String path) {
        page.navigate(address + path);
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator heading(String name) {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void theMatrixIsWalkedByKeysAndSaysWhy() {
        long list = carriedBy(CSV, "River watch");
        go("/lists/" + list + "/who?by=class");
        Locator grid = page.getByRole(AriaRole.GRID);
        assertThat(grid).containsText("Without licence");
        grid.focus();
        page.keyboard().press("ArrowDown");
        Locator why = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Why"));
        assertThat(why).containsText("Twenty");
        assertThat(why).containsText("needs an amateur licence");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        assertThat(why).containsText("for Technician");
        assertThat(why).containsText("needs General class");
        assertThat(why).containsText("47 CFR 97.301");
        page.keyboard().press("End");
        assertThat(why).containsText("for Extra");
        assertThat(why).containsText("Extra: 20 m");
    }

    @Test
    void onePressMakesAVariantThatFollowsItsParent() {
        long list = carriedBy(CSV, "River watch");
        go("/lists/" + list + "/who?by=class");
        page.getByRole(AriaRole.GRID).focus();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        Locator why = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Why"));
        assertThat(why).containsText("for Technician");
        assertThat(why).hasAttribute("aria-busy", "false"); // its reason has come, and nothing moves any more
        button("Make a variant for Technician").click();
        assertThat(why).isHidden(); // else it says what was in the way
        assertThat(heading("looked at, for Technician")).isVisible();
        assertThat(page.getByText("This list follows “looked at”")).isVisible();
        Locator twenty = page.locator("[data-entry]").filter(new Locator.FilterOptions().setHasText("Twenty"));
        assertThat(twenty).containsText("Listen only: USB on 14.250 MHz");
        button("All its fields").click();
        assertThat(page.getByLabel("Hears (RX), MHz")).not().isEditable();
        assertThat(button("Cure all")).isHidden();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("To looked at"))
                .click();
        assertThat(heading("looked at")).isVisible();
    }

    /** The address follows what is chosen when the keys rest; meanwhile somebody may be on the way to another page. */
    @Test
    void whoLeavesAPageIsNotBroughtBackByIt() {
        long list = carriedBy(CSV, "River watch");
        page.route("**/assets/DeskPage-*.js", route -> {
            page.waitForTimeout(900);
            route.resume();
        });
        go("/lists/" + list + "/who?by=class");
        page.getByRole(AriaRole.GRID).focus();
        page.keyboard().press("ArrowDown");
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("The list"))
                .getByRole(
                        AriaRole.LINK,
                        new Locator.GetByRoleOptions().setName("Desk").setExact(true))
                .click();
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Show only")))
                .isVisible();
        page.unroute("**/assets/DeskPage-*.js");
    }

    @Test
    void theCuresOfAWholeListAreOneStepBack() {
        go("/lists/" + carriedBy(CSV, "River watch"));
        Locator holds = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Show only"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Hold"));
        assertThat(holds).containsText("2");
        page.keyboard().press("a");
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog).containsText("Nothing is taken from those who may unless you say so:");
        assertThat(dialog).containsText("NFM instead of FM");
        button("Apply 1 cure").click();
        assertThat(holds).containsText("1");
        page.keyboard().press("Control+z");
        assertThat(holds).containsText("2");
        page.keyboard().press("a");
        dialog.getByRole(AriaRole.CHECKBOX).nth(1).uncheck();
        assertThat(button("Apply 0 cures")).isDisabled();
    }

    @Test
    void aListSeenAsOfAnotherDayIsNotChanged() {
        long list = carriedBy("number,name,rx_mhz,tx_mhz,mode,power_w\n1,Sixty,5.354,5.354,USB,9\n", "HF desk");
        go("/lists/" + list + "?on=2026-02-12");
        assertThat(page.locator("[data-entry]").first()).containsText("Hold");
        assertThat(page.getByText("You see the list as of 12 Feb 2026")).isVisible();
        page.getByRole(AriaRole.MAIN)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Back to today"))
                .click();
        assertThat(page.locator("[data-entry]").first()).containsText("Clear");
    }

    @Test
    void somebodyIsTakenIntoTheRosterAndHeldAgainstTheRegister() {
        go("/roster");
        button("Add someone").click();
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Linnea Eddy");
        page.getByLabel("Add to a team").fill("Net control");
        button("Amateur").click();
        page.getByLabel("Class").selectOption("novice");
        page.getByLabel("Call sign").fill("kf0qut");
        button("Save").click();
        Locator register = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Licence register"));
        assertThat(register).containsText("The class is technician, not novice.");
        register.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Use the register’s value"))
                .click();
        assertThat(page.getByLabel("Class")).hasValue("technician");
        button("Save").click();
        assertThat(register).containsText("The register says the same.");
        page.getByLabel("Call sign").fill("XX1QRA");
        button("Save").click();
        assertThat(page.getByText("has not the usual shape")).isVisible();
        page.getByText("Remove Linnea Eddy from the roster").click();
        assertThat(page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Everyone")))
                .not()
                .containsText("Linnea Eddy");
    }

    @Test
    void aRefusalInTheRosterKeepsWhatWasTyped() {
        go("/roster?party=new");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Ada Fenwright");
        button("Save").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Give this one another name");
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Ada Fenwright");
    }

    @Test
    void thePlaceIsSetAndItsRulesAreTold() {
        long list = carriedBy("number,name,rx_mhz,tx_mhz,mode,power_w\n1,Low,427.000,427.000,NFM,5\n", "Net control");
        go("/lists/" + list + "/place");
        assertThat(page.getByTestId("map")).isVisible();
        page.getByLabel("The place is").selectOption("site");
        page.getByLabel("Latitude, ° N or S").fill("north");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("The latitude should be degrees such as 45.2° N");
        page.getByLabel("Latitude, ° N or S").fill("42,33");
        page.getByLabel("Longitude, ° E or W").fill("83.05 W");
        assertThat(page.getByText("In Michigan.")).isVisible();
        assertThat(page.getByText(Pattern.compile("^North of Line A, \\d+ km"))).isVisible();
        button("Save").click();
        assertThat(button("Save")).isDisabled();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Desk").setExact(true))
                .click();
        assertThat(page.locator("[data-entry]").first()).containsText("is closed to amateur stations north of Line A");
    }

    @Test
    void aPlanIsTriedBeforeItIsPutInForceAndCanBeBroughtBack() {
        context.close();
        openAs("neighbour", 1280, 800, ColorScheme.LIGHT);
        Browserless neighbour = Browserless.signedIn(address, "neighbour");
        long list = neighbour.take(
                "Marsh End list", "number,name,rx_mhz,tx_mhz,mode,power_w\n1,Mast,146.550,146.550,FM,5\n");
        neighbour.put(
                "/api/lists/" + list + "/carriers",
                "{\"before\":" + NO_CHOICE + ",\"after\":{\"carriers\":[{\"name\":\"T\"," + "\"licences\":["
                        + RosterTest.licence("amateur", "technician", null, null)
                        + "]}],\"parties\":[],\"teams\":[]}}");
        go("/plan");
        button("Add a row").click();
        page.getByLabel("Range or frequency, MHz").last().fill("146.55");
        page.getByLabel("Warning").last().fill("mast crew first");
        assertThat(page.getByText("1 entry becomes a query")).isVisible();
        assertThat(page.getByText("mast crew first")).isVisible();
        page.getByLabel("What changed").fill("mast");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Put version")))
                .click();
        assertThat(page.getByText("Nothing is changed yet.")).isVisible();
        assertThat(page.getByText(": mast")).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Remove the row 146.55"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Put version")))
                .click();
        assertThat(page.getByText("without a reason").first()).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Bring back"))
                .first()
                .click();
        assertThat(page.getByText("1 entry becomes a query")).isVisible();
    }

    @Test
    void theRulebookAnswers() {
        go("/rulebook");
        page.getByLabel("What is at").fill("468,95");
        page.keyboard().press("Enter");
        assertThat(page.getByText("The input of a land mobile repeater on 463.950 MHz."))
                .isVisible();
        page.getByLabel("What is at").fill("tea");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("is no frequency");
        button("Band edges").click();
        assertThat(page.getByRole(AriaRole.TABLE)).containsText("14.225");
        assertThat(page.getByRole(AriaRole.TABLE).getByRole(AriaRole.ROW)).hasCount(3);
        page.getByLabel("Slots in the transceiver").fill("1");
        assertThat(page.getByText("1 more part finds no slot")).isVisible();
        button("Bands").click();
        page.getByLabel("For whom").selectOption("amateur:technician");
        assertThat(page.getByRole(
                        AriaRole.IMG,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^2 m, For the class Technician"))))
                .containsText("the FM calling frequency");
        button("Table").click();
        page.getByLabel("Find in this band").fill("146.52");
        assertThat(page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName("The band plan").setExact(true)))
                .containsText("the FM calling frequency");
        button("All classes").click();
        assertThat(page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName("General").setExact(true)))
                .containsText("Single sideband");
        button("Tones and codes").click();
        page.getByLabel("Find a tone or code").fill("27");
        assertThat(page.getByText("code 27")).isVisible();
        button("Channel names").click();
        page.getByLabel("Find a channel").fill("R2");
        assertThat(page.getByRole(AriaRole.TABLE)).containsText("467.575");
        button("Editions").click();
        assertThat(page.getByText("5.3515–5.3665 MHz: 9.15 W ERP at most")).isVisible();
    }

    @Test
    void homeTellsWhatTimeBrings() {
        Locator time = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What time brings"));
        assertThat(time).containsText("changes 2 entries of HF desk");
        assertThat(time).containsText("Karl Backwater");
        time.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile("Karl Backwater")))
                .click();
        assertThat(page.getByLabel("Expires")).hasValue("2026-08-31");
    }

    /** From the first page: a copy is named, put into the archive, deleted there, and is back by one press each. */
    @Test
    void aListIsNamedPutAwayAndBroughtBackWhereItStands() throws IOException {
        carriedBy(CSV, "River watch");
        String named = "To be put away";
        go("/lists");
        Locator find = page.getByLabel("Find a list");
        find.fill("HF desk");
        page.getByLabel("More for HF desk").click();
        choose("Copy");
        Locator name = page.getByLabel("New name of HF desk, copy");
        assertThat(name).isFocused();
        name.fill(named);
        name.press("Enter");
        find.fill(named);
        Locator row = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^" + named)));
        assertThat(row).isVisible();
        assertAccessible();
        page.getByLabel("More for " + named).click();
        choose("Archive");
        assertThat(page.getByText(named + " is in the archive.")).isVisible();
        assertThat(row).isHidden();
        button("Undo").click();
        assertThat(row).isVisible();
        page.getByLabel("More for " + named).click();
        choose("Delete");
        assertThat(page.getByText(named + " is deleted.")).isVisible();
        assertThat(row).isHidden();
        page.reload(); // the way back outlasts the bar
        page.getByText(Pattern.compile("^Deleted \\(")).click();
        page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(named))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Bring back"))
                .click();
        assertThat(row).isVisible();
    }

    private void choose(String item) {
        page.getByRole(
                        AriaRole.MENUITEM,
                        new Page.GetByRoleOptions().setName(item).setExact(true))
                .click();
    }

    @Test
    void fiveHundredEntriesByTwoHundredPeopleDrawOnlyWhatIsInSight() {
        Browserless neighbour = Browserless.signedIn(address, "neighbour");
        for (int i = 0; i < 200; i++) {
            String held = List.of("novice", "technician", "general", "advanced", "extra")
                    .get(i % 5);
            neighbour.post(
                    "/api/groups/" + neighbour.group() + "/parties",
                    "{\"kind\":\"person\",\"name\":\"Member " + i + "\",\"note\":\"\",\"teams\":[],\"licences\":["
                            + RosterTest.licence("amateur", held, null, null) + "]}");
        }
        StringBuilder csv = new StringBuilder("number,name,rx_mhz,tx_mhz,mode,power_w\n");
        for (int i = 0; i < 500; i++) {
            String mhz = String.format("%.3f", 144.2 + i * 0.005);
            csv.append(i + 1)
                    .append(",E")
                    .append(i + 1)
                    .append(',')
                    .append(mhz)
                    .append(',')
                    .append(mhz)
                    .append(",FM,5\n");
        }
        long list = neighbour.take("large", csv.toString());
        JsonNode matrix = Browserless.json(neighbour.get("/api/lists/" + list + "/matrix"));
        assertThat(matrix.path("columns").size()).isGreaterThanOrEqualTo(200);
        assertThat(matrix.path("cells").size())
                .as("columns with equal rights share their cells")
                .isLessThan(10);
        context.close();
        openAs("neighbour", 1280, 800, ColorScheme.LIGHT);
        go("/lists/" + list + "/who");
        Locator grid = page.getByRole(AriaRole.GRID);
        assertThat(grid).containsText("E1");
        grid.focus();
        page.keyboard().press("End");
        for (int i = 0; i < 40; i++) {
            page.keyboard().press("PageDown");
        }
        assertThat(grid).containsText("E500");
        assertThat(page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Why")))
                .containsText("E500");
        assertThat(page.getByRole(AriaRole.GRIDCELL).count()).isLessThan(2_000);
    }

    @Test
    void theFurtherScreensAreAccessibleInBothThemes() throws IOException {
        long list = carriedBy(CSV, "River watch");
        for (ColorScheme scheme : List.of(ColorScheme.LIGHT, ColorScheme.DARK)) {
            context.close();
            open(1280, 800, scheme);
            for (String path : List.of(
                    "/lists/" + list + "/who",
                    "/lists/" + list + "/place",
                    "/roster?party=1",
                    "/plan",
                    "/rulebook?view=at&mhz=146.94",
                    "/rulebook?view=bands",
                    "/rulebook?view=edges",
                    "/rulebook?view=tones",
                    "/rulebook?view=names",
                    "/rulebook?view=editions")) {
                go(path);
                page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
                assertAccessible();
            }
            go("/lists/" + list);
            assertThat(page.getByTestId("verdict")).isVisible();
            page.keyboard().press("a");
            assertThat(button("Apply 1 cure")).isVisible();
            assertAccessible();
        }
    }

    @Test
    void onAPhoneNothingIsWiderThanTheScreen() {
        long list = carriedBy(CSV, "River watch");
        context.close();
        open(390, 844, ColorScheme.LIGHT);
        for (String path : List.of(
                "/lists",
                "/lists/" + list,
                "/lists/" + list + "/who",
                "/lists/" + list + "/place",
                "/roster",
                "/roster?party=1",
                "/plan",
                "/rulebook?view=at&mhz=146.94",
                "/rulebook?view=bands",
                "/rulebook?view=edges",
                "/rulebook?view=tones",
                "/rulebook?view=editions")) {
            go(path);
            page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
            assertThat(page.evaluate("() => document.documentElement.scrollWidth"))
                    .as(path)
                    .isEqualTo(390);
        }
    }
}
