package neatlanyard.core.sop.draft;

import java.util.List;
import neatlanyard.core.sop.Pack;

/** @param guesses what was guessed of it, in the order of the file; people look at each */
public record Draft(Pack pack, List<Guess> guesses) {
  public Draft {
    guesses = List.copyOf(guesses);
  }

  /** @param line of the file; 0 where it is of the whole @param words one sentence */
  public record Guess(int line, String words) {}
}
