package neatlanyard.server.fleet;

import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.Base64;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import java.util.function.Predicate;
import neatlanyard.core.fleet.Accounts;
import neatlanyard.core.fleet.Accounts.Account;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Sessions;
import neatlanyard.core.fleet.Sessions.Session;
import neatlanyard.core.record.Chain;
import org.springframework.stereotype.Service;

/**
 * Who is signed in where. What an account may do is asked of the account with each request, so a role that is changed
 * or taken away counts at once; an ended session is gone, and with it each copy of its cookie.
 */
@Service
public final class SessionDesk {
  /** One duty with its reserve. Common practice, no source. */
  static final Duration LONGEST = Duration.ofHours(14);

  private static final int SECRET_BYTES = 32;

  private final Sessions kept;
  private final Accounts accounts;
  private final InstantSource clock;
  private final SecureRandom random = new SecureRandom();
  private final Map<String, Session> open = new ConcurrentHashMap<>();
  private final List<Consumer<String>> onEnd = new CopyOnWriteArrayList<>();

  SessionDesk(Sessions kept, Accounts accounts, InstantSource clock) {
    this.kept = kept;
    this.accounts = accounts;
    this.clock = clock;
    kept.endBefore(clock.instant());
    kept.open().forEach(s -> open.put(s.key(), s));
  }

  /** Whoever must know when a session ends, such as its streams. */
  public void onEnd(Consumer<String> told) {
    onEnd.add(told);
  }

  /** Begins a session. @return the secret for the device's cookie, which is kept nowhere else */
  String begin(CrewId who, String address) {
    byte[] secret = new byte[SECRET_BYTES];
    random.nextBytes(secret);
    String text = Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
    Instant now = clock.instant();
    end(s -> !s.ends().isAfter(now));
    Session session = new Session(Chain.sha256(text), who, address, now, now.plus(LONGEST));
    kept.begin(session);
    open.put(session.key(), session);
    return text;
  }

  /** Who it is that sends this secret; nobody when the session has ended or the account was taken away. */
  public Optional<SignedIn> find(String secret) {
    Session session = open.get(Chain.sha256(secret));
    if (session == null || !session.ends().isAfter(clock.instant())) {
      return Optional.empty();
    }
    return accounts.find(session.who()).filter(a -> !a.disabled()).map(a -> SignedIn.of(a, session.key()));
  }

  /** The open ones, the one begun last first. */
  List<Session> open() {
    Instant now = clock.instant();
    return open.values().stream().filter(s -> s.ends().isAfter(now))
        .sorted(Comparator.comparing(Session::begun).reversed()).toList();
  }

  void end(String key) {
    end(s -> s.key().equals(key));
  }

  /** Signs somebody out everywhere. @return from how many devices */
  int endAll(CrewId who) {
    return end(s -> s.who().equals(who));
  }

  private int end(Predicate<Session> which) {
    List<Session> ended = open.values().stream().filter(which).toList();
    for (Session s : ended) {
      open.remove(s.key());
      kept.end(s.key());
      onEnd.forEach(told -> told.accept(s.key()));
    }
    return ended.size();
  }

  /** The account behind a name as it was typed. */
  Optional<Account> account(String name) {
    try {
      return accounts.find(new CrewId(name));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }
}
