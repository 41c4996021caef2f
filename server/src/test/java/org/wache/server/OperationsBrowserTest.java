package org.wache.server;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The pages of operations. */
@ExtendWith(RunningServer.class)
class OperationsBrowserTest extends InBrowser {

    private final Browserless coordinator;

    OperationsBrowserTest(RunningServer server) {
        super(server);
        this.coordinator = Browserless.signedIn(server.address(), "coordinator");
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private long demo() {
        return Browserless.json(coordinator.get("/api/groups/" + coordinator.group() + "/operations"))
                .valueStream()
                .filter(each -> each.path("name").asString().equals("Spring high water"))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
    }

    /** More than any page has: each list that other tests left is one more. */
    private static final int MOST_TABS = 800;

    /** Tab until something is called so. */
    private void tabTo(String name) {
        for (int i = 0; i < MOST_TABS; i++) {
            page.keyboard().press("Tab");
            if (page.evaluate("() => [document.activeElement.getAttribute('aria-label') ?? '',"
                            + " ...[...(document.activeElement.labels ?? [])].map(l => l.textContent),"
                            + " document.activeElement.textContent.slice(0, 80)].join(' ')")
                    .toString()
                    .contains(name)) {
                return;
            }
        }
        throw new AssertionError("Tab does not come to " + name);
    }

    /** With keys alone: a new operation with a list and a team on an entry, kept, and found again. */
    @Test
    void anOperationIsPlannedWithKeysAlone() {
        page.navigate(address + "/operations");
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Spring high water")))
                .isVisible();
        tabTo("Plan an operation");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Give the operation a name.")).isVisible();
        tabTo("Name");
        page.keyboard().type("Summer walk " + System.nanoTime());
        tabTo("River hand-helds");
        page.keyboard().press("Space");
        tabTo("Add a team or a person");
        page.keyboard().type("River w");
        tabTo("Add to the plan");
        page.keyboard().press("Enter");
        Locator row = page.getByRole(
                AriaRole.REGION,
                new Page.GetByRoleOptions().setName("River watch").setExact(true));
        assertThat(row).containsText("It has nothing to talk on.");
        tabTo("Talks on");
        page.keyboard().type("8 CALL");
        Locator board = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Who is on what, when"));
        assertThat(board).containsText("8 CALL 2");
        assertThat(row).containsText("Nothing is said for when 8 CALL 2 fails.");
        tabTo("When nothing gets through");
        page.keyboard().type("telephone");
        assertThat(row).not().containsText("Nothing is said");
        page.keyboard().press("Shift+Tab");
        button("Keep it").focus();
        page.keyboard().press("Enter");
        assertThat(page).hasURL(java.util.regex.Pattern.compile(".*/operations/[0-9]+.*"));
        assertThat(button("Keep it")).isHidden();
        assertThat(page.getByText("The plan for the wall")).isVisible();
        page.reload();
        assertThat(board).containsText("else telephone");
    }

    /** What is typed is held against the rules at once, stays when one leaves the page, and is put away again. */
    @Test
    void whatIsTypedIsThereAgainAndCanBeDiscarded() throws IOException {
        page.navigate(address + "/operations/" + demo());
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("do not work");
        assertAccessible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Shelters"))
                .first()
                .click();
        Locator row = page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Shelters").setExact(true));
        row.getByLabel("If that fails")
                .selectOption(new com.microsoft.playwright.options.SelectOption()
                        .setLabel(row.getByLabel("If that fails")
                                .locator("option", new Locator.LocatorOptions().setHasText("13 TAC 1"))
                                .first()
                                .textContent()));
        Locator board = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Who is on what, when"));
        assertThat(board).containsText("else 13 TAC 1");
        page.navigate(address + "/lists");
        page.navigate(address + "/operations/" + demo());
        assertThat(board).containsText("else 13 TAC 1");
        button("Discard changes").click();
        assertThat(board).containsText("else Runner to the Weir house");
        assertThat(board).not().containsText("else 13 TAC 1");
    }

    /** Somebody else changes it while it is being filled in: that is seen without a reload, and not saved over. */
    @Test
    void whatSomebodyElseChangedIsSeenAndNotSavedOver() {
        String form =
                "{\"name\":\"Two at once\",\"purpose\":\"\",\"place\":\"here\",\"from\":\"2027-03-13T07:00\",\"until\":\"2027-03-14T07:00\",\"lists\":[],\"watches\":[],\"mustTalk\":[]}";
        long operation = Browserless.json(coordinator.post("/api/groups/" + coordinator.group() + "/operations", form))
                .path("id")
                .asLong();
        page.navigate(address + "/operations/" + operation);
        page.getByLabel("What it is for").fill("mine");
        assertThat(button("Save")).isEnabled();
        coordinator.put(
                "/api/operations/" + operation, "{\"version\":1,\"form\":" + form.replace("here", "theirs") + "}");
        assertThat(page.getByText("changed this operation meanwhile")).isVisible();
        assertThat(button("Save")).isDisabled();
        button("Discard changes").click();
        assertThat(page.getByLabel("Place")).hasValue("theirs");
        assertThat(page.getByText("changed this operation meanwhile")).isHidden();
    }

    /** A reviewer, a technician and a member: who may not change a plan reads it, and a member sees none. */
    @Test
    void whoMayNotChangeAPlanReadsIt() {
        openAs("technician", 1280, 800, ColorScheme.LIGHT);
        page.navigate(address + "/operations/" + demo());
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("do not work");
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .isDisabled();
        assertThat(button("Add to the plan")).isHidden();
        assertThat(page.getByText("Remove this operation")).isHidden();
        openAs("member", 1280, 800, ColorScheme.LIGHT);
        page.navigate(address + "/operations");
        assertThat(page.getByText("Spring high water")).isHidden();
    }
}
