package org.wache.bench.simulated;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.LongSupplier;
import java.util.stream.Stream;
import org.wache.signal.Frequency;
import org.wache.signal.GolayWord;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/** What simulated radios near each other put on the air, and what they hear of it. */
public final class Ether {

    private static final long NANOS_IN_MILLI = 1_000_000;

    private final LongSupplier nanos;
    private final Map<Object, OnAir> keyed = new HashMap<>();
    private final List<Repeater> repeaters = new CopyOnWriteArrayList<>();

    /** A stand-in for a repeater: what opens it, what it sends, and how long it stays up after the last word. */
    private static final class Repeater {
        private final Frequency input;
        private final Frequency output;
        private final Mode mode;
        private final Optional<Tone> opensWith;
        private final Optional<Tone> sends;
        private final long tailNanos;
        private Object talker;
        private Optional<String> callSign = Optional.empty();
        private long upUntil;

        private Repeater(
                Frequency input,
                Frequency output,
                Mode mode,
                Optional<Tone> opensWith,
                Optional<Tone> sends,
                long tailNanos,
                long now) {
            this.input = input;
            this.output = output;
            this.mode = mode;
            this.opensWith = opensWith;
            this.sends = sends;
            this.tailNanos = tailNanos;
            this.upUntil = now;
        }

        private boolean isUp(long now) {
            return talker != null || now - upUntil < 0;
        }
    }

    /** @param nanos a clock that only rises, in nanoseconds */
    public Ether(LongSupplier nanos) {
        this.nanos = nanos;
    }

    /**
     * Puts up a stand-in for a repeater.
     *
     * @param opensWith the tone that opens it; empty when it opens with any
     * @param sends the tone it sends
     * @param tailMillis how long its carrier stays after the last word, in milliseconds
     */
    public synchronized void repeater(
            Frequency input,
            Frequency output,
            Mode mode,
            Optional<Tone> opensWith,
            Optional<Tone> sends,
            long tailMillis) {
        repeaters.removeIf(each -> each.input.equals(input) && each.output.equals(output));
        repeaters.add(
                new Repeater(input, output, mode, opensWith, sends, tailMillis * NANOS_IN_MILLI, nanos.getAsLong()));
    }

    /** A radio keys; a call sign that is spoken is heard by whatever the signal opens. */
    synchronized void key(Object radio, OnAir signal, String callSign) {
        keyed.put(radio, signal);
        for (Repeater each : repeaters) {
            if (each.input.equals(signal.frequency())
                    && each.mode == signal.mode()
                    && opens(each.opensWith, signal.tone())) {
                each.talker = radio;
                each.callSign = callSign.isBlank() ? each.callSign : Optional.of(callSign);
            }
        }
    }

    /** A radio lets go of its key. */
    synchronized void release(Object radio) {
        keyed.remove(radio);
        for (Repeater each : repeaters) {
            if (radio.equals(each.talker)) {
                each.talker = null;
                each.upUntil = nanos.getAsLong() + each.tailNanos;
            }
        }
    }

    /** Whether a receiver opens; it does not hear its own transmitter. */
    synchronized boolean opens(Object radio, Frequency frequency, Mode mode, Optional<Tone> opensOn) {
        long now = nanos.getAsLong();
        Stream<OnAir> direct = keyed.entrySet().stream()
                .filter(each -> !each.getKey().equals(radio))
                .map(Map.Entry::getValue);
        Stream<OnAir> relayed = repeaters.stream()
                .filter(each -> each.isUp(now))
                .map(each -> new OnAir(each.output, each.mode, each.sends));
        return Stream.concat(direct, relayed)
                .anyMatch(signal ->
                        signal.frequency().equals(frequency) && signal.mode() == mode && opens(opensOn, signal.tone()));
    }

    /** The call sign that the repeater with this output heard last. */
    public synchronized Optional<String> heardBy(Frequency output) {
        return repeaters.stream()
                .filter(each -> each.output.equals(output))
                .findFirst()
                .flatMap(each -> each.callSign);
    }

    private static boolean opens(Optional<Tone> wanted, Optional<Tone> sent) {
        if (wanted.isEmpty() || wanted.equals(sent)) {
            return true;
        }
        return sent.isPresent()
                && wanted.get() instanceof Tone.Dcs a
                && sent.get() instanceof Tone.Dcs b
                && GolayWord.sound(a) == GolayWord.sound(b);
    }
}
