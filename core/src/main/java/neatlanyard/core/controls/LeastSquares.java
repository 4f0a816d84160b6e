package neatlanyard.core.controls;

import java.util.Optional;

/**
 * The plane of least squares through rows of a few regressors, by the normal equations, gathered row by row
 * (NIST/SEMATECH e-Handbook of Statistical Methods, section 4.4.3).
 */
final class LeastSquares {
  /** What is left of a column once the others are taken out of it, below which it says nothing of its own. */
  private static final double INDEPENDENT = 1e-4;

  private final int size;
  private final double[][] products;
  private final double[] targets;
  private double squares;
  private int rows;

  LeastSquares(int regressors) {
    size = regressors;
    products = new double[size][size];
    targets = new double[size];
  }

  void add(double[] row, double target) {
    for (int i = 0; i < size; i++) {
      for (int j = 0; j <= i; j++) {
        products[i][j] += row[i] * row[j];
      }
      targets[i] += row[i] * target;
    }
    squares += target * target;
    rows++;
  }

  /**
   * The fit.
   *
   * @param factors one a regressor
   * @param errors the standard error of each factor, for errors that do not depend on each other
   */
  record Fit(double[] factors, double[] errors, int rows) {
    /** What the fit makes of a row. */
    double at(double[] row) {
      double sum = 0;
      for (int i = 0; i < row.length; i++) {
        sum += factors[i] * row[i];
      }
      return sum;
    }
  }

  /** Empty with too few rows, or where a regressor follows from the others. */
  Optional<Fit> fit() {
    if (rows <= size + 2) {
      return Optional.empty();
    }
    double[][] inverse = inverse();
    if (inverse.length == 0) {
      return Optional.empty();
    }
    double[] factors = new double[size];
    double explained = 0;
    for (int i = 0; i < size; i++) {
      for (int j = 0; j < size; j++) {
        factors[i] += inverse[i][j] * targets[j];
      }
      explained += factors[i] * targets[i];
    }
    double variance = Math.max(0, squares - explained) / (rows - size);
    double[] errors = new double[size];
    for (int i = 0; i < size; i++) {
      errors[i] = Math.sqrt(variance * Math.max(0, inverse[i][i]));
    }
    return Optional.of(new Fit(factors, errors, rows));
  }

  /** By Cholesky's decomposition of the products scaled to ones on the diagonal; empty where they are dependent. */
  private double[][] inverse() {
    double[] scale = new double[size];
    for (int i = 0; i < size; i++) {
      if (!(products[i][i] > 0)) {
        return new double[0][];
      }
      scale[i] = Math.sqrt(products[i][i]);
    }
    double[][] l = new double[size][size];
    for (int i = 0; i < size; i++) {
      for (int j = 0; j <= i; j++) {
        double sum = products[i][j] / scale[i] / scale[j];
        for (int k = 0; k < j; k++) {
          sum -= l[i][k] * l[j][k];
        }
        if (i == j) {
          if (sum < INDEPENDENT) {
            return new double[0][];
          }
          l[i][i] = Math.sqrt(sum);
        } else {
          l[i][j] = sum / l[j][j];
        }
      }
    }
    double[][] half = new double[size][size];
    for (int i = 0; i < size; i++) {
      half[i][i] = 1 / l[i][i];
      for (int j = 0; j < i; j++) {
        double sum = 0;
        for (int k = j; k < i; k++) {
          sum -= l[i][k] * half[k][j];
        }
        half[i][j] = sum / l[i][i];
      }
    }
    double[][] inverse = new double[size][size];
    for (int i = 0; i < size; i++) {
      for (int j = 0; j < size; j++) {
        double sum = 0;
        for (int k = Math.max(i, j); k < size; k++) {
          sum += half[k][i] * half[k][j];
        }
        inverse[i][j] = sum / scale[i] / scale[j];
      }
    }
    return inverse;
  }
}
