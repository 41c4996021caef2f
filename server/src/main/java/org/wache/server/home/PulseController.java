package org.wache.server.home;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;
import org.wache.server.accounts.AccountStore;
import org.wache.server.web.Missing;

/** Whether something of a group is otherwise than it was: asked every few seconds by every page that is open. */
@RestController
class PulseController {

    private final Pulses pulses;
    private final AccountStore accounts;

    PulseController(Pulses pulses, AccountStore accounts) {
        this.pulses = pulses;
        this.accounts = accounts;
    }

    @GetMapping("/api/groups/{group}/pulse")
    Pulses.Pulse pulse(Account asking, @PathVariable long group) {
        if (!accounts.isMember(asking.id(), group)) {
            throw new Missing("The group");
        }
        return pulses.of(group);
    }
}
