package neatlanyard.core.proof;

import java.util.function.BooleanSupplier;

/**
 * How much work a pack check may make. It is counted, not timed, so that the same pack is decided or not on every
 * machine; a clock, or an asker who went away, ends it through {@code stop}.
 *
 * @param nodes the nodes of decision diagrams that one question may make
 * @param all those that all questions together may make
 * @param stop asked now and then: whether to give up now
 */
public record Budget(long nodes, long all, BooleanSupplier stop) {
  /** A question of the largest pack that is wanted (2 000 steps) makes fewer than a tenth of these. */
  public static final long NODES = 3_000_000;

  private static final long ALL = 4 * NODES;

  /** Without a clock: as much as a check may make, and nobody who could go away. */
  public static final Budget FULL = until(() -> false);

  /** As much as a check may make, unless it is stopped before. */
  public static Budget until(BooleanSupplier stop) {
    return new Budget(NODES, ALL, stop);
  }

  /** The check was stopped from outside before it was through; nothing can be said of the pack. */
  public static final class Stopped extends RuntimeException {
    Stopped() {
      super("The check was stopped.", null, false, false);
    }
  }

  /** One question needed more than its share. */
  static final class Spent extends RuntimeException {
    Spent() {
      super("The share is spent.", null, false, false);
    }
  }

  /** Counts what one question spends. */
  static final class Meter {
    /** Asking whether to stop costs more than a node. */
    private static final int ASKED_EVERY = 1_024;

    private final Budget budget;
    private long spent;
    private long before;

    Meter(Budget budget) {
      this.budget = budget;
    }

    /** A new question with a share of its own. */
    void next() {
      before += spent;
      spent = 0;
    }

    /** @throws Spent when this question has had its share @throws Stopped when somebody wants it to end */
    void spend() {
      if (++spent > budget.nodes || before + spent > budget.all) {
        throw new Spent();
      }
      if (spent % ASKED_EVERY == 0 && budget.stop.getAsBoolean()) {
        throw new Stopped();
      }
    }
  }
}
