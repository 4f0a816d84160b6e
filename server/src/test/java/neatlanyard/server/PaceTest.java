package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.settings.Settings;
import neatlanyard.server.work.Pace.Kind;
import neatlanyard.server.work.Pace;
import org.testng.annotations.Test;

/** Whoever asks without a pause is let in at a pace, and nobody else waits for it. */
public class PaceTest {
  private static Pace usual() {
    return new Pace(
        new Settings(Path.of("none"), false, Path.of("none"), 1, List.of(), 1, Duration.ZERO, Optional.empty()));
  }

  @Test
  public void too_much_at_once_waits_and_far_too_much_is_refused_with_when_to_come_again() throws Exception {
    Pace pace = usual();
    BlockingQueue<Problem> refused = new ArrayBlockingQueue<>(100);
    ExecutorService askers = Executors.newVirtualThreadPerTaskExecutor();
    for (int i = 0; i < 100; i++) {
      askers.submit(() -> {
        try {
          pace.await("varga", Kind.DOCUMENT);
        } catch (Problem p) {
          refused.add(p);
        }
      });
    }
    Problem first = refused.take();
    assertThat(first.detail().getStatus()).isEqualTo(429);
    assertThat(first.after()).isPresent();
    // The same person's presses, and other people's documents, are let in meanwhile.
    for (int i = 0; i < 8; i++) {
      pace.await("varga", Kind.REQUEST);
      pace.await("rand", Kind.DOCUMENT);
    }
    askers.shutdownNow();
    askers.close();
  }

  /** An outbox is no way round it; one that holds more than may come at once is let in too, for all there is. */
  @Test
  public void what_counts_as_several_takes_as_many() {
    Pace pace = usual();
    pace.await("adeyo", Kind.REQUEST, 10_000);
    assertThatThrownBy(() -> pace.await("adeyo", Kind.REQUEST, 10_000)).isInstanceOf(Problem.class);
    pace.await("marsk", Kind.REQUEST, 99);
    pace.await("marsk", Kind.REQUEST, 99);
  }
}
