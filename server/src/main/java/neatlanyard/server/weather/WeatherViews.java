package neatlanyard.server.weather;

import java.util.List;

/** What the interface is told of station reports. */
public final class WeatherViews {
  private WeatherViews() {}

  /** A report as read. @param facts in words, in the order crews want them. @param source where it came from */
  public record ReportView(String text, String source, boolean simulated, List<String> facts) {}
}
