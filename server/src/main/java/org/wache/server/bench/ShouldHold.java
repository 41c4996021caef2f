package org.wache.server.bench;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.wache.channel.Channel;
import org.wache.release.Handed;

/** What the release in use would put into a radio, for other parts of the server. */
@Component
public class ShouldHold {

    private final DeclareService service;

    ShouldHold(DeclareService service) {
        this.service = service;
    }

    /** The entries by memory, for whoever has the radio; what they may not key stays out. */
    public List<Channel> of(long account, long list, long unit) {
        return service.should(
                        account,
                        list,
                        new Order(unit, Optional.empty(), Optional.empty(), Optional.of(Handed.Choice.LEAVE_OUT)))
                .channels();
    }
}
