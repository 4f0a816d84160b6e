package neatlanyard.core.drill;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.TypeId;

/** The drills that people began and answered. Nothing in it belongs to a departure. */
public interface Drills {
  /**
   * A drill as it was begun.
   *
   * @param seed the same draws it again
   */
  record Begun(UUID id, CrewId who, TypeId type, Task task, long seed, Instant at) {}

  /**
   * What came of one.
   *
   * @param trials what its answers were to
   * @param after where the staircase stands after it
   */
  record Answered(Begun begun, Instant at, List<Answer> answers, List<Trial> trials, Staircase after) {
    public Answered {
      answers = List.copyOf(answers);
      trials = List.copyOf(trials);
    }
  }

  /** Keeps it, and of this person only so many of the latest. @param plan what was drawn, in the open format */
  void begin(Begun drill, String plan);

  Optional<Begun> find(UUID id);

  /** What was drawn for it. */
  Optional<String> plan(UUID id);

  /** @return whether it was kept; not where it was answered before */
  boolean answer(Answered drill);

  /** Those of one person that were answered, the latest first. */
  List<Answered> of(CrewId who);
}
