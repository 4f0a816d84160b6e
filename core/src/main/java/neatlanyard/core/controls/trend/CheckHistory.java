package neatlanyard.core.controls.trend;

import java.util.List;
import neatlanyard.core.controls.trend.ControlTrend.Checked;
import neatlanyard.core.fleet.TailId;

/** Where what control checks measured is kept over departures. */
public interface CheckHistory {
  /** The checks of a tail, the oldest first. */
  List<Checked> of(TailId tail);

  /** Adds what one check measured. */
  void add(Checked check);

  boolean none();
}
