package neatlanyard.server.drill;

import java.security.SecureRandom;
import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.UUID;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.drill.Answer;
import neatlanyard.core.drill.Drill;
import neatlanyard.core.drill.Drills.Answered;
import neatlanyard.core.drill.Drills.Begun;
import neatlanyard.core.drill.Drills;
import neatlanyard.core.drill.RoundTold;
import neatlanyard.core.drill.Staircase;
import neatlanyard.core.drill.Task;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.Pack;
import neatlanyard.formats.drill.DrillReader;
import neatlanyard.formats.drill.DrillWriter;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.sop.PackDesk;
import org.springframework.stereotype.Service;

/** Draws drills and keeps what came of them, of each person for themselves. */
@Service
class DrillDesk {
  /** Seeds are drawn below this, so that one can be read out. */
  private static final int SEEDS = 1_000_000_000;

  private final Drills drills;
  private final PackDesk packs;
  private final InstantSource clock;
  private final SecureRandom seeds = new SecureRandom();

  DrillDesk(Drills drills, PackDesk packs, InstantSource clock) {
    this.drills = drills;
    this.packs = packs;
    this.clock = clock;
  }

  /** A drill as it is to be flown. */
  record Drawn(Begun begun, Pack pack, Drill drill) {}

  /** A drill with what is told of its rounds. */
  record Told(Answered answered, List<RoundTold> rounds) {}

  /** Draws one. @param seed empty for another than ever before */
  Drawn begin(CrewId who, String type, Task task, int rounds, Optional<Long> seed) {
    Pack pack = packs.withControls(type);
    long drawnBy = seed.orElseGet(() -> (long) seeds.nextInt(SEEDS));
    Drill drill = Drill.drawn(pack.flightControls(), pack.policy().controlCheck().order(), task,
        level(drills.of(who), task), rounds, new SplittableRandom(drawnBy));
    return kept(who, pack, drawnBy, drill);
  }

  /** The same drill once more, as it was drawn then. */
  Drawn again(CrewId who, UUID id) {
    Begun before = mine(who, id);
    return kept(who, packs.withControls(before.type().value()), before.seed(), drill(id));
  }

  private Drawn kept(CrewId who, Pack pack, long seed, Drill drill) {
    fits(drill, pack.flightControls());
    Instant now = clock.instant();
    Begun begun = new Begun(UUID.randomUUID(), who, pack.type(), drill.task(), seed, now);
    drills.begin(begun, DrillWriter.json(drill));
    return new Drawn(begun, pack, drill);
  }

  /** Where the staircase stands after all that somebody did of this task. @param past the latest first */
  static Staircase level(List<Answered> past, Task task) {
    return past.stream().filter(d -> d.begun().task() == task).findFirst().map(Answered::after)
        .orElse(Staircase.FRESH);
  }

  /** Keeps the answers; those that came first stand. */
  Told answer(CrewId who, UUID id, List<Answer> answers) {
    Begun begun = mine(who, id);
    Drill drill = drill(id);
    ControlSpec spec = packs.withControls(begun.type().value()).flightControls();
    fits(drill, spec);
    if (answers.isEmpty() || answers.size() > drill.rounds().size()) {
      throw Problem.bad(ProblemCode.BAD_ANSWER, "This drill has %d rounds, and %d answers came."
          .formatted(drill.rounds().size(), answers.size()));
    }
    drills.answer(new Answered(begun, clock.instant(), answers, drill.trials(spec, answers),
        drill.staircase(spec, answers)));
    return told(who, id);
  }

  /** What came of one. @throws Problem where it is not there, not theirs, or not answered */
  Told told(CrewId who, UUID id) {
    Begun begun = mine(who, id);
    Answered answered = of(who).stream().filter(d -> d.begun().id().equals(id)).findFirst()
        .orElseThrow(() -> Problem.notFound("This drill has not been answered."));
    ControlSpec spec = packs.withControls(begun.type().value()).flightControls();
    Drill drill = drill(id);
    fits(drill, spec);
    return new Told(answered, RoundTold.of(drill, spec, answered.answers()));
  }

  List<Answered> of(CrewId who) {
    return drills.of(who);
  }

  private Begun mine(CrewId who, UUID id) {
    return drills.find(id).filter(d -> d.who().equals(who))
        .orElseThrow(() -> Problem.notFound("There is no such drill of yours."));
  }

  private Drill drill(UUID id) {
    return DrillReader.read(drills.plan(id).orElse("")).orThrow("the drill");
  }

  /** What was drawn for other procedures may be of surfaces that are not there any more. */
  private static void fits(Drill drill, ControlSpec spec) {
    List<String> there = spec.channels();
    if (!drill.rounds().stream().flatMap(r -> r.hidden().stream()).allMatch(h -> there.contains(h.surface()))) {
      throw Problem.bad(ProblemCode.OTHER_REVISION,
          "The procedures of this type have changed since this drill was drawn. Begin another one.");
    }
  }
}
