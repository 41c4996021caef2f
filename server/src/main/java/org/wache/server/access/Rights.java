package org.wache.server.access;

import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.wache.server.web.Forbidden;
import org.wache.server.web.Missing;

/** Whether somebody has a right: asked by both layers that stand before the endpoints, each for what it found itself. */
@Component
public class Rights {

    private static final Pattern KEY = Pattern.compile("[0-9]{1,18}");

    private final GroupOf groups;

    Rights(GroupOf groups) {
        this.groups = groups;
    }

    /**
     * Makes sure of a right.
     *
     * @param login who asks; nothing for a stranger
     * @param variable the variable of the path that tells of which group it is, where the right is one within a group
     * @param key what the address has in its place
     * @throws Missing when what is named is not there, or not in a group of theirs
     * @throws Forbidden when their role has not this right
     */
    void check(Right right, Optional<String> login, Optional<String> variable, String key) {
        if (right == Right.OPEN || right == Right.FILE) {
            return;
        }
        String who = login.orElseThrow(() -> new Missing("The account"));
        if (right == Right.ADMINISTER) {
            if (!groups.isAdministrator(who)) {
                throw new Forbidden("This is for those who look after the installation.");
            }
        } else if (right.inGroup()) {
            inGroup(right, who, variable.orElseThrow(() -> new Missing("The address")), key);
        } else if (!groups.isOpen(who)) {
            throw new Missing("The account");
        }
    }

    private void inGroup(Right right, String login, String variable, String key) {
        if (!KEY.matcher(key).matches()) {
            throw new Missing("The address");
        }
        GroupOf.Part part = groups.part(login, variable, Long.parseLong(key))
                .orElseThrow(() -> new Missing("What the address names"));
        if (!right.has(part.role())) {
            throw new Forbidden("This is for " + right.whose() + " of " + part.group() + "; you are a "
                    + part.role().text() + " there.");
        }
    }

    /**
     * Whether somebody has a right within a group of theirs.
     *
     * @throws Missing when the group is not there, or not theirs
     */
    public boolean has(Right right, String login, long group) {
        return right.has(groups.part(login, "group", group)
                .orElseThrow(() -> new Missing("The group"))
                .role());
    }
}
