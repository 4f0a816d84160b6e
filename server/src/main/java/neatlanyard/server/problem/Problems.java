package neatlanyard.server.problem;

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
  @ExceptionHandler
  ResponseEntity<ProblemDetail> problem(Problem problem) {
    return ResponseEntity.status(problem.detail().getStatus())
        .contentType(MediaType.APPLICATION_PROBLEM_JSON)
        .body(problem.detail());
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
    Throwable cause = e.getMostSpecificCause();
    String why = cause instanceof tools.jackson.core.JacksonException j ? j.getOriginalMessage() : "it is not what is wanted here";
    ProblemDetail detail = Problem.of(HttpStatus.BAD_REQUEST, "unreadable", "The request cannot be read: " + why,
        "Nothing was changed; mend it and send it again.").detail();
    return ResponseEntity.badRequest().contentType(MediaType.APPLICATION_PROBLEM_JSON).body(detail);
  }
}
