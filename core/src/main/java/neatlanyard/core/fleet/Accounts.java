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
   * @param disabled whether it was taken away; nobody comes in with it until an administrator gives a new password
   */
  record Account(CrewId id, String name, Role role, String passwordHash, boolean mustChange, boolean disabled) {
    public Account withPassword(String hash, boolean forOneUse) {
      return new Account(id, name, role, hash, forOneUse, false);
    }

    public Account as(String newName, Role newRole) {
      return new Account(id, newName, newRole, passwordHash, mustChange, disabled);
    }

    public Account takenAway() {
      return new Account(id, name, role, passwordHash, mustChange, true);
    }
  }

  Optional<Account> find(CrewId id);

  List<Account> all();

  /** Adds an account, or changes the one of that name. */
  void save(Account account);
}
