package org.wache.server.web;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;

/** A request whose body has been read: to whoever comes next it is one that has just arrived. */
final class WithBody extends HttpServletRequestWrapper {

    private final ReadBody body;
    private ServletInputStream input;

    WithBody(HttpServletRequest request, ReadBody body) {
        super(request);
        this.body = body;
    }

    @Override
    public DispatcherType getDispatcherType() {
        return DispatcherType.REQUEST;
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
        if (input == null) {
            input = new Input(body.open());
        }
        return input;
    }

    @Override
    public BufferedReader getReader() throws IOException {
        return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
    }

    @Override
    public long getContentLengthLong() {
        return body.length();
    }

    @Override
    public int getContentLength() {
        return Math.toIntExact(body.length());
    }

    private static final class Input extends ServletInputStream {
        private final InputStream bytes;
        private boolean finished;

        Input(InputStream bytes) {
            this.bytes = bytes;
        }

        @Override
        public int read() throws IOException {
            int next = bytes.read();
            finished = next < 0;
            return next;
        }

        @Override
        public int read(byte[] into, int offset, int length) throws IOException {
            int count = bytes.read(into, offset, length);
            finished = count < 0;
            return count;
        }

        @Override
        public boolean isFinished() {
            return finished;
        }

        @Override
        public boolean isReady() {
            return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
            throw new IllegalStateException("The body has been read already");
        }

        @Override
        public void close() throws IOException {
            bytes.close();
        }
    }
}
