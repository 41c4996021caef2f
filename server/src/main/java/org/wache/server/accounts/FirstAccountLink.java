package org.wache.server.accounts;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Prints the one-time link that makes the first account, while there is none. */
@Component
class FirstAccountLink {

    private final AccountStore accounts;
    private final Passwords passwords;
    private final boolean demo;

    FirstAccountLink(AccountStore accounts, Passwords passwords, @Value("${wache.demo}") boolean demo) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.demo = demo;
    }

    @EventListener
    void started(WebServerInitializedEvent event) {
        if (demo || !accounts.isEmpty()) {
            return;
        }
        String token = passwords.token();
        accounts.addFirstAccountLink(Passwords.hashOf(token));
        System.out.println("There is no account yet. Make the first one here, once:");
        System.out.println("  http://127.0.0.1:" + event.getWebServer().getPort() + "/first-account#" + token);
    }
}
