package org.wache.bench.wire;

import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.util.zip.CRC32;

/**
 * One message on the line between the bench and a radio: a start byte, a sequence number, a command, a length, the
 * payload and a CRC-32 over all but the start byte. An answer carries the sequence number of its request.
 *
 * @param sequence 0 to 255; a request that is repeated keeps its number, so that it is carried out once
 * @param command what is asked or answered
 * @param payload 0 to 1024 bytes
 */
public record Frame(int sequence, int command, byte[] payload) {

    /** What every frame begins with. */
    public static final int START = 0xA9;
    /** The longest payload. */
    public static final int MOST = 1_024;

    private static final int CRC_BYTES = 4;
    private static final int HEADER = 5;

    /** @throws IllegalArgumentException when the payload is too long */
    public Frame {
        if (payload.length > MOST) {
            throw new IllegalArgumentException("A payload has at most " + MOST + " bytes, not " + payload.length);
        }
    }

    /** As it goes over the line. */
    public byte[] bytes() {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream(HEADER + payload.length + CRC_BYTES);
        try (DataOutputStream out = new DataOutputStream(bytes)) {
            out.writeByte(START);
            out.writeByte(sequence);
            out.writeByte(command);
            out.writeShort(payload.length);
            out.write(payload);
            out.writeInt((int) crc(sequence, command, payload));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    private static long crc(int sequence, int command, byte[] payload) {
        CRC32 crc = new CRC32();
        crc.update(sequence);
        crc.update(command);
        crc.update(payload.length >> 8);
        crc.update(payload.length & 0xFF);
        crc.update(payload);
        return crc.getValue();
    }

    /**
     * Reads the next frame; what comes before a start byte is noise and skipped.
     *
     * @throws ChecksumFault when the frame came damaged
     * @throws EOFException when the line was closed
     * @throws java.net.SocketTimeoutException when nothing came in time
     */
    public static Frame read(InputStream from) throws IOException {
        DataInputStream in = new DataInputStream(from);
        int start = in.readUnsignedByte();
        while (start != START) {
            start = in.readUnsignedByte();
        }
        int sequence = in.readUnsignedByte();
        int command = in.readUnsignedByte();
        int length = in.readUnsignedShort();
        if (length > MOST) {
            throw new ChecksumFault();
        }
        byte[] payload = in.readNBytes(length);
        if (payload.length < length) {
            throw new EOFException();
        }
        long crc = in.readInt() & 0xFFFF_FFFFL;
        if (crc != crc(sequence, command, payload)) {
            throw new ChecksumFault();
        }
        return new Frame(sequence, command, payload);
    }
}
