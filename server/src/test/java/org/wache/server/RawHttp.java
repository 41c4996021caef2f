package org.wache.server;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.Closeable;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import javax.net.ssl.SSLContext;

/** HTTP/1.1 written byte by byte, for what no client of a library would send. */
final class RawHttp implements Closeable {

    private static final int PATIENCE_MS = 30_000;

    private final URI server;
    private Socket socket;
    private InputStream in;

    private final String from;
    private final SSLContext trusting;

    RawHttp(String address) {
        this(address, null, null);
    }

    /** From an address of this machine, and over TLS where somebody is trusted. */
    RawHttp(String address, String from, SSLContext trusting) {
        this.server = URI.create(address);
        this.from = from;
        this.trusting = trusting;
    }

    /** An answer; names of headers in small letters. */
    record Answer(int status, Map<String, String> headers, String body) {}

    private void connected() throws IOException {
        if (socket == null || socket.isClosed()) {
            socket = new Socket();
            if (from != null) {
                socket.bind(new InetSocketAddress(from, 0));
            }
            socket.connect(new InetSocketAddress(server.getHost(), server.getPort()), PATIENCE_MS);
            socket.setSoTimeout(PATIENCE_MS);
            if (server.getScheme().equals("https")) {
                socket = trusting.getSocketFactory().createSocket(socket, server.getHost(), server.getPort(), true);
            }
            in = new BufferedInputStream(socket.getInputStream());
        }
    }

    /** Sends exactly this and reads one answer; the connection is kept for the next. */
    Answer send(String request) throws IOException {
        for (int tried = 0; ; tried++) {
            connected();
            try {
                begin(request);
                return answer(request.startsWith("HEAD "));
            } catch (IOException e) {
                close();
                if (tried > 0) { // the first may have met a connection that the server had just closed
                    throw e;
                }
            }
        }
    }

    /** Sends exactly this, and waits for nothing. */
    RawHttp begin(String bytes) throws IOException {
        connected();
        socket.getOutputStream().write(bytes.getBytes(StandardCharsets.ISO_8859_1));
        socket.getOutputStream().flush();
        return this;
    }

    /** Reads one answer. */
    Answer answer(boolean bodiless) throws IOException {
        String line = line();
        int status = Integer.parseInt(line.split(" ")[1]);
        Map<String, String> headers = new LinkedHashMap<>();
        for (String header = line(); !header.isEmpty(); header = line()) {
            headers.merge(
                    header.substring(0, header.indexOf(':')).toLowerCase(Locale.ROOT),
                    header.substring(header.indexOf(':') + 1).strip(),
                    (one, other) -> one + "\n" + other);
        }
        byte[] body = bodiless || status == 204 || status == 304 ? new byte[0] : body(headers);
        if (headers.getOrDefault("connection", "").equalsIgnoreCase("close")) {
            close();
        }
        return new Answer(status, headers, new String(body, StandardCharsets.UTF_8));
    }

    private byte[] body(Map<String, String> headers) throws IOException {
        if (headers.containsKey("content-length")) {
            return in.readNBytes(Integer.parseInt(headers.get("content-length")));
        }
        if (!headers.containsKey("transfer-encoding")) {
            return headers.getOrDefault("connection", "").equalsIgnoreCase("close") ? in.readAllBytes() : new byte[0];
        }
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        for (int length = Integer.parseInt(line(), 16); length > 0; length = Integer.parseInt(line(), 16)) {
            body.write(in.readNBytes(length));
            line();
        }
        line();
        return body.toByteArray();
    }

    private String line() throws IOException {
        ByteArrayOutputStream line = new ByteArrayOutputStream();
        for (int next = in.read(); next != '\n'; next = in.read()) {
            if (next < 0) {
                throw new EOFException("The server closed the connection");
            }
            line.write(next);
        }
        return line.toString(StandardCharsets.ISO_8859_1).stripTrailing();
    }

    /** Whether the server still holds the connection open; what it has sent is read and thrown away. */
    boolean isOpen() {
        try {
            socket.setSoTimeout(1);
            while (in.read() >= 0) {}
            return false;
        } catch (java.net.SocketTimeoutException e) {
            return true;
        } catch (IOException e) {
            return false;
        }
    }

    @Override
    public void close() {
        try {
            if (socket != null) {
                socket.close();
            }
        } catch (IOException e) {
            // it is gone all the same
        }
    }
}
