package neatlanyard.server.weather;

import java.time.InstantSource;
import java.util.List;
import neatlanyard.core.weather.StationReport;
import neatlanyard.device.drawn.ReportDrawn;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.weather.StationReportReader;
import neatlanyard.server.problem.Problem;
import org.springframework.stereotype.Service;

/** Reads reports and puts them into words. */
@Service
public class Reports {
  private final InstantSource clock;

  Reports(InstantSource clock) {
    this.clock = clock;
  }

  /** Reads a report. @throws Problem naming every group that does not belong */
  public StationReport read(String text) {
    return switch (StationReportReader.read(text, clock.instant())) {
      case Read.Good<StationReport> good -> good.value();
      case Read.Bad<StationReport> bad -> throw Problem.faulty("The station report cannot be read.", bad.faults());
    };
  }

  /** The report in words, see {@link ReportDrawn#facts}. */
  public List<String> facts(StationReport report) {
    return ReportDrawn.facts(report, clock.instant());
  }
}
