package neatlanyard.server.walkaround;

/** What the interface is told of photos on their way. */
public final class PhotoViews {
  private PhotoViews() {}

  /** @param received bytes that are here; go on from there @param whole whether the photo is complete and kept */
  public record ReceivedView(int received, boolean whole) {}
}
