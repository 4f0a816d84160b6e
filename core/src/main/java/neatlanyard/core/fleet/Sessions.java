package neatlanyard.core.fleet;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Who is signed in, on which device, until when. An ended one is gone. */
public interface Sessions {
  /**
   * @param key SHA-256 of the secret in the device's cookie, so that a copy of the database lets nobody in
   * @param address the network address it was begun from
   */
  record Session(String key, CrewId who, String address, Instant begun, Instant ends) {}

  void begin(Session session);

  Optional<Session> find(String key);

  /** Every one that has not ended, the one begun last first. */
  List<Session> open();

  void end(String key);

  /** Ends those that should have ended by then. */
  void endBefore(Instant then);
}
