package org.wache.server.proposals;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.wache.audit.Audit;
import org.wache.audit.Verdict;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Difference;
import org.wache.channel.Field;
import org.wache.server.lists.Audited;
import org.wache.server.lists.ChangeKind;
import org.wache.server.lists.DeskWriter;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.Views;

/** Changes that are proposed for a list: as one difference, with what each entry comes to before and after. */
final class Proposals {

    private Proposals() {}

    /**
     * A proposal. Nothing is changed by it.
     *
     * @param order a new order of the entries; null when it stays
     * @param notes what there is to say beside it
     */
    record Proposal(
            List<ProposedChange> changes,
            @Schema(nullable = true) Views.Order order,
            List<String> notes,
            Views.Counts before,
            Views.Counts after) {}

    /** What would happen to one entry: differences are in radio terms. */
    record ProposedChange(
            ChangeKind kind,
            @Schema(nullable = true) Long entry,
            String number,
            String name,
            Map<String, String> before,
            Map<String, String> after,
            List<String> differences,
            String why,
            @Schema(nullable = true) Optional<Verdict> verdictBefore,
            @Schema(nullable = true) Optional<Verdict> verdictAfter) {}

    /** Collects what is proposed, then audits the list as it would be. */
    static final class Draft {
        private final Audited audited;
        private final Map<Integer, Channel> edited = new TreeMap<>();
        private final Map<Integer, String> removed = new TreeMap<>();
        private final List<Channel> added = new ArrayList<>();
        private final Map<Integer, String> why = new TreeMap<>();
        private final List<String> whyAdded = new ArrayList<>();
        private final List<String> notes = new ArrayList<>();
        private List<Integer> order = List.of();

        Draft(Audited audited) {
            this.audited = audited;
        }

        void edit(int position, Map<Field, String> fields, String reason) {
            Channel now =
                    edited.getOrDefault(position, audited.stored().get(position).channel());
            edited.put(position, now.with(fields));
            why.put(position, reason);
        }

        void remove(int position, String reason) {
            removed.put(position, reason);
        }

        void add(Channel channel, String reason) {
            added.add(channel);
            whyAdded.add(reason);
        }

        void note(String words) {
            notes.add(words);
        }

        /** The places of the entries as they are, in their new order. */
        void order(List<Integer> places) {
            order = places;
        }

        Proposal proposal() {
            Audit before = audited.audit();
            List<Channel> channels = new ArrayList<>();
            int[] place = new int[audited.stored().size()];
            for (int i = 0; i < place.length; i++) {
                place[i] = removed.containsKey(i) ? -1 : channels.size();
                if (place[i] >= 0) {
                    channels.add(edited.getOrDefault(i, audited.stored().get(i).channel()));
                }
            }
            int firstAdded = channels.size();
            channels.addAll(added);
            Audit after = before.auditor()
                    .audit(new ChannelList(before.list().name(), before.list().extraColumns(), channels));
            List<ProposedChange> changes = new ArrayList<>();
            for (int i = 0; i < place.length; i++) {
                change(i, place[i], before, after).ifPresent(changes::add);
            }
            for (int i = 0; i < added.size(); i++) {
                Channel channel = added.get(i);
                changes.add(new ProposedChange(
                        ChangeKind.ADD,
                        null,
                        channel.number(),
                        channel.name(),
                        Map.of(),
                        DeskWriter.fields(channel),
                        Difference.of(
                                Channel.of(Map.of(
                                        Field.NUMBER,
                                        channel.text(Field.NUMBER),
                                        Field.NAME,
                                        channel.text(Field.NAME))),
                                channel),
                        whyAdded.get(i),
                        Optional.empty(),
                        Optional.of(after.entry(firstAdded + i).verdict())));
            }
            return new Proposal(changes, newOrder(), notes, DeskWriter.counts(before), DeskWriter.counts(after));
        }

        private Optional<ProposedChange> change(int position, int place, Audit before, Audit after) {
            ListStore.Stored stored = audited.stored().get(position);
            Channel old = stored.channel();
            Optional<Verdict> verdict = Optional.of(before.entry(position).verdict());
            if (place < 0) {
                return Optional.of(new ProposedChange(
                        ChangeKind.REMOVE,
                        stored.id(),
                        old.number(),
                        old.name(),
                        Map.of(),
                        Map.of(),
                        List.of("leaves the list"),
                        removed.get(position),
                        verdict,
                        Optional.empty()));
            }
            Channel now = edited.getOrDefault(position, old);
            if (now.equals(old)) {
                return Optional.empty();
            }
            Map<String, String> was = new TreeMap<>();
            Map<String, String> becomes = new TreeMap<>();
            for (Field field : Field.values()) {
                if (!now.text(field).equals(old.text(field))) {
                    was.put(field.key(), old.text(field));
                    becomes.put(field.key(), now.text(field));
                }
            }
            return Optional.of(new ProposedChange(
                    ChangeKind.EDIT,
                    stored.id(),
                    old.number(),
                    old.name(),
                    was,
                    becomes,
                    Difference.of(old, now),
                    why.getOrDefault(position, ""),
                    verdict,
                    Optional.of(after.entry(place).verdict())));
        }

        private Views.Order newOrder() {
            List<Long> now = audited.stored().stream().map(ListStore.Stored::id).toList();
            List<Long> next = order.stream().map(now::get).toList();
            return order.isEmpty() || next.equals(now) ? null : new Views.Order(now, next);
        }
    }

    /** The fields of an entry that say what it is on the air, for swapping it whole; what is missing is emptied. */
    static Map<Field, String> onTheAir(Channel channel) {
        Map<Field, String> fields = new EnumMap<>(Field.class);
        for (Field field : List.of(
                Field.NAME,
                Field.RX_MHZ,
                Field.TX_MHZ,
                Field.MODE,
                Field.EMISSION,
                Field.POWER_W,
                Field.TX_TONE,
                Field.RX_TONE,
                Field.USE,
                Field.SERVICE,
                Field.NOTE)) {
            fields.put(field, channel.text(field));
        }
        return fields;
    }
}
