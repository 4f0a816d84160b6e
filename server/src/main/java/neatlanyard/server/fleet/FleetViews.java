package neatlanyard.server.fleet;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** What the interface is told of people and of the installation. */
public final class FleetViews {
  private FleetViews() {}

  /**
   * The installation.
   *
   * @param shifted whether another hour than the real one is shown
   * @param signIns the demo's, empty outside demo mode
   */
  public record About(String operator, boolean demo, Instant now, boolean shifted, List<DemoSignIn> signIns) {}

  public record DemoSignIn(String who, String name, String role, String password) {}

  /**
   * @param administers gives and takes away access, and brings in fleets and flights
   * @param flies may sit at the controls
   * @param draws draws up packs
   * @param checksPacks may check another's pack
   */
  public record Me(
      String id, String name, String role, boolean mustChange, boolean administers, boolean flies, boolean draws,
      boolean checksPacks) {}

  public record SignIn(Optional<String> who, Optional<String> password) {}

  public record NewPassword(Optional<String> now, Optional<String> next) {}

  /**
   * @param state "in use", "one-time password not used yet" or "taken away"
   * @param devices where they are signed in
   */
  public record AccountView(String id, String name, String role, String state, boolean takenAway,
      List<DeviceView> devices) {}

  public record DeviceView(String address, Instant begun, Instant ends) {}

  /** What was done about access, and the wrong passwords of late, the newest first. */
  public record AccessView(List<AccessLineView> lines, List<FailureView> failures) {}

  public record AccessLineView(Instant at, String by, String act, String about, String words) {}

  /** @param times how often in a row from there */
  public record FailureView(Instant last, String name, String address, int times) {}

  /** A password for one use, shown once. */
  public record OneTimePassword(String who, String name, String password) {}

  /**
   * The fleet in force.
   *
   * @param edition the hash of its text
   * @param mayBeWithdrawn whether there is one before it to go back to
   */
  public record FleetView(String operator, int tails, int airfields, int people, String by, Instant at, String edition,
      boolean mayBeWithdrawn) {}

  /** What came of bringing something in. @param signIns one-time passwords of people who are new */
  public record BroughtIn(String what, List<OneTimePassword> signIns) {}
}
