package org.wache.server.mail;

import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.wache.server.accounts.InvitationPost;
import org.wache.server.web.Refused;

/** Sends invitations as they are made: their token is told once, and kept nowhere. */
@Component
class InvitationLetters implements InvitationPost {

    private final Postman postman;
    private final Letters letters;

    InvitationLetters(Postman postman, @Value("${wache.address}") String address) {
        this.postman = postman;
        this.letters = new Letters(address.replaceAll("/+$", ""));
    }

    @Override
    public String address(String text) {
        if (!postman.isOn()) {
            throw new Refused("This installation sends no mail. Leave the address empty and give the link yourself.");
        }
        return Postman.address(text);
    }

    @Override
    public Optional<String> send(Carried invitation) {
        try {
            postman.send(letters.invitation(
                    invitation.to(),
                    invitation.name(),
                    invitation.group(),
                    invitation.by(),
                    invitation.role().text(),
                    invitation.token()));
            return Optional.empty();
        } catch (Postman.RefusedThere | Postman.NotNow e) {
            return Optional.of(e.getMessage());
        }
    }
}
