package org.wache.bench.drive;

import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.ByteBuffer;
import java.util.Optional;
import org.wache.bench.image.RadioImage;
import org.wache.bench.image.StoredChannel;
import org.wache.bench.wire.ChecksumFault;
import org.wache.bench.wire.Command;
import org.wache.bench.wire.Frame;
import org.wache.bench.wire.Identity;
import org.wache.bench.wire.Refusal;

/**
 * The bench's end of the line to one radio. Asks again when an answer comes damaged or not at all, with the same number,
 * so that nothing is carried out twice. Not for several threads.
 */
public final class RadioLink implements AutoCloseable {

    /** Bytes of the image in one frame: ten memories. */
    public static final int BLOCK = 10 * RadioImage.ENTRY;

    private static final int TRIES = 3;
    private static final int CONNECT_MS = 2_000;

    private final Socket socket;
    private final BufferedInputStream in;
    private int sequence;

    /** Progress of a long command. */
    public interface Progress {
        void at(int done, int total) throws LinkFault;
    }

    /**
     * Opens the line.
     *
     * @param answerMs how long to wait for an answer, in milliseconds
     * @throws LinkFault when nothing is there
     */
    public RadioLink(InetSocketAddress address, int answerMs) throws LinkFault {
        try {
            socket = new Socket();
            socket.connect(address, CONNECT_MS);
            socket.setTcpNoDelay(true);
            socket.setSoTimeout(answerMs);
            in = new BufferedInputStream(socket.getInputStream());
        } catch (IOException e) {
            throw new LinkFault("No radio is on this port.", "Look at the cable and whether the radio is on.");
        }
    }

    private static LinkFault silent() {
        return new LinkFault(
                "The radio does not answer any more.",
                "Look at the cable and whether the radio is on, then start this radio again:"
                        + " what was not closed is lost, and what was in it before is saved.");
    }

    private ByteBuffer ask(Command command, byte... payload) throws LinkFault, Refused {
        sequence = sequence + 1 & 0xFF;
        Frame request = new Frame(sequence, command.code(), payload);
        boolean damaged = false;
        for (int attempt = 0; attempt < TRIES; attempt++) {
            try {
                socket.getOutputStream().write(request.bytes());
                Frame answer = Frame.read(in);
                while (answer.sequence() != sequence) {
                    answer = Frame.read(in); // a late answer to an earlier try
                }
                if (answer.command() == Command.REFUSED) {
                    ByteBuffer why = ByteBuffer.wrap(answer.payload());
                    throw new Refused(Refusal.of(why.get()), why.getShort() & 0xFFFF);
                }
                return ByteBuffer.wrap(answer.payload());
            } catch (ChecksumFault e) {
                damaged = true;
            } catch (SocketTimeoutException e) {
                damaged = false;
            } catch (EOFException e) {
                throw silent();
            } catch (IOException e) {
                throw silent();
            }
        }
        throw damaged
                ? new LinkFault(
                        "What the radio says comes damaged, " + TRIES + " times in a row.",
                        "Use another cable or a shorter one, and start this radio again.")
                : silent();
    }

    private static final class Refused extends Exception {
        private static final long serialVersionUID = 1;
        private final Refusal why;
        private final int memory;

        Refused(Refusal why, int memory) {
            this.why = why;
            this.memory = memory;
        }

        LinkFault told(String what) {
            if (why == Refusal.BATTERY) {
                return new LinkFault(
                        "The radio's battery is flat.",
                        "Charge it, and start this radio again: what was not closed is lost, and what"
                                + " was in it before is saved.");
            }
            return new LinkFault(
                    "The radio refuses " + what + (memory > 0 ? " memory " + memory : "") + ": " + why.words() + ".",
                    why == Refusal.OUTSIDE_SPLIT
                            ? "It may be a radio of another band split. Look at the list's fit for this model."
                            : "Look at the radio, and start it again.");
        }
    }

    private ByteBuffer must(String what, Command command, byte... payload) throws LinkFault {
        try {
            return ask(command, payload);
        } catch (Refused e) {
            throw e.told(what);
        }
    }

    private static byte[] text(String text) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream out = new DataOutputStream(bytes)) {
            out.writeUTF(text);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /** Who is there. */
    public Identity identity() throws LinkFault {
        try {
            return Identity.of(must("to say who it is", Command.HELLO).array());
        } catch (IOException e) {
            throw new LinkFault(
                    "What the radio says of itself makes no sense.", "Look whether it is a radio of this kind.");
        }
    }

    /** Begins programming. */
    public void open() throws LinkFault {
        must("to be programmed", Command.OPEN);
    }

    /** Keeps what was written and ends programming; without it all is lost. */
    public void closeProgramming() throws LinkFault {
        must("to keep what was written", Command.CLOSE);
    }

    /** Ends programming without keeping anything. */
    public void leave() throws LinkFault {
        must("to leave programming", Command.LEAVE);
    }

    /** Reads the whole image. */
    public RadioImage read(int length, Progress progress) throws LinkFault {
        byte[] bytes = new byte[length];
        for (int offset = 0; offset < length; offset += BLOCK) {
            int part = Math.min(BLOCK, length - offset);
            ByteBuffer block = must(
                    "to be read",
                    Command.READ,
                    ByteBuffer.allocate(6).putInt(offset).putShort((short) part).array());
            block.get(bytes, offset, part);
            progress.at(offset + part, length);
        }
        return RadioImage.of(bytes);
    }

    /** Writes the whole image; it is not kept before {@link #closeProgramming()}. */
    public void write(RadioImage image, Progress progress) throws LinkFault {
        for (int offset = 0; offset < image.length(); offset += BLOCK) {
            int part = Math.min(BLOCK, image.length() - offset);
            must(
                    "to write",
                    Command.WRITE,
                    ByteBuffer.allocate(4 + part)
                            .putInt(offset)
                            .put(image.slice(offset, part))
                            .array());
            progress.at(offset + part, image.length());
        }
    }

    /** Sets the lock; erases what the model says. */
    public void lock(String name) throws LinkFault {
        must("this lock setting", Command.LOCK, text(name));
    }

    /** Sets what belongs to no channel; it is not kept before {@link #closeProgramming()}. */
    public void set(String setting, String value) throws LinkFault {
        byte[] which = text(setting);
        byte[] how = text(value);
        must(
                "to set " + setting + " to " + value + ":",
                Command.SET,
                ByteBuffer.allocate(which.length + how.length)
                        .put(which)
                        .put(how)
                        .array());
    }

    /** How it is set; empty when it has no such setting. */
    public Optional<String> setting(String setting) throws LinkFault {
        try {
            ByteBuffer answer = ask(Command.GET, text(setting));
            return Optional.of(new DataInputStream(new ByteArrayInputStream(answer.array())).readUTF());
        } catch (Refused e) {
            if (e.why == Refusal.NO_SUCH_SETTING) {
                return Optional.empty();
            }
            throw e.told("to say how it is set");
        } catch (IOException e) {
            throw new LinkFault(
                    "What the radio says of itself makes no sense.", "Look whether it is a radio of this kind.");
        }
    }

    /** Switches the transmitter off for good, or on. */
    public void inhibit(boolean off) throws LinkFault {
        must("to switch its transmitter", Command.INHIBIT, (byte) (off ? 1 : 0));
    }

    /** Chooses a memory; false when it is empty. */
    public boolean select(int memory) throws LinkFault {
        try {
            ask(Command.SELECT, ByteBuffer.allocate(2).putShort((short) memory).array());
            return true;
        } catch (Refused e) {
            if (e.why == Refusal.EMPTY) {
                return false;
            }
            throw e.told("to choose");
        }
    }

    /** Chooses frequencies directly. */
    public void tune(StoredChannel channel) throws LinkFault {
        ByteBuffer payload = ByteBuffer.allocate(16)
                .putInt((int) channel.receive().hertz())
                .putInt(channel.transmit().map(f -> (int) f.hertz()).orElse(0))
                .put((byte) channel.mode().ordinal())
                .put((byte) channel.power());
        RadioImage.tone(payload, channel.sends());
        RadioImage.tone(payload, channel.opensOn());
        must("to be tuned", Command.TUNE, payload.array());
    }

    /**
     * Presses the key and speaks the call sign.
     *
     * @param intoDummyLoad whether nothing goes on the air
     * @return why it did not key; empty when it did
     */
    public Optional<Refusal> key(String callSign, boolean intoDummyLoad) throws LinkFault {
        try {
            byte[] spoken = text(callSign);
            ask(
                    Command.KEY,
                    ByteBuffer.allocate(spoken.length + 1)
                            .put(spoken)
                            .put((byte) (intoDummyLoad ? 1 : 0))
                            .array());
            return Optional.empty();
        } catch (Refused e) {
            if (e.why == Refusal.BATTERY) {
                throw e.told("to key");
            }
            return Optional.of(e.why);
        }
    }

    /** Releases the key. */
    public void release() throws LinkFault {
        must("to release the key", Command.KEY);
    }

    /** Whether the squelch is open. */
    public boolean hears() throws LinkFault {
        return must("to listen", Command.SQUELCH).get() == 1;
    }

    @Override
    public void close() {
        try {
            socket.close();
        } catch (IOException e) {
            // nothing is left to close
        }
    }
}
