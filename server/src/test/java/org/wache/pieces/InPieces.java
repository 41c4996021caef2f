package org.wache.pieces;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.Route;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** A page with nothing but the pieces of the front end; a fault in it fails the test. */
abstract class InPieces {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Path SCRIPT = Path.of("..", "web", "target", "pieces", "pieces.js");
    protected static final String ADDRESS = "http://pieces.invalid/";

    private static Playwright playwright;
    private static BrowserContext context;

    private static final List<String> FAULTS = new ArrayList<>();
    protected static Page page;

    @BeforeAll
    static void openBrowser() {
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        context = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")))
                .newContext(new Browser.NewContextOptions().setTimezoneId("America/Chicago"));
        context.route(
                ADDRESS,
                route -> route.fulfill(new Route.FulfillOptions()
                        .setContentType("text/html")
                        .setBody("<!doctype html><title>Pieces</title><div id=held></div>")));
        page = context.newPage();
        page.onPageError(FAULTS::add);
        page.navigate(ADDRESS);
        page.addScriptTag(new Page.AddScriptTagOptions().setPath(SCRIPT));
    }

    @AfterAll
    static void closeBrowser() {
        playwright.close();
    }

    @AfterEach
    void noFault() {
        assertThat(FAULTS).isEmpty();
        page.unroute(ADDRESS + "api/**");
        page.evaluate("() => sessionStorage.clear()");
    }

    /** What a piece says, such as {@code view.zoomed}, to arguments that are written as JSON. */
    protected final JsonNode ask(String piece, String... arguments) {
        return JSON.readTree((String) page.evaluate(
                "([piece, args]) => ask(piece, args)",
                List.of(piece, Arrays.stream(arguments).collect(Collectors.joining(",", "[", "]")))));
    }

    /** Puts a hook into a component, with arguments that are written as JSON. */
    protected final void hold(String hook, String... arguments) {
        page.evaluate(
                "([hook, args]) => hold(hook, args)",
                List.of(hook, Arrays.stream(arguments).collect(Collectors.joining(",", "[", "]"))));
    }

    /** What comes out of an expression about the hook that is held, which is called {@code it}; promises are waited for. */
    protected final JsonNode held(String expression) {
        return JSON.readTree((String) page.evaluate(
                "async () => { const it = held(); return JSON.stringify((await (" + expression + ")) ?? null); }"));
    }

    protected static JsonNode json(String text) {
        return JSON.readTree(text);
    }
}
