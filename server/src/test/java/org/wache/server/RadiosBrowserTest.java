package org.wache.server;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Radios, fit, bench and practice as a person at the screen uses them. */
@ExtendWith(RunningServer.class)
class RadiosBrowserTest extends InBrowser {

    private final Fleets fleets;

    RadiosBrowserTest(RunningServer server) {
        super(server);
        this.fleets = new Fleets(Browserless.signedIn(server.address(), "coordinator"));
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator button(Pattern name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void theRadiosAreSeenAndOneIsHandedOutAndTakenBack() throws IOException {
        long unit = fleets.unit("Heron H2", "Amateur", false);
        page.navigate(address + "/radios?unit=" + unit);
        Locator panel = page.getByRole(
                AriaRole.REGION,
                new Page.GetByRoleOptions().setName("The radio").setExact(true));
        assertThat(panel).containsText("It is on the shelf");
        page.getByLabel("Hand it to").selectOption("Wilma Culvert");
        page.getByLabel("Note on handing it out").fill("two batteries");
        assertThat(panel).containsText("was not written from here");
        assertThat(button("Hand it out")).isDisabled();
        page.getByLabel(Pattern.compile("^I know what is in it")).check();
        button("Hand it out").click();
        assertThat(panel).containsText("Wilma Culvert since");
        assertAccessible();
        button("Take it back").click();
        assertThat(panel).containsText("It is on the shelf");
        assertThat(panel).containsText("Who had it before (1)");
    }

    @Test
    void aMeasurementOutOfToleranceHoldsTheRadioWithItsSum() throws IOException {
        long unit = fleets.unit("Heron H2", "Amateur", false);
        page.navigate(address + "/radios?unit=" + unit);
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Write down a measurement"));
        form.getByLabel("At, MHz").fill("146.520");
        form.getByLabel("Rated, W").fill("5");
        form.getByLabel("Measured, W").fill("3.2");
        form.getByRole(AriaRole.BUTTON).click();
        assertThat(page.getByText("Held: Output 3.2 W is −1.9 dB from the rated 5 W.")
                        .first())
                .isVisible();
        page.getByText("Output power at 146.520 MHz").click();
        assertThat(page.getByText("10·log of their ratio")).isVisible();
        assertAccessible();
    }

    @Test
    void modelsAreReadAndChanged() throws IOException {
        page.navigate(address + "/radios?show=models");
        button(Pattern.compile("^Curlew C6")).click();
        button("Make another like it").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Curlew C6 copy")))
                .isVisible();
        assertThat(page.getByText("Band-edge slots")).isVisible();
        assertAccessible();
        button("Change it").click();
        assertThat(page.getByLabel("Steps, kHz")).hasValue("0.01");
        assertAccessible();
        page.getByLabel("Talks on (TX), MHz").fill("148–144");
        button("Save").click();
        assertThat(page.getByRole(AriaRole.ALERT))
                .containsText("Talks on (TX), MHz (number 1): should be two frequencies");
        page.getByLabel("Talks on (TX), MHz").fill("1.8–2, 3.5–4, 7–7.3, 14–14.35, 28–29.7, 50–54, 144–148");
        assertThat(page.getByLabel("Power levels by band, W"))
                .hasValue("1.8–54: 5, 10, 20, 50, 100 | 144–148: 5, 10, 20, 50");
        page.getByLabel("Power levels by band, W").fill("1.8–54: 5 low, 100 high | 144–148: 5, 50");
        button("Save").click();
        assertThat(page.getByText("5 W (low), 100 W (high)")).isVisible();
        assertThat(page.getByText("Band-edge slots")).isVisible();
    }

    @Test
    void theFitShowsACellWithItsCureAndTheCureIsTaken() throws IOException {
        long list = fleets.list("Fit on screen", Fleets.LIST.replace("LEVEE", "Levee walkers"));
        page.navigate(address + "/lists/" + list + "/fit");
        page.getByRole(
                        AriaRole.GRIDCELL,
                        new Page.GetByRoleOptions().setName(Pattern.compile("Levee walkers, Heron H2, Amateur: ")))
                .click();
        Locator why = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Why"));
        assertThat(why).containsText("does not fit the display of Heron H2");
        assertAccessible();
        why.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("Call it")))
                .click();
        assertThat(why).containsText("It goes in as it is");
        button("Undo").click();
        assertThat(why).containsText("does not fit the display of Heron H2");
        page.getByRole(AriaRole.GRID).press("1");
        assertThat(why).containsText("It goes in as it is");
        page.getByRole(AriaRole.GRID).press("ArrowLeft");
        page.getByRole(AriaRole.GRID).press("Home");
        why.getByLabel("This list is for it, as it is set").check();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Desk").setExact(true))
                .click();
        assertThat(page.getByText("LEVWLKR")
                        .or(page.getByText(Pattern.compile("^LV")))
                        .or(page.getByText(Pattern.compile("^LEV")))
                        .first())
                .isVisible();
    }

    @Test
    void aRunIsPlannedStartedWatchedAndBegunAgainWhereARadioFailed() throws IOException {
        List<Long> units = fleets.herons(3);
        long list = fleets.released("On screen", Fleets.LIST + "5,SIX,52.525,52.525,FM,5,,,yes,180\n");
        fleets.fault(units.get(1), "checksum", 20);
        page.navigate(address + "/bench?list=" + list);
        for (long unit : units) {
            page.getByLabel(fleets.view(unit).path("label").asString(), new Page.GetByLabelOptions().setExact(true))
                    .check();
        }
        assertThat(page.getByText("4 entries go in; it talks on 3, for nobody in particular.")
                        .first())
                .isVisible();
        assertThat(page.getByText(Pattern.compile("5 SIX, stays out: .*")).first())
                .isVisible();
        assertThat(page.getByText("Say with which call sign keys are tried.")).isVisible();
        page.navigate(address + "/radios");
        page.navigate(address + "/bench?new");
        assertThat(page.getByText("4 entries go in; it talks on 3, for nobody in particular.")
                        .first())
                .isVisible(); // what was chosen is still chosen
        page.getByLabel("Identify as").fill("ke9qrb");
        assertAccessible();
        button("Write 3 radios").click();
        assertThat(page.getByText("2 done, 1 failed").first()).isVisible();
        assertThat(page.getByText("What the radio says comes damaged, 3 times in a row."))
                .isVisible();
        String label = fleets.view(units.get(1)).path("label").asString();
        button(Pattern.compile("^simulated.*, radio " + label)).click();
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Clear the fault"))
                .click();
        button("Try " + label + " again").click();
        assertThat(page.getByText("3 done").first()).isVisible();
        button(Pattern.compile("^" + label)).click();
        assertThat(page.getByText("The key, into a dummy load")).isVisible();
        assertThat(page.getByText("Stayed out")).isVisible();
        assertAccessible();
    }

    @Test
    void whatTheHolderMayNotKeyIsDecidedBeforeAnythingIsWritten() throws IOException {
        long unit = fleets.herons(1).get(0);
        String label = fleets.view(unit).path("label").asString();
        page.navigate(address + "/radios?unit=" + unit);
        page.getByLabel("Hand it to").selectOption("Jorun Shingle");
        page.getByLabel(Pattern.compile("^I know what is in it")).check();
        button("Hand it out").click();
        assertThat(page.getByText("Jorun Shingle since").first()).isVisible();
        long list = fleets.released("For a hand", Fleets.LIST);
        page.navigate(address + "/bench?list=" + list + "&units=" + unit);
        page.getByLabel("Identify as").fill("ke9qrb");
        assertThat(page.getByText("For a hand for Jorun Shingle, who may key nothing of it."))
                .isVisible();
        assertThat(page.getByText(label + " waits for your decision.")).isVisible();
        assertThat(button("Write one radio")).isDisabled();
        assertAccessible();
        button("Make these listen only").click();
        assertThat(page.getByText("4 entries go in; it talks on none of them.")).isVisible();
        button("Write one radio").click();
        assertThat(page.getByText("1 done").first()).isVisible();
        page.navigate(address + "/radios?unit=" + unit);
        assertThat(page.getByText("For a hand, release 1, for Jorun Shingle: 4 entries"))
                .isVisible();
    }

    @Test
    void oneRepeaterChannelIsEnteredInTheTrainerWithAMistakeOnTheWay() throws IOException {
        long list = fleets.list("Practice", Fleets.LIST);
        page.navigate(address + "/trainer?list=" + list + "&model=" + fleets.model("Heron H2"));
        assertThat(page.getByText("Enter RIDGE into memory 1")).isVisible();
        press("1469400");
        assertThat(page.getByText("The radio is in memory mode").first()).isVisible();
        button("Begin again").click();
        button("TUNE").click();
        button("TWIN").click();
        press("s41s");
        button("MORE").click();
        button("TAKE").click();
        press("1469400");
        assertThat(page.getByText("This is where the entry hears.")).isVisible();
        press("s62s001");
        button("TAKE").click();
        assertThat(page.getByText("Memory 1 was not empty").first()).isVisible();
        assertAccessible();
        press("s61s001");
        button("TAKE").click();
        press("s31s1000");
        button("TAKE").click();
        press("1469400s62s001");
        button("TAKE").click();
        assertThat(page.getByText("Where it hears is stored, with its settings."))
                .isVisible();
        press("1463400s62s001");
        button("TAKE").click();
        assertThat(page.getByText("Memory 1 holds the right entry.")).isVisible();
        press("f001");
        assertThat(page.getByText("Done.")).isVisible();
    }

    private void press(String keys) {
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Practice"))
                .click();
        for (char key : keys.toCharArray()) {
            page.keyboard().press(String.valueOf(key));
        }
    }

    @Test
    void thePaperIsReadInTheDarkAndOnANarrowScreen() throws IOException {
        long list = fleets.list("Paper", Fleets.LIST);
        openAs("coordinator", 390, 800, ColorScheme.DARK);
        page.navigate(address + "/lists/" + list + "/keypad?model=" + fleets.model("Heron H2"));
        assertThat(page.getByText("Store again, into the same memory: memory 1"))
                .isVisible();
        assertThat(page.getByText("Not by hand", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertAccessible();
    }
}
