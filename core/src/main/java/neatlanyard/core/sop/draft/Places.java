package neatlanyard.core.sop.draft;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.PlaceId;

/** Where a printed item may be done, by its words. The words are common practice, no source. */
final class Places {
  /** @param words any of which the challenge holds */
  private record Known(Place place, List<String> words) {}

  private static final List<Known> STATIONS = List.of(
      station("nose", "Nose", 0, -2, "nose", "radome", "propeller", "windscreen", "wiper"),
      station("right-engine", "Right engine", 4, 4, "right engine", "engine two"),
      station("right-wing", "Right wing", 8, 7, "right wing", "right tip", "right aileron", "right flap"),
      station("right-gear", "Right main gear", 3, 9, "right gear", "right main", "right tyre", "right brake"),
      station("tail", "Tail", 0, 20, "tail", "elevator", "rudder", "stabilizer", "stabiliser", "empennage"),
      station("left-gear", "Left main gear", -3, 9, "left gear", "left main", "left tyre", "left brake"),
      station("left-wing", "Left wing", -8, 7, "left wing", "left tip", "left aileron", "left flap"),
      station("left-engine", "Left engine", -4, 4, "left engine", "engine one", "engine", "oil", "cowl"));

  private static final Place LEFT_DOOR = station("left-door", "Left door", -3, 3).place;

  private static final List<Known> PANELS = List.of(
      panel("pedestal", "Pedestal", 3, 4, Seat.LEFT, "throttle", "thrust", "power lever", "mixture", "condition",
          "flap", "trim", "brake", "speed brake", "spoiler", "gust lock"),
      panel("fuel", "Fuel panel", 0, 0, Seat.LEFT, "fuel", "boost", "crossfeed", "tank"),
      panel("electric", "Electric panel", 2, 0, Seat.LEFT, "battery", "master", "generator", "alternator", "inverter",
          "avionics", "external power", "ground power", "magneto"),
      panel("lights", "Lights and signs", 4, 0, Seat.RIGHT, "light", "beacon", "strobe", "sign"),
      panel("ice", "Ice and air", 6, 0, Seat.RIGHT, "ice", "heat", "pitot", "bleed", "pack", "pressuri", "air"),
      panel("radios", "Radios", 5, 4, Seat.RIGHT, "radio", "transponder", "radar", "navigation", "route", "clearance"),
      panel("right-main", "Right main panel", 5, 2, Seat.RIGHT, "right altimeter", "right mask"));

  private static final Place MAIN = panel("left-main", "Left main panel", 0, 2, Seat.LEFT).place;

  private Places() {}

  private static Known station(String id, String name, double x, double y, String... words) {
    return new Known(new Place(new PlaceId(id), name, x, y, 0, 0, x < 0 ? Seat.LEFT : Seat.RIGHT, false),
        List.of(words));
  }

  private static Known panel(String id, String name, double x, double y, Seat half, String... words) {
    return new Known(new Place(new PlaceId(id), name, x, y, 2, 1, half, true), List.of(words));
  }

  static List<Place> stations() {
    return Stream.concat(Stream.of(LEFT_DOOR), STATIONS.stream().map(Known::place)).toList();
  }

  static List<Place> panels() {
    return Stream.concat(PANELS.stream().map(Known::place), Stream.of(MAIN)).toList();
  }

  /** The place whose words the challenge holds; empty where none fits. @param outside whether it is on a walk */
  static Optional<Place> known(String challenge, boolean outside) {
    String plain = challenge.toLowerCase(Locale.ROOT);
    return (outside ? STATIONS : PANELS).stream().filter(k -> k.words.stream().anyMatch(plain::contains))
        .map(Known::place).findFirst();
  }

  /** Where an item is put of which nothing is known. */
  static Place usual(boolean outside) {
    return outside ? LEFT_DOOR : MAIN;
  }
}
