package neatlanyard.core.controls.live;

import static neatlanyard.core.controls.ControlSpecs.TWIN;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Channel.Inceptor;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.Judgement.Finding;
import neatlanyard.core.controls.Practice;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.live.Picture.Standing;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.controls.simulated.Ground;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Recorder;
import neatlanyard.core.controls.simulated.SimulatedCheck;
import org.testng.annotations.Test;

public class LiveCheckTest {
  private static final Practice BOTH = new Practice(List.of(), true, true, true, false);

  /** What a device would see: each sample in turn. */
  private static final class Watched {
    final LiveCheck check;
    final List<Channel> channels;
    final List<Picture> pictures = new ArrayList<>();

    Watched(Practice practice, Trace trace) {
      channels = List.copyOf(trace.channels());
      check = new LiveCheck(TWIN, practice, channels);
    }

    Watched see(Trace trace, int from, int to, double later) {
      for (int i = from; i < to; i++) {
        int at = i;
        check.add(trace.seconds(i) + later, channels.stream().mapToDouble(c -> trace.values(c)[at]).toArray());
        pictures.add(check.picture());
      }
      return this;
    }

    Stream<Standing> standings(Axis axis) {
      return pictures.stream().map(p -> p.axes().get(axis.ordinal()).standing());
    }
  }

  private static Trace built(List<Fault> faults, Hand hand, Recorder recorder, long seed) {
    return SimulatedCheck.built(TWIN, hand, faults, recorder, new SplittableRandom(seed));
  }

  @Test
  public void a_sound_aircraft_is_never_blamed_on_the_way_and_is_right_at_the_end() {
    for (int seed = 0; seed < 120; seed++) {
      SplittableRandom chance = new SplittableRandom(seed);
      Trace trace = built(List.of(), Hand.somebody(TWIN, chance), Recorder.stated(chance), seed);
      Watched watched = new Watched(Practice.ANY, trace).see(trace, 0, trace.size(), 0);
      for (Axis axis : Axis.values()) {
        assertThat(watched.standings(axis)).as("%s, seed %d", axis, seed).doesNotContain(Standing.NOT_RIGHT)
            .startsWith(Standing.TO_MOVE).endsWith(Standing.RIGHT); //DBG
      }
      assertThat(watched.check.picture().words()).isEmpty();
    }
  }

  @Test
  public void what_is_left_only_gets_less() {
    Trace trace = built(List.of(), Hand.steady(), Recorder.GOOD, 1);
    int left = Integer.MAX_VALUE;
    for (Picture p : new Watched(Practice.ANY, trace).see(trace, 0, trace.size(), 0).pictures) {
      int now = (int) p.travels().stream().filter(t -> !t.shown()).count();
      assertThat(now).isLessThanOrEqualTo(left);
      left = now;
    }
    assertThat(left).isZero();
  }

  /** At the end it says of each axis what the judge says of the whole, whatever is wrong. */
  @Test
  public void at_the_end_it_agrees_with_the_judge() {
    for (Fault.Kind kind : List.of(Fault.Kind.SHORT, Fault.Kind.REVERSED, Fault.Kind.JUMPING, Fault.Kind.OFFSET)) {
      for (Surface s : TWIN.surfaces()) {
        Fault fault = new Fault(kind, s.id(), Math.max(1, 2 * Fault.limit(kind, TWIN, s)));
        Trace trace = built(List.of(fault), Hand.steady(), Recorder.GOOD, 3);
        Picture end = new Watched(Practice.ANY, trace).see(trace, 0, trace.size(), 0).check.picture();
        assertThat(end.axes().get(s.axis().ordinal()).standing()).as(fault.toString()).isEqualTo(Standing.NOT_RIGHT);
        assertThat(ControlCheck.judge(TWIN, Practice.ANY, trace).failed()).extracting(Finding::words)
            .contains(end.axes().get(s.axis().ordinal()).words().getFirst());
      }
    }
  }

  @Test
  public void each_stick_is_asked_for_by_itself_and_the_pedals_once() {
    Trace trace = SimulatedCheck.drawn(TWIN, Hand.steady().onSticks(true), List.of(), Ground.STANDING, Recorder.GOOD,
        new SplittableRandom(2));
    Watched watched = new Watched(BOTH, trace);
    assertThat(watched.check.picture().travels()).extracting(t -> t.wanted().words())
        .containsExactly("left stick, pitch nose up", "left stick, pitch nose down", "left stick, roll right",
            "left stick, roll left", "right stick, pitch nose up", "right stick, pitch nose down",
            "right stick, roll right", "right stick, roll left", "yaw right", "yaw left");
    int half = 0;
    while (Math.abs(trace.values(new Channel.Input(Inceptor.RIGHT, Axis.PITCH))[half]) < 1) {
      half++;
    }
    watched.see(trace, 0, half, 0);
    assertThat(watched.check.picture().travels().stream().filter(Travel::shown)).hasSize(4)
        .allMatch(t -> t.wanted().inceptor() == Inceptor.LEFT);
    assertThat(watched.see(trace, half, trace.size(), 0).check.picture().left()).isEmpty();
  }

  /** A link that broke off in the middle of a movement: what was before stands, and the rest is made after it. */
  @Test
  public void what_a_broken_link_had_told_is_kept_and_gone_on_with() {
    Trace first = built(List.of(), Hand.steady(), Recorder.GOOD, 4);
    Watched watched = new Watched(Practice.ANY, first);
    int broken = 0;
    while (Math.abs(first.values(Channel.input(Axis.ROLL))[broken]) < 60) {
      broken++;
    }
    watched.see(first, 0, broken, 0);
    int kept = watched.check.rested();
    assertThat(watched.check.picture().left()).containsExactly(Axis.ROLL, Axis.YAW);
    Watched again = new Watched(Practice.ANY, first).see(first, 0, kept, 0);
    Trace rest = built(List.of(), Hand.steady().inOrder(again.check.picture().left()), Recorder.GOOD, 4);
    again.see(rest, 0, rest.size(), first.seconds(broken) + 20);
    assertThat(ControlCheck.judge(TWIN, Practice.ANY, again.check.trace().orElseThrow()).summary())
        .startsWith("Full, free, correct sense");
    assertThat(again.check.picture().left()).isEmpty();
  }

  @Test
  public void what_cannot_be_a_sample_is_left_out() {
    List<Channel> channels = Stream.<Channel>concat(Stream.of(Axis.values()).map(Channel::input),
        TWIN.channels().stream().map(Channel::position)).toList();
    LiveCheck check = new LiveCheck(TWIN, Practice.ANY, channels);
    double[] nothing = new double[channels.size()];
    check.add(Double.NaN, nothing);
    check.add(1, new double[1]);
    check.add(1, nothing);
    check.add(1, nothing);
    check.add(0.5, nothing);
    nothing[0] = 4_000;
    check.add(2, nothing);
    assertThat(check.size()).isEqualTo(2);
    assertThat(check.trace().orElseThrow().values(channels.getFirst())[1]).isNaN();
    assertThat(Map.of("left", check.picture().left())).containsEntry("left", List.of(Axis.values()));
  }
}
