package org.wache.bench.wire;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;

/**
 * Who a radio says it is.
 *
 * @param model its model
 * @param serial its serial number
 * @param lock its lock setting; empty when it has none
 * @param inhibited whether its transmitter is switched off
 * @param battery percent, 0 to 100
 * @param imageBytes length of its image
 */
public record Identity(String model, String serial, String lock, boolean inhibited, int battery, int imageBytes) {

    /** As it goes over the line. */
    public byte[] bytes() {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream out = new DataOutputStream(bytes)) {
            out.writeUTF(model);
            out.writeUTF(serial);
            out.writeUTF(lock);
            out.writeBoolean(inhibited);
            out.writeByte(battery);
            out.writeInt(imageBytes);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /** Reads what came over the line. */
    public static Identity of(byte[] payload) throws IOException {
        try (DataInputStream in = new DataInputStream(new ByteArrayInputStream(payload))) {
            return new Identity(
                    in.readUTF(), in.readUTF(), in.readUTF(), in.readBoolean(), in.readUnsignedByte(), in.readInt());
        }
    }
}
