package neatlanyard.server.fleet;

import java.util.Collection;
import java.util.List;
import neatlanyard.core.fleet.Accounts.Account;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Role;
import org.springframework.http.HttpStatus;
import neatlanyard.server.problem.Problem;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Who is asking. */
public record SignedIn(CrewId id, String name, Role role, String hash, boolean mustChange) implements UserDetails {
  public static SignedIn of(Account a) {
    return new SignedIn(a.id(), a.name(), a.role(), a.passwordHash(), a.mustChange());
  }

  /** @throws Problem unless this person may bring in fleets and flights */
  public void mustBringIn() {
    if (!role.bringsIn()) {
      throw Problem.of(HttpStatus.FORBIDDEN, "not-your-role", "Only fleet standards and administrators bring in fleets and flights.",
          "Ask one of them.");
    }
  }

  /** @throws Problem unless this person is an administrator */
  public void mustAdminister() {
    if (role != Role.ADMINISTRATOR) {
      throw Problem.of(HttpStatus.FORBIDDEN, "not-your-role", "Only administrators manage sign-ins.", "Ask one of them.");
    }
  }

  @Override
  public Collection<? extends GrantedAuthority> getAuthorities() {
    return List.of(new SimpleGrantedAuthority("ROLE_" + role.name()));
  }

  @Override
  public String getPassword() {
    return hash;
  }

  @Override
  public String getUsername() {
    return id.value();
  }
}
