package org.wache.server;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.options.AriaRole;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Never two truths: after each kind of change all pages of a list are walked without loading any anew, and every count that they show is
 * the audit's.
 */
@ExtendWith(RunningServer.class)
class OneTruthBrowserTest extends InBrowser {

    private static final Map<String, String> WORDS =
            new LinkedHashMap<>(Map.of("hold", "Hold", "query", "Query", "clear", "Clear", "listen", "Listen"));

    private final Browserless who;
    private final Fleets fleets;

    OneTruthBrowserTest(RunningServer server) {
        super(server);
        this.who = Browserless.signedIn(server.address(), "coordinator");
        this.fleets = new Fleets(who);
    }

    private JsonNode desk(long list) {
        return Browserless.json(who.get("/api/lists/" + list));
    }

    private void tab(String name) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("The list"))
                .getByRole(
                        AriaRole.LINK,
                        new Locator.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private Locator row(String name) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name + " \\d+ entries")));
    }

    /** To the lists, where this one is in sight: of many the first are shown. */
    private void lists(String name) {
        page.getByLabel("Wache, to the lists").click();
        page.getByLabel("Find a list").fill(name);
    }

    /** Walks the pages from wherever it is, and compares what each shows with the audit. */
    private void walk(long list, String name, String after) {
        try {
            pages(list, name);
        } catch (AssertionError | RuntimeException e) {
            throw new AssertionError("after " + after + ": " + e.getMessage(), e);
        }
    }

    private void pages(long list, String name) {
        JsonNode counts = desk(list).path("counts");
        tab("Desk");
        Locator filter = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Show only"));
        WORDS.forEach((verdict, word) -> {
            int many = counts.path(verdict).asInt();
            assertThat(filter.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile(word))))
                    .hasText(Pattern.compile("^" + many + word + "$"));
            Locator heading = page.getByRole(
                    AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("^" + word + " ?\\d+$")));
            if (many > 0) {
                assertThat(heading).hasText(Pattern.compile("^" + word + many + "$"));
            } else {
                assertThat(heading).hasCount(0);
            }
        });
        page.locator("[data-entry]").first().click();
        String verdict =
                page.locator("[data-entry]").first().textContent().replaceAll("^(Hold|Query|Clear|Listen).*", "$1");
        assertThat(page.getByLabel("The entry", new Page.GetByLabelOptions().setExact(true)))
                .containsText(verdict);
        tab("Release");
        JsonNode gate = fleets.gate(list);
        Locator main = page.getByRole(AriaRole.MAIN);
        String summary = gate.path("inUse").asBoolean()
                ? "is this list as it is now"
                : gate.path("missing").isEmpty()
                        ? "Nothing is in the way"
                        : "In the way: "
                                + String.join(
                                        "; ",
                                        gate.path("missing")
                                                .valueStream()
                                                .map(JsonNode::asString)
                                                .toList()) + ".";
        assertThat(main).containsText(summary);
        assertThat(main).containsText(gate.path("entries").asInt() + " entries");
        lists(name);
        Locator row = row(name);
        WORDS.keySet().forEach(each -> assertThat(row)
                .containsText(Pattern.compile(counts.path(each).asInt() + "\\s*" + each)));
        boolean todo = Browserless.json(who.get("/api/groups/" + who.group() + "/home"))
                .path("todo")
                .toString()
                .contains("\"" + name + "\"");
        Locator todos = page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile("do", Pattern.CASE_INSENSITIVE)));
        assertThat(todos.getByText(name, new Locator.GetByTextOptions().setExact(true)))
                .hasCount(todo ? 1 : 0);
        row(name).click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name)))
                .isVisible();
    }

    @Test
    void afterEachKindOfChangeEveryPageSaysWhatTheAuditSays() {
        String name = "One truth";
        long person = Browserless.json(who.post(
                        "/api/groups/" + who.group() + "/parties",
                        "{\"kind\":\"person\",\"name\":\"Truth bearer\",\"note\":\"\",\"teams\":[],\"licences\":["
                                + RosterTest.licence("amateur", "technician", "KE9QRB", "2031-01-01") + "]}"))
                .path("id")
                .asLong();
        long list = who.take(
                name, Fleets.LIST.replace("2,LEVEE", "2,Levee walkers") + "5,EDGE,147.995,147.995,FM,5,,,yes,180\n");
        assertThat(who.put(
                                "/api/lists/" + list + "/carriers",
                                "{\"before\":{\"carriers\":[],\"parties\":[],\"teams\":[]},\"after\":{\"carriers\":[],\"parties\":["
                                        + person + "],\"teams\":[]}}")
                        .statusCode())
                .isEqualTo(204);
        page.navigate(address + "/lists/" + list);
        walk(list, name, "at the start");

        tab("Fit"); // a model is ticked, and unticked
        Locator chosen = page.getByLabel("This list is for it, as it is set");
        page.getByRole(
                        AriaRole.GRIDCELL,
                        new Page.GetByRoleOptions().setName(Pattern.compile("Levee walkers, Otter M5")))
                .first()
                .click();
        page.waitForResponse(OneTruthBrowserTest::saved, chosen::check);
        assertThat(page.getByText("Otter M5").first()).isVisible();
        walk(list, name, "a model ticked");
        tab("Fit");
        page.getByRole(
                        AriaRole.GRIDCELL,
                        new Page.GetByRoleOptions().setName(Pattern.compile("Levee walkers, Otter M5")))
                .first()
                .click();
        page.waitForResponse(OneTruthBrowserTest::saved, chosen::uncheck);
        walk(list, name, "a model unticked");
        tab("Fit");
        page.getByRole(
                        AriaRole.GRIDCELL,
                        new Page.GetByRoleOptions().setName(Pattern.compile("Levee walkers, Heron H2, Amateur: ")))
                .click();
        page.waitForResponse(OneTruthBrowserTest::saved, chosen::check);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Call it")))
                .first()
                .click();
        assertThat(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("Call it")))
                .isVisible();
        walk(list, name, "a cure in the fit");

        page.locator("[data-entry]")
                .filter(new Locator.FilterOptions().setHasText("EDGE"))
                .click();
        Locator entry = page.getByLabel("The entry", new Page.GetByLabelOptions().setExact(true));
        assertThat(entry).containsText("47 CFR"); // what the audit says of it has come
        assertThat(entry.getByRole(
                        AriaRole.HEADING,
                        new Locator.GetByRoleOptions().setName("EDGE").setExact(true)))
                .isVisible();
        assertThat(entry.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^1"))))
                .isVisible(); // and its cures
        page.waitForTimeout(1_500); // as long as a person looks at them before pressing one
        page.keyboard().press("1"); // a cure on the Desk
        assertThat(page.getByText(Pattern.compile("just changed"))).isVisible();
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Show only")))
                .containsText("0Hold");
        lists(name);
        row(name).click();
        walk(list, name, "a cure on the Desk");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo"))
                .click();
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Show only")))
                .containsText("1Hold");
        walk(list, name, "a cure undone");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Redo"))
                .click();
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Show only")))
                .containsText("0Hold");

        // somebody else changes the roster while this page is open
        assertThat(who.put(
                                "/api/parties/" + person,
                                "{\"version\":1,\"party\":{\"kind\":\"person\",\"name\":\"Truth bearer\",\"note\":\"\",\"teams\":[],\"licences\":[]}}")
                        .statusCode())
                .isEqualTo(200);
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Show only")))
                .containsText("4Hold");
        walk(list, name, "another's change of the roster");
        assertThat(who.put(
                                "/api/parties/" + person,
                                "{\"version\":2,\"party\":{\"kind\":\"person\",\"name\":\"Truth bearer\",\"note\":\"\",\"teams\":[],\"licences\":["
                                        + RosterTest.licence("amateur", "technician", "KE9QRB", "2031-01-01") + "]}}")
                        .statusCode())
                .isEqualTo(200);
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Show only")))
                .containsText("0Hold");

        // the gate follows what others do
        tab("Release");
        long release = released(list);
        assertThat(page.getByRole(AriaRole.MAIN)).containsText("Release 1 is this list as it is now, and is in use.");
        walk(list, name, "another's release");
        assertThat(who.post("/api/releases/" + release + "/recall", "{\"reason\":\"For the walk\"}")
                        .statusCode())
                .isEqualTo(204);
        walk(list, name, "a recall");
    }

    /** Whether an answer says that a model was saved; the page also asks at that address. */
    private static boolean saved(Response answer) {
        return answer.request().method().equals("PUT") && answer.url().endsWith("/radios") && answer.ok();
    }

    private long released(long list) {
        JsonNode gate = fleets.gate(list);
        java.util.List<String> open = gate.path("matters")
                .valueStream()
                .filter(each -> each.path("waiver").isNull())
                .map(each -> "\"" + each.path("print").asString() + "\"")
                .toList();
        if (!open.isEmpty()) {
            assertThat(who.post(
                                    "/api/lists/" + list + "/waivers",
                                    "{\"prints\":" + open + ",\"reason\":\"Fit for a test\"}")
                            .statusCode())
                    .isEqualTo(204);
        }
        var signed = fleets.sign(list);
        assertThat(signed.statusCode()).as(signed.body()).isEqualTo(204);
        assertThat(page.getByText("Signed by")).isVisible(); // within seconds, without a press
        return Browserless.json(fleets.releaseNow(list)).path("id").asLong();
    }
}
