package neatlanyard.core.lanyard;

import java.util.List;
import java.util.stream.Stream;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.state.DepartureState;

/**
 * A stage on the cord, and how far it is.
 *
 * @param done how many of its things ask for nothing more
 * @param all how many there are; 0 where there is nothing to do today, or the card is not cut yet
 */
public record Bead(Stage stage, int done, int all) {
  /** Whether the stage is finished: all that it asks for is there, and still so. */
  public boolean finished() {
    return all > 0 && done == all;
  }

  /** The stages of the departure's pack, in the order of the work. */
  public static List<Bead> of(DepartureState d, Standing standing) {
    return Stream.of(Stage.values())
        .filter(s -> s == Stage.DAY || s == Stage.CONTROLS || s == Stage.TIE_OFF
            || d.pack().procedures().stream().anyMatch(p -> p.stage() == s))
        .map(s -> of(d, standing, s)).toList();
  }

  private static Bead of(DepartureState d, Standing standing, Stage stage) {
    List<Item> items = d.card().map((Card c) -> c.items(stage)).orElse(List.of());
    int settled = standing.settled(items);
    return switch (stage) {
      case DAY -> new Bead(stage, d.seats().size() + (d.card().isPresent() ? 1 : 0),
          d.opened().flight().crew().size() + 1);
      case TIE_OFF -> new Bead(stage, d.tiedOff().isPresent() ? 1 : 0, 1);
      case CONTROLS -> {
        boolean stands = d.controls().filter(c -> c.event().judgement().passed()).isPresent()
            && ControlsAgain.of(d).isEmpty();
        int passed = stands ? 1 : 0;
        yield new Bead(stage, passed + settled, 1 + items.size());
      }
      default -> new Bead(stage, settled, items.size());
    };
  }

  /** The stage that is worked now: the first that is not finished; the tie-off once all are. */
  public static Stage current(List<Bead> beads) {
    return beads.stream().filter(b -> !b.finished()).map(Bead::stage).findFirst().orElse(Stage.TIE_OFF);
  }
}
