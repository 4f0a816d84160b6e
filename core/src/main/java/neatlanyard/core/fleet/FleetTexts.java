package neatlanyard.core.fleet;

import java.time.Instant;
import java.util.Optional;

/** The fleets that were brought in, as texts; none is ever edited. */
public interface FleetTexts {
  /** One text. @param sha256 of the text */
  record FleetText(String operator, String sha256, String text, CrewId by, Instant at) {}

  void keep(FleetText text);

  /** The one brought in last. */
  Optional<FleetText> latest();
}
