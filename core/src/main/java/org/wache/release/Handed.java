package org.wache.release;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.wache.audit.Audit;
import org.wache.audit.EntryAudit;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.radio.Radio;

/**
 * A released list, or a variant of it, in one radio and in one hand: what each entry is there.
 *
 * @param list the entries as they were released
 * @param entries what becomes of each, in the list's order
 */
public record Handed(ChannelList list, List<Handed.Entry> entries) {

    /** What an entry is in a radio for whoever has it. */
    public enum Place {
        /** They may key it with this radio. */
        TALKS,
        /** Nobody keys it: the entry has no transmit frequency, or the radio's transmitter is off. */
        LISTENS,
        /** The radio must not have it, whoever holds it. */
        OUT,
        /** The radio could have it, and they may not key it. */
        NOT_THEIRS
    }

    /** What becomes of an entry; why is empty for those that stand. */
    public record Entry(Place place, String why, String source) {

        private static final Entry TALKS = new Entry(Place.TALKS, "", "");
        private static final Entry LISTENS = new Entry(Place.LISTENS, "", "");

        private static Entry of(Place place, Finding why) {
            return new Entry(place, why.message(), why.source());
        }
    }

    /** What is done with the entries that somebody may not key. */
    public enum Choice {
        LISTEN,
        LEAVE_OUT
    }

    public Handed {
        entries = List.copyOf(entries);
    }

    /** For nobody in particular: what is on hold for any of those for whom the audit is, or for the radio, stays out. */
    public static Handed toNobody(Audit withRadio) {
        return of(withRadio, entry -> first(entry, true).map(why -> Entry.of(Place.OUT, why)));
    }

    /**
     * For one person.
     *
     * @param withRadio the list with this radio alone and this person alone: whether a radio is certified for a service decides by which
     *     of their licences they use it
     */
    public static Handed toOne(Audit withRadio) {
        return of(withRadio, entry -> first(entry, false)
                .map(why -> Entry.of(Place.OUT, why))
                .or(() -> entry.judgements().stream()
                        .flatMap(each -> each.findings().stream())
                        .filter(Finding::holds)
                        .findFirst()
                        .map(why -> Entry.of(Place.NOT_THEIRS, why))));
    }

    private static Handed of(Audit audit, Function<EntryAudit, Optional<Entry>> stopped) {
        List<Radio> radios = audit.auditor().context().radios();
        return new Handed(
                audit.list(),
                audit.entries().stream()
                        .map(entry -> stopped.apply(entry)
                                .orElseGet(() -> talks(radios, entry.channel())
                                        ? Entry.TALKS
                                        : radios.stream()
                                                .flatMap(radio -> cannotListen(radio).stream())
                                                .findFirst()
                                                .map(why -> new Entry(Place.OUT, why, ""))
                                                .orElse(Entry.LISTENS)))
                        .toList());
    }

    /** Why a radio cannot have entries that only listen; empty when it can, as where its whole transmitter is off. */
    public static Optional<String> cannotListen(Radio radio) {
        return radio.inhibited() || radio.model().guard().silencesChannels()
                ? Optional.empty()
                : Optional.of(
                        radio.model().name()
                                + " cannot be kept from talking on single entries: one that is for listening would talk there.");
    }

    private static boolean talks(List<Radio> radios, Channel channel) {
        return channel.transmit().isPresent()
                && radios.stream().allMatch(radio -> radio.talksOn(channel).isPresent());
    }

    private static Optional<Finding> first(EntryAudit entry, boolean whoever) {
        Optional<Finding> own = entry.own().stream().filter(Finding::holds).findFirst();
        return whoever
                ? own.or(() -> entry.judgements().stream()
                        .flatMap(each -> each.findings().stream())
                        .filter(Finding::holds)
                        .findFirst())
                : own;
    }

    /** The places of the entries that are of a kind. */
    public List<Integer> at(Place place) {
        List<Integer> at = new ArrayList<>();
        for (int i = 0; i < entries.size(); i++) {
            if (entries.get(i).place() == place) {
                at.add(i);
            }
        }
        return at;
    }

    /** The list as it goes in when the entries that are not theirs only listen there. */
    public ChannelList listening() {
        ChannelList listening = list;
        for (int i : at(Place.NOT_THEIRS)) {
            listening = listening.with(i, silent(list.channels().get(i)));
        }
        return listening;
    }

    private static Channel silent(Channel channel) {
        return channel.with(Change.listenOnly().fields());
    }
}
