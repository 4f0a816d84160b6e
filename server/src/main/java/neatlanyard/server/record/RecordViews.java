package neatlanyard.server.record;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.Seat;

/** What the interface is told of the record. */
public final class RecordViews {
  private RecordViews() {}

  /** @param head the last hash of the chain @param whole whether the chain was found whole just now */
  public record RecordView(List<LineView> lines, String head, boolean tiedOff, boolean whole, String check) {}

  public record LineView(long number, Instant at, String by, Optional<Seat> seat, String words, String hash) {}

  /**
   * A key that records of this installation are signed with.
   *
   * @param fingerprint SHA-256 of it
   * @param pem for other tools
   */
  public record KeyView(String fingerprint, Instant made, String pem) {}
}
