package neatlanyard.server.fleet;

import java.time.InstantSource;
import java.util.Optional;
import neatlanyard.core.fleet.AccessLog;
import neatlanyard.core.fleet.AccessLog.Act;
import neatlanyard.core.fleet.Accounts;
import neatlanyard.core.fleet.Accounts.Account;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Role;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Coming in, and access given and taken away; what is done is written in the access log. */
@Service
public final class SignIns {
  private final Accounts accounts;
  private final Passwords passwords;
  private final Tries tries;
  private final SessionDesk sessions;
  private final AccessLog log;
  private final InstantSource clock;

  SignIns(Accounts accounts, Passwords passwords, Tries tries, SessionDesk sessions, AccessLog log,
      InstantSource clock) {
    this.accounts = accounts;
    this.passwords = passwords;
    this.tries = tries;
    this.sessions = sessions;
    this.log = log;
    this.clock = clock;
  }

  /**
   * @param device what the device shows
   * @return who came in.
   * @throws Problem when name or password is not right, or it was tried too often
   */
  Account in(String name, String password, Caller caller, DeviceCookie device) {
    Optional<Account> account = sessions.account(name);
    Tries.Try paid = tries.pay(name, caller, device.knows(name));
    boolean right = passwords.matches(caller.address(), password, account.filter(a -> !a.disabled())
        .map(Account::passwordHash));
    if (!right || account.isEmpty()) {
      failed(name, caller);
      throw Problem.of(HttpStatus.UNAUTHORIZED, ProblemCode.WRONG_SIGN_IN, "Name or password is not right.",
          "Try again, or ask an administrator for a new one-time password.");
    }
    paid.right();
    write(account.get().id(), Act.SIGNED_IN, account.get().id().value(), "from " + caller.address());
    return account.get();
  }

  private void failed(String name, Caller caller) {
    log.failed(new AccessLog.Failure(clock.instant(), Caller.cut(name), caller.address()));
  }

  /**
   * Changes somebody's own password; they are out everywhere else.
   *
   * @throws Problem if the old one is wrong or the new one too weak
   */
  Account change(SignedIn who, String now, String next, Caller caller) {
    Account account = accounts.find(who.id()).orElseThrow(() -> Problem.notFound("There is no such sign-in."));
    Tries.Try paid = tries.payForChange(who.id());
    if (!passwords.matches(who.id().value(), now, Optional.of(account.passwordHash()))) {
      failed(who.id().value(), caller);
      throw Problem.bad(ProblemCode.WRONG_PASSWORD, "The present password is not right.");
    }
    paid.right();
    passwords.mustBeStrong(who.id(), now, next);
    Account changed = account.withPassword(passwords.hash(who.id().value(), next), false);
    accounts.save(changed);
    sessions.endAll(who.id());
    write(who.id(), Act.PASSWORD_CHANGED, who.id().value(), "from " + caller.address());
    return changed;
  }

  /** Gives somebody a password for one use, making the account if it is new; whoever is in under that name is out. */
  public String oneTime(CrewId by, CrewId id, String name, Role role) {
    String given = passwords.oneTime();
    accounts.save(new Account(id, name, role, passwords.hash(by.value(), given), true, false));
    sessions.endAll(id);
    write(by, Act.ONE_TIME_PASSWORD, id.value(), words(role));
    return given;
  }

  /**
   * Sets a password that was not given for one use, as the demo's are. Who has one of their own keeps it, and whose
   * access was taken away stays out.
   */
  void set(CrewId id, String name, Role role, String password) {
    if (accounts.find(id).filter(a -> !a.mustChange() || a.disabled()).isEmpty()) {
      accounts.save(new Account(id, name, role, passwords.hashHere(password), false, false));
    }
  }

  /** Takes somebody's access away, at once. @throws Problem when nobody could give it back */
  void takeAway(CrewId by, CrewId id, String why) {
    Account account = accounts.find(id).orElseThrow(() -> Problem.notFound("There is no sign-in '%s'.".formatted(id)));
    if (by.equals(id)) {
      throw Problem.bad(ProblemCode.OWN_ACCESS, "Nobody takes away their own access.");
    }
    accounts.save(account.takenAway());
    sessions.endAll(id);
    write(by, Act.TAKEN_AWAY, id.value(), why);
  }

  void signOutEverywhere(CrewId by, CrewId id) {
    int devices = sessions.endAll(id);
    write(by, Act.SIGNED_OUT_EVERYWHERE, id.value(), "from %d devices".formatted(devices));
  }

  /**
   * Somebody's name or role in a fleet that was brought in. A role that changed puts them out, to come in with the new
   * one.
   */
  void become(CrewId by, CrewMember member) {
    Account account = accounts.find(member.id()).orElseThrow();
    if (account.role() != member.role()) {
      sessions.endAll(member.id());
      write(by, Act.ROLE_GIVEN, member.id().value(),
          "%s, before %s".formatted(words(member.role()), words(account.role())));
    }
    accounts.save(account.as(member.name(), member.role()));
  }

  static String words(Role role) {
    return role.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
  }

  void write(CrewId by, Act act, String about, String words) {
    log.add(new AccessLog.Line(clock.instant(), by, act, about, words));
  }
}
