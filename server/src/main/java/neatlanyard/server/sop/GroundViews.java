package neatlanyard.server.sop;

import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.taxi.GroundTurn;
import neatlanyard.core.taxi.Wheels;

/** What the interface is told of rolling: the speeds, and the type's turns worked out. */
public final class GroundViews {
  private GroundViews() {}

  /**
   * How it moves on the ground.
   *
   * @param turns worked out; none for a type that steers at its tail
   * @param cools whether the pack says how its brakes cool
   */
  public record GroundView(List<SpeedView> speeds, List<TurnView> turns, double leastForTurningRoundM,
      boolean cools) {}

  public record SpeedView(String where, int kt) {}

  /**
   * A turn to the right, in metres: the ways of the line, the pilots' eyes and the outer wing tip while the main gear
   * is on the line, and of the main gear if the nose wheel were; spots of along and across the way in.
   *
   * @param cutM how far the inner main wheels are inside the line then
   */
  public record TurnView(double degrees, double radiusM, double straightOnM, double eyesPastM, double tipPastM,
      double tailPastM, double cutM, List<double[]> line, List<double[]> eyes, List<double[]> tip,
      List<double[]> cut) {}

  /** Empty for a type whose pack says nothing of the ground. */
  public static Optional<GroundView> of(Planform p) {
    return p.ground().map(g -> of(p, g));
  }

  private static GroundView of(Planform p, Planform.Ground g) {
    Optional<Wheels> wheels = Wheels.of(p);
    return new GroundView(List.of(new SpeedView("apron", g.speeds().apronKt()),
        new SpeedView("sharp turn", g.speeds().turnKt()), new SpeedView("straight", g.speeds().straightKt()),
        new SpeedView("backtrack", g.speeds().backtrackKt())),
        wheels.filter(w -> g.radiusM() > w.wheelbaseM()).stream()
            .flatMap(w -> DoubleStream.of(45, 90, 135).mapToObj(d -> turn(new GroundTurn(w, d, g.radiusM()))))
            .toList(),
        metres(wheels.map(Wheels::leastForTurningRoundM).orElse(0.0)), !g.cooling().isEmpty());
  }

  private static TurnView turn(GroundTurn t) {
    GroundTurn.Ways ways = t.ways();
    return new TurnView(t.degrees(), t.radiusM(), metres(t.straightOnM()), metres(t.eyesPastM()),
        metres(t.tipPastM()), metres(t.tailPastM()), metres(t.cutM(ways)), spots(ways.line()), spots(ways.eyes()),
        spots(ways.tip()), spots(ways.cut()));
  }

  private static List<double[]> spots(List<GroundTurn.Spot> way) {
    return way.stream().map(s -> new double[] {metres(s.x()), metres(s.y())}).toList();
  }

  /** To a decimetre. */
  private static double metres(double m) {
    return Math.rint(m * 10) / 10;
  }
}
