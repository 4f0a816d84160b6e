package neatlanyard.server.controls;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.controls.Axis;
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

  /** What its recorder may be told to be. */
  List<Behaviour> recorders();

  /** How the way from it to the server may be told to behave. */
  List<Behaviour> links();

  /**
   * How the stand-in is told to behave for a check.
   *
   * @param recorder empty for a good one
   * @param link empty for a steady one
   * @param pressurePct hydraulic pressure as a share of the least that is wanted
   * @param seed the same makes the same check again
   */
  record Told(String behaviour, String recorder, String link, double pressurePct, long seed) {}

  /**
   * A check of a type as it comes from the aircraft.
   *
   * @param axes what is moved, in order; empty for all of it in the fleet's order
   * @return empty when it does not know what it is told
   */
  Optional<Coming> check(Pack pack, Told told, List<Axis> axes);

  /** @param trace all that the aircraft records @param link how it comes */
  record Coming(Trace trace, Link link) {}

  /** How samples come. */
  interface Link {
    /** Whether what was recorded at this time is held up, and comes with what is held up no more. */
    boolean holdsUp(double seconds);

    /** Whether what was recorded at this time never comes. */
    boolean loses(double seconds);

    /** When it breaks off, for a check of so many seconds; infinite where it does not. */
    double breaksOff(double total);
  }
}
