package org.wache.benchmarks;

import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.RequestOptions;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * How long the Desk keeps whoever uses it waiting, with a list of 4,000 entries, in Chromium on a processor slowed down four times: from the
 * server's answer to the last long task, and from a press to the next paint (the event timing of the browser). It runs against a demo
 * that is up: {@code ./wache demo}, then {@code ./wache bench desk}.
 */
public final class DeskSpeed {

    private static final int ENTRIES = 4_000;
    private static final double[] BASES = {144.2, 146.4, 147.0, 440.1, 462.5, 446.0, 154.5, 222.1};
    private static final String WATCH =
            """
      window.presses = []; window.tasks = [];
      new PerformanceObserver(list => list.getEntries().forEach(each => each.interactionId && window.presses.push(each.duration)))
        .observe({ type: 'event', buffered: true, durationThreshold: 16 });
      new PerformanceObserver(list => list.getEntries().forEach(each => window.tasks.push(each.startTime + each.duration)))
        .observe({ type: 'longtask', buffered: true });
      """;

    private DeskSpeed() {}

    /** Measures; the first argument is the address of the demo, the second how often the processor is slowed. */
    public static void main(String[] arguments) {
        String address = arguments.length > 0 ? arguments[0] : "http://127.0.0.1:8700";
        int slowed = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 4;
        try (Playwright playwright = Playwright.create(
                        new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
                Browser browser = playwright
                        .chromium()
                        .launch(new BrowserType.LaunchOptions()
                                .setExecutablePath(Path.of("/usr/bin/chromium"))
                                .setArgs(List.of("--no-sandbox", "--disable-gpu")))) {
            BrowserContext context = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
            Page page = context.newPage();
            page.navigate(address);
            page.getByLabel("Name").first().fill("coordinator");
            page.getByLabel("Password").fill("tern-valley");
            page.keyboard().press("Enter");
            page.locator("nav a[href=\"/lists\"]").first().waitFor();
            page.navigate(address + "/lists/" + brought(context, address));
            page.waitForTimeout(5_000); // the server is warm
            CDPSession protocol = context.newCDPSession(page);
            JsonObject rate = new JsonObject();
            rate.addProperty("rate", slowed);
            protocol.send("Emulation.setCPUThrottlingRate", rate);
            page.addInitScript(WATCH);
            page.reload();
            page.locator("[data-entry]").first().waitFor();
            page.waitForTimeout(6_000);
            System.out.printf(
                    Locale.ROOT,
                    "| interactive after the answer | %.0f ms |%n",
                    number(
                            page,
                            "(() => { const answer = performance.getEntriesByType('resource').find(each => /\\/api\\/lists\\/\\d+$/.test(each.name)).responseEnd;"
                                    + " return Math.max(0, ...window.tasks.map(end => end - answer)); })()"));
            pressed(page, "next entry by key", () -> repeated(page, "ArrowDown", 8));
            pressed(page, "an entry chosen", () -> page.locator("[data-entry]")
                    .nth(3)
                    .click());
            pressed(page, "a search typed", () -> {
                page.keyboard().press("/");
                page.keyboard().type("E12", new com.microsoft.playwright.Keyboard.TypeOptions().setDelay(150));
            });
            pressed(page, "the search cleared", () -> repeated(page, "Escape", 2));
            Locator chip = page.getByRole(
                            com.microsoft.playwright.options.AriaRole.GROUP,
                            new Page.GetByRoleOptions().setName("Bands"))
                    .locator("button");
            pressed(page, "another band", () -> chip.last().click());
            page.keyboard().press("e");
            page.waitForTimeout(1_500);
            pressed(page, "a figure typed", () -> page.keyboard().type("1"));
        }
    }

    private static void repeated(Page page, String key, int times) {
        for (int i = 0; i < times; i++) {
            page.keyboard().press(key);
            page.waitForTimeout(300);
        }
    }

    private static double number(Page page, String script) {
        return ((Number) page.evaluate(script)).doubleValue();
    }

    private static void pressed(Page page, String what, Runnable act) {
        page.evaluate("window.presses = []");
        act.run();
        page.waitForTimeout(1_500);
        System.out.printf(
                Locale.ROOT, "| %s, at worst | %.0f ms |%n", what, number(page, "Math.max(0, ...window.presses)"));
    }

    private static String brought(BrowserContext context, String address) {
        StringBuilder csv = new StringBuilder("number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,rx_tone\n");
        for (int i = 0; i < ENTRIES; i++) {
            String mhz = String.format(Locale.ROOT, "%.4f", BASES[i % BASES.length] + i / BASES.length * 0.0025);
            csv.append(String.format(Locale.ROOT, "%d,E%d,%s,%s,FM,5,103.5,103.5%n", i + 1, i + 1, mhz, mhz));
        }
        String token = context.cookies().stream()
                .filter(each -> each.name.equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .value;
        String answer = context.request()
                .post(
                        address + "/api/groups/1/lists?name=Four+thousand",
                        RequestOptions.create()
                                .setData(csv.toString().getBytes(StandardCharsets.UTF_8))
                                .setHeader("Content-Type", "application/octet-stream")
                                .setHeader("X-XSRF-TOKEN", URLDecoder.decode(token, StandardCharsets.UTF_8)))
                .text();
        return answer.replaceFirst(".*\"id\":([0-9]+).*", "$1");
    }
}
