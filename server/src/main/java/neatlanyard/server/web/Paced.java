package neatlanyard.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import neatlanyard.server.fleet.SessionCookies;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.work.Pace;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets requests in at their asker's {@link Pace}, once it is known who asks and before any of the body is read. */
@Component
@Order(Ordered.LOWEST_PRECEDENCE - 10)
class Paced extends OncePerRequestFilter {
  private final Pace pace;
  private final SessionCookies sessions;
  private final ProblemAnswers answers;

  Paced(Pace pace, SessionCookies sessions, ProblemAnswers answers) {
    this.pace = pace;
    this.sessions = sessions;
    this.answers = answers;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !request.getRequestURI().startsWith("/api/");
  }

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try {
      String asker = sessions.asker(request);
      pace.await(asker, Pace.Kind.REQUEST);
      switch (Body.of(request)) {
        case DOCUMENT -> pace.await(asker, Pace.Kind.DOCUMENT);
        case PART -> pace.await(asker, Pace.Kind.PART);
        case WORD -> { }
      }
    } catch (Problem tooMany) {
      answers.write(response, tooMany);
      return;
    }
    chain.doFilter(request, response);
  }
}
