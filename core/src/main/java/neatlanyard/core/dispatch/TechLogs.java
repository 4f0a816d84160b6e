package neatlanyard.core.dispatch;

import java.util.List;
import neatlanyard.core.fleet.TailId;

/** Where technical logs are kept: written once, in order, never changed. */
public interface TechLogs {
  /** All lines of a tail, the oldest first. */
  List<TechEntry> of(TailId tail);

  /** Adds lines, all or none. */
  void add(List<TechEntry> lines);
}
