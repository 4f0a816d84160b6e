package neatlanyard.server.drill;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.drill.Answer;
import neatlanyard.core.drill.Detection;
import neatlanyard.core.drill.Drill;
import neatlanyard.core.drill.Drills.Answered;
import neatlanyard.core.drill.Hidden;
import neatlanyard.core.drill.KindScore;
import neatlanyard.core.drill.Staircase;
import neatlanyard.core.drill.Task;
import neatlanyard.core.drill.Trial;
import neatlanyard.core.units.Numbers;
import neatlanyard.formats.drill.DrillWriter;
import neatlanyard.formats.sop.ControlSpecWriter;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.controls.CheckWords;
import neatlanyard.server.drill.DrillDesk.Drawn;
import neatlanyard.server.drill.DrillDesk.Told;
import neatlanyard.server.drill.DrillViews.BandView;
import neatlanyard.server.drill.DrillViews.DetectionView;
import neatlanyard.server.drill.DrillViews.DrillBegunView;
import neatlanyard.server.drill.DrillViews.DrillForm;
import neatlanyard.server.drill.DrillViews.DrillLineView;
import neatlanyard.server.drill.DrillViews.DrillResultView;
import neatlanyard.server.drill.DrillViews.DrillTypeView;
import neatlanyard.server.drill.DrillViews.DrillsView;
import neatlanyard.server.drill.DrillViews.KindScoreView;
import neatlanyard.server.drill.DrillViews.MeasuredView;
import neatlanyard.server.drill.DrillViews.ReasonView;
import neatlanyard.server.drill.DrillViews.RoundForm;
import neatlanyard.server.drill.DrillViews.RoundView;
import neatlanyard.server.drill.DrillViews.RoundsForm;
import neatlanyard.server.drill.DrillViews.TaskScoreView;
import neatlanyard.server.drill.DrillViews.TaskView;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.sop.CardViews;
import neatlanyard.server.sop.PackDesk;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Drills over HTTP. Everybody sees their own, and nobody another's. */
@RestController
class DrillController {
  private static final int USUAL_ROUNDS = 12;

  /** No round takes longer, seconds. */
  private static final double LONGEST_S = 3_600;

  /** Nobody calls more often in one round. */
  private static final int MOST_CALLS = 1_000;

  private final DrillDesk desk;
  private final PackDesk packs;

  DrillController(DrillDesk desk, PackDesk packs) {
    this.desk = desk;
    this.packs = packs;
  }

  @GetMapping("/api/drills")
  DrillsView drills(@AuthenticationPrincipal SignedIn who) {
    List<Answered> past = desk.of(who.id());
    List<Trial> all = past.stream().flatMap(d -> d.trials().stream()).toList();
    return new DrillsView(
        packs.withControls().stream().map(p -> new DrillTypeView(p.type().value(), p.title())).toList(),
        Stream.of(Task.values()).map(t -> new TaskView(t, t.title(), t.words())).toList(), Staircase.words(),
        Stream.of(Task.values()).flatMap(t -> score(past, t).stream()).toList(),
        KindScore.of(all).stream().map(k -> new KindScoreView(Hidden.title(k.kind()),
            k.bands().stream().map(DrillController::view).toList())).toList(),
        past.stream().map(DrillController::line).toList());
  }

  private static Optional<TaskScoreView> score(List<Answered> past, Task task) {
    List<Answered> of = past.stream().filter(d -> d.begun().task() == task).toList();
    return of.isEmpty() ? Optional.empty() : Optional.of(new TaskScoreView(
        task, of.size(), of.stream().mapToInt(DrillController::complete).sum(),
        of.stream().mapToInt(d -> d.answers().size()).sum(),
        view(Detection.of(of.stream().flatMap(d -> d.trials().stream()).toList())),
        DrillDesk.level(past, task).limits()));
  }

  private static int complete(Answered d) {
    return (int) d.answers().stream().filter(Answer::complete).count();
  }

  private static BandView view(KindScore.Banded b) {
    String size = b.upToLimits() == 0 ? ""
        : b.overLimits() == 0 ? "up to " + times(b.upToLimits())
        : Double.isInfinite(b.upToLimits()) ? "over " + times(b.overLimits())
        : Numbers.plain(b.overLimits(), 0) + " to " + times(b.upToLimits());
    return new BandView(size, b.found(), b.of(), b.reactionS());
  }

  private static String times(double limits) {
    return Numbers.plain(limits, 0) + " times the limit";
  }

  private static DetectionView view(Detection d) {
    return new DetectionView(d.found(), d.missed(), d.falseAlarms(), d.letPass(), d.measured()
        .map(m -> new MeasuredView(m.dPrime(), m.criterion(), m.error(), m.words())));
  }

  private static DrillLineView line(Answered d) {
    return new DrillLineView(
        d.begun().id().toString(), d.begun().at(), d.begun().type().value(), d.begun().task(), d.begun().seed(),
        d.answers().size(), view(Detection.of(d.trials())), d.answers().stream().mapToInt(Answer::callsRight).sum(),
        d.answers().stream().mapToInt(Answer::callsWrong).sum(), complete(d), d.after().limits());
  }

  /** Every step of a type that says why it is done, in the order of the card. */
  @GetMapping("/api/drills/reasons/{type}")
  List<ReasonView> reasons(@PathVariable String type) {
    return packs.withControls(type).procedures().stream()
        .flatMap(p -> p.steps().stream().filter(s -> !s.why().isEmpty())
        .map(s -> new ReasonView(p.title(), s.challenge(), s.response(), s.why()))).toList();
  }

  /** Begins one. */
  @PostMapping("/api/drills")
  DrillBegunView begin(@AuthenticationPrincipal SignedIn who, @RequestBody DrillForm form) {
    Drawn drawn = drawn(who, form);
    return new DrillBegunView(
        drawn.begun().id().toString(), drawn.pack().title(), drawn.drill().task(), drawn.begun().seed(),
        drawn.drill().rounds().size(),
        CheckWords.of(drawn.pack().flightControls(), Drill.practice(drawn.pack().policy().controlCheck().order())),
        CardViews.planform(drawn.pack().planform()), ControlSpecWriter.json(drawn.pack().flightControls()),
        DrillWriter.json(drawn.drill()));
  }

  private Drawn drawn(SignedIn who, DrillForm form) {
    if (form.again().isPresent()) {
      return desk.again(who.id(), id(form.again().get()));
    }
    int rounds = form.rounds().orElse(USUAL_ROUNDS);
    if (rounds < 1 || rounds > Drill.MOST_ROUNDS) {
      throw Problem.bad(ProblemCode.BAD_ANSWER, "A drill has 1 to %d rounds.".formatted(Drill.MOST_ROUNDS));
    }
    Task task = form.task().map(DrillController::task).orElse(Task.WATCH);
    return desk.begin(who.id(), form.type().orElse(""), task, rounds, form.seed());
  }

  private static Task task(String task) {
    return Stream.of(Task.values()).filter(t -> Doc.written(t).equals(task)).findFirst().orElseThrow(() ->
        Problem.bad(ProblemCode.BAD_ANSWER, "A drill is watch, move or both."));
  }

  private static UUID id(String id) {
    try {
      return UUID.fromString(id);
    } catch (IllegalArgumentException e) {
      throw Problem.notFound("There is no such drill of yours.");
    }
  }

  @GetMapping("/api/drills/{id}")
  DrillResultView result(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    return view(desk.told(who.id(), id(id)));
  }

  /** What somebody answered; sent twice, it counts once. */
  @PostMapping("/api/drills/{id}/answers")
  DrillResultView answer(
      @AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestBody RoundsForm form) {
    List<RoundForm> answers = Objects.requireNonNullElse(form.answers(), List.of());
    if (answers.stream().anyMatch(Objects::isNull)) {
      throw Problem.bad(ProblemCode.BAD_ANSWER, "An answer is missing.");
    }
    return view(desk.answer(who.id(), id(id), answers.stream().map(DrillController::answer).toList()));
  }

  private static DrillResultView view(Told told) {
    return new DrillResultView(line(told.answered()), told.rounds().stream()
        .map(r -> new RoundView(r.right(), r.words())).toList());
  }

  private static Answer answer(RoundForm f) {
    boolean sound = within(f.stoppedS().orElse(0.0), LONGEST_S) && within(f.shownS().orElse(0.0), LONGEST_S)
        && within(f.tookS(), LONGEST_S) && within(f.passed(), Axis.values().length)
        && within(f.callsRight(), MOST_CALLS) && within(f.callsWrong(), MOST_CALLS);
    if (!sound) {
      throw Problem.bad(ProblemCode.BAD_ANSWER,
          "In each answer times are 0 to 3600 s, axes that were passed 0 to 3, and calls 0 to 1000.");
    }
    return new Answer(f.stoppedS(), f.shownS(), f.passed(), f.callsRight(), f.callsWrong(), f.complete(), f.tookS());
  }

  private static boolean within(double v, double most) {
    return v >= 0 && v <= most;
  }
}
