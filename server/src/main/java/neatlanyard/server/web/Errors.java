package neatlanyard.server.web;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import io.swagger.v3.oas.annotations.Hidden;

/**
 * What went wrong before or after any of our own code: problem details too. By itself the address is of the interface.
 */
@Controller
@Hidden
class Errors implements ErrorController {
  @RequestMapping("/error")
  Object error(HttpServletRequest request) {
    if (!(request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer status)) {
      return "redirect:/";
    }
    HttpStatus known = HttpStatus.resolve(status) == null ? HttpStatus.INTERNAL_SERVER_ERROR
        : HttpStatus.valueOf(status);
    ProblemDetail detail = Problem.of(known, ProblemCode.REFUSED,
        "The request was refused: %s.".formatted(known.getReasonPhrase()),
        "Nothing was changed. Load the page again.").detail();
    return ResponseEntity.status(known).contentType(MediaType.APPLICATION_PROBLEM_JSON).body(detail);
  }
}
