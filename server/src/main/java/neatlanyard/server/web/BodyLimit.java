package neatlanyard.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses a body that is larger than anything the product reads at that address, one that does not say how large it
 * is, and one that comes so slowly that it only holds a connection.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class BodyLimit extends OncePerRequestFilter {
  private static final Duration PATIENCE = Duration.ofSeconds(20);
  /** Slower than this is no link that anybody works over. */
  private static final long LEAST_BYTES_A_SECOND = 2_048;

  private final ProblemAnswers answers;

  BodyLimit(ProblemAnswers answers) {
    this.answers = answers;
  }

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    boolean chunked = request.getHeader("Transfer-Encoding") != null;
    long bytes = request.getContentLengthLong();
    long most = Body.of(request).mostBytes;
    if (bytes > most) {
      refuse(response, Problem.of(HttpStatus.CONTENT_TOO_LARGE, ProblemCode.TOO_LARGE,
          "It has %d bytes; %d is the most.".formatted(bytes, most), "Send something smaller."));
    } else if (chunked && bytes < 0) {
      refuse(response, Problem.of(HttpStatus.LENGTH_REQUIRED, ProblemCode.NO_LENGTH,
          "The request does not say how long it is.",
          "Send its length."));
    } else {
      chain.doFilter(bytes > 0 ? new Timed(request, PATIENCE.plusSeconds(bytes / LEAST_BYTES_A_SECOND)) : request,
          response);
    }
  }

  private void refuse(HttpServletResponse response, Problem problem) throws IOException {
    response.setHeader("Connection", "close");
    answers.write(response, problem);
  }

  /** A body that has to be here by a time; the connection's own patience bounds each single wait. */
  private static final class Timed extends HttpServletRequestWrapper {
    private final long byNanos;

    Timed(HttpServletRequest request, Duration patience) {
      super(request);
      byNanos = System.nanoTime() + patience.toNanos();
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      ServletInputStream in = super.getInputStream();
      return new ServletInputStream() {
        @Override
        public int read() throws IOException {
          byte[] one = new byte[1];
          return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public int read(byte[] into, int from, int most) throws IOException {
          int read = in.read(into, from, most);
          if (read > 0 && System.nanoTime() - byNanos > 0) {
            throw new IOException("The body came too slowly.");
          }
          return read;
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
