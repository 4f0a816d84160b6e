package neatlanyard.server.controls;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.State;
import neatlanyard.server.controls.ControlViews.Behaviour;

/** Where the aircraft's own control data comes from. */
public interface AircraftData {
  /** Who answers, in words, to be shown wherever its data shows. */
  String name();

  /** How it may be told to behave; a real aircraft has one way. */
  List<Behaviour> behaviours();

  /** What its controls and indications may be told to show; a real aircraft has one way. */
  List<Behaviour> states(Pack pack);

  /**
   * How its controls stand and what its indications show.
   *
   * @param told what the crew has said of each point last
   * @return empty when it does not know the behaviour
   */
  Optional<List<State>> read(Pack pack, Map<PointId, String> told, String behaviour);

  /** The recording of one whole check of a type; empty when it does not know the behaviour. */
  Optional<Trace> check(Pack pack, String behaviour);
}
