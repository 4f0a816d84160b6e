package neatlanyard.server.problem;

import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import neatlanyard.core.fleet.Code;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/** An answer that is not what was asked for, as problem details (RFC 9457) with a stable code and what to do. */
public final class Problem extends RuntimeException {
  private final ProblemDetail detail;
  private final Code code;
  private final List<String> faults;
  private Optional<Duration> after = Optional.empty();

  private Problem(HttpStatus status, Code code, String what, String tryThis, List<String> faults) {
    super(what);
    this.code = code;
    this.faults = List.copyOf(faults);
    detail = ProblemDetail.forStatusAndDetail(status, what);
    detail.setTitle(status.getReasonPhrase());
    detail.setProperty("code", code.written());
    detail.setProperty("tryThis", tryThis);
    detail.setProperty("faults", faults);
  }

  /** Something that may be asked again later. @param after when */
  public static Problem later(HttpStatus status, Code code, String what, Duration after) {
    Problem later = of(status, code, what, "Again in %d seconds.".formatted(after.toSeconds()));
    later.after = Optional.of(after);
    return later;
  }

  /** When it may be asked again, where that is the answer. */
  public Optional<Duration> after() {
    return after;
  }

  public ProblemDetail detail() {
    return detail;
  }

  /** Whether the same may be taken later: nothing is wrong with what was asked, but with how things are here. */
  public boolean ofServer() {
    int status = detail.getStatus();
    return status >= HttpStatus.INTERNAL_SERVER_ERROR.value() || status == HttpStatus.TOO_MANY_REQUESTS.value();
  }

  /** What is wrong. */
  public String what() {
    return Objects.requireNonNullElse(getMessage(), "");
  }

  /** Why, for programs. */
  public Code code() {
    return code;
  }

  /** What to do. */
  public String tryThis() {
    return text("tryThis");
  }

  /** Each fault of an input; empty where it has none. */
  public List<String> faults() {
    return faults;
  }

  private String text(String property) {
    return String.valueOf(Objects.requireNonNull(detail.getProperties()).get(property));
  }

  public static Problem of(HttpStatus status, Code code, String what, String tryThis) {
    return new Problem(status, code, what, tryThis, List.of());
  }

  public static Problem notFound(String what) {
    return of(HttpStatus.NOT_FOUND, ProblemCode.NOT_FOUND, what, "Go back to the list and choose again.");
  }

  /** Something not allowed as things stand. */
  public static Problem refused(Refusal r) {
    return of(HttpStatus.CONFLICT, r.code(), r.what(), r.tryThis());
  }

  /** An input with faults, each named. */
  public static Problem faulty(String what, List<Fault> faults) {
    return new Problem(
        HttpStatus.UNPROCESSABLE_CONTENT, ProblemCode.FAULTY, what, "Mend what is named; nothing was changed.",
        faults.stream().map(Fault::words).toList());
  }

  /** What was read of a file. @throws Problem naming every fault */
  public static <T> T good(Read<T> read) {
    return switch (read) {
      case Read.Good<T> good -> good.value();
      case Read.Bad<T> bad -> throw faulty("It was not brought in.", bad.faults());
    };
  }

  public static Problem bad(Code code, String what) {
    return of(HttpStatus.UNPROCESSABLE_CONTENT, code, what, "Nothing was changed; mend it and send it again.");
  }
}
