package neatlanyard.server.fleet;

import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import neatlanyard.core.fleet.Accounts;
import neatlanyard.core.fleet.Accounts.Account;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Role;
import neatlanyard.server.problem.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** Passwords: given for one use, changed, and protected against guessing. */
@Service
public class SignIns {
  private static final int LEAST_CHARACTERS = 10;
  /** bcrypt looks at no more bytes than these. */
  private static final int MOST_BYTES = 72;
  private static final int TRIES = 5;
  private static final Duration PAUSE = Duration.ofSeconds(30);
  private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";

  private record Failures(int count, Instant last) {}

  private final Accounts accounts;
  private final PasswordEncoder encoder;
  private final InstantSource clock;
  private final SecureRandom random = new SecureRandom();
  private final Map<String, Failures> failures = new ConcurrentHashMap<>();

  SignIns(Accounts accounts, PasswordEncoder encoder, InstantSource clock) {
    this.accounts = accounts;
    this.encoder = encoder;
    this.clock = clock;
  }

  /** Gives somebody a password for one use, making the account if it is new. */
  public String oneTime(CrewId id, String name, Role role) {
    StringBuilder password = new StringBuilder();
    for (int i = 0; i < 15; i++) {
      password.append(i % 5 == 4 ? '-' : LETTERS.charAt(random.nextInt(LETTERS.length())));
    }
    String given = password.substring(0, 14);
    accounts.save(new Account(id, name, role, hash(given), true));
    return given;
  }

  /** Sets a password that was not given for one use, as the demo's are. */
  public void set(CrewId id, String name, Role role, String password) {
    boolean there = accounts.find(id).filter(a -> encoder.matches(password, a.passwordHash())).isPresent();
    if (there) {
      return; // Another hash of the same password would sign everybody out.
    }
    accounts.save(new Account(id, name, role, hash(password), false));
  }

  /** Changes somebody's own password. @throws Problem if the old one is wrong or the new one too weak */
  public Account change(CrewId id, String now, String next) {
    Account account = accounts.find(id).orElseThrow(() -> Problem.notFound("There is no such sign-in."));
    if (!encoder.matches(now, account.passwordHash())) {
      throw Problem.bad("wrong-password", "The present password is not right.");
    }
    int bytes = next.getBytes(java.nio.charset.StandardCharsets.UTF_8).length;
    if (next.length() < LEAST_CHARACTERS || bytes > MOST_BYTES || next.equals(now)) {
      throw Problem.bad("weak-password",
          "A new password has %d characters or more, at most %d bytes, and differs from the old one.".formatted(LEAST_CHARACTERS, MOST_BYTES));
    }
    Account changed = new Account(id, account.name(), account.role(), hash(next), false);
    accounts.save(changed);
    return changed;
  }

  private String hash(String password) {
    String hash = encoder.encode(password);
    if (hash == null) {
      throw new IllegalStateException("The encoder gave no hash");
    }
    return hash;
  }

  /** @throws Problem while a name waits after too many wrong passwords */
  public void mayTry(String who) {
    Failures f = failures.get(who);
    if (f != null && f.count >= TRIES && f.last.plus(PAUSE).isAfter(clock.instant())) {
      throw Problem.of(HttpStatus.TOO_MANY_REQUESTS, "wait", "Too many wrong passwords for this name.",
          "Wait %d seconds and try again.".formatted(PAUSE.toSeconds()));
    }
  }

  public void failed(String who) {
    if (failures.size() > 10_000) {
      failures.clear();
    }
    failures.merge(who, new Failures(1, clock.instant()), (a, b) -> new Failures(a.count + 1, b.last));
  }

  public void succeeded(String who) {
    failures.remove(who);
  }
}
