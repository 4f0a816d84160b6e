package neatlanyard.core.sop;

import java.util.List;
import neatlanyard.core.figures.entry.CriticalFigure;

/**
 * A value that today's flight gives a step: what is set, or what is seen when a checklist asks.
 *
 * @param back whether it is asked back: what is set or seen is said and held against it
 */
public record DayValue(Source source, boolean back) {
  /** Where it comes from. */
  public sealed interface Source {
    /**
     * A figure of the flight or of the day.
     *
     * @param plus added to it, such as -200 ft where an older cabin controller wants it
     */
    record Figure(DayFigure figure, int plus) implements Source {}

    /** Critical figures as both pilots agreed on them, at least one; known once all of them are. */
    record Agreed(List<CriticalFigure> figures) implements Source {
      public Agreed {
        figures = List.copyOf(figures);
      }
    }

    /** The position or state of a point that the step sets, expects or verifies. */
    record Position(PointId point) implements Source {}

    /** The one of the step's alternatives whose turn it is on this tail. */
    record Turn() implements Source {}
  }
}
