package neatlanyard.core.controls.live;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Call;
import neatlanyard.core.controls.Channel.Input;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement.Finding;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.Practice;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.live.Picture.AxisStands;
import neatlanyard.core.controls.live.Picture.Standing;

/**
 * A check as its samples come.
 *
 * <p>What a movement has covered is told with each sample. Whether it was right is judged by {@link ControlCheck}, on
 * all there is so far, each time the controls have come to rest: a movement that is not over cannot be blamed for what
 * it has not done yet.
 */
public final class LiveCheck {
  /** Beyond the time to settle, seconds, so that the rest itself is evidence. */
  private static final double REST_S = 0.4;

  private final ControlSpec spec;
  private final Practice practice;
  private final Samples samples;
  private final List<Follower> followers;
  private final List<Call> calls = new ArrayList<>();
  private final List<Input> sticks;
  private boolean moved;
  private int rested;
  private double restedAt = Double.NaN;
  private Optional<Judgement> judged = Optional.empty();
  private Set<Axis> shownAtJudging = EnumSet.noneOf(Axis.class);

  /** @param channels what each sample has, in order */
  public LiveCheck(ControlSpec spec, Practice practice, List<Channel> channels) {
    this.spec = spec;
    this.practice = practice;
    this.samples = new Samples(channels);
    this.followers = Wanted.of(practice).stream().map(w -> new Follower(spec, w, samples)).toList();
    this.sticks = channels.stream().filter(Input.class::isInstance).map(Input.class::cast).toList();
  }

  /**
   * One sample. What is out of time, and what comes after the longest check there may be, is left out.
   *
   * @param values as many as there are channels; not a number where nothing was recorded
   */
  public void add(double seconds, double[] values) {
    if (!samples.add(seconds, values)) {
      return;
    }
    followers.forEach(Follower::sampled);
    if (!atRest()) {
      moved = true;
      restedAt = Double.NaN;
    } else if (Double.isNaN(restedAt)) {
      restedAt = seconds;
    }
    if (moved && seconds - restedAt > spec.settle().toMillis() / 1_000.0 + REST_S) {
      moved = false;
      judged = judge();
      // The judge knows the recorder's noise, as what merely follows does not.
      judged.filter(j -> j.missing().isEmpty()).ifPresent(j -> followers.forEach(Follower::allShown));
      shownAtJudging = EnumSet.allOf(Axis.class);
      shownAtJudging.removeAll(left());
    }
    rested = moved ? rested : samples.size();
  }

  public void call(Call call) {
    calls.add(call);
  }

  public int size() {
    return samples.size();
  }

  /** How many samples there were when the controls rested last: a movement that broke off is not among them. */
  public int rested() {
    return rested;
  }

  /** All there is, with its calls; empty where that is too little to be a recording. */
  public Optional<Trace> trace() {
    return samples.trace(calls);
  }

  /** What all up to when the controls rested last shows; empty before that, or where the recording lacks a channel. */
  public Optional<Judgement> judged() {
    return judged;
  }

  public Picture picture() {
    List<Travel> travels = followers.stream().map(Follower::travel).toList();
    List<AxisStands> axes = new ArrayList<>();
    for (Axis axis : Axis.values()) {
      axes.add(stands(axis, travels));
    }
    Optional<Follower> moving = followers.stream().filter(Follower::moving).findFirst();
    String words = moving.map(Follower::words).orElseGet(() -> travels.stream().filter(t -> !t.shown()).findFirst()
        .map(t -> "Next: " + t.wanted().words()).orElse(""));
    return new Picture(travels, axes, moving.map(Follower::travel), words);
  }

  private AxisStands stands(Axis axis, List<Travel> travels) {
    // Whether a channel has stopped shows by how it scattered over the whole check; the first rests are too short.
    List<String> wrong = judged.map(j -> j.failed().stream().filter(f -> f.criterion() != Criterion.CHANNEL)
        .filter(f -> f.axis().filter(a -> a == axis).isPresent()).map(Finding::words).toList()).orElse(List.of());
    boolean all = travels.stream().filter(t -> t.wanted().axis() == axis).allMatch(Travel::shown);
    Standing standing = !wrong.isEmpty() ? Standing.NOT_RIGHT
        : !all ? Standing.TO_MOVE : shownAtJudging.contains(axis) ? Standing.RIGHT : Standing.MOVED;
    return new AxisStands(axis, standing, wrong);
  }

  private List<Axis> left() {
    return followers.stream().map(Follower::travel).filter(t -> !t.shown()).map(t -> t.wanted().axis()).toList();
  }

  private Optional<Judgement> judge() {
    return trace().filter(t -> ControlCheck.lacking(spec, t).isEmpty())
        .map(t -> ControlCheck.judge(spec, practice, t));
  }

  /** By what lies together, as a single reading beyond the middle is noise. */
  private boolean atRest() {
    return sticks.stream().noneMatch(s -> Math.abs(samples.lately(s)) > spec.neutralInputPct());
  }
}
