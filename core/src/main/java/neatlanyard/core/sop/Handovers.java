package neatlanyard.core.sop;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import neatlanyard.core.fleet.Seat;

/**
 * Who works what of which panel now, where panels were handed over. Who hands over gives what they work there then,
 * their own and what they were given; another seat's steps at the same panel stay where they are.
 */
public final class Handovers {
  public static final Handovers NONE = new Handovers(Map.of());

  /** By panel: the seat the pack says, and the seat that works it now. */
  private final Map<PlaceId, Map<Seat, Seat>> given;

  private Handovers(Map<PlaceId, Map<Seat, Seat>> given) {
    this.given = given;
  }

  /** What is so once a seat has handed its part of a panel to another. */
  public Handovers with(PlaceId panel, Seat from, Seat to) {
    Map<Seat, Seat> there = new EnumMap<>(Seat.class);
    for (Seat own : Seat.values()) {
      Seat now = now(panel, own);
      there.put(own, now == from ? to : now);
    }
    Map<PlaceId, Map<Seat, Seat>> all = new HashMap<>(given);
    all.put(panel, there);
    return new Handovers(all);
  }

  /** The seat that works a panel's steps of one seat now. */
  public Seat now(PlaceId panel, Seat own) {
    return given.getOrDefault(panel, Map.of()).getOrDefault(own, own);
  }

  /** The panels of which anything was ever handed over. */
  public Set<PlaceId> panels() {
    return Set.copyOf(given.keySet());
  }

  /** Whether anything of a panel was ever handed over. */
  public boolean any(PlaceId panel) {
    return given.containsKey(panel);
  }
}
