package neatlanyard.core.departure;

import static neatlanyard.core.departure.Attempt.no;
import static neatlanyard.core.departure.Attempt.words;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.briefing.Briefing;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.StepId;

/** What is asked of the words of a briefing, of reading it and of having heard it. */
final class BriefingAdmission {
  private static final int MOST_LINES = 60;

  private final Attempt attempt;

  BriefingAdmission(Attempt attempt) {
    this.attempt = attempt;
  }

  Optional<Refusal> worded(Event.BriefingWorded e) {
    return line(e.line()).or(() -> e.words().isEmpty() ? Optional.empty() : words("line", e.words()));
  }

  Optional<Refusal> read(Event.BriefingRead e) {
    return all(e.lines().stream().map(Event.ReadLine::line).toList()).or(() -> e.lines().stream()
        .flatMap(l -> words("line", l.words()).stream()).findFirst());
  }

  Optional<Refusal> heard(Event.BriefingHeard e) {
    return all(e.lines()).or(() -> e.lines().stream().flatMap(l -> unread(l).stream()).findFirst());
  }

  private Optional<Refusal> all(List<StepId> lines) {
    if (lines.isEmpty() || lines.size() > MOST_LINES) {
      return no(RefusalCode.NO_SUCH_STEP, "A briefing has 1 to %d lines; these are %d.".formatted(MOST_LINES,
          lines.size()), "Reload the departure.");
    }
    return lines.stream().flatMap(l -> line(l).stream()).findFirst();
  }

  private Optional<Refusal> line(StepId step) {
    return attempt.onCard(step).or(() -> Briefing.isLine(attempt.item(step)) ? Optional.empty()
        : no(RefusalCode.NO_SUCH_STEP, "%s is no line of the briefing.".formatted(attempt.item(step).step()
        .challenge()), "Do it where it stands."));
  }

  /** Only what holds now, and only what somebody else has read. */
  private Optional<Refusal> unread(StepId step) {
    boolean read = attempt.now().briefing().read(step).filter(r -> !r.by().equals(attempt.by())).isPresent()
        && Stream.of(attempt.picture().briefingUntrue().get(step)).noneMatch(Objects::nonNull);
    return read ? Optional.empty() : no(RefusalCode.READ_BY_NOBODY_ELSE,
        "Nobody else has read this as it is now: %s.".formatted(attempt.item(step).step().challenge()),
        "One reads it, the other says that it was heard.");
  }

  /** A line is answered by reading or hearing it. */
  Optional<Refusal> notByPress(StepId step) {
    return attempt.now().item(step).filter(Briefing::isLine).isPresent()
        ? no(RefusalCode.READING_WANTED, "A line of the briefing is read by one and heard by the other.",
        "Read it on the screen Briefing.") : Optional.empty();
  }
}
