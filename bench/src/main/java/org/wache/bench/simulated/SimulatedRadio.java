package org.wache.bench.simulated;

import java.io.ByteArrayInputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.wache.bench.image.RadioImage;
import org.wache.bench.image.StoredChannel;
import org.wache.bench.wire.Command;
import org.wache.bench.wire.Frame;
import org.wache.bench.wire.Identity;
import org.wache.bench.wire.Refusal;
import org.wache.radio.LockMode;
import org.wache.radio.OtherSetting;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;
import org.wache.radio.SettingKind;
import org.wache.radio.ShortNames;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/**
 * A radio that is not there. It behaves like one: what is written is lost without the closing command, frequencies
 * outside its split are refused, others are rounded to its steps, a change of its lock erases its memories, and it keys
 * only where its limits let it.
 */
public final class SimulatedRadio {

    private static final int BATTERY_FULL = 87;
    private static final int BATTERY_FLAT = 3;
    private static final int MOST_READ = 512;

    private final RadioModel model;
    private final String serial;
    private final Ether ether;
    private final Consumer<SimulatedState> keeps;
    private SimulatedState state;
    /** What is written and not yet closed; null outside programming. */
    private RadioImage staged;
    /** Settings that are given and not yet closed. */
    private final Map<String, String> given = new HashMap<>();
    /** What the radio stands on: a memory, or frequencies that were tuned directly. */
    private StoredChannel standing;

    private boolean flat;

    /**
     * A radio that is switched on.
     *
     * @param state what it remembers
     * @param keeps is told whenever what it remembers changes, before the radio says so
     */
    public SimulatedRadio(
            RadioModel model, String serial, SimulatedState state, Ether ether, Consumer<SimulatedState> keeps) {
        this.model = model;
        this.serial = serial;
        this.state = state;
        this.ether = ether;
        this.keeps = keeps;
    }

    public RadioModel model() {
        return model;
    }

    /** What it remembers. */
    public synchronized SimulatedState state() {
        return state;
    }

    /** Its battery goes flat, or is charged. */
    public synchronized void flat(boolean isFlat) {
        this.flat = isFlat;
        if (isFlat) {
            disconnected();
        }
    }

    /** The cable is out or the other side is gone: what was not closed is lost, and the key is released. */
    public synchronized void disconnected() {
        staged = null;
        given.clear();
        ether.release(this);
    }

    /** Carries out a request. */
    synchronized Frame answer(Frame request) throws IOException {
        Optional<Command> command = Command.of(request.command());
        if (command.isEmpty()) {
            return refused(request, Refusal.UNKNOWN, 0);
        }
        if (flat && command.get() != Command.HELLO) {
            return refused(request, Refusal.BATTERY, 0);
        }
        ByteBuffer in = ByteBuffer.wrap(request.payload());
        try {
            return switch (command.get()) {
                case HELLO -> ok(request, identity(model.name(), serial).bytes());
                case OPEN -> open(request);
                case READ -> read(request, in.getInt(), in.getShort() & 0xFFFF);
                case WRITE -> write(request, in.getInt(), rest(in));
                case CLOSE -> close(request);
                case LEAVE -> leave(request);
                case LOCK -> lock(request, new DataInputStream(new ByteArrayInputStream(request.payload())).readUTF());
                case SELECT -> select(request, in.getShort() & 0xFFFF);
                case TUNE -> tune(request, in);
                case KEY -> key(request);
                case SQUELCH -> ok(request, new byte[] {(byte) (hears() ? 1 : 0)});
                case INHIBIT -> inhibit(request, in.get() != 0);
                case SET -> set(request, new DataInputStream(new ByteArrayInputStream(request.payload())));
                case GET -> get(request, new DataInputStream(new ByteArrayInputStream(request.payload())).readUTF());
            };
        } catch (java.nio.BufferUnderflowException e) {
            return refused(request, Refusal.UNKNOWN, 0);
        }
    }

    Identity identity(String saysModel, String saysSerial) {
        return new Identity(
                saysModel,
                saysSerial,
                state.lock(),
                state.inhibited(),
                flat ? BATTERY_FLAT : BATTERY_FULL,
                state.image().length());
    }

    private static byte[] rest(ByteBuffer in) {
        byte[] bytes = new byte[in.remaining()];
        in.get(bytes);
        return bytes;
    }

    private static Frame ok(Frame request, byte... payload) {
        return new Frame(request.sequence(), request.command() | Command.ANSWER, payload);
    }

    private static Frame refused(Frame request, Refusal why, int memory) {
        return new Frame(
                request.sequence(), Command.REFUSED, new byte[] {(byte) why.code(), (byte) (memory >> 8), (byte) memory
                });
    }

    private Frame open(Frame request) {
        ether.release(this);
        staged = state.image();
        given.clear();
        return ok(request);
    }

    private Frame read(Frame request, int offset, int length) {
        if (staged == null) {
            return refused(request, Refusal.NOT_OPEN, 0);
        }
        if (offset < 0 || length > MOST_READ || offset + length > staged.length()) {
            return refused(request, Refusal.OUTSIDE_MEMORY, 0);
        }
        return ok(request, staged.slice(offset, length));
    }

    private Frame write(Frame request, int offset, byte[] part) {
        if (staged == null) {
            return refused(request, Refusal.NOT_OPEN, 0);
        }
        boolean whole = offset >= 0
                && offset % RadioImage.ENTRY == 0
                && part.length % RadioImage.ENTRY == 0
                && offset + part.length <= staged.length();
        if (!whole) {
            return refused(request, Refusal.OUTSIDE_MEMORY, 0);
        }
        RadioImage written = staged.with(offset, part);
        int first = offset / RadioImage.ENTRY + 1;
        for (int memory = first; memory < first + part.length / RadioImage.ENTRY; memory++) {
            Optional<StoredChannel> there = written.at(memory);
            if (there.isPresent()) {
                if (outsideSplit(there.get())) {
                    return refused(request, Refusal.OUTSIDE_SPLIT, memory);
                }
                written = written.with(memory, asStored(there.get()));
            }
        }
        staged = written;
        return ok(request);
    }

    private boolean outsideSplit(StoredChannel channel) {
        boolean deaf = !model.coverage().receive().isEmpty()
                && model.coverage().receive().stream().noneMatch(span -> span.contains(channel.receive()));
        return deaf
                || channel.transmit().isPresent()
                        && !model.coverage().transmit().isEmpty()
                        && model.coverage().transmit().stream()
                                .noneMatch(
                                        span -> span.contains(channel.transmit().get()));
    }

    /** What the radio makes of an entry: on its steps, with its tones and the letters it has. */
    private StoredChannel asStored(StoredChannel asked) {
        String name = model.display()
                .filter(display -> !display.shows(asked.name()))
                .map(display -> ShortNames.of(java.util.List.of(asked.name()), display.length(), display.letters())
                        .get(0)
                        .name())
                .orElse(asked.name());
        return new StoredChannel(
                rounded(asked.receive()),
                asked.transmit().map(this::rounded),
                asked.mode(),
                asked.power(),
                asked.sends().filter(this::hasTone),
                asked.opensOn().filter(this::hasTone),
                asked.scan(),
                asked.timeoutS(),
                asked.zone(),
                name);
    }

    private Frequency rounded(Frequency frequency) {
        return model.tuning().rounded(frequency);
    }

    private boolean hasTone(Tone tone) {
        return !model.tones().known() || model.tones().has(tone);
    }

    private Frame close(Frame request) {
        if (staged == null) {
            return refused(request, Refusal.NOT_OPEN, 0);
        }
        Map<String, String> settings = new HashMap<>(state.settings());
        settings.putAll(given);
        remember(new SimulatedState(staged, state.lock(), state.inhibited(), settings));
        staged = null;
        given.clear();
        standing = null;
        return ok(request);
    }

    private Frame leave(Frame request) {
        staged = null;
        given.clear();
        return ok(request);
    }

    private Frame lock(Frame request, String name) {
        Optional<LockMode> wanted = model.coverage().lock(name);
        if (wanted.isEmpty()) {
            return refused(request, Refusal.NO_SUCH_LOCK, 0);
        }
        boolean erases = !wanted.get().name().equals(state.lock())
                && !model.coverage().lockErases().isEmpty();
        RadioImage image = erases ? RadioImage.erased(model) : state.image();
        boolean other = !wanted.get().name().equals(state.lock());
        remember(new SimulatedState(
                image, wanted.get().name(), state.inhibited(), other ? afterLock() : state.settings()));
        staged = staged == null ? null : image;
        standing = null;
        return ok(request);
    }

    /** A change of its lock sets back what it erases. */
    private Map<String, String> afterLock() {
        boolean all = model.coverage().lockErases().contains("settings");
        Map<String, String> left = new HashMap<>(state.settings());
        model.otherSettings().stream()
                .filter(each -> all || each.erasedBy().contains("lock"))
                .forEach(each -> left.remove(each.id()));
        return left;
    }

    private Optional<OtherSetting> setting(String id) {
        return model.otherSettings().stream()
                .filter(each -> each.id().equals(id))
                .findFirst();
    }

    private Frame set(Frame request, DataInputStream in) throws IOException {
        String id = in.readUTF();
        String value = in.readUTF();
        if (staged == null) {
            return refused(request, Refusal.NOT_OPEN, 0);
        }
        if (setting(id).filter(each -> each.takes(value)).isEmpty()) {
            return refused(request, Refusal.NO_SUCH_SETTING, 0);
        }
        given.put(id, value);
        return ok(request);
    }

    private Frame get(Frame request, String id) {
        Optional<OtherSetting> there = setting(id);
        if (there.isEmpty()) {
            return refused(request, Refusal.NO_SUCH_SETTING, 0);
        }
        java.io.ByteArrayOutputStream bytes = new java.io.ByteArrayOutputStream();
        try (java.io.DataOutputStream out = new java.io.DataOutputStream(bytes)) {
            out.writeUTF(value(there.get()));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return ok(request, bytes.toByteArray());
    }

    /** As it was set, else as the radio comes. */
    private String value(OtherSetting setting) {
        return state.settings()
                .getOrDefault(
                        setting.id(),
                        setting.usual()
                                .orElse(
                                        setting.values().isEmpty()
                                                ? ""
                                                : setting.values().get(0)));
    }

    private boolean bandIsOff(Frequency frequency) {
        return model.otherSettings().stream()
                .filter(each -> each.kind() == SettingKind.BAND_TRANSMIT
                        && each.band().filter(span -> span.contains(frequency)).isPresent())
                .anyMatch(each -> each.isOff(value(each)));
    }

    private Frame inhibit(Frame request, boolean off) {
        remember(new SimulatedState(state.image(), state.lock(), off, state.settings()));
        ether.release(this);
        return ok(request);
    }

    private void remember(SimulatedState next) {
        keeps.accept(next);
        state = next;
    }

    private Frame select(Frame request, int memory) {
        ether.release(this);
        Optional<StoredChannel> there = state.image().at(memory);
        standing = there.orElse(null);
        return there.isPresent() ? ok(request) : refused(request, Refusal.EMPTY, memory);
    }

    private Frame tune(Frame request, ByteBuffer in) {
        ether.release(this);
        long receive = in.getInt() & 0xFFFF_FFFFL;
        long transmit = in.getInt() & 0xFFFF_FFFFL;
        int mode = in.get();
        int power = in.get();
        if (receive == 0 || mode < 0 || mode >= Mode.values().length) {
            return refused(request, Refusal.UNKNOWN, 0);
        }
        standing = new StoredChannel(
                rounded(new Frequency(receive)),
                transmit == 0 ? Optional.empty() : Optional.of(rounded(new Frequency(transmit))),
                Mode.values()[mode],
                power,
                RadioImage.tone(in),
                RadioImage.tone(in),
                false,
                0,
                0,
                "");
        return ok(request);
    }

    private Frame key(Frame request) throws IOException {
        if (request.payload().length == 0) {
            ether.release(this);
            return ok(request);
        }
        DataInputStream in = new DataInputStream(new ByteArrayInputStream(request.payload()));
        String callSign = in.readUTF();
        boolean intoDummyLoad = in.readBoolean();
        if (standing == null) {
            return refused(request, Refusal.EMPTY, 0);
        }
        if (state.inhibited()) {
            return refused(request, Refusal.INHIBITED, 0);
        }
        if (standing.transmit().isEmpty()) {
            return refused(request, Refusal.LISTEN_ONLY, 0);
        }
        if (bandIsOff(standing.transmit().get())) {
            return refused(request, Refusal.BAND_OFF, 0);
        }
        Radio asSet = new Radio(model, model.coverage().lock(state.lock()), Optional.empty(), false);
        if (!asSet.keys(standing.transmit().get())) {
            return refused(request, Refusal.OUTSIDE_LIMITS, 0);
        }
        if (intoDummyLoad) {
            return ok(request);
        }
        ether.key(this, new OnAir(standing.transmit().get(), standing.mode(), standing.sends()), callSign);
        return ok(request);
    }

    private boolean hears() {
        return standing != null && ether.opens(this, standing.receive(), standing.mode(), standing.opensOn());
    }
}
