package org.wache.server;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Without a pointer: from a file to its release, every press counted, with the focus on the next thing to do after each of them. */
@ExtendWith(RunningServer.class)
class KeysOnlyBrowserTest extends InBrowser {

    /** What a coordinator and a second person may need together. */
    private static final int MOST_PRESSES = 150;

    private int presses;

    KeysOnlyBrowserTest(RunningServer server) {
        super(server);
    }

    private void press(String key) {
        presses++;
        page.keyboard().press(key);
    }

    private void type(String text) {
        presses += text.length();
        page.keyboard().type(text);
    }

    private Locator focused() {
        return page.locator(":focus");
    }

    /** Tab until something with this name has the focus. */
    private void tabTo(String name) {
        for (int i = 0; i < 40; i++) {
            press("Tab");
            if (page.evaluate(
                            "() => [...(document.activeElement.labels ?? [])].map(l => l.textContent).join() + document.activeElement.textContent")
                    .toString()
                    .contains(name)) {
                return;
            }
        }
        throw new AssertionError("Tab does not come to " + name);
    }

    /** Who carries a list is asked before it comes in; the first choice is nobody yet. */
    private void takenForNobodyYet() {
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Who carries it?")))
                .isVisible();
        assertThat(page.getByLabel("Carried by")).isVisible();
        tabTo("nobody yet");
        page.getByLabel("Carried by").selectOption(""); // the browser's own field, which its own keys set
        tabTo("entries");
        press("Enter");
    }

    private void atDesk() {
        assertThat(page.locator("[data-entry]").first()).isVisible();
    }

    @Test
    void fromAFileToItsRelease() {
        assertThat(page.getByText("Choose a file")).isVisible();
        assertThat(page.locator("main")).isFocused(); // the page is there, and listens
        page.waitForFileChooser(() -> press("f")).setFiles(Path.of("..", "demo", "net-control.csv"));
        press("Enter"); // the system's own dialog
        takenForNobodyYet();
        atDesk();
        assertThat(focused()).hasAttribute("aria-current", "true");
        press("b");
        press("Tab");
        type("net");
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Roster"))
                        .getByText("team, 6 people")
                        .first())
                .isVisible();
        press("Enter");
        assertThat(page.locator("[data-carriers=open]")).containsText("6 people");
        press("Escape");
        press("a");
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(1);
        assertThat(focused()).hasAttribute("type", "checkbox");
        press("Space"); // queries too
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Apply 1 cure")))
                .isEnabled();
        press("Enter");
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
        assertThat(focused()).hasAttribute("aria-current", "true");
        press("r");
        assertThat(focused()).hasText("Choose the radios");
        press("Enter");
        tabTo("set to “Amateur”");
        press("Space");
        press("Enter");
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
        while (page.locator("[data-gate=settle]").count() > 0) {
            int before = page.locator("[data-gate=settle]").count();
            press("w");
            assertThat(focused()).hasAttribute("data-gate", "settle");
            press("Enter");
            type("agreed for the spring");
            press("Enter");
            assertThat(page.locator("[data-gate=settle]")).hasCount(before - 1);
        }
        String gate = page.url();

        context.close();
        openAs("reviewer", 1280, 800, ColorScheme.LIGHT);
        page.navigate(gate);
        assertThat(page.getByText("A second person signs")).isVisible();
        press("s");
        assertThat(focused()).hasText("I have looked at it: sign");
        press("Enter");
        assertThat(page.getByText(Pattern.compile("^Signed by"))).isVisible();

        context.close();
        open(1280, 800, ColorScheme.LIGHT);
        page.navigate(gate);
        assertThat(page.getByText("Nothing is in the way")).isVisible();
        press("o");
        assertThat(focused()).hasText(Pattern.compile("^Release \\d+$"));
        press("Enter");
        assertThat(page).hasURL(Pattern.compile("/releases/\\d+$"));
        assertThat(presses).isLessThan(MOST_PRESSES);
    }

    /** What was pressed goes; the focus stands on what is in its place, and a key pressed then does what it says. */
    @Test
    void theFocusIsNeverLost() {
        assertThat(page.getByText("Choose a file")).isVisible();
        page.getByText("To the content").focus();
        page.keyboard().press("Enter");
        assertThat(focused()).hasAttribute("tabindex", "-1");
        page.waitForFileChooser(() -> page.keyboard().press("f"))
                .setFiles(Path.of("..", "demo", "ferry-and-orchard.csv"));
        takenForNobodyYet();
        atDesk();
        assertThat(focused()).hasAttribute("aria-current", "true");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Delete");
        assertThat(page.getByText(Pattern.compile("[Uu]ndo")).first()).isVisible();
        assertThat(focused()).hasAttribute("aria-current", "true");
        page.keyboard().press(".");
        assertThat(page).hasURL(Pattern.compile("/who(\\?|$)"));
        assertThat(page.locator("main:focus")).hasCount(1);
        page.keyboard().press(",");
        atDesk();
        assertThat(focused()).hasAttribute("aria-current", "true");
        page.keyboard().press("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(1);
        page.keyboard().press("Escape");
        assertThat(focused()).hasAttribute("aria-current", "true");
    }
}
