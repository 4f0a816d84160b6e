package neatlanyard.server.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import neatlanyard.core.record.Seal;
import neatlanyard.core.record.SealKeys;
import org.testng.annotations.Test;

/**
 * The installation's key is made at the first start and anew each year, and what an earlier one signed still holds.
 */
public class SealsTest {
  private static final Instant START = Instant.parse("2027-01-14T07:25:00Z");
  private static final String HEAD = "ab".repeat(32);

  private static SealKeys inMemory() {
    List<Seal.Key> keys = new ArrayList<>();
    return new SealKeys() {
      @Override
      public List<Seal.Key> all() {
        return keys.reversed();
      }

      @Override
      public void add(Seal.Key key) {
        keys.add(key);
      }
    };
  }

  @Test
  public void a_key_signs_for_a_year_and_its_seals_hold_for_ever() {
    SealKeys kept = inMemory();
    AtomicReference<Instant> now = new AtomicReference<>(START);
    Seals seals = new Seals(kept, now::get);
    Seal first = seals.seal(HEAD);
    now.set(START.plus(Duration.ofDays(364)));
    assertThat(seals.seal(HEAD).publicKey()).isEqualTo(first.publicKey());
    // After another start too.
    assertThat(new Seals(kept, now::get).seal(HEAD).publicKey()).isEqualTo(first.publicKey());
    now.set(START.plus(Duration.ofDays(365)));
    Seal second = seals.seal(HEAD);
    assertThat(second.publicKey()).isNotEqualTo(first.publicKey());
    assertThat(seals.keys()).extracting(Seal.Key::publicKey).containsExactly(second.publicKey(), first.publicKey());
    assertThat(first.holds(HEAD)).isTrue();
    assertThat(second.holds(HEAD)).isTrue();
    assertThat(new Seal(second.publicKey(), first.signature()).holds(HEAD)).isFalse();
  }
}
