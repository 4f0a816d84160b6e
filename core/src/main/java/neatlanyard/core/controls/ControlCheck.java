package neatlanyard.core.controls;

import static neatlanyard.core.controls.Judgement.Criterion.CORRELATION;
import static neatlanyard.core.controls.Judgement.Criterion.DATA;
import static neatlanyard.core.controls.Judgement.Criterion.FULL_TRAVEL;
import static neatlanyard.core.controls.Judgement.Criterion.INPUT_FULL;
import static neatlanyard.core.controls.Judgement.Criterion.INPUT_HELD;
import static neatlanyard.core.controls.Judgement.Criterion.NEUTRAL;
import static neatlanyard.core.controls.Judgement.Criterion.ORDER;
import static neatlanyard.core.controls.Judgement.Criterion.SENSE;
import static neatlanyard.core.controls.Judgement.Criterion.SPOILER_IN;
import static neatlanyard.core.controls.Judgement.Criterion.SPOILER_OUT;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Collectors;
import neatlanyard.core.controls.ControlSpec.Spoiler;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement.Finding;

/**
 * Judges a flight control check: full travel, sense, correlation with the input, return to neutral, roll spoilers.
 *
 * <p>Positive input is nose up, right, right. Roll to one side raises that side's aileron, lowers the other and brings
 * the roll spoilers of that side out (FAA-H-8083-25, chapter 6).
 */
public final class ControlCheck {
  /** A longer silence in the data could hide a surface that stuck. Common practice, no source. */
  private static final double LONGEST_GAP_S = 0.25;

  /** Input beyond which the side a control is moved to is beyond doubt, per cent. */
  private static final double CLEARLY_MOVED_PCT = 50;

  /** Share of the wanted deflection below which a surface counts as not moving at all. */
  private static final double MOVED_SHARE = 0.1;

  private static final double[] SIGNS = {1, -1};

  private final ControlSpec spec;
  private final Trace trace;
  private final List<Finding> findings = new ArrayList<>();

  private ControlCheck(ControlSpec spec, Trace trace) {
    this.spec = spec;
    this.trace = trace;
  }

  /** Judges a trace whose axes may come in any order, see {@link #judge(ControlSpec, List, Trace)}. */
  public static Judgement judge(ControlSpec spec, Trace trace) {
    return judge(spec, List.of(), trace);
  }

  /**
   * Judges a trace against a type's limits. Each criterion appears in the answer, passed or not.
   *
   * @param order in which the axes are moved; empty where the fleet leaves it free
   */
  public static Judgement judge(ControlSpec spec, List<Axis> order, Trace trace) {
    ControlCheck check = new ControlCheck(spec, trace);
    check.data();
    if (!order.isEmpty()) {
      check.order(order);
    }
    for (Axis axis : Axis.values()) {
      check.input(axis);
      spec.surfaces().stream().filter(s -> s.axis() == axis).forEach(check::surface);
      if (axis == Axis.ROLL) {
        spec.spoilers().forEach(check::spoiler);
      }
    }
    return new Judgement(check.findings);
  }

  private void data() {
    double gap = trace.longestGap();
    boolean whole = gap <= LONGEST_GAP_S;
    add(Axis.PITCH, "Data", DATA, whole, gap, LONGEST_GAP_S, "s",
        whole ? "The data has no gap." : "The data has a gap of %.2f s; make the check again.".formatted(gap));
  }

  private void order(List<Axis> wanted) {
    List<Axis> moved = wanted.stream().sorted(Comparator.comparingInt(this::firstMoved)).toList();
    boolean right = moved.equals(wanted);
    String as = wanted.stream().map(ControlCheck::lower).collect(Collectors.joining(", "));
    add(wanted.getFirst(), "Order", ORDER, right, 0, 0, "",
        right
            ? "Moved in the fleet's order: %s.".formatted(as)
            : "Moved in the order %s; this fleet's is %s.".formatted(
                moved.stream().map(ControlCheck::lower).collect(Collectors.joining(", ")), as));
  }

  /** The first sample in which an axis is clearly moved; behind the last one when it never is. */
  private int firstMoved(Axis axis) {
    double[] input = trace.input(axis);
    for (int i = 0; i < input.length; i++) {
      if (Math.abs(input[i]) >= CLEARLY_MOVED_PCT) {
        return i;
      }
    }
    return input.length;
  }

  private void input(Axis axis) {
    double[] input = trace.input(axis);
    for (double sign : SIGNS) {
      double furthest = furthest(input, sign);
      String toward = axis.toward(sign);
      boolean full = furthest >= spec.fullInputPct();
      add(axis, axis.title() + " control", INPUT_FULL, full, furthest, spec.fullInputPct(), "%",
          full
              ? "%s: control moved fully %s.".formatted(axis.title(), toward)
              : "%s: control moved %.0f %% %s, %.0f %% is wanted. Move it to the stop."
                  .formatted(axis.title(), Math.max(0, furthest), toward, spec.fullInputPct()));
      double held = longestHold(input, sign);
      double wanted = seconds(spec.hold());
      boolean longEnough = held >= wanted;
      add(axis, axis.title() + " control", INPUT_HELD, longEnough, held, wanted, "s",
          longEnough
              ? "%s: held %s for %.1f s.".formatted(axis.title(), toward, held)
              : "%s: held at the %s stop for %.1f s, %.1f s is wanted for the surface to get there."
                  .formatted(axis.title(), toward, held, wanted));
    }
  }

  private void surface(Surface surface) {
    double[] input = trace.input(surface.axis());
    double[] at = trace.surface(surface.id());
    for (double sign : SIGNS) {
      sense(surface, input, at, sign);
      travel(surface, input, at, sign);
    }
    correlation(surface, input, at);
    double rest = restsAt(input, at, pct -> surface.wanted(pct) * Math.abs(pct) / 100);
    boolean back = Math.abs(rest) <= spec.neutralDeg();
    add(surface.axis(), surface.name(), NEUTRAL, back, rest, spec.neutralDeg(), "°",
        back
            ? "%s came back to neutral within %.1f°.".formatted(surface.name(), Math.abs(rest))
            : "%s rested %.1f° from neutral; %.1f° is the most.".formatted(surface.name(), Math.abs(rest),
            spec.neutralDeg()));
  }

  private void sense(Surface surface, double[] input, double[] at, double sign) {
    double wanted = surface.wanted(sign);
    double mean = meanWhere(input, at, sign);
    boolean moved = Math.abs(mean) >= MOVED_SHARE * Math.abs(wanted);
    boolean right = moved && Math.signum(mean) == Math.signum(wanted);
    String toward = surface.axis().toward(sign);
    add(surface.axis(), surface.name(), SENSE, right, mean, wanted, "°",
        right
            ? "%s moved %s with %s %s.".formatted(surface.name(), way(surface, wanted), lower(surface.axis()), toward)
            : moved
                ? "%s moved %s with %s %s: the wrong way. Stop, and call maintenance."
                    .formatted(surface.name(), way(surface, mean), lower(surface.axis()), toward)
                : "%s did not move with %s %s.".formatted(surface.name(), lower(surface.axis()), toward));
  }

  private void travel(Surface surface, double[] input, double[] at, double sign) {
    double wanted = surface.wanted(sign);
    double reached = 0;
    for (int i = 0; i < input.length; i++) {
      if (input[i] * sign >= spec.neutralInputPct()) {
        reached = Math.max(reached, at[i] * Math.signum(wanted));
      }
    }
    double full = Math.abs(wanted);
    double least = full - spec.travelToleranceDeg();
    boolean enough = reached >= least;
    String way = way(surface, wanted);
    add(surface.axis(), surface.name(), FULL_TRAVEL, enough, reached, least, "°",
        enough
            ? "%s reached %.1f° %s of %.1f°.".formatted(surface.name(), reached, way, full)
            : "%s reached %.1f° %s, %.1f° short of its %.1f°.".formatted(surface.name(), reached, way, full - reached,
            full));
  }

  private void correlation(Surface surface, double[] input, double[] at) {
    int lags = (int) Math.round(seconds(spec.lag()) / trace.step());
    double best = -1;
    for (int lag = 0; lag <= lags; lag++) {
      best = Math.max(best, Correlation.pearson(input, at, lag) * surface.sense());
    }
    boolean follows = best >= spec.correlation();
    add(surface.axis(), surface.name(), CORRELATION, follows, best, spec.correlation(), "",
        follows
            ? "%s followed the control, correlation %.3f.".formatted(surface.name(), best)
            : "%s did not follow the control: correlation %.3f, at least %.3f is wanted."
                .formatted(surface.name(), best, spec.correlation()));
  }

  private void spoiler(Spoiler spoiler) {
    double[] roll = trace.input(Axis.ROLL);
    double[] at = trace.surface(spoiler.id());
    double out = 0;
    double otherSide = 0;
    for (int i = 0; i < roll.length; i++) {
      if (roll[i] * spoiler.side() >= spec.neutralInputPct()) {
        out = Math.max(out, at[i]);
      } else if (roll[i] * spoiler.side() <= -CLEARLY_MOVED_PCT) {
        otherSide = Math.max(otherSide, at[i]);
      }
    }
    String toward = Axis.ROLL.toward(spoiler.side());
    boolean isOut = out >= spoiler.outDeg();
    add(Axis.ROLL, spoiler.name(), SPOILER_OUT, isOut, out, spoiler.outDeg(), "°",
        isOut
            ? "%s came out %.1f° with roll %s.".formatted(spoiler.name(), out, toward)
            : "%s came out %.1f° with roll %s, at least %.1f° is wanted.".formatted(spoiler.name(), out, toward,
            spoiler.outDeg()));
    double rest = Math.max(restsAt(roll, at, pct -> spoiler.outDeg() * Math.max(0, pct * spoiler.side()) / 100),
        otherSide);
    boolean isIn = rest <= spoiler.inDeg();
    add(Axis.ROLL, spoiler.name(), SPOILER_IN, isIn, rest, spoiler.inDeg(), "°",
        isIn
            ? "%s went back in.".formatted(spoiler.name())
            : "%s stayed out %.1f° when it should be in; %.1f° is the most.".formatted(spoiler.name(), rest,
            spoiler.inDeg()));
  }

  private static double furthest(double[] input, double sign) {
    double furthest = 0;
    for (double v : input) {
      furthest = Math.max(furthest, v * sign);
    }
    return furthest;
  }

  private double longestHold(double[] input, double sign) {
    double longest = 0;
    int from = -1;
    for (int i = 0; i < input.length; i++) {
      boolean at = input[i] * sign >= spec.fullInputPct();
      from = at ? (from < 0 ? i : from) : -1;
      if (at) {
        longest = Math.max(longest, trace.seconds(i) - trace.seconds(from));
      }
    }
    return longest;
  }

  /** Mean deflection while the input is clearly to one side; 0 when it never was. */
  private static double meanWhere(double[] input, double[] at, double sign) {
    double sum = 0;
    int n = 0;
    for (int i = 0; i < input.length; i++) {
      if (input[i] * sign >= CLEARLY_MOVED_PCT) {
        sum += at[i];
        n++;
      }
    }
    return n == 0 ? 0 : sum / n;
  }

  /**
   * How far the deflection was, at its worst, from neutral or from where the control stood, whichever is nearer, while
   * the control had been released for longer than the settling time: before the first movement, between movements and
   * after the last. A trace that ends before a surface had time to settle is judged by its last sample.
   *
   * @param wanted deflection that belongs to an input in per cent, so that the little a released control may still be
   *     off its middle is not held against the surface
   */
  private double restsAt(double[] input, double[] at, DoubleUnaryOperator wanted) {
    double worst = 0;
    double releasedSince = Double.NEGATIVE_INFINITY;
    double settle = seconds(spec.settle());
    int last = input.length - 1;
    for (int i = 0; i <= last; i++) {
      boolean released = Math.abs(input[i]) <= spec.neutralInputPct();
      if (!released) {
        releasedSince = Double.NaN;
      } else if (Double.isNaN(releasedSince)) {
        releasedSince = trace.seconds(i);
      }
      boolean settled = released && trace.seconds(i) - releasedSince > settle;
      double fromWanted = at[i] - wanted.applyAsDouble(input[i]);
      double off = Math.abs(at[i]) < Math.abs(fromWanted) ? at[i] : fromWanted;
      if ((settled || i == last) && Math.abs(off) > Math.abs(worst)) {
        worst = off;
      }
    }
    return worst;
  }

  private static String way(Surface surface, double deg) {
    if (surface.axis() == Axis.YAW) {
      return deg > 0 ? "right" : "left";
    }
    return deg > 0 ? "up" : "down";
  }

  private static String lower(Axis axis) {
    return axis.title().toLowerCase(java.util.Locale.ROOT);
  }

  private static double seconds(java.time.Duration d) {
    return d.toMillis() / 1_000.0;
  }

  private void add(
      Axis axis, String subject, Criterion criterion, boolean passed, double measured, double limit, String unit,
      String words) {
    findings.add(new Finding(axis, subject, criterion, passed, round(measured), limit, unit, words));
  }

  /** Three decimals are more than any of these can be measured to, and keep the record short. */
  private static double round(double v) {
    return Math.round(v * 1_000) / 1_000.0;
  }
}
