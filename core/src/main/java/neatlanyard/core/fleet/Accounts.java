package neatlanyard.core.fleet;

import java.util.List;
import java.util.Optional;

/** Who may sign in. */
public interface Accounts {
  /**
   * A sign-in.
   *
   * @param passwordHash as the password encoder made it, never the password
   * @param mustChange whether the password was given for one use
   */
  record Account(CrewId id, String name, Role role, String passwordHash, boolean mustChange) {}

  Optional<Account> find(CrewId id);

  List<Account> all();

  /** Adds an account, or changes the one of that name. */
  void save(Account account);
}
