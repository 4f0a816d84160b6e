package neatlanyard.solver;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Random;
import java.util.Set;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Length;
import neatlanyard.core.timeline.Load;
import neatlanyard.core.timeline.Person;
import neatlanyard.core.timeline.PersonId;
import neatlanyard.core.timeline.Serial;
import neatlanyard.core.timeline.Timeline;
import neatlanyard.core.timeline.Wait;
import neatlanyard.core.timeline.Walk;
import org.testng.annotations.Test;

/** What is shown without search is never more than is so, and in most small cases all of it. */
public class LoadTest {
  private static final PersonId ONE = new PersonId("one");

  @Test
  public void nothing_departs_before_it_and_nothing_begins_before_it_can() {
    Random random = new Random(27);
    int same = 0;
    int compared = 0;
    for (int n = 0; n < 1_500; n++) {
      Demands d = Instances.random(random, 1 + random.nextInt(4), 1 + random.nextInt(2), 1, false);
      Load load = new Load(d);
      OptionalLong best = Exhaustive.departs(d, 40);
      assertThat(load.departs()).as("%d: %s", n, d).isLessThanOrEqualTo(best.orElseThrow());
      same += load.departs() == best.getAsLong() ? 1 : 0;
      compared++;
      Optional<Timeline> byHand = Serial.of(d, load, 5, random);
      for (Activity a : d.activities()) {
        long least = Exhaustive.least(d, 40, t -> new Timeline(t).of(a.id()).begins().toSeconds());
        assertThat(load.before(a)).as("%d: %s of %s", n, a.id(), d).isLessThanOrEqualTo(least);
        byHand.ifPresent(t -> assertThat(t.departs(d).minus(t.of(a.id()).ends()).toSeconds())
            .as("%s of %s", a.id(), d).isGreaterThanOrEqualTo(load.after(a)));
      }
    }
    assertThat(same).isGreaterThan(compared * 8 / 10);
  }

  /** Two that one person does, the longer begins late: 5 + 10 and not 3 + 10; before it fits what is short. */
  @Test
  public void one_person_does_one_thing_at_a_time() {
    Load load = new Load(demands(List.of(activity(0, 3, 0, "deck"), activity(1, 10, 5, "deck"),
        activity(2, 4, 0, "deck")), List.of()));
    assertThat(load.departs()).isEqualTo(17);
  }

  /** There and back again, but what is done anywhere is done on the way. */
  @Test
  public void ways_are_walked_once_and_what_is_done_anywhere_fits_into_them() {
    List<Wait> order = List.of(wait(0, 1), wait(1, 2));
    List<Activity> round = List.of(activity(0, 10, 0, "deck"), activity(1, 20, 0, "outside"),
        activity(2, 10, 0, "deck"));
    assertThat(new Load(demands(round, order)).departs()).isEqualTo(10 + 7 + 20 + 7 + 10);
    List<Activity> more = List.of(round.get(0), round.get(1), round.get(2), activity(3, 9, 0, ""));
    assertThat(new Load(demands(more, order)).departs()).isEqualTo(54);
    assertThat(new Load(demands(more, order)).before(round.get(2))).isEqualTo(44);
    assertThat(new Load(demands(more, order)).after(round.get(0))).isEqualTo(44);
  }

  private static Demands demands(List<Activity> activities, List<Wait> waits) {
    return new Demands(List.of(new Person(ONE, "One")), activities, waits, List.of(),
        List.of(new Walk("deck", "outside", Duration.ofSeconds(7))), List.of(), Duration.ZERO, Optional.empty());
  }

  /** @param place empty: anywhere */
  private static Activity activity(int n, int seconds, int from, String place) {
    return new Activity(Instances.id(n), "Activity " + n, List.of(Set.of(ONE)),
        Length.always(Duration.ofSeconds(seconds)), place.isEmpty() ? Optional.empty() : Optional.of(place),
        Duration.ofSeconds(from), Optional.empty());
  }

  private static Wait wait(int after, int before) {
    return new Wait(Instances.id(after), Instances.id(before), Duration.ZERO, Optional.empty(), "");
  }
}
