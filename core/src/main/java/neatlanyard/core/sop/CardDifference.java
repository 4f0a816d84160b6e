package neatlanyard.core.sop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.fleet.Seat;

/**
 * A step in which two cards differ, such as those of two tails, two days or two seats' roles.
 *
 * @param left how it stands on the one card: why it is there, or why it is left out
 * @param right the same of the other card
 */
public record CardDifference(Procedure procedure, Step step, Side left, Side right) {
  /** @param seats who answers, where it is on the card; empty where it is left out */
  public record Side(boolean there, Set<Seat> seats, String why) {}

  /** The differences, in the order of the pack. Both cards must be cut from one pack. */
  public static List<CardDifference> between(Card left, Card right) {
    List<CardDifference> differences = new ArrayList<>();
    for (Procedure procedure : left.pack().procedures()) {
      for (Step step : procedure.steps()) {
        Side a = side(left, step);
        Side b = side(right, step);
        if (a.there != b.there || !a.seats.equals(b.seats)) {
          differences.add(new CardDifference(procedure, step, a, b));
        }
      }
    }
    return differences;
  }

  private static Side side(Card card, Step step) {
    Optional<Card.Item> item = card.item(step.id());
    return item.map(i -> new Side(true, i.seats(), i.added()))
        .orElseGet(() -> new Side(false, Set.of(), card.whyLeftOut(step.id())));
  }
}
