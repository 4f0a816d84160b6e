package neatlanyard.core.sop;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** In which order the stations of a walkaround are walked. */
public final class Route {
  private Route() {}

  /**
   * The steps in the order of the fleet's school. A pack writes them from the left front door, clockwise; the first
   * station, where one steps out, stays first in every school.
   */
  public static List<Step> walked(Pack pack, List<Step> written) {
    School school = pack.policy().of(Matter.ROUTE);
    if (school == School.LEFT_DOOR_CLOCKWISE || written.isEmpty()) {
      return written;
    }
    Map<PlaceId, Place> places = pack.places().stream().collect(Collectors.toMap(Place::id, Function.identity()));
    Map<PlaceId, List<Step>> stations = written.stream()
        .collect(Collectors.groupingBy(Step::place, LinkedHashMap::new, Collectors.toList()));
    List<PlaceId> order = new ArrayList<>(stations.keySet());
    PlaceId first = order.removeFirst();
    List<PlaceId> rest = school == School.NOSE_FIRST ? fromTheNose(order, places) : sideBySide(order, places);
    return Stream.concat(Stream.of(first), rest.stream()).flatMap(p -> stations.getOrDefault(p, List.of()).stream())
        .toList();
  }

  private static List<PlaceId> fromTheNose(List<PlaceId> order, Map<PlaceId, Place> places) {
    int nose = order.stream().min(Comparator.comparingDouble(p -> y(places, p))).map(order::indexOf).orElse(0);
    return Stream.concat(order.subList(nose, order.size()).stream(), order.subList(0, nose).stream()).toList();
  }

  private static List<PlaceId> sideBySide(List<PlaceId> order, Map<PlaceId, Place> places) {
    return order.stream()
        .sorted(Comparator.comparing((PlaceId p) -> x(places, p) < 0).thenComparingDouble(p -> y(places, p)))
        .toList();
  }

  private static double x(Map<PlaceId, Place> places, PlaceId id) {
    Place place = places.get(id);
    return place == null ? 0 : place.x();
  }

  private static double y(Map<PlaceId, Place> places, PlaceId id) {
    Place place = places.get(id);
    return place == null ? 0 : place.y();
  }
}
