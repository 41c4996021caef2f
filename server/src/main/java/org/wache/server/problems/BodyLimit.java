package org.wache.server.problems;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Keeps requests to a size: files to 20 MB and a little, everything else to 4 MB, whether they say their length or not. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class BodyLimit extends OncePerRequestFilter {

  private static final long MOST = 4L * 1024 * 1024;
  private static final long MOST_OF_A_FILE = 48L * 1024 * 1024; // over 20 MB, whoever takes the file refuses it

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain) throws ServletException, IOException {
    boolean file = Optional.ofNullable(request.getContentType()).orElse("").startsWith(MediaType.APPLICATION_OCTET_STREAM_VALUE);
    long most = file ? MOST_OF_A_FILE : MOST;
    if (!file && request.getContentLengthLong() > most) { // who takes a file says more of one that is too large
      refuse(response, most);
      return;
    }
    chain.doFilter(new Counted(request, most), response);
  }

  /** A body that turned out longer than it may be. */
  static final class TooLarge extends IOException {
    private static final long serialVersionUID = 1;

    private TooLarge(long most) {
      super(words(most));
    }
  }

  private static String words(long most) {
    return "A request has up to " + most / 1024 / 1024 + " MB; this one is larger. Nothing was saved: send it in parts.";
  }

  private static void refuse(HttpServletResponse response, long most) throws IOException {
    response.setStatus(HttpStatus.CONTENT_TOO_LARGE.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.getOutputStream().write(("{\"title\":\"Too large\",\"status\":413,\"detail\":\"" + words(most) + "\"}").getBytes(StandardCharsets.UTF_8));
  }

  /** A request whose body ends with a fault when it is longer than it may be. */
  private static final class Counted extends HttpServletRequestWrapper {
    private final long most;

    Counted(HttpServletRequest request, long most) {
      super(request);
      this.most = most;
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      ServletInputStream in = super.getInputStream();
      return new ServletInputStream() {
        private long read;

        private int counted(int count) throws IOException {
          read += Math.max(0, count);
          if (read > most) {
            throw new TooLarge(most);
          }
          return count;
        }

        @Override
        public int read() throws IOException {
          int next = in.read();
          counted(next < 0 ? 0 : 1);
          return next;
        }

        @Override
        public int read(byte[] into, int offset, int length) throws IOException {
          return counted(in.read(into, offset, length));
        }

        @Override
        public boolean isFinished() {
          return in.isFinished();
        }

        @Override
        public boolean isReady() {
          return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
          in.setReadListener(listener);
        }
      };
    }
  }
}
