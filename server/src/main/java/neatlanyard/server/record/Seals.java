package neatlanyard.server.record;

import java.time.Duration;
import java.time.InstantSource;
import java.util.List;
import neatlanyard.core.record.Seal;
import neatlanyard.core.record.SealKeys;
import org.springframework.stereotype.Service;

/** Signs records with the installation's key: made at the first start, and anew each year. */
@Service
class Seals {
  private static final Duration KEY_LASTS = Duration.ofDays(365);

  private final SealKeys kept;
  private final InstantSource clock;

  Seals(SealKeys kept, InstantSource clock) {
    this.kept = kept;
    this.clock = clock;
    current();
  }

  List<Seal.Key> keys() {
    return kept.all();
  }

  Seal seal(String head) {
    return Seal.of(head, current());
  }

  private synchronized Seal.Key current() {
    List<Seal.Key> all = kept.all();
    if (!all.isEmpty() && all.getFirst().made().plus(KEY_LASTS).isAfter(clock.instant())) {
      return all.getFirst();
    }
    Seal.Key made = Seal.newKey(clock.instant());
    kept.add(made);
    return made;
  }
}
