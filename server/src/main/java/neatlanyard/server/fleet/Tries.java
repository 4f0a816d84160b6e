package neatlanyard.server.fleet;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.Semaphore;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * How often a password may be tried. A right one costs nothing.
 *
 * <p>Somebody who guesses is slowed down by name, by address and by both; but a device on which a person was signed in
 * before has a share of its own, so that nobody locks a crew out of their duty by guessing at their name (the device
 * cookies of OWASP). What is tried is known by a bounded number of hashes, and forgotten after an hour.
 */
@Component
final class Tries {
  /** A share of tries. @param at once @param then one more after so long */
  private record Share(int atOnce, Duration then) {}

  private static final Share OF_NAME_AND_ADDRESS = new Share(5, Duration.ofSeconds(15));
  private static final Share OF_ADDRESS = new Share(60, Duration.ofSeconds(1));
  private static final Share OF_NAME = new Share(60, Duration.ofSeconds(30));
  private static final Share OF_DEVICE = new Share(8, Duration.ofSeconds(10));

  private static final int MOST_KNOWN = 100_000;
  private static final Duration FORGOTTEN_AFTER = Duration.ofHours(1);
  /**
   * How long somebody who tries too often waits for being told so: a loop of tries must not cost more than it gets.
   */
  private static final Duration MADE_TO_WAIT = Duration.ofSeconds(1);
  private static final int MOST_MADE_TO_WAIT = 500;

  private final Cache<String, Bucket> buckets = Caffeine.newBuilder().maximumSize(MOST_KNOWN)
      .expireAfterAccess(FORGOTTEN_AFTER).build();
  private final Semaphore made = new Semaphore(MOST_MADE_TO_WAIT);

  /** One try, paid for before it is made. */
  final class Try {
    private final List<Bucket> paid;

    private Try(List<Bucket> paid) {
      this.paid = paid;
    }

    /** It was right, so it costs nothing. */
    void right() {
      paid.forEach(b -> b.addTokens(1));
    }
  }

  /**
   * Pays for a try.
   *
   * @param name as it was typed
   * @param known whether that person was signed in on this device before
   * @throws Problem saying when it may be tried again
   */
  Try pay(String name, Caller caller, boolean known) {
    String who = Caller.cut(name);
    List<Bucket> shares = known
        ? List.of(bucket("device " + caller.device() + " " + who, OF_DEVICE))
        : List.of(
            bucket("both " + caller.address() + " " + who, OF_NAME_AND_ADDRESS),
            bucket("address " + caller.address(), OF_ADDRESS),
            bucket("name " + who, OF_NAME));
    return pay(shares);
  }

  /** Pays for a try at one's own password, to change it. */
  Try payForChange(CrewId who) {
    return pay(List.of(bucket("change " + who, OF_NAME_AND_ADDRESS)));
  }

  private Try pay(List<Bucket> shares) {
    for (int i = 0; i < shares.size(); i++) {
      ConsumptionProbe probe = shares.get(i).tryConsumeAndReturnRemaining(1);
      if (!probe.isConsumed()) {
        shares.subList(0, i).forEach(b -> b.addTokens(1));
        throw refused(Duration.ofNanos(probe.getNanosToWaitForRefill()).plusSeconds(1));
      }
    }
    return new Try(shares);
  }

  private Problem refused(Duration after) {
    if (made.tryAcquire()) {
      try {
        Thread.sleep(MADE_TO_WAIT);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      } finally {
        made.release();
      }
    }
    return Problem.later(HttpStatus.TOO_MANY_REQUESTS, ProblemCode.TOO_MANY_TRIES, "Too many wrong passwords.", after);
  }

  private Bucket bucket(String key, Share share) {
    return buckets.get(key, k -> Bucket.builder()
        .addLimit(Bandwidth.builder().capacity(share.atOnce).refillGreedy(1, share.then).build()).build());
  }
}
