package org.wache.audit.finding;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * What a rule has to say about an entry. Texts, sums and cures are worked out when they are asked for: an audit of a
 * whole list mostly needs the verdicts.
 */
public final class Finding {

    private static final Object[] NO_ARGUMENTS = {};

    private final Slug slug;
    private final Severity severity;
    private final Optional<String> service;
    private String format = "";
    private Object[] arguments = NO_ARGUMENTS;
    private Supplier<String> lateMessage;
    private String madeMessage; // a race makes the same text twice
    private Supplier<Sum> working = () -> Sum.NONE;
    private String source = "";
    private Supplier<List<Change>> cures = List::of;
    private Optional<String> radio = Optional.empty();
    private Supplier<List<String>> advice = List::of;

    private Finding(Slug slug, Severity severity, Optional<String> service) {
        this.slug = slug;
        this.severity = severity;
        this.service = service;
    }

    /** A hold that concerns the entry itself. */
    public static Finding hold(Slug slug) {
        return new Finding(slug, Severity.HOLD, Optional.empty());
    }

    /** A query that concerns the entry itself. */
    public static Finding query(Slug slug) {
        return new Finding(slug, Severity.QUERY, Optional.empty());
    }

    /** One that concerns only those who would key it under one service. */
    public static Finding under(Optional<String> service, Slug slug, Severity severity) {
        return new Finding(slug, severity, service);
    }

    /** Sets the message: what is, in one sentence. */
    public Finding message(String text, Object... values) {
        this.format = text;
        this.arguments = values;
        return this;
    }

    /** Sets a message that is costly to make. */
    public Finding message(Supplier<String> text) {
        this.lateMessage = text;
        return this;
    }

    /** Sets the arithmetic. */
    public Finding working(Supplier<Sum> sum) {
        this.working = sum;
        return this;
    }

    /** Sets where the rule comes from. */
    public Finding source(String section) {
        this.source = section;
        return this;
    }

    /** Sets what may cure it, the least intrusive first; each is proved before it is offered. */
    public Finding cures(Supplier<List<Change>> changes) {
        this.cures = changes;
        return this;
    }

    /** Sets the radio that it is about. */
    public Finding radio(String name) {
        this.radio = Optional.of(name);
        return this;
    }

    /** Sets what may help beside a change of the entry, each in one sentence. */
    public Finding advice(Supplier<List<String>> sentences) {
        this.advice = sentences;
        return this;
    }

    public Slug slug() {
        return slug;
    }

    public Severity severity() {
        return severity;
    }

    /** Whether it is a hold. */
    public boolean holds() {
        return severity == Severity.HOLD;
    }

    /** The service of the route it was found on. */
    public Optional<String> service() {
        return service;
    }

    /** The radio that it is about. */
    public Optional<String> radio() {
        return radio;
    }

    /** What may help beside a change of the entry. */
    public List<String> advice() {
        return advice.get();
    }

    /** The message. */
    public String message() {
        String made = madeMessage;
        if (made == null) {
            made = lateMessage != null
                    ? lateMessage.get()
                    : arguments.length == 0 ? format : String.format(Locale.ROOT, format, arguments);
            madeMessage = made;
        }
        return made;
    }

    /** The arithmetic; may have no lines. */
    public Sum working() {
        return working.get();
    }

    /** Section of the law, or whose plan or habit. */
    public String source() {
        return source;
    }

    /** Changes that may cure it, not yet proved. */
    public List<Change> cures() {
        return cures.get();
    }

    @Override
    public String toString() {
        return slug + ": " + message();
    }
}
