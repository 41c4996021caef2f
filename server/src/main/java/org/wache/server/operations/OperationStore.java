package org.wache.server.operations;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import org.wache.server.forms.NamedForms;
import org.wache.server.log.Logbook;

/** The operations of a group. */
@Repository
public class OperationStore {

    private static final int MOST = 500;

    private final NamedForms forms;

    OperationStore(JdbcClient jdbc, Logbook log) {
        this.forms = new NamedForms(jdbc, log, Logbook.Kind.OPERATION, MOST);
    }

    List<NamedForms.Stored> all(long club) {
        return forms.all(club);
    }

    Optional<NamedForms.Stored> one(long id) {
        return forms.one(id);
    }

    /** Adds an operation; body is the JSON of its form. */
    @Transactional
    public long add(long account, long club, String name, String body) {
        return forms.add(account, club, name, body);
    }

    @Transactional
    public void change(long account, long id, int seen, String name, String body) {
        forms.change(account, id, seen, name, body);
    }

    @Transactional
    public void remove(long account, long id, int seen) {
        forms.remove(account, id, seen);
    }
}
