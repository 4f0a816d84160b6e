package neatlanyard.core.controls;

import static neatlanyard.core.controls.Judgement.Criterion.AUTOBRAKE;
import static neatlanyard.core.controls.Judgement.Criterion.DISCONNECT;
import static neatlanyard.core.controls.Judgement.Criterion.ORDER;
import static neatlanyard.core.controls.Judgement.Criterion.PLACE;
import static neatlanyard.core.controls.Judgement.Criterion.PRESSURE;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import neatlanyard.core.controls.Channel.Aside;
import neatlanyard.core.controls.ControlSpec.Supply;
import neatlanyard.core.controls.Findings.Measured;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.units.Numbers;

/** Judges how and where the check was made: its order, standing or straight, steering, pressure, autobrake. */
final class PracticeJudge {
  private static final double HALF = 0.5;

  /** A turn shows over this long, seconds: shorter, a heading's own steps would look like one. */
  private static final double TURN_S = 2;

  private final Seen seen;
  private final Practice practice;
  private final Findings findings;

  PracticeJudge(Seen seen, Practice practice, Findings findings) {
    this.seen = seen;
    this.practice = practice;
    this.findings = findings;
  }

  void judge() {
    if (!practice.order().isEmpty()) {
      order(practice.order());
    }
    place();
    off(Aside.AUTOBRAKE, AUTOBRAKE, "Autobrake", "not armed before the control check was over",
        "armed before the control check was over");
    if (practice.disconnected()) {
      disconnect();
    }
    seen.spec().supplies().forEach(this::pressure);
  }

  private void order(List<Axis> wanted) {
    List<Axis> moved = wanted.stream().sorted(Comparator.comparingInt(this::firstMoved)).toList();
    boolean right = moved.equals(wanted);
    findings.whole("Order", ORDER, new Measured(0, 0, 0, ""), right, right
        ? "Moved in the fleet's order: " + words(wanted) + "."
        : "Moved in the order " + words(moved) + "; this fleet's is " + words(wanted) + ".");
  }

  private static String words(List<Axis> axes) {
    return axes.stream().map(Axis::words).collect(Collectors.joining(", "));
  }

  private int firstMoved(Axis axis) {
    return seen.movements().of(axis).stream().mapToInt(Movement::from).min().orElse(Integer.MAX_VALUE);
  }

  private boolean told(Channel channel, Criterion criterion, String subject) {
    boolean told = seen.even().has(channel);
    if (!told) {
      findings.unjudged(Optional.empty(), subject, criterion, new Measured(0, 0, 0, ""),
          subject + " was not recorded.");
    }
    return told;
  }

  private void place() {
    if (told(Aside.GROUND_SPEED, PLACE, "Ground speed")) {
      double[] speed = seen.even().of(Aside.GROUND_SPEED);
      double most = 0;
      for (Movement e : seen.movements().all()) {
        for (int i = e.from(); i < e.to(); i++) {
          most = speed[i] > most ? speed[i] : most;
        }
      }
      Measured m = new Measured(most, Practice.STANDING_KT, 0, "kt");
      if (practice.standing()) {
        findings.whole("Ground speed", PLACE, m, m.atMost(), m.atMost() ? "The aircraft stood still."
            : "The aircraft rolled at " + Numbers.plain(most, 1) + " kt; this check is made standing.");
      } else if (!m.atMost()) {
        straight();
      }
    }
    if (practice.standing() && seen.even().has(Aside.PARKING_BRAKE)) {
      double set = whileMoved(Aside.PARKING_BRAKE, seen.movements().all(), false);
      findings.whole("Parking brake", PLACE, new Measured(set, 1, 0, ""), set > HALF,
          set > HALF ? "The parking brake was set." : "The parking brake was not set all the while.");
    }
  }

  private void straight() {
    if (!told(Aside.HEADING, PLACE, "Heading")) {
      return;
    }
    double[] heading = seen.even().of(Aside.HEADING);
    int span = seen.even().steps(TURN_S);
    double most = 0;
    for (Movement e : seen.movements().all()) {
      for (int i = e.from(); i + span <= Math.min(e.to() + span / 2, heading.length - 1); i++) {
        double by = Math.abs(Math.IEEEremainder(heading[i + span] - heading[i], 360));
        double turned = by / (span * seen.even().step());
        most = turned > most ? turned : most;
      }
    }
    Measured m = new Measured(most, Practice.STRAIGHT_DEG_PER_S, 0, "\u00b0/s");
    findings.whole("Heading", PLACE, m, m.atMost(), m.atMost() ? "The aircraft rolled straight."
        : "The aircraft turned by " + Numbers.plain(most, 1) + "\u00b0 a second; the check is never made in a turn.");
  }

  /** The least (or most) value of a switched channel while any of these movements went on. */
  private double whileMoved(Channel channel, List<Movement> during, boolean most) {
    double[] values = seen.even().of(channel);
    double found = most ? 0 : 1;
    for (Movement e : during) {
      for (int i = e.from(); i < e.to(); i++) {
        found = Double.isNaN(values[i]) ? found : most ? Math.max(found, values[i]) : Math.min(found, values[i]);
      }
    }
    return found;
  }

  private void off(Aside channel, Criterion criterion, String subject, String right, String wrong) {
    if (told(channel, criterion, subject)) {
      double on = whileMoved(channel, seen.movements().all(), true);
      findings.whole(subject, criterion, new Measured(on, 0, 0, ""), on < HALF,
          subject + ": " + (on < HALF ? right : wrong) + ".");
    }
  }

  private void disconnect() {
    List<Movement> rudder = seen.movements().of(Axis.YAW);
    if (!told(Aside.STEERING_DISCONNECT, DISCONNECT, "Steering disconnect") || rudder.isEmpty()) {
      return;
    }
    double held = whileMoved(Aside.STEERING_DISCONNECT, rudder, false);
    findings.whole("Steering disconnect", DISCONNECT, new Measured(held, 1, 0, ""), held > HALF, held > HALF
        ? "The steering was disconnected while the rudder moved."
        : "The steering was not disconnected all the while the rudder moved: the nose wheel moves with it.");
    double[] values = seen.even().of(Aside.STEERING_DISCONNECT);
    double last = Double.NaN;
    for (int i = rudder.getLast().to(); i < values.length; i++) {
      last = !Double.isNaN(values[i]) ? values[i] : last;
    }
    findings.whole("Steering disconnect", DISCONNECT, new Measured(last, 0, 0, ""), last < HALF, last < HALF
        ? "The steering disconnect was released after it."
        : "The steering disconnect was not seen released after the rudder: the nose wheel would not steer.");
  }

  private void pressure(Supply supply) {
    Channel channel = new Channel.Pressure(supply.system());
    if (!told(channel, PRESSURE, supply.name() + " pressure")) {
      return;
    }
    double[] values = seen.even().of(channel);
    int n = seen.evidence();
    double least = Double.POSITIVE_INFINITY;
    for (Movement e : seen.movements().all()) {
      for (int i = e.from(); i + n <= e.to(); i++) {
        double mean = Signal.mean(values, i, i + n);
        least = mean < least ? mean : least;
      }
    }
    if (least == Double.POSITIVE_INFINITY) {
      return;
    }
    Measured m = new Measured(least, supply.leastPsi(), seen.scatter(channel).ofMean(n), "psi");
    findings.whole(supply.name() + " pressure", PRESSURE, m, m.atLeast(), supply.name() + " held "
        + Numbers.written(least, 0) + " psi"
        + (m.atLeast() ? "." : ", at least " + Numbers.written(supply.leastPsi(), 0) + " psi is wanted."));
  }
}
