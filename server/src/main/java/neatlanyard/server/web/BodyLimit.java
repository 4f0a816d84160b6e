package neatlanyard.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.problem.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/** Refuses a body that is larger than anything the product reads, or that does not say how large it is. */
@Component
class BodyLimit extends OncePerRequestFilter {
  /** Characters of a pack may take up to four bytes each. */
  private static final long MOST_BYTES = 4L * Doc.MOST_CHARACTERS;

  private final JsonMapper json;

  BodyLimit(JsonMapper json) {
    this.json = json;
  }

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    boolean chunked = request.getHeader("Transfer-Encoding") != null;
    if (request.getContentLengthLong() > MOST_BYTES) {
      refuse(response, Problem.of(HttpStatus.CONTENT_TOO_LARGE, "too-large",
          "It has %d bytes; %d is the most.".formatted(request.getContentLengthLong(), MOST_BYTES), "Send something smaller."));
    } else if (chunked && request.getContentLengthLong() < 0) {
      refuse(response, Problem.of(HttpStatus.LENGTH_REQUIRED, "no-length", "The request does not say how long it is.", "Send its length."));
    } else {
      chain.doFilter(request, response);
    }
  }

  private void refuse(HttpServletResponse response, Problem problem) throws IOException {
    response.setStatus(problem.detail().getStatus());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.setHeader("Connection", "close");
    response.getWriter().write(json.writeValueAsString(problem.detail()));
  }
}
