package org.wache.bench.simulated;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Optional;
import org.wache.bench.wire.Frame;

/**
 * The plug of a simulated radio: a port on loopback with a slow line behind it. Takes one connection at a time, as a
 * cable does, and goes wrong on demand.
 */
public final class SimulatedPort implements AutoCloseable {

    private static final int BITS_OF_A_BYTE = 10;
    private static final int WAIT_IN_LINE = 8;

    private final SimulatedRadio radio;
    private final int baud;
    private final ServerSocket server;
    private Fault fault;
    private int framesUntilFault;
    private volatile Socket line;

    /**
     * Plugs a radio in.
     *
     * @param baud bits a second of the line, ten for each byte; 0 for no delay
     * @throws IOException when no port is free
     */
    public SimulatedPort(SimulatedRadio radio, int baud) throws IOException {
        this.radio = radio;
        this.baud = baud;
        this.server = new ServerSocket();
        server.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), WAIT_IN_LINE);
        Thread thread = new Thread(this::serve, "simulated radio " + server.getLocalPort());
        thread.setDaemon(true);
        thread.start();
    }

    /** The port on loopback. */
    public int port() {
        return server.getLocalPort();
    }

    public SimulatedRadio radio() {
        return radio;
    }

    /** Makes something go wrong after so many more answers; an empty fault mends everything. */
    public synchronized void fail(Optional<Fault> what, int afterFrames) {
        fault = what.orElse(null);
        framesUntilFault = afterFrames;
        radio.flat(false);
    }

    /** What goes wrong, or will. */
    public synchronized Optional<Fault> fault() {
        return Optional.ofNullable(fault);
    }

    private void serve() {
        while (!server.isClosed()) {
            try (Socket socket = server.accept()) {
                socket.setTcpNoDelay(true);
                line = socket;
                talk(new BufferedInputStream(socket.getInputStream()), socket.getOutputStream());
            } catch (IOException e) {
                // the other side went away: the radio waits for the next connection
            } finally {
                line = null;
                radio.disconnected();
            }
        }
    }

    private void talk(InputStream in, OutputStream out) throws IOException {
        Frame lastRequest = null;
        Frame lastAnswer = null;
        while (true) {
            Frame request;
            try {
                request = Frame.read(in);
            } catch (EOFException e) {
                return;
            } catch (org.wache.bench.wire.ChecksumFault e) {
                continue; // a damaged request is not answered: the bench asks again
            }
            boolean again = lastRequest != null
                    && lastRequest.sequence() == request.sequence()
                    && lastRequest.command() == request.command();
            Optional<Fault> now = due();
            wait(request.bytes().length);
            if (now.isPresent() && now.get() == Fault.CABLE_OUT) {
                radio.disconnected();
                lastRequest = null;
                continue;
            }
            if (now.isPresent() && now.get() == Fault.FLAT_BATTERY) {
                radio.flat(true);
            }
            Frame answer = again ? lastAnswer : radio.answer(request);
            lastRequest = request;
            lastAnswer = answer;
            byte[] bytes = bytes(answer, now);
            wait(bytes.length);
            out.write(bytes);
            out.flush();
        }
    }

    private byte[] bytes(Frame answer, Optional<Fault> now) {
        Frame said = answer;
        if (now.isPresent()
                && now.get() == Fault.WRONG_MODEL
                && answer.command()
                        == (org.wache.bench.wire.Command.HELLO.code() | org.wache.bench.wire.Command.ANSWER)) {
            said = new Frame(
                    answer.sequence(),
                    answer.command(),
                    radio.identity("Gannet G9", "G9-00001").bytes());
        }
        byte[] bytes = said.bytes();
        if (now.isPresent() && (now.get() == Fault.CHECKSUM || now.get() == Fault.CHECKSUM_ONCE)) {
            bytes[bytes.length - 1] ^= 0x55;
        }
        return bytes;
    }

    /** The fault that strikes this answer. */
    private synchronized Optional<Fault> due() {
        if (fault == null) {
            return Optional.empty();
        }
        if (framesUntilFault > 0) {
            framesUntilFault--;
            return Optional.empty();
        }
        Fault now = fault;
        if (now == Fault.CHECKSUM_ONCE) {
            fault = null;
        }
        return Optional.of(now);
    }

    private void wait(int bytes) throws IOException {
        long millis = baud == 0 ? 0 : bytes * (long) BITS_OF_A_BYTE * 1_000L / baud;
        try {
            if (millis > 0) {
                Thread.sleep(millis);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("the port is closed", e);
        }
    }

    @Override
    public void close() {
        try {
            server.close();
            Socket open = line;
            if (open != null) {
                open.close();
            }
        } catch (IOException e) {
            // nothing is left to close
        }
    }
}
