package neatlanyard.core.sop;

import java.util.List;

/**
 * A control with its positions or an indication with its states, on a panel or at a station.
 *
 * @param control whether a hand moves it; an indication only shows
 * @param lightsTested whether the lights test shows that its light works; one that it does not is press-tested
 * @param states the positions or states it can have, at least two
 */
public record Point(PointId id, String name, PlaceId place, boolean control, boolean lightsTested,
    List<String> states) {
  public Point {
    states = List.copyOf(states);
  }

  public Point(PointId id, String name, PlaceId place, boolean control, List<String> states) {
    this(id, name, place, control, true, states);
  }
}
