package neatlanyard.server.fleet;

import neatlanyard.core.fleet.Accounts.Account;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Role;
import neatlanyard.server.problem.Problem;
import org.springframework.http.HttpStatus;

/** Who is asking. @param session the key of the session they ask in */
public record SignedIn(CrewId id, String name, Role role, boolean mustChange, String session) {
  static SignedIn of(Account a, String session) {
    return new SignedIn(a.id(), a.name(), a.role(), a.mustChange(), session);
  }

  /** @throws Problem unless this person is an administrator */
  public void mustAdminister() {
    if (role != Role.ADMINISTRATOR) {
      throw Problem.of(HttpStatus.FORBIDDEN, RefusalCode.NOT_YOUR_ROLE,
          "Only administrators give and take away access, and bring in fleets and flights.",
          "Ask one of them.");
    }
  }
}
