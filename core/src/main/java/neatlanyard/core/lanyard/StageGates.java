package neatlanyard.core.lanyard;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.checklist.TakeoffConfiguration;
import neatlanyard.core.flow.DayValues;
import neatlanyard.core.flow.Gates.Gate;
import neatlanyard.core.flow.Positions;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.state.DepartureState;

/**
 * What keeps all steps of a stage closed: the tags that were to be gone before it, and on the runway what of the
 * take-off configuration is not so. The stages before the start are worked side by side, so that a cover outside does
 * not stop the flows inside.
 */
public final class StageGates {
  /** From here on one stage follows the other; before it people work in several at once. */
  private static final Stage IN_ORDER = Stage.START;

  /** @param since number of the entry from which on it has been so */
  private record Late(Gate gate, long since) {}

  private StageGates() {}

  /** Whether anything can keep this stage closed, so that tags and configuration need not be worked out for it. */
  public static boolean can(Stage stage) {
    return stage.compareTo(IN_ORDER) >= 0;
  }

  /**
   * What keeps a stage closed and nobody has given words to go past since at one of its steps, which count for all of
   * it.
   *
   * @param tags those that hang now
   * @param takeoff the take-off configuration as it stands
   */
  public static List<Gate> of(
      DepartureState d, Stage stage, List<Tag> tags, List<TakeoffConfiguration.Check> takeoff) {
    return late(d, stage, tags, takeoff).filter(l -> !passed(d, stage, l.since())).map(Late::gate).toList();
  }

  /** Whether anything keeps a stage closed, words given or not. */
  public static boolean any(
      DepartureState d, Stage stage, List<Tag> tags, List<TakeoffConfiguration.Check> takeoff) {
    return late(d, stage, tags, takeoff).findAny().isPresent();
  }

  private static Stream<Late> late(
      DepartureState d, Stage stage, List<Tag> tags, List<TakeoffConfiguration.Check> takeoff) {
    if (!can(stage)) {
      return Stream.empty();
    }
    Stream<Late> late = tags.stream()
        .filter(t -> t.due().compareTo(stage) < 0)
        .map(t -> new Late(Gate.ofStage("Before it must be gone: %s.".formatted(t.words()),
            t.closedBy().stream().flatMap(s -> d.item(s).stream()).findFirst()), t.sinceNumber()));
    Stream<Late> configuration = stage != Stage.LINE_UP ? Stream.empty() : takeoff.stream()
        .filter(c -> !c.so())
        .map(c -> new Late(Gate.ofStage("Take-off configuration. %s.".formatted(c.words()), Optional.empty()),
            c.last().map(Positions.Statement::number).orElse(0L)));
    return Stream.concat(late, configuration);
  }

  /** Words that say why a value differs say nothing of the stage. */
  private static boolean passed(DepartureState d, Stage stage, long since) {
    return d.card().stream().map((Card c) -> c.items(stage)).flatMap(List::stream)
        .filter(i -> d.notes(i.step().id()).override().filter(o -> o.number() > since).isPresent())
        .anyMatch(i -> DayValues.differing(d, i).isEmpty());
  }
}
