package org.wache.audit;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.IntConsumer;
import org.wache.channel.Channel;
import org.wache.signal.GolayWord;
import org.wache.signal.Tone;

/**
 * Finds the entries that share a number, or a pair of frequencies. Open hash tables of positions, because the audit
 * asks for every entry; entries with equal frequencies are kept in groups of equal tones, so that a list in which a
 * thousand entries share a channel is not a thousand times slower.
 */
final class ListIndex {

  private static final int NONE = -1;

  private final List<Channel> channels;
  private final int mask;
  private final int[] numberHeads;
  private final int[] nextNumber;
  private final int[] groupHeads;
  private final int[] nextGroup;
  private final int[] groupFirst;
  private final int[] nextInGroup;
  private final int[] groupLast;
  private final long[] groupTones;
  private int groups;

  ListIndex(List<Channel> channels) {
    int count = channels.size();
    this.channels = channels;
    int size = Integer.highestOneBit(Math.max(8, count)) * 4;
    this.mask = size - 1;
    this.numberHeads = filled(size);
    this.nextNumber = filled(count);
    this.groupHeads = filled(size);
    this.nextGroup = filled(count);
    this.groupFirst = filled(count);
    this.groupLast = filled(count);
    this.nextInGroup = filled(count);
    this.groupTones = new long[count];
    for (int i = 0; i < count; i++) {
      Channel channel = channels.get(i);
      int slot = slot(channel.number().hashCode());
      nextNumber[i] = numberHeads[slot];
      numberHeads[slot] = i;
      group(i, channel);
    }
  }

  private static int[] filled(int size) {
    int[] array = new int[size];
    Arrays.fill(array, NONE);
    return array;
  }

  private int slot(long hash) {
    return (int) (hash * 0x9E3779B97F4A7C15L >>> 32) & mask;
  }

  private void group(int position, Channel channel) {
    int slot = slot(frequencies(channel));
    long tones = tones(channel);
    for (int g = groupHeads[slot]; g != NONE; g = nextGroup[g]) {
      if (groupTones[g] == tones && sameFrequencies(channels.get(groupFirst[g]), channel)) {
        nextInGroup[groupLast[g]] = position;
        groupLast[g] = position;
        return;
      }
    }
    int g = groups++;
    groupTones[g] = tones;
    groupFirst[g] = position;
    groupLast[g] = position;
    nextGroup[g] = groupHeads[slot];
    groupHeads[slot] = g;
  }

  private static long frequencies(Channel channel) {
    long receive = channel.receive().isPresent() ? channel.receive().get().hertz() : 0;
    long transmit = channel.transmit().isPresent() ? channel.transmit().get().hertz() : 0;
    return receive * 31 + transmit;
  }

  private static boolean sameFrequencies(Channel one, Channel other) {
    return one.receive().equals(other.receive()) && one.transmit().equals(other.transmit());
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
    return tone.get() instanceof Tone.Dcs code ? 2 << 28 | GolayWord.sound(code) : 3 << 28 | tone.get().hashCode();
  }

  /** The position of another entry with this entry's number. */
  OptionalInt sameNumber(Channel channel, int except) {
    for (int i = numberHeads[slot(channel.number().hashCode())]; i != NONE; i = nextNumber[i]) {
      if (i != except && channels.get(i).number().equals(channel.number())) {
        return OptionalInt.of(i);
      }
    }
    return OptionalInt.empty();
  }

  /** The first other entry with the same frequencies and tones. */
  OptionalInt sameOnAir(Channel channel, int except) {
    return first(channel, except, true);
  }

  /** The first other entry with the same frequencies and other tones. */
  OptionalInt otherTones(Channel channel, int except) {
    return first(channel, except, false);
  }

  private OptionalInt first(Channel channel, int except, boolean sameTones) {
    int g = groupHeads[slot(frequencies(channel))];
    if (g == NONE) {
      return OptionalInt.empty();
    }
    long tones = tones(channel);
    int found = NONE;
    for (; g != NONE; g = nextGroup[g]) {
      int first = groupFirst[g] == except ? nextInGroup[groupFirst[g]] : groupFirst[g];
      if (first != NONE && groupTones[g] == tones == sameTones && (found == NONE || first < found)
          && sameFrequencies(channels.get(first), channel)) {
        found = first;
      }
    }
    return found == NONE ? OptionalInt.empty() : OptionalInt.of(found);
  }

  /** Hands over the positions of all entries that share this entry's number or frequencies. */
  void relatives(Channel channel, IntConsumer each) {
    for (int i = numberHeads[slot(channel.number().hashCode())]; i != NONE; i = nextNumber[i]) {
      if (channels.get(i).number().equals(channel.number())) {
        each.accept(i);
      }
    }
    for (int g = groupHeads[slot(frequencies(channel))]; g != NONE; g = nextGroup[g]) {
      if (sameFrequencies(channels.get(groupFirst[g]), channel)) {
        for (int i = groupFirst[g]; i != NONE; i = nextInGroup[i]) {
          each.accept(i);
        }
      }
    }
  }
}
