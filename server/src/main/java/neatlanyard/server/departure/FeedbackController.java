package neatlanyard.server.departure;

import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import neatlanyard.core.departure.Admission;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.log.DepartureLog;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.FeedbackAnswers.Answer;
import neatlanyard.core.sop.FeedbackAnswers;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Revision.Signed;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;
import neatlanyard.formats.record.EntryJson;
import neatlanyard.server.departure.DepartureViews.AnswerForm;
import neatlanyard.server.departure.DepartureViews.FeedbackView;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What crews say does not fit, as it reaches the standards desk: read from the logs, so that none can be lost. */
@RestController
class FeedbackController {
  private final DepartureLog log;
  private final Departures departures;
  private final FeedbackAnswers answers;
  private final FleetDesk fleet;
  private final InstantSource clock;

  FeedbackController(DepartureLog log, Departures departures, FeedbackAnswers answers, FleetDesk fleet,
      InstantSource clock) {
    this.log = log;
    this.departures = departures;
    this.answers = answers;
    this.fleet = fleet;
    this.clock = clock;
  }

  /** All of it for fleet standards; for others what they said themselves. */
  @GetMapping("/api/feedback")
  List<FeedbackView> all(@AuthenticationPrincipal SignedIn who) {
    Map<UUID, Answer> answered = answers.all();
    return log.doesNotFit().stream()
        .flatMap(f -> view(f, answered, who))
        .toList();
  }

  @PostMapping("/api/feedback/{id}/answer")
  void answer(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @RequestBody AnswerForm form) {
    if (who.role() != Role.STANDARDS) {
      throw Problem.of(HttpStatus.FORBIDDEN, RefusalCode.NOT_YOUR_ROLE,
          "Only fleet standards answer.", "Ask fleet standards.");
    }
    String words = form.words() == null ? "" : form.words().strip();
    if (words.isEmpty() || words.length() > Admission.MOST_WORDS) {
      throw Problem.bad(ProblemCode.BAD_ANSWER,
          "An answer has 1 to %d characters, not %d.".formatted(Admission.MOST_WORDS, words.length()));
    }
    if (log.doesNotFit().stream().noneMatch(f -> f.entry().event().equals(id))) {
      throw Problem.notFound("Nobody said that.");
    }
    answers.keep(id, new Answer(words, new Signed(who.id(), Instant.ofEpochMilli(clock.instant().toEpochMilli()))));
  }

  private Stream<FeedbackView> view(DepartureLog.StoredIn found, Map<UUID, Answer> answered, SignedIn who) {
    Entry entry = EntryJson.read(found.entry().json());
    if (!(entry.event() instanceof Event.DoesNotFit said) || who.role() != Role.STANDARDS && !entry.by()
        .equals(who.id())) {
      return Stream.empty();
    }
    DepartureState d = departures.state(found.departure().value());
    Optional<Answer> answer = Optional.ofNullable(answered.get(entry.id()));
    return Stream.of(new FeedbackView(
        entry.id().toString(), found.departure().value(), d.opened().flight().number(), d.opened().tail().id().value(),
        d.opened().pack().value(), d.opened().revision(), said.step().value(), where(d, said.step()), said.words(),
        Names.whole(d, entry.by()), entry.at(), answer.map(Answer::words).orElse(""),
        answer.flatMap(a -> fleet.fleet().member(a.by().by())).map(CrewMember::name).orElse(""),
        answer.map(a -> a.by().at())));
  }

  private static String where(DepartureState d, StepId id) {
    for (Procedure p : d.pack().procedures()) {
      Optional<String> there = p.steps().stream().filter(s -> s.id().equals(id))
          .map(s -> "%s, %s".formatted(p.title(), s.challenge())).findFirst();
      if (there.isPresent()) {
        return there.get();
      }
    }
    return id.value();
  }
}
