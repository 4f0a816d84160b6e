package neatlanyard.bench;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.knowm.xchart.BitmapEncoder;
import org.knowm.xchart.XYChart;
import org.knowm.xchart.XYChartBuilder;
import org.knowm.xchart.XYSeries;
import org.knowm.xchart.style.Styler;
import org.knowm.xchart.style.markers.Marker;
import org.knowm.xchart.style.markers.SeriesMarkers;

/** Curves for the documents: told apart by shape and dash first, so that they read in greyscale. */
final class Plots {
  private static final Color PAPER = new Color(0xF6F3EC);
  private static final Color INK = new Color(0x1E2328);
  private static final Color[] INKS = {INK, new Color(0xB3261E), new Color(0x8A5F00), new Color(0x3A4149)};
  private static final float[][] DASHES = {{900, 1}, {8, 4}, {2, 4}, {12, 4, 2, 4}};
  private static final Marker[] MARKERS = {
    SeriesMarkers.CIRCLE, SeriesMarkers.SQUARE, SeriesMarkers.TRIANGLE_UP, SeriesMarkers.DIAMOND,
    SeriesMarkers.TRIANGLE_DOWN, SeriesMarkers.CROSS};

  private Plots() {}

  /** Draws a curve a name over the same values, as PNG beside {@code file}. */
  static void curves(
      Path file, String title, String along, double[] values, Map<String, double[]> curves, boolean logarithmic)
      throws IOException {
    XYChart chart = new XYChartBuilder().width(900).height(520).title(title).xAxisTitle(along)
        .yAxisTitle("share of checks").build();
    chart.getStyler().setChartBackgroundColor(PAPER).setChartFontColor(INK);
    chart.getStyler().setPlotBackgroundColor(PAPER).setLegendBackgroundColor(PAPER)
        .setLegendPosition(Styler.LegendPosition.OutsideE).setChartTitleFont(new Font("SansSerif", Font.BOLD, 18));
    chart.getStyler().setYAxisMin(0.0).setYAxisMax(1.0).setXAxisLogarithmic(logarithmic);
    int n = 0;
    for (Map.Entry<String, double[]> curve : curves.entrySet()) {
      XYSeries series = chart.addSeries(curve.getKey(), values, curve.getValue());
      float[] dash = DASHES[n % DASHES.length];
      series.setMarker(MARKERS[n % MARKERS.length]);
      series.setMarkerColor(INKS[n % INKS.length]);
      series.setLineColor(INKS[n % INKS.length]);
      series.setLineStyle(new BasicStroke(1.8f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND, 1, dash, 0));
      n++;
    }
    Files.createDirectories(file.getParent());
    BitmapEncoder.saveBitmap(chart, file.toString(), BitmapEncoder.BitmapFormat.PNG);
  }
}
