package org.wache.server.home;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.wache.audit.finding.Severity;
import org.wache.server.access.Role;
import org.wache.server.accounts.Account;
import org.wache.server.releases.ReleaseOverview;

/** What somebody has to do next in a group, by what they are in it: the most pressing first. */
@Component
class Todos {

    private final ReleaseOverview releases;

    Todos(ReleaseOverview releases) {
        this.releases = releases;
    }

    /**
     * Something to do.
     *
     * @param weight hold when something is wrong now, query when it waits for somebody
     * @param subject what it is about
     * @param words what is, in a sentence
     * @param press what is pressed, and where that leads
     */
    record Todo(Severity weight, String subject, String words, String press, String to) {}

    List<Todo> of(Account account, Role role, long club) {
        ReleaseOverview.Overview now = releases.of(account.id(), club);
        List<Todo> todo = new ArrayList<>();
        now.against()
                .forEach(each -> todo.add(new Todo(
                        each.recall() ? Severity.HOLD : Severity.QUERY,
                        each.name() + ", release " + each.number(),
                        each.recall()
                                ? "no longer stands as it went out: " + each.first()
                                : "worth a look: " + each.first(),
                        role == Role.COORDINATOR && each.recall() ? "Recall it" : "Look at it",
                        "/releases/" + each.release())));
        now.notTheirs()
                .forEach(each -> todo.add(new Todo(
                        Severity.HOLD,
                        each.label(),
                        "is in the hands of " + each.person() + ", who may not key "
                                + (each.entries() == 1 ? "an entry" : each.entries() + " entries")
                                + " that it talks on: " + each.first(),
                        role == Role.REVIEWER ? "Look at it" : "Load it for them",
                        role == Role.REVIEWER
                                ? "/radios?unit=" + each.unit()
                                : "/bench?list=" + each.listId() + "&units=" + each.unit())));
        if (role != Role.TECHNICIAN) {
            now.waiting().forEach(each -> todo.add(waiting(each, account)));
        }
        if (role != Role.REVIEWER) {
            behind(now, todo);
        }
        return todo;
    }

    private static Todo waiting(ReleaseOverview.Waiting list, Account account) {
        String gate = "/lists/" + list.list() + "/release";
        if (list.missing().isEmpty()) {
            return new Todo(Severity.QUERY, list.name(), "is signed and can go out.", "Release it", gate);
        }
        if (list.onlySignature()) {
            boolean own = list.lastChangeBy() == account.id();
            return new Todo(
                    Severity.QUERY,
                    list.name(),
                    own
                            ? "waits for somebody else to sign: you changed it last."
                            : "waits for a second person to sign; " + list.lastChange() + " changed it last.",
                    own ? "Look at it" : "Look and sign",
                    gate);
        }
        return new Todo(
                Severity.QUERY,
                list.name(),
                "changed since release " + list.released() + ": " + String.join("; ", list.missing()) + ".",
                "To the gate",
                gate);
    }

    private static void behind(ReleaseOverview.Overview now, List<Todo> todo) {
        for (ReleaseOverview.Behind each : now.behind()) {
            boolean one = each.radios().size() == 1;
            String words =
                    switch (each.state()) {
                        case RECALLED ->
                            (one ? "still has" : "still have") + " a recalled release of " + each.list() + ".";
                        case OLDER ->
                            (one ? "has" : "have") + " an older release of " + each.list() + " than the one in use.";
                        case NOTHING ->
                            "that " + each.list() + " is for " + (one ? "has" : "have") + " nothing in "
                                    + (one ? "it" : "them") + ".";
                    };
            todo.add(new Todo(
                    each.state() == ReleaseOverview.State.RECALLED ? Severity.HOLD : Severity.QUERY,
                    one ? each.radios().get(0) : each.radios().size() + " radios",
                    words,
                    "Load " + (one ? "it" : "them"),
                    "/bench?list=" + each.listId()));
        }
    }
}
