package org.wache.audit;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.wache.audit.context.AuditContext;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Digital;
import org.wache.radio.Memories;
import org.wache.radio.MemorySize;
import org.wache.signal.GolayWord;
import org.wache.signal.Tone;

/**
 * Finds the entries that share a number, or a pair of frequencies with the same or with other tones. The audit asks
 * for every entry, so each question about an entry of the list is answered from arrays, however many share a channel.
 */
final class ListIndex {

    private static final int NONE = -1;
    /** From so many entries on, the processor's cores share the reading of the keys. */
    private static final int WORTH_SHARING = 4_096;

    private final List<Channel> channels;
    private final long[] frequencies;
    private final long[] tones;
    private final Groups byNumber;
    private final Groups byFrequency;
    private final Groups byAir;
    /** Those of an air group that call the same people: the same codes, slots and talk groups. */
    private final Groups byCall;
    /** For each pair of frequencies: the air groups (frequencies and tones) that came first and second. */
    private final int[] firstAir;

    private final int[] secondAir;
    /** Worked out when a rule asks for it, once for radios that remember as much. */
    private final Map<MemorySize, Memories> memories = new ConcurrentHashMap<>();

    private volatile Set<String> names;
    private volatile ListFacts facts;
    private volatile Sites sites;

    ListIndex(List<Channel> channels) {
        int count = channels.size();
        this.channels = channels;
        this.frequencies = new long[count];
        this.tones = new long[count];
        this.byNumber = new Groups(count);
        this.byFrequency = new Groups(count);
        this.byAir = new Groups(count);
        this.byCall = new Groups(count);
        this.firstAir = filled(count);
        this.secondAir = filled(count);
        int[] hashes = new int[count];
        IntStream positions = IntStream.range(0, count);
        (count < WORTH_SHARING ? positions : positions.parallel()).forEach(i -> {
            Channel channel = channels.get(i);
            frequencies[i] = frequencies(channel);
            tones[i] = tones(channel);
            hashes[i] = channel.number().hashCode();
        });
        for (int i = 0; i < count; i++) {
            byNumber.add(i, hashes[i], (a, b) -> hashes[a] == hashes[b] && sameNumber(a, b));
            int frequency = byFrequency.add(i, frequencies[i], (a, b) -> frequencies[a] == frequencies[b]);
            int air = byAir.add(
                    i,
                    frequencies[i] * 31 + tones[i],
                    (a, b) -> frequencies[a] == frequencies[b] && tones[a] == tones[b]);
            byCall.add(i, call(air, channels.get(i)), (a, b) -> byAir.of[a] == air && sameCall(a, channels.get(b)));
            if (firstAir[frequency] == NONE) {
                firstAir[frequency] = air;
            } else if (firstAir[frequency] != air && secondAir[frequency] == NONE) {
                secondAir[frequency] = air;
            }
        }
    }

    /** Takes over where the entries go from the index before a change that moved none of them. */
    void placedAs(ListIndex before) {
        memories.putAll(before.memories);
    }

    /** The memories that the entries go into in a radio of this size. */
    Memories memories(ChannelList list, MemorySize size) {
        return memories.computeIfAbsent(size, any -> Memories.of(list, size));
    }

    /** What the transmitters of each site do to its receivers. */
    Sites sites(AuditContext context) {
        Sites known = sites;
        if (known == null) {
            synchronized (this) {
                known = sites == null
                        ? new Sites(
                                channels,
                                context.houseRules().keyedTogether(),
                                context.edition().nearness())
                        : sites;
                sites = known;
            }
        }
        return known;
    }

    /** The names of all entries. */
    Set<String> names() {
        Set<String> known = names;
        if (known == null) {
            known = channels.stream().map(Channel::name).collect(Collectors.toUnmodifiableSet());
            names = known; // a race makes the same value twice
        }
        return known;
    }

    /** What the list has as a whole. */
    ListFacts facts() {
        ListFacts known = facts;
        if (known == null) {
            known = ListFacts.of(channels);
            facts = known; // a race makes the same value twice
        }
        return known;
    }

    private boolean sameNumber(int one, int other) {
        return channels.get(one).number().equals(channels.get(other).number());
    }

    private static int[] filled(int size) {
        int[] array = new int[size];
        Arrays.fill(array, NONE);
        return array;
    }

    /** Receive and transmit in one number: exact below 4.29 GHz each, and above that no entry is plausible. */
    private static long frequencies(Channel channel) {
        long receive = channel.receive().isPresent() ? channel.receive().get().hertz() : 0;
        long transmit =
                channel.transmit().isPresent() ? channel.transmit().get().hertz() : 0;
        return receive << 32 | transmit & 0xFFFF_FFFFL;
    }

    /** Equal for channels whose tones open the same receivers. */
    private static long tones(Channel channel) {
        return (long) sound(channel.sends()) << 32 | sound(channel.opensOn());
    }

    private static int sound(Optional<Tone> tone) {
        if (tone.isEmpty()) {
            return 0;
        }
        if (tone.get() instanceof Tone.Ctcss continuous) {
            return 1 << 28 | continuous.tenths();
        }
        return tone.get() instanceof Tone.Dcs code
                ? 2 << 28 | GolayWord.sound(code)
                : 3 << 28 | tone.get().hashCode();
    }

    /** The position of another entry with this entry's number. */
    OptionalInt sameNumber(Channel channel, int except) {
        int group = channels.get(except) == channel
                ? byNumber.of[except]
                : byNumber.find(
                        channel.number().hashCode(),
                        i -> channels.get(i).number().equals(channel.number()));
        return other(byNumber, group, except);
    }

    private static long call(int air, Channel channel) {
        return air * 31L
                + (channel.digital() == Digital.NONE ? 0 : channel.digital().hashCode());
    }

    private boolean sameCall(int one, Channel other) {
        return channels.get(one).digital().equals(other.digital());
    }

    /** The first other entry with the same frequencies, tones and digital codes. */
    OptionalInt sameOnAir(Channel channel, int except) {
        if (channels.get(except) == channel) {
            return other(byCall, byCall.of[except], except);
        }
        long frequency = frequencies(channel);
        long tone = tones(channel);
        int air = byAir.find(frequency * 31 + tone, i -> frequencies[i] == frequency && tones[i] == tone);
        if (air == NONE) {
            return OptionalInt.empty();
        }
        int group = byCall.find(call(air, channel), i -> byAir.of[i] == air && sameCall(i, channel));
        return other(byCall, group, except);
    }

    private static OptionalInt other(Groups groups, int group, int except) {
        if (group == NONE) {
            return OptionalInt.empty();
        }
        int first = groups.first[group] == except ? groups.second(group) : groups.first[group];
        return first == NONE ? OptionalInt.empty() : OptionalInt.of(first);
    }

    /** The first other entry with the same frequencies and other tones. */
    OptionalInt otherTones(Channel channel, int except) {
        boolean known = channels.get(except) == channel;
        long frequency = known ? frequencies[except] : frequencies(channel);
        int group = known ? byFrequency.of[except] : byFrequency.find(frequency, i -> frequencies[i] == frequency);
        if (group == NONE || known && secondAir[group] == NONE) {
            return OptionalInt.empty();
        }
        if (known) {
            int air = firstAir[group] == byAir.of[except] ? secondAir[group] : firstAir[group];
            return OptionalInt.of(byAir.first[air]);
        }
        long tone = tones(channel);
        // Of the first two sets of tones on a frequency one is another than this; only where that is the entry's own,
        // and nobody else's, are
        // the others looked through.
        for (int air : new int[] {firstAir[group], secondAir[group]}) {
            if (air != NONE && tones[byAir.first[air]] != tone) {
                int there = byAir.first[air] == except ? byAir.second(air) : byAir.first[air];
                if (there != NONE) {
                    return OptionalInt.of(there);
                }
            }
        }
        if (secondAir[group] == NONE) {
            return OptionalInt.empty();
        }
        for (int i = byFrequency.first[group]; i != NONE; i = byFrequency.next[i]) {
            if (i != except && tones[i] != tone) {
                return OptionalInt.of(i);
            }
        }
        return OptionalInt.empty();
    }

    /** Hands over the positions of all entries that share this entry's number or frequencies. */
    void relatives(Channel channel, IntConsumer each) {
        byNumber.each(
                byNumber.find(
                        channel.number().hashCode(),
                        i -> channels.get(i).number().equals(channel.number())),
                each);
        long frequency = frequencies(channel);
        byFrequency.each(byFrequency.find(frequency, i -> frequencies[i] == frequency), each);
    }

    /** Positions grouped by a key: an open hash table of groups, and in each group the positions in order. */
    private static final class Groups {
        private final int mask;
        private final int[] heads;
        private final int[] nextGroup;
        private final int[] first;
        private final int[] last;
        /** The next position in the same group. */
        private final int[] next;
        /** The group of each position. */
        private final int[] of;

        private int count;

        /** Whether two positions have the same key. */
        private interface Same {
            boolean test(int one, int other);
        }

        Groups(int positions) {
            int size = Integer.highestOneBit(Math.max(8, positions)) * 2;
            mask = size - 1;
            heads = filled(size);
            nextGroup = filled(positions);
            first = filled(positions);
            last = filled(positions);
            next = filled(positions);
            of = filled(positions);
        }

        private int slot(long key) {
            return (int) (key * 0x9E3779B97F4A7C15L >>> 36) & mask;
        }

        /** Adds a position and returns its group. */
        int add(int position, long key, Same same) {
            int slot = slot(key);
            int group = heads[slot];
            while (group != NONE && !same.test(first[group], position)) {
                group = nextGroup[group];
            }
            if (group == NONE) {
                group = count++;
                first[group] = position;
                nextGroup[group] = heads[slot];
                heads[slot] = group;
            } else {
                next[last[group]] = position;
            }
            last[group] = position;
            of[position] = group;
            return group;
        }

        int find(long key, java.util.function.IntPredicate same) {
            int group = heads[slot(key)];
            while (group != NONE && !same.test(first[group])) {
                group = nextGroup[group];
            }
            return group;
        }

        int second(int group) {
            return next[first[group]];
        }

        void each(int group, IntConsumer consumer) {
            for (int i = group == NONE ? NONE : first[group]; i != NONE; i = next[i]) {
                consumer.accept(i);
            }
        }
    }
}
