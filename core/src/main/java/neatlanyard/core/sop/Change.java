package neatlanyard.core.sop;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Tail;

/**
 * One thing that differs between two revisions.
 *
 * @param step the step it is about; empty for the pack as a whole
 * @param where procedure and challenge, or what part of the pack
 * @param words what is different, a sentence each
 * @param seats whose work it touches, by either revision
 * @param when the conditions of the step by either revision
 */
public record Change(Kind kind, Optional<StepId> step, String where, List<String> words, Set<Seat> seats,
    List<Condition> when) {
  /** In what way it differs. */
  public enum Kind { ADDED, REMOVED, CHANGED, PACK }

  public Change {
    words = List.copyOf(words);
    seats = Set.copyOf(seats);
    when = List.copyOf(when);
  }

  /** Whether it touches work that a tail can bring up. */
  public boolean concerns(Tail tail, Policy policy) {
    return kind == Kind.PACK || when.stream().anyMatch(c -> c.possibleOn(tail, policy));
  }

  /** Whether it touches a seat's work. */
  public boolean concerns(Set<Seat> some) {
    return kind == Kind.PACK || seats.stream().anyMatch(some::contains);
  }
}
