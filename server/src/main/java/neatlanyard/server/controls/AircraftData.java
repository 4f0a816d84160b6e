package neatlanyard.server.controls;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Trace.Sample;
import neatlanyard.server.controls.ControlViews.Behaviour;

/** Where the aircraft's own control data comes from. */
public interface AircraftData {
  /** Who answers, in words, to be shown wherever its data shows. */
  String name();

  /** Samples a second. */
  int rateHz();

  /** How it may be told to behave; a real aircraft has one way. */
  List<Behaviour> behaviours();

  /** The samples of one whole check, in order; empty when it does not know the behaviour. */
  Optional<List<Sample>> check(ControlSpec spec, String behaviour);
}
