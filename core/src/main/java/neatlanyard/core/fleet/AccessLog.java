package neatlanyard.core.fleet;

import java.time.Instant;
import java.util.List;

/** What was done about access, only ever added to; and the wrong passwords of late. */
public interface AccessLog {
  /** What can be done about access. */
  enum Act {
    SIGNED_IN("signed in"),
    SIGNED_OUT("signed out"),
    PASSWORD_CHANGED("changed the password"),
    ONE_TIME_PASSWORD("gave a one-time password"),
    TAKEN_AWAY("took access away"),
    SIGNED_OUT_EVERYWHERE("signed out everywhere"),
    ROLE_GIVEN("gave a role"),
    FLEET_BROUGHT_IN("brought in a fleet"),
    FLEET_WITHDRAWN("withdrew a fleet"),
    FLIGHTS_BROUGHT_IN("brought in flights"),
    FLIGHT_WITHDRAWN("withdrew a flight");

    private final String words;

    Act(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** @param about whom or what it was done to @param words what more there is to say */
  record Line(Instant at, CrewId by, Act act, String about, String words) {}

  /** @param name as it was tried, cut to length */
  record Failure(Instant at, String name, String address) {}

  void add(Line line);

  /** The latest, the newest first. */
  List<Line> latest(int most);

  void failed(Failure failure);

  List<Failure> failures(int most);
}
