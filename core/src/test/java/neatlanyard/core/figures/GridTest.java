package neatlanyard.core.figures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import neatlanyard.core.figures.Grid.Axis;
import neatlanyard.core.figures.Grid.Of;
import neatlanyard.core.figures.Grid.Point;
import org.hipparchus.analysis.interpolation.LinearInterpolator;
import org.testng.annotations.Test;

public class GridTest {
  private static final List<Of> ALL = List.of(Of.values());

  private static Grid random(Random random, int axes) {
    List<Axis> all = new ArrayList<>();
    int size = 1;
    for (int i = 0; i < axes; i++) {
      double at = random.nextDouble(-50, 50);
      double[] points = new double[2 + random.nextInt(4)];
      for (int p = 0; p < points.length; p++) {
        points[p] = at;
        at += random.nextDouble(0.1, 20);
      }
      all.add(new Axis(ALL.get(i), points));
      size *= points.length;
    }
    return new Grid(all, random.doubles(size, -1_000, 1_000).toArray());
  }

  private static double on(Random random, Axis axis) {
    double[] points = axis.points();
    return random.nextInt(5) == 0 ? points[random.nextInt(points.length)]
        : random.nextDouble(points[0], points[points.length - 1]);
  }

  private static Point point(double[] at) {
    double[] all = Arrays.copyOf(at, ALL.size());
    return new Point(all[0], all[1], all[2], all[3], all[4]);
  }

  /** One dimension after the other, each by the library. */
  private static double byLibrary(List<Axis> axes, double[] values, double[] at) {
    double[] points = axes.getFirst().points();
    int each = values.length / points.length;
    double[] along = new double[points.length];
    for (int i = 0; i < points.length; i++) {
      double[] below = Arrays.copyOfRange(values, i * each, (i + 1) * each);
      along[i] = axes.size() == 1 ? below[0]
          : byLibrary(axes.subList(1, axes.size()), below, Arrays.copyOfRange(at, 1, at.length));
    }
    return new LinearInterpolator().interpolate(points, along).value(at[0]);
  }

  @Test
  public void as_a_numerics_library_has_it_in_one_to_five_dimensions() {
    Random random = new Random(25);
    for (int i = 0; i < 1_000; i++) {
      Grid grid = random(random, 1 + i % ALL.size());
      double[] at = grid.axes().stream().mapToDouble(a -> on(random, a)).toArray();
      assertThat(grid.at(point(at))).isCloseTo(byLibrary(grid.axes(), grid.values(), at), within(1e-9));
    }
  }

  @Test
  public void never_beyond_its_points_and_never_over_a_hole() {
    Grid grid = new Grid(List.of(new Axis(Of.WEIGHT, new double[] {10, 20, 30})), new double[] {1, 2, Double.NaN});
    assertThat(grid.at(point(new double[] {20}))).isEqualTo(2);
    assertThat(grid.at(point(new double[] {9.999}))).isNaN();
    assertThat(grid.at(point(new double[] {30.001}))).isNaN();
    assertThat(grid.at(point(new double[] {25}))).isNaN();
    assertThat(grid.at(point(new double[] {Double.NaN}))).isNaN();
    assertThat(grid.missing(point(new double[] {31})))
        .isEqualTo("weight 31.0 kg is beyond the table, which goes from 10.0 to 30.0");
    assertThat(grid.missing(point(new double[] {25}))).isEqualTo("the table has a hole there");
  }

  @Test
  public void a_table_that_is_not_whole_is_none() {
    assertThatThrownBy(() -> new Axis(Of.WIND, new double[] {0, 0})).hasMessageContaining("does not rise");
    List<Axis> two = List.of(new Axis(Of.WIND, new double[] {0, 1}), new Axis(Of.SLOPE, new double[] {0, 1}));
    assertThatThrownBy(() -> new Grid(two, new double[3])).hasMessageContaining("4 values are wanted");
    assertThatThrownBy(() -> new Grid(List.of(two.get(0), two.get(0)), new double[4]))
        .hasMessageContaining("stands twice");
  }
}
