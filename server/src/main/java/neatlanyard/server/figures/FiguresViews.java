package neatlanyard.server.figures;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.figures.Contaminant;
import neatlanyard.core.figures.entry.Comparison;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.state.FigureEntries;
import neatlanyard.device.drawn.DrawnViews.EndView;
import neatlanyard.device.drawn.DrawnViews.GivenView;
import neatlanyard.device.drawn.DrawnViews.WorkedView;
import org.jspecify.annotations.Nullable;

/** What the interface is told of figures. What one pilot has entered alone is in none of it until both have. */
public final class FiguresViews {
  private FiguresViews() {}

  /**
   * A critical figure of today's card.
   *
   * @param step at which it is entered
   * @param notToday whether it has no value today
   * @param value that counts; empty unless agreed or taken
   * @param again why it is to be entered anew; empty where it is not
   * @param taken the commander's words; empty where they took nothing
   * @param restsOn what it is worked out from
   */
  public record FigureView(
      CriticalFigure figure, String words, String unit, boolean digits, String step, FigureEntries.Standing standing,
      boolean notToday, List<EnteredView> entries, Optional<String> value, String again,
      String taken, List<String> restsOn, Optional<FigureDifferenceView> difference) {}

  /** @param value empty while it is covered */
  public record EnteredView(String by, String who, Optional<Seat> seat, Instant at, Optional<String> value) {}

  /** @param expected what was worked out; empty where nothing was */
  public record FigureDifferenceView(Comparison.Verdict verdict, Optional<String> expected, List<ToldView> entries) {}

  /** @param causes how it may have come about, the most likely first; none where it is not thought to be wrong */
  public record ToldView(String by, Optional<Seat> seat, String value, List<CauseView> causes, String consequence) {}

  /** @param percent of all that is thought of */
  public record CauseView(String words, long percent) {}

  /**
   * The figures of a departure as they are drawn and read.
   *
   * @param number of the last entry of the log
   * @param missing why nothing is worked out, a sentence each
   * @param tables edition of the type's figures; empty where there are none
   * @param changed what was another when they were worked out last; empty the first time
   * @param alone whether each pilot enters alone; else one types and the other looks
   */
  public record FiguresView(
      long number, List<String> missing, String tables, boolean alone, List<String> changed, GivenView given,
      ChoicesView choices, Optional<WorkedView> worked, List<ElsewhereView> elsewhere) {}

  /**
   * Another airfield of the flight.
   *
   * @param destination whether the flight goes there; else it would turn there
   * @param service that can be asked for its report, by name
   */
  public record ElsewhereView(
      String airfield, String name, boolean destination, String service, Optional<ReportedView> report) {}

  /**
   * A report of another airfield.
   *
   * @param facts in words
   * @param condition of its runways, as it is taken from the weather: nothing is reported of it
   * @param below what is below its landing limits, or not known
   * @param limited whether the fleet's file has landing limits of it
   * @param landing what may be landed with there by landing distance; empty where the type has no tables of it
   */
  public record ReportedView(String text, boolean simulated, List<String> facts, List<EndView> ends, String condition,
      List<String> below, boolean limited, String landing) {}

  /** A cabin or a hold. */
  public record LoadPlaceView(String id, String name) {}

  /**
   * What can be chosen.
   *
   * @param intersections by runway
   * @param fluids with the mixes of each
   * @param sheetService the service that sends load sheets, by name
   * @param cabins and {@code holds} of the type, in which a load sheet may be changed by hand
   */
  public record ChoicesView(
      List<String> runways, Map<String, List<String>> intersections, List<String> flaps,
      List<Integer> steps, List<ContaminantView> contaminants, Map<String, List<String>> fluids,
      String sheetService, List<LoadPlaceView> cabins, List<LoadPlaceView> holds) {}

  /** @param deep whether its depth is asked for */
  public record ContaminantView(Contaminant id, String words, boolean deep) {}

  /** A text in force. @param type empty where it is for all */
  public record FiguresTextView(
      String kind, String type, String edition, String by, Instant at, String sha256) {}

  public record TextView(String text) {}

  public record DeviceForm(@Nullable String device) {}

  /** @param text typed over; left out, the station service is asked */
  public record ElsewhereForm(@Nullable String device, @Nullable String airfield, @Nullable String text) {}

  public record SheetForm(@Nullable String device, @Nullable String text) {
    /** Nothing where it was left out. */
    public String textOrNone() {
      return text == null ? "" : text;
    }
  }
}
