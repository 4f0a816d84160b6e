package neatlanyard.core.drill;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.drill.Trial.Outcome;
import neatlanyard.core.units.Numbers;

/**
 * What is told of one round once it is over.
 *
 * @param right whether it was answered as it should be
 */
public record RoundTold(int round, boolean right, String words) {
  /** Of every round that was answered. */
  public static List<RoundTold> of(Drill drill, ControlSpec spec, List<Answer> answers) {
    List<Trial> trials = drill.trials(spec, answers);
    return IntStream.range(0, answers.size()).mapToObj(i -> {
      // What ended the round is its last trial; those before it are axes that were let pass.
      Optional<Trial> last = trials.stream().filter(t -> t.round() == i).reduce((a, b) -> b);
      return drill.task().hides() ? told(drill, spec, i, last) : moved(i, answers.get(i));
    }).toList();
  }

  private static RoundTold moved(int round, Answer a) {
    String after = seconds(a.tookS()) + ".";
    return a.complete() ? new RoundTold(round, true, "The whole check, in " + after)
        : new RoundTold(round, false, "Not the whole check, after " + after);
  }

  private static RoundTold told(Drill drill, ControlSpec spec, int round, Optional<Trial> last) {
    Optional<Trial> shown = last.filter(t -> t.hidden().isPresent());
    if (shown.isPresent()) {
      Trial t = shown.get();
      String what = t.hidden().orElseThrow().words(spec, t.size()) + ".";
      return t.reactionS().map(s -> new RoundTold(round, true, "Found after " + seconds(s) + ". " + what))
          .orElseGet(() -> new RoundTold(round, false, "Missed. " + what));
    }
    if (last.filter(t -> t.outcome() == Outcome.FALSE_ALARM).isPresent()) {
      return new RoundTold(round, false, drill.rounds().get(round).hidden().isPresent()
          ? "Stopped before anything showed." : "Stopped, and nothing was wrong.");
    }
    return drill.rounds().get(round).hidden().isPresent()
        ? new RoundTold(round, false, "Something was wrong, and you did not move it far enough to show.")
        : new RoundTold(round, true, "Let pass, and nothing was wrong.");
  }

  private static String seconds(double s) {
    return Numbers.plain(s, 1) + " s";
  }
}
