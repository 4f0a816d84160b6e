package neatlanyard.core.figures;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.TypeId;

/**
 * All that the figures of a type rest on.
 *
 * @param edition such as "2026-11"
 * @param winds the type's limits and the operator's; the lower counts
 * @param landingFlap with which it lands; empty where it has no landing tables
 * @param agreesWithinKg how far the aircraft's own weight may lie from the load sheet's
 */
public record TypeFigures(
    TypeId type, String edition, Loading loading, List<WindLimits> winds, Icing icing, double agreesWithinKg,
    TakeoffType takeoff, Optional<String> landingFlap) {
  public TypeFigures {
    winds = List.copyOf(winds);
  }
}
