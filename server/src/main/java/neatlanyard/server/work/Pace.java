package neatlanyard.server.work;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.BlockingStrategy;
import io.github.bucket4j.Bucket;
import java.time.Duration;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.settings.Settings;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * How often one asker is let in. Whoever asks without a pause waits, before anything of the request is read: a refusal
 * at once would be asked again at once, and refusing takes time from everybody's presses too.
 */
@Component
public final class Pace {
  /** What is paced. */
  public enum Kind {
    /** Anything: a walk made without a network comes in at once, and nobody presses as often for long. */
    REQUEST(200, 40),
    /** A photo of a phone comes in some ten parts. */
    PART(60, 15),
    /** A pack is checked again while one types in it. */
    DOCUMENT(8, 2);

    private final int atOnce;
    private final int aSecond;

    Kind(int atOnce, int aSecond) {
      this.atOnce = atOnce;
      this.aSecond = aSecond;
    }
  }

  private static final Duration LONGEST_WAIT = Duration.ofSeconds(4);
  private static final int MOST_KNOWN = 100_000;
  private static final Duration FORGOTTEN_AFTER = Duration.ofMinutes(10);

  private record Key(String asker, Kind kind) {}

  private final Cache<Key, Bucket> buckets = Caffeine.newBuilder().maximumSize(MOST_KNOWN)
      .expireAfterAccess(FORGOTTEN_AFTER).build();
  private final double times;

  public Pace(Settings settings) {
    times = settings.pace();
  }

  /**
   * Waits until the asker's next request of the kind is let in.
   *
   * @param asker a person, or an address where nobody is signed in
   * @throws Problem when so many of the asker's wait already that this one would wait too long
   */
  public void await(String asker, Kind kind) {
    await(asker, kind, 1);
  }

  /** The same for what counts as several at once. @param several as much as may come at once counts for more */
  public void await(String asker, Kind kind, int several) {
    Bucket bucket = buckets.get(new Key(asker, kind), k -> bucket(kind));
    try {
      long tokens = Math.min(several, times(kind.atOnce));
      if (!bucket.asBlocking().tryConsume(tokens, LONGEST_WAIT, BlockingStrategy.PARKING)) {
        throw Problem.later(HttpStatus.TOO_MANY_REQUESTS, ProblemCode.TOO_OFTEN,
            "You asked for too much at once.", LONGEST_WAIT);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw Problem.later(HttpStatus.SERVICE_UNAVAILABLE, ProblemCode.STOPPING,
          "The server is stopping.", LONGEST_WAIT);
    }
  }

  private Bucket bucket(Kind kind) {
    return Bucket.builder().addLimit(Bandwidth.builder().capacity(times(kind.atOnce))
        .refillGreedy(times(kind.aSecond), Duration.ofSeconds(1)).build()).build();
  }

  private long times(int usual) {
    return Math.max(1, Math.round(usual * times));
  }
}
