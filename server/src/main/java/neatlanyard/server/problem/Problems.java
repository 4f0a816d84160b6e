package neatlanyard.server.problem;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import neatlanyard.store.db.NotKept;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.springframework.web.context.request.WebRequest;
import org.springframework.http.HttpStatusCode;

/** Turns what went wrong into problem details. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

  @ExceptionHandler
  ResponseEntity<ProblemDetail> problem(Problem problem) {
    ResponseEntity.BodyBuilder answer = ResponseEntity.status(problem.detail().getStatus())
        .contentType(MediaType.APPLICATION_PROBLEM_JSON);
    problem.after().ifPresent(a -> answer.header(HttpHeaders.RETRY_AFTER, Long.toString(a.toSeconds())));
    return answer.body(problem.detail());
  }

  /** The disk does not take it, or gives nothing: nothing of it is lost, and it goes on once that is mended. */
  @ExceptionHandler
  ResponseEntity<ProblemDetail> notKept(NotKept e) {
    LOG.error("{} {}", e.getMessage(), e.tryThis());
    return problem(
        Problem.later(HttpStatus.SERVICE_UNAVAILABLE, ProblemCode.NOT_KEPT, e.getMessage()
        + " Nothing was changed; your device keeps what you entered.", Duration.ofSeconds(5)));
  }

  /** What nobody foresaw: said to the crew without its inside, and logged with it. */
  @ExceptionHandler
  ResponseEntity<ProblemDetail> unforeseen(RuntimeException e, HttpServletRequest request) {
    LOG.error("{} {} failed", request.getMethod(), request.getRequestURI(), e);
    return problem(Problem.of(HttpStatus.INTERNAL_SERVER_ERROR, ProblemCode.UNFORESEEN, "The server failed at this.",
        "Nothing was changed. Your device keeps what you entered; tell whoever looks after the installation."));
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
    Throwable cause = e.getMostSpecificCause();
    String why = cause instanceof tools.jackson.core.JacksonException j ? j.getOriginalMessage()
        : "it is not what is wanted here";
    ProblemDetail detail = Problem.of(HttpStatus.BAD_REQUEST, ProblemCode.UNREADABLE,
        "The request cannot be read: " + why,
        "Nothing was changed; mend it and send it again.").detail();
    return ResponseEntity.badRequest().contentType(MediaType.APPLICATION_PROBLEM_JSON).body(detail);
  }
}
