package neatlanyard.core.controls.recording;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;

/** What other people's recorders call their columns, kept by a name of one's own for it. */
public interface HeadNames {
  /** @param text in the open format */
  record Kept(String name, String text, CrewId by, Instant at) {}

  /** By name. */
  List<Kept> all();

  Optional<Kept> find(String name);

  /** Keeps it in the place of what had its name. */
  void keep(Kept names);

  /** @return whether it was there */
  boolean drop(String name);
}
