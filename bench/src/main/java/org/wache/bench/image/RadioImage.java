package org.wache.bench.image;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.wache.radio.RadioModel;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/**
 * The memory of a radio as bytes: 48 for each memory, all 0xFF where it is empty. In a radio with zones the memories of
 * the zones follow one another.
 */
public final class RadioImage {

    /** Bytes of one memory. */
    public static final int ENTRY = 48;

    private static final int NAME_AT = 20;
    private static final int MOST_NAME = ENTRY - NAME_AT;
    private static final int USED = 0x01;
    private static final int SCAN = 0x02;
    private static final byte ERASED = (byte) 0xFF;
    private static final int MOST_MEMORIES = 1_000;
    private static final int UNKNOWN_SIZE = 128;

    private final byte[] bytes;

    private RadioImage(byte[] bytes) {
        this.bytes = bytes;
    }

    /** An image without entries for a model. */
    public static RadioImage erased(RadioModel model) {
        byte[] bytes = new byte[memories(model) * ENTRY];
        Arrays.fill(bytes, ERASED);
        return new RadioImage(bytes);
    }

    /** An image of these bytes; they are copied. */
    public static RadioImage of(byte[] bytes) {
        return new RadioImage(bytes.clone());
    }

    /** How many memories a radio of the model has; 128 when the model does not say. */
    public static int memories(RadioModel model) {
        int zones = model.memory().zones().orElse(0) * model.memory().perZone().orElse(0);
        return Math.min(
                MOST_MEMORIES, Math.max(zones, model.memory().channels().orElse(zones > 0 ? zones : UNKNOWN_SIZE)));
    }

    /** Where the memory of a zone stands in the image, from 1. */
    public static int place(RadioModel model, int zone, int memory) {
        return zone == 0 ? memory : (zone - 1) * model.memory().perZone().orElse(0) + memory;
    }

    public byte[] bytes() {
        return bytes.clone();
    }

    public int length() {
        return bytes.length;
    }

    /** How many memories it has. */
    public int memories() {
        return bytes.length / ENTRY;
    }

    /** The bytes from an offset on. */
    public byte[] slice(int offset, int length) {
        return Arrays.copyOfRange(bytes, offset, offset + length);
    }

    /** Whether all bytes are the same. */
    public boolean sameAs(RadioImage other) {
        return Arrays.equals(bytes, other.bytes);
    }

    /** A copy in which these bytes stand at an offset. */
    public RadioImage with(int offset, byte[] part) {
        byte[] copy = bytes.clone();
        System.arraycopy(part, 0, copy, offset, part.length);
        return new RadioImage(copy);
    }

    /** A copy in which a memory holds an entry; memories count from 1. */
    public RadioImage with(int memory, StoredChannel channel) {
        return with((memory - 1) * ENTRY, encoded(channel));
    }

    /** A copy in which a memory is empty. */
    public RadioImage without(int memory) {
        byte[] empty = new byte[ENTRY];
        Arrays.fill(empty, ERASED);
        return with((memory - 1) * ENTRY, empty);
    }

    /** What a memory holds; empty when nothing, or when its bytes make no sense. */
    public Optional<StoredChannel> at(int memory) {
        if (memory < 1 || memory > memories()) {
            return Optional.empty();
        }
        return decoded(ByteBuffer.wrap(bytes, (memory - 1) * ENTRY, ENTRY).slice());
    }

    /** All entries by memory. */
    public Map<Integer, StoredChannel> entries() {
        Map<Integer, StoredChannel> all = new TreeMap<>();
        for (int memory = 1; memory <= memories(); memory++) {
            Optional<StoredChannel> there = at(memory);
            if (there.isPresent()) {
                all.put(memory, there.get());
            }
        }
        return all;
    }

    private static byte[] encoded(StoredChannel channel) {
        ByteBuffer out = ByteBuffer.allocate(ENTRY);
        out.put((byte) (USED | (channel.scan() ? SCAN : 0)));
        out.put((byte) channel.mode().ordinal());
        out.put((byte) channel.power());
        out.put((byte) channel.zone());
        out.putInt((int) channel.receive().hertz());
        out.putInt(channel.transmit().map(f -> (int) f.hertz()).orElse(0));
        tone(out, channel.sends());
        tone(out, channel.opensOn());
        out.putShort((short) channel.timeoutS());
        byte[] name = channel.name().getBytes(StandardCharsets.ISO_8859_1);
        for (int i = 0; i < MOST_NAME; i++) {
            out.put(i < name.length ? name[i] : 0);
        }
        return out.array();
    }

    /** A tone in three bytes: its kind and its value. */
    public static void tone(ByteBuffer out, Optional<Tone> tone) {
        if (tone.isEmpty()) {
            out.put((byte) 0).putShort((short) 0);
        } else if (tone.get() instanceof Tone.Ctcss continuous) {
            out.put((byte) 1).putShort((short) continuous.tenths());
        } else if (tone.get() instanceof Tone.Dcs code) {
            out.put((byte) (code.inverted() ? 3 : 2)).putShort((short) code.code());
        } else if (tone.get() instanceof Tone.Burst burst) {
            out.put((byte) 4).putShort((short) burst.hertz());
        }
    }

    /** Reads a tone of three bytes. */
    public static Optional<Tone> tone(ByteBuffer in) {
        int kind = in.get();
        int value = in.getShort() & 0xFFFF;
        return switch (kind) {
            case 1 -> Optional.of(new Tone.Ctcss(value));
            case 2, 3 -> Optional.of(new Tone.Dcs(value & 0777, kind == 3));
            case 4 -> Optional.of(new Tone.Burst(value));
            default -> Optional.empty();
        };
    }

    private static Optional<StoredChannel> decoded(ByteBuffer in) {
        int flags = in.get() & 0xFF;
        int mode = in.get() & 0xFF;
        int power = in.get() & 0xFF;
        int zone = in.get() & 0xFF;
        long receive = in.getInt() & 0xFFFF_FFFFL;
        long transmit = in.getInt() & 0xFFFF_FFFFL;
        if (flags == 0xFF || (flags & USED) == 0 || mode >= Mode.values().length || receive == 0) {
            return Optional.empty();
        }
        Optional<Tone> sends = tone(in);
        Optional<Tone> opens = tone(in);
        int timeout = in.getShort() & 0xFFFF;
        byte[] name = new byte[MOST_NAME];
        in.get(name);
        int length = 0;
        while (length < name.length && name[length] != 0) {
            length++;
        }
        return Optional.of(new StoredChannel(
                new Frequency(receive),
                transmit == 0 ? Optional.empty() : Optional.of(new Frequency(transmit)),
                Mode.values()[mode],
                power,
                sends,
                opens,
                (flags & SCAN) != 0,
                timeout,
                zone,
                new String(name, 0, length, StandardCharsets.ISO_8859_1)));
    }
}
