package org.wache.server;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.ExtendWith;

/** The real interface in headless Chromium; a fault in the browser's console fails the test. */
@ExtendWith(WhatThePageShowed.class)
abstract class InBrowser {

    private static final Path AXE = Path.of("..", "web", "node_modules", "axe-core", "axe.min.js");

    private static final int PATIENCE_MS = 30_000;

    private static Playwright playwright;
    protected static Browser browser;

    protected final String address;
    protected BrowserContext context;
    protected Page page;
    private final List<String> faults = new ArrayList<>();

    InBrowser(RunningServer server) {
        this.address = server.address();
    }

    @BeforeAll
    static void openBrowser() {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--disable-gpu",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync")));
    }

    @AfterAll
    static void closeBrowser() {
        playwright.close();
    }

    @BeforeEach
    void openPage() {
        open(1280, 800, ColorScheme.LIGHT);
    }

    protected final void open(int width, int height, ColorScheme scheme) {
        openAs("coordinator", width, height, scheme);
    }

    /** A fresh browser in which somebody is signed in, at the page of lists. */
    protected final void openAs(String login, int width, int height, ColorScheme scheme) {
        context = browser.newContext(
                new Browser.NewContextOptions().setViewportSize(width, height).setColorScheme(scheme));
        page = context.newPage();
        page.setDefaultTimeout(PATIENCE_MS);
        page.onPageError(faults::add);
        page.onFileChooser(chooser -> {}); // or the first one may be asked for before the browser tells of it
        page.onConsoleMessage(message -> {
            if (message.type().equals("error") && !message.text().contains("status of 4")) {
                faults.add(message.text());
            }
        });
        page.navigate(address);
        page.getByLabel("Name").fill(login);
        page.getByLabel("Password").fill("tern-valley");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Pages")))
                .isVisible();
    }

    @AfterEach
    void closePage() {
        context.close();
        assertThat(faults).isEmpty();
    }

    /** The script that looks for what shuts people out. */
    protected static String axe() {
        try {
            return Files.readString(AXE);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    protected final void assertAccessible() throws IOException {
        assertThat(page.locator("main").first()).isVisible(); // also behind a dialog
        page.evaluate(axe());
        Object violations = page.evaluate("() => axe.run().then(result => result.violations.map(v => v.id + ': ' + "
                + "v.nodes.slice(0, 3).map(n => n.html + ' ' + n.failureSummary).join(' | ')))");
        assertThat((List<?>) violations).isEmpty();
    }
}
