package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.LoadState;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** On every page axe-core finds nothing, at three widths and in both themes. On a telephone of 390 px no page is wider, and nothing that is pressed is smaller than 24 by 24 (WCAG 2.2, 2.5.8; links within a text excepted). */
@ExtendWith(RunningServer.class)
class FingersBrowserTest extends InBrowser {

    private static final int WIDTH = 390;
    private static final int TABLET = 768;
    private static final int DESK = 1280;
    private static final int HEIGHT = 844;

    /** What is pressed and too small, with its label counted in: what is pressed on a label counts for its field. */
    private static final String SMALL =
            """
      () => [...document.querySelectorAll('a[href], button, [role=button], input:not([type=hidden]), select, textarea, summary')].filter(each => {
        if (!each.checkVisibility() || each.classList.contains('sr-only')) return false;
        if (each.tagName === 'A' && getComputedStyle(each).display === 'inline') return false;
        const boxes = [each, ...(each.labels ?? [])].map(one => one.getBoundingClientRect());
        return boxes[0].width > 0 && (Math.max(...boxes.map(b => b.width)) < 24 || Math.max(...boxes.map(b => b.height)) < 24);
      }).map(each => each.tagName + ' ' + (each.getAttribute('aria-label') ?? each.textContent).trim())""";

    FingersBrowserTest(RunningServer server) {
        super(server);
    }

    private void walk(List<String> paths) {
        List<String> wrong = new ArrayList<>();
        for (String path : paths) {
            page.navigate(address + path);
            try {
                page.locator("main:visible, aside:visible, section:visible")
                        .first()
                        .waitFor();
            } catch (TimeoutError none) {
                wrong.add(path + " shows no content");
            }
            page.waitForLoadState(LoadState.NETWORKIDLE);
            int width = ((Number) page.evaluate("() => document.documentElement.scrollWidth")).intValue();
            if (width > WIDTH) {
                wrong.add(path + " is " + width + " px wide");
            }
            for (Object small : (List<?>) page.evaluate(SMALL)) {
                wrong.add(path + ": " + small);
            }
            page.evaluate(axe());
            audit(path, WIDTH, ColorScheme.LIGHT, wrong);
            audit(path, TABLET, ColorScheme.DARK, wrong);
            audit(path, DESK, ColorScheme.LIGHT, wrong);
            page.setViewportSize(WIDTH, HEIGHT);
        }
        assertThat(wrong).isEmpty();
    }

    private void audit(String path, int width, ColorScheme scheme, List<String> wrong) {
        page.setViewportSize(width, HEIGHT);
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(scheme));
        Object found = page.evaluate("() => axe.run().then(result => result.violations.flatMap(v => "
                + "v.nodes.map(n => v.id + ': ' + n.target.join(' '))))");
        for (Object each : (List<?>) found) {
            wrong.add(path + ", " + width + " px, " + scheme + ": " + each);
        }
    }

    @Test
    void everyPageOfACoordinatorIsForFingers() {
        context.close();
        open(WIDTH, HEIGHT, ColorScheme.LIGHT);
        walk(List.of(
                "/lists",
                "/lists/1",
                "/lists/1/who",
                "/lists/1/fit",
                "/lists/1/reach",
                "/lists/1/propose",
                "/lists/1/site",
                "/lists/1/abroad",
                "/lists/1/place",
                "/lists/1/versions",
                "/lists/1/release",
                "/lists/7/release",
                "/lists/7/keypad",
                "/releases",
                "/releases/1",
                "/people",
                "/installation",
                "/installation/rulebooks",
                "/account",
                "/log",
                "/roster",
                "/roster?party=1",
                "/radios",
                "/radios?unit=1",
                "/radios?show=models",
                "/bench",
                "/stations",
                "/operations",
                "/operations/1",
                "/operations/1?row=2",
                "/operations/new",
                "/trainer",
                "/plan",
                "/rulebook",
                "/rulebook?view=tones",
                "/rulebook?view=edges",
                "/rulebook?view=bands",
                "/rulebook?view=bands&as=table",
                "/rulebook?view=bands&as=classes",
                "/rulebook?view=names",
                "/rulebook?view=editions"));
    }

    @Test
    void everyPageOfAMemberIsForFingers() {
        context.close();
        openAs("member", WIDTH, HEIGHT, ColorScheme.DARK);
        walk(List.of("/", "/account", "/rulebook", "/rulebook?view=edges", "/rulebook?view=bands"));
    }
}
