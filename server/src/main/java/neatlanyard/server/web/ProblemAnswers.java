package neatlanyard.server.web;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import neatlanyard.server.problem.Problem;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Problems as they are answered before any controller is asked. */
@Component
class ProblemAnswers {
  private final JsonMapper json;

  ProblemAnswers(JsonMapper json) {
    this.json = json;
  }

  void write(HttpServletResponse response, Problem problem) throws IOException {
    response.setStatus(problem.detail().getStatus());
    problem.after().ifPresent(after -> response.setHeader(HttpHeaders.RETRY_AFTER, Long.toString(after.toSeconds())));
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.getWriter().write(json.writeValueAsString(problem.detail()));
  }
}
