package neatlanyard.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import neatlanyard.formats.text.Doc;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses a body that is larger than anything the product reads, or that does not say how large it is. */
@Component
class BodyLimit extends OncePerRequestFilter {
  /** Characters of a pack may take up to four bytes each. */
  private static final long MOST_BYTES = 4L * Doc.MOST_CHARACTERS;

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    boolean chunked = request.getHeader("Transfer-Encoding") != null;
    if (request.getContentLengthLong() > MOST_BYTES) {
      response.sendError(HttpStatus.CONTENT_TOO_LARGE.value(), "At most %d bytes are read.".formatted(MOST_BYTES));
    } else if (chunked && request.getContentLengthLong() < 0) {
      response.sendError(HttpStatus.LENGTH_REQUIRED.value(), "Say how long the body is.");
    } else {
      chain.doFilter(request, response);
    }
  }
}
