package org.wache.audit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.audit.finding.Finding;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;

/** A list with what the audit says of each entry. Immutable. */
public final class Audit {

    private final Auditor auditor;
    private final ChannelList list;
    private final ListIndex index;
    private final EntryAudit[] entries;

    Audit(Auditor auditor, ChannelList list, ListIndex index, EntryAudit[] entries) {
        this.auditor = auditor;
        this.list = list;
        this.index = index;
        this.entries = entries;
    }

    public Auditor auditor() {
        return auditor;
    }

    public ChannelList list() {
        return list;
    }

    /** One for each entry, in the list's order; a view, for it is asked for by loops over all of them. */
    public List<EntryAudit> entries() {
        return Collections.unmodifiableList(Arrays.asList(entries));
    }

    /** What it says of one entry; positions count from 0. */
    public EntryAudit entry(int position) {
        return entries[position];
    }

    /** How many entries came to each verdict. */
    public Map<Verdict, Integer> counts() {
        Map<Verdict, Integer> counts = new EnumMap<>(Verdict.class);
        for (Verdict verdict : Verdict.values()) {
            counts.put(verdict, 0);
        }
        for (EntryAudit entry : entries) {
            counts.merge(entry.verdict(), 1, Integer::sum);
        }
        return counts;
    }

    /** What one entry would come to if it were changed, the others as they are. */
    public EntryAudit tried(int position, Channel changed) {
        if (movesInRadio(entries[position].channel(), changed)) {
            ChannelList newList = list.with(position, changed);
            return auditor.judge(
                    new Entry(changed, position, newList, new ListIndex(newList.channels()), auditor.context()));
        }
        return auditor.judge(new Entry(changed, position, list, index, auditor.context()));
    }

    /** The audit after one entry changed: it and the entries that depend on it are judged again, the rest is kept. */
    public Audit with(int position, Channel changed) {
        ChannelList newList = list.with(position, changed);
        if (moves(entries[position].channel(), changed)) {
            return auditor.audit(newList);
        }
        ListIndex newIndex = new ListIndex(newList.channels());
        newIndex.placedAs(index);
        BitSet again = new BitSet(entries.length);
        again.set(position);
        index.relatives(entries[position].channel(), again::set);
        newIndex.relatives(changed, again::set);
        EntryAudit[] copy = Arrays.copyOf(entries, entries.length);
        again.stream()
                .forEach(i -> copy[i] =
                        auditor.judge(new Entry(newList.channels().get(i), i, newList, newIndex, auditor.context())));
        return new Audit(auditor, newList, newIndex, copy);
    }

    /** What the transmitters that are keyed together do to each other's receivers. */
    public Sites sites() {
        return index.sites(auditor.context());
    }

    private boolean keyedTogether() {
        return auditor.context().houseRules().keyedTogether().any();
    }

    /** Whether the change decides what other entries come to: where they go in a radio, or what disturbs them. */
    private boolean moves(Channel before, Channel after) {
        return keyedTogether() || movesInRadio(before, after);
    }

    private boolean movesInRadio(Channel before, Channel after) {
        return !auditor.context().radios().isEmpty()
                && !List.of(Field.NUMBER, Field.ZONE, Field.SCAN).stream()
                        .allMatch(field -> before.text(field).equals(after.text(field)));
    }

    /** The audit after one more entry came behind the others. */
    public Audit plus(Channel added) {
        List<Channel> channels = new ArrayList<>(list.channels());
        channels.add(added);
        ChannelList newList = new ChannelList(list.name(), list.extraColumns(), channels);
        ListIndex newIndex = new ListIndex(channels);
        if (keyedTogether() || !auditor.context().radios().isEmpty()) {
            return auditor.audit(
                    newList); // whether numbers say where entries go, or what disturbs what, may have changed
        }
        BitSet again = new BitSet(channels.size());
        again.set(entries.length);
        newIndex.relatives(added, again::set);
        EntryAudit[] copy = Arrays.copyOf(entries, channels.size());
        again.stream()
                .forEach(i ->
                        copy[i] = auditor.judge(new Entry(channels.get(i), i, newList, newIndex, auditor.context())));
        return new Audit(auditor, newList, newIndex, copy);
    }

    /** What makes an entry legal for a holder; holders count as in the context. */
    public Optional<Authority> authority(int position, int holder) {
        return judgement(position, holder).route().map(Authorities::of);
    }

    /** What an entry comes to for a holder. */
    public Judgement judgement(int position, int holder) {
        return entries[position].judgements().get(auditor.profileOf(holder));
    }

    /** Every route by which a holder could use an entry, the one that counts first. */
    public List<RouteOutcome> routes(int position, int holder) {
        return auditor.routes(new Entry(entries[position].channel(), position, list, index, auditor.context()), holder);
    }

    /** All findings of an entry: its own, then those of each set of licences. */
    public List<Finding> findings(int position) {
        return findings(entries[position]);
    }

    public static List<Finding> findings(EntryAudit entry) {
        List<Finding> all = new ArrayList<>(entry.own());
        entry.judgements().forEach(judgement -> all.addAll(judgement.findings()));
        return all;
    }

    /** The entry with a change applied. */
    public Channel changed(int position, Map<Field, String> fields) {
        return entries[position].channel().with(fields);
    }
}
