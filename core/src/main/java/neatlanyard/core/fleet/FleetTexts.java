package neatlanyard.core.fleet;

import java.time.Instant;
import java.util.Optional;

/** The fleets that were brought in, as texts; none is ever edited. */
public interface FleetTexts {
  /** One text. @param sha256 of the text */
  record FleetText(String operator, String sha256, String text, CrewId by, Instant at) {}

  void keep(FleetText text);

  /** The one in force: brought in last, and not withdrawn. */
  Optional<FleetText> inForce();

  /** The one that was in force before it. */
  Optional<FleetText> before();

  /** Withdraws the one in force, so that the one before it is in force again. */
  void withdraw(Instant at);
}
