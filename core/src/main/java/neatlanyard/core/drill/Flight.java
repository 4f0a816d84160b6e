package neatlanyard.core.drill;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Call;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.Practice;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.live.LiveCheck;
import neatlanyard.core.controls.live.Picture;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.controls.simulated.MovingAircraft;

/** One round while it is flown, beside a sound aircraft of the same make that tells when what is wrong shows. */
public final class Flight {
  /** So many steps of the aircraft are one sample: 50 Hz, as the link tells. */
  private static final int STEPS_A_SAMPLE = 4;

  /** From here on a control is away, and a movement is one, per cent: as for the judge. */
  private static final double AWAY_PCT = 20;

  private final ControlSpec spec;
  private final Practice practice;
  private final Round round;
  private final boolean byHand;
  private final MovingAircraft aircraft;
  private final MovingAircraft sound;
  private final double shownDeg;
  private final LiveCheck check;
  private final double[] controls = new double[Axis.values().length];
  private double[] surfaces;
  private int steps;
  private int calls;
  private Optional<Double> shownS = Optional.empty();
  private final Set<Integer> passed = new HashSet<>();
  private int away = -1;

  /** @param fault with its size; empty where nothing is wrong */
  public Flight(ControlSpec spec, List<Axis> order, Task task, Round round, Optional<Fault> fault) {
    this.spec = spec;
    this.practice = Drill.practice(order);
    this.round = round;
    this.byHand = !task.moves();
    this.aircraft = new MovingAircraft(spec, round.built(), fault.stream().toList(), 1);
    this.sound = new MovingAircraft(spec, round.built(), List.of(), 1);
    this.shownDeg = fault.flatMap(f -> round.hidden().map(h -> h.shownDeg(spec, f.size())))
        .orElse(Double.POSITIVE_INFINITY);
    this.check = new LiveCheck(spec, practice, channels(spec));
    this.surfaces = new double[spec.channels().size()];
  }

  /** What each sample has after its time: the three controls, then what they move. */
  public static List<Channel> channels(ControlSpec spec) {
    return Stream.concat(Stream.of(Axis.values()).<Channel>map(Channel::input),
        spec.channels().stream().map(Channel::position)).toList();
  }

  /**
   * On to a time, never back.
   *
   * @param to seconds into the round
   * @param moved by axis, where whoever trains has the controls, per cent; where the round's own hand moves, not used
   */
  public void on(double to, double[] moved) {
    int until = (int) (Math.min(to, Trace.MOST_SAMPLES / 50.0) * MovingAircraft.STEPS_HZ);
    int ahead = until - steps;
    double[] from = controls.clone();
    for (int i = 1; i <= ahead; i++) {
      double[] hand = byHand ? round.hand().controls((double) steps / MovingAircraft.STEPS_HZ) : moved;
      for (int axis = 0; axis < controls.length; axis++) {
        // Between two frames a control moves evenly.
        double share = byHand ? 1 : (double) i / ahead;
        controls[axis] = Math.clamp(from[axis] + (hand[axis] - from[axis]) * share, -100, 100);
      }
      step();
    }
  }

  private void step() {
    surfaces = aircraft.step(controls);
    double[] right = sound.step(controls);
    for (int i = 0; i < right.length && shownS.isEmpty(); i++) {
      shownS = Math.abs(surfaces[i] - right[i]) >= shownDeg ? Optional.of(seconds()) : Optional.empty();
    }
    movedOn();
    if (steps % STEPS_A_SAMPLE == 0) {
      check.add(seconds(), sample());
    }
    steps++;
  }

  /** An axis is over once another is moved: until then what stays out may still be seen. Each counts once. */
  private void movedOn() {
    int now = -1;
    for (int axis = 0; axis < controls.length; axis++) {
      now = Math.abs(controls[axis]) >= AWAY_PCT && (now < 0 || axis == away) ? axis : now;
    }
    if (now >= 0 && away >= 0 && now != away && shownS.isEmpty()) {
      passed.add(away);
    }
    away = now >= 0 ? now : away;
  }

  /** When what is hidden showed; empty while nothing has. */
  public Optional<Double> shownS() {
    return shownS;
  }

  public double seconds() {
    return (double) steps / MovingAircraft.STEPS_HZ;
  }

  /** Values of {@link #channels}, in their order. */
  public double[] sample() {
    double[] all = new double[controls.length + surfaces.length];
    System.arraycopy(controls, 0, all, 0, controls.length);
    System.arraycopy(surfaces, 0, all, controls.length, surfaces.length);
    return all;
  }

  /** Whether the round's own hand has made the whole check. */
  public boolean over() {
    return byHand && seconds() >= round.hand().seconds();
  }

  /** One presses a call now. @param sign 1, -1, or 0 for neutral */
  public void call(Axis axis, int sign) {
    calls++;
    check.call(new Call(seconds(), axis, sign));
  }

  /** What has been moved and what is left. */
  public Picture picture() {
    return check.picture();
  }

  /** What a whole check still lacks, in words. */
  public List<String> missing() {
    return judged().map(Judgement::missing).orElse(List.of("Nothing was moved."));
  }

  /** What it showed until now; empty where that is too little to be judged. */
  private Optional<Judgement> judged() {
    return check.trace().map(t -> ControlCheck.judge(spec, practice, t));
  }

  /** The answer given by ending the round now. @param stopped whether something seemed wrong */
  public Answer answer(boolean stopped) {
    Optional<Judgement> judged = judged();
    int right = (int) judged.stream().flatMap(j -> j.findings().stream())
        .filter(f -> f.criterion() == Criterion.CALL && f.passed()).count();
    if (!stopped && shownS.isEmpty() && away >= 0) {
      passed.add(away);
    }
    return new Answer(stopped ? Optional.of(seconds()) : Optional.empty(), shownS, passed.size(),
        right, calls - right, judged.filter(j -> j.missing().isEmpty()).isPresent(), seconds());
  }
}
