package neatlanyard.core.sop;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.figures.entry.CriticalFigure;

/**
 * A control with its positions or an indication with its states, on a panel or at a station.
 *
 * @param control whether a hand moves it; an indication only shows
 * @param lightsTested whether the lights test shows that its light works; one that it does not is press-tested
 * @param agreed the critical figure that says where it stands for take-off, such as the flap; empty where none does
 * @param states the positions or states it can have, at least two
 */
public record Point(PointId id, String name, PlaceId place, boolean control, boolean lightsTested,
    Optional<CriticalFigure> agreed, List<String> states) {
  public Point {
    states = List.copyOf(states);
  }

  public Point(PointId id, String name, PlaceId place, boolean control, List<String> states) {
    this(id, name, place, control, true, Optional.empty(), states);
  }
}
