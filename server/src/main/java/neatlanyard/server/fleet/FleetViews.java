package neatlanyard.server.fleet;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** What the interface is told of people and of the installation. */
public final class FleetViews {
  private FleetViews() {}

  /** The installation. @param shifted whether another hour than the real one is shown @param signIns the demo's, empty outside demo mode */
  public record About(String operator, boolean demo, Instant now, boolean shifted, List<DemoSignIn> signIns) {}

  public record DemoSignIn(String who, String name, String role, String password) {}

  /** @param flies may sit at the controls @param draws draws up packs @param checksPacks may check another's pack */
  public record Me(
      String id, String name, String role, boolean mustChange, boolean bringsIn, boolean administers, boolean flies, boolean draws,
      boolean checksPacks) {}

  public record SignIn(Optional<String> who, Optional<String> password) {}

  public record NewPassword(Optional<String> now, Optional<String> next) {}

  public record AccountView(String id, String name, String role, boolean mustChange) {}

  /** A password for one use, shown once. */
  public record OneTimePassword(String who, String name, String password) {}

  /** What came of bringing something in. @param signIns one-time passwords of people who are new */
  public record BroughtIn(String what, List<OneTimePassword> signIns) {}
}
