package org.wache.audit;

import java.util.List;
import java.util.Optional;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.channel.Channel;
import org.wache.radio.Memories;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;
import org.wache.signal.Frequency;

/**
 * An entry in one radio.
 *
 * @param entry the entry in its list
 * @param radio the radio it goes into
 */
public record Fit(Entry entry, Radio radio) {

    public Channel channel() {
        return entry.channel();
    }

    public RadioModel model() {
        return radio.model();
    }

    /** What messages call the radio. */
    public String name() {
        return radio.name();
    }

    /** Where it would talk: empty for listening entries, and in a radio whose transmitter is switched off. */
    public Optional<Frequency> talksOn() {
        return radio.talksOn(channel());
    }

    /** The memory it goes into. */
    public Memories.Slot slot() {
        return entry.memories(radio).slots().get(entry.position());
    }

    /** The names of the other radios of the audit that a test finds to be fit. */
    public List<String> others(java.util.function.Predicate<Radio> fits) {
        return entry.context().radios().stream()
                .filter(each -> !each.equals(radio))
                .filter(fits)
                .map(Radio::name)
                .distinct()
                .toList();
    }

    /** A hold on this radio. */
    public Finding hold(Slug slug) {
        return Finding.hold(slug).radio(radio.name());
    }

    /** A query on this radio. */
    public Finding query(Slug slug) {
        return Finding.query(slug).radio(radio.name());
    }
}
