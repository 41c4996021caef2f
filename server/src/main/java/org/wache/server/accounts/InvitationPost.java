package org.wache.server.accounts;

import java.util.Optional;
import org.wache.server.access.Role;

/** Carries invitations to those who are invited, where mail is set up. */
public interface InvitationPost {

    /** An address as mail is sent to it; refused when it is none, or when no mail is sent here. */
    String address(String text);

    /** An invitation with its one-time token. */
    record Carried(String to, String name, String group, String by, Role role, String token) {}

    /** Sends it; why not, when it could not be handed over. */
    Optional<String> send(Carried invitation);
}
