package neatlanyard.server.sop;

import java.time.Instant;

/** What the interface is told of packs. */
public final class SopViews {
  private SopViews() {}

  public record PackView(
      String id, String revision, String title, String type, int steps, String sha256, String by, Instant at) {}
}
