package neatlanyard.core.controls;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.SplittableRandom;
import neatlanyard.core.controls.LeastSquares.Fit;
import org.hipparchus.complex.Complex;
import org.hipparchus.stat.correlation.PearsonsCorrelation;
import org.hipparchus.stat.regression.OLSMultipleLinearRegression;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;
import org.testng.annotations.Test;

/** What the judge measures with, held against a library of statistics and one of spectra, and against brute force. */
public class MeasuringTest {
  @Test
  public void correlation_agrees_with_a_statistics_library() {
    SplittableRandom random = new SplittableRandom(3);
    for (int i = 0; i < 200; i++) {
      int n = 10 + random.nextInt(200);
      int lag = random.nextInt(5);
      double[] x = random.doubles(n, -100, 100).toArray();
      double[] y = random.doubles(n, -30, 30).toArray();
      double theirs = new PearsonsCorrelation().correlation(
          Arrays.copyOfRange(x, 0, n - lag), Arrays.copyOfRange(y, lag, n));
      assertThat(Signal.correlation(x, y, 0, n, lag, 1)).isCloseTo(theirs, within(1e-12));
    }
  }

  @Test
  public void a_fit_agrees_with_a_statistics_library() {
    SplittableRandom random = new SplittableRandom(5);
    for (int i = 0; i < 100; i++) {
      int n = 20 + random.nextInt(100);
      double[][] x = new double[n][];
      double[] y = new double[n];
      LeastSquares ours = new LeastSquares(4);
      for (int k = 0; k < n; k++) {
        x[k] = random.doubles(3, -50, 50).toArray();
        y[k] = 2 + 0.7 * x[k][0] - 3 * x[k][2] + random.nextGaussian();
        ours.add(new double[] {1, x[k][0], x[k][1], x[k][2]}, y[k]);
      }
      OLSMultipleLinearRegression theirs = new OLSMultipleLinearRegression();
      theirs.newSampleData(y, x);
      Fit fit = ours.fit().orElseThrow();
      assertThat(fit.factors()).containsExactly(theirs.estimateRegressionParameters(), within(1e-9));
      assertThat(fit.errors()).containsExactly(theirs.estimateRegressionParametersStandardErrors(), within(1e-9));
    }
    LeastSquares dependent = new LeastSquares(2);
    for (int k = 0; k < 20; k++) {
      dependent.add(new double[] {k, 2 * k}, k);
    }
    assertThat(dependent.fit()).isEmpty();
  }

  /**
   * The delay is where the cross-correlation is greatest: the same found by the product of two spectra (the
   * cross-correlation theorem), to the sample; between samples within a fifth of one of the delay that was made.
   */
  @Test
  public void a_delay_agrees_with_a_signal_library_and_with_the_one_that_was_made() {
    SplittableRandom random = new SplittableRandom(11);
    for (int i = 0; i < 60; i++) {
      double delay = random.nextDouble(0, 20);
      double period = random.nextDouble(90, 160);
      double[] x = new double[512];
      double[] y = new double[512];
      for (int k = 0; k < x.length; k++) {
        x[k] = pulse(k, period);
        y[k] = pulse(k - delay, period) + random.nextGaussian() * 0.002;
      }
      double ours = Signal.lag(x, y, 0, 400, -10, 40, 1).samples();
      assertThat(ours).isCloseTo(delay, within(0.2));
      assertThat(Math.rint(ours)).isCloseTo(bySpectra(x, y), within(1.0));
    }
  }

  /** A control to one stop and the other and back. */
  private static double pulse(double k, double period) {
    double at = (k - 60) / period;
    return at < 0 || at > 2 ? 0 : Math.sin(Math.PI * at);
  }

  private static int bySpectra(double[] x, double[] y) {
    FastFourierTransformer fft = new FastFourierTransformer(DftNormalization.STANDARD);
    Complex[] fx = fft.transform(Arrays.copyOf(x, 1_024), TransformType.FORWARD);
    Complex[] fy = fft.transform(Arrays.copyOf(y, 1_024), TransformType.FORWARD);
    Complex[] product = new Complex[fx.length];
    for (int i = 0; i < product.length; i++) {
      product[i] = fx[i].conjugate().multiply(fy[i]);
    }
    Complex[] crossed = fft.transform(product, TransformType.INVERSE);
    int best = 0;
    for (int i = 0; i < 100; i++) {
      best = crossed[i].getReal() > crossed[best].getReal() ? i : best;
    }
    return best;
  }

  @Test
  public void the_sliding_least_and_most_are_those_of_each_window() {
    SplittableRandom random = new SplittableRandom(2);
    for (int i = 0; i < 200; i++) {
      int n = 1 + random.nextInt(60);
      double[] v = random.doubles(n, -1, 1).map(d -> d > 0.9 ? Double.NaN : d).toArray();
      int back = random.nextInt(8);
      int ahead = random.nextInt(8);
      int from = random.nextInt(n);
      double[] least = Sliding.least(v, back, ahead, from, n);
      double[] most = Sliding.most(v, back, ahead, from, n);
      for (int k = from; k < n; k++) {
        double[] window = Arrays.stream(v, Math.max(0, k - back), Math.min(n, k + ahead + 1))
            .filter(d -> !Double.isNaN(d)).toArray();
        assertThat(least[k - from]).isEqualTo(Double.valueOf(Arrays.stream(window).min().orElse(Double.NaN)));
        assertThat(most[k - from]).isEqualTo(Double.valueOf(Arrays.stream(window).max().orElse(Double.NaN)));
      }
    }
  }

  /** Noise and grain are told from rest: within a tenth and a half of what was made, over many recorders. */
  @Test
  public void the_scatter_of_a_channel_is_told_from_its_rest() {
    SplittableRandom random = new SplittableRandom(8);
    for (int i = 0; i < 100; i++) {
      double sigma = random.nextDouble(0.05, 1);
      double[] v = new double[600];
      boolean[] rest = new boolean[v.length];
      for (int k = 0; k < v.length; k++) {
        rest[k] = k < 400;
        v[k] = sigma * random.nextGaussian() + (rest[k] ? 0 : k);
      }
      assertThat(Scatter.of(v, rest).sigma()).isCloseTo(sigma, within(0.2 * sigma));
      double grain = sigma * 0.9;
      double[] coarse = Arrays.stream(v).map(d -> Math.rint(d / grain) * grain).toArray();
      Scatter told = Scatter.of(coarse, rest);
      assertThat(told.grain()).isCloseTo(grain, within(1e-6));
      assertThat(told.sigma()).isGreaterThanOrEqualTo(grain / Math.sqrt(12) - 1e-6);
    }
  }
}
