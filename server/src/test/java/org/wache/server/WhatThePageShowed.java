package org.wache.server;

import com.microsoft.playwright.PlaywrightException;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;

/** Says of a test that failed in the browser where it stood: its address, what had the focus, and the page as text. */
final class WhatThePageShowed implements TestExecutionExceptionHandler {

    private static final int MOST_LETTERS = 4_000;

    @Override
    public void handleTestExecutionException(ExtensionContext test, Throwable fault) throws Throwable {
        test.getTestInstance()
                .filter(InBrowser.class::isInstance)
                .map(InBrowser.class::cast)
                .ifPresent(browser -> fault.addSuppressed(new AssertionError(seen(browser))));
        throw fault;
    }

    private static String seen(InBrowser test) {
        try {
            String page = test.page.locator("body").ariaSnapshot();
            return "The page was " + test.page.url() + ", the focus on "
                    + test.page.evaluate("() => document.activeElement?.outerHTML.slice(0, 300)") + "\n"
                    + page.substring(0, Math.min(page.length(), MOST_LETTERS));
        } catch (PlaywrightException gone) {
            return "The page was not there any more: " + gone.getMessage();
        }
    }
}
