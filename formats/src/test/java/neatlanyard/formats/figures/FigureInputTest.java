package neatlanyard.formats.figures;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import neatlanyard.core.figures.CriticalValues;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.FigureInput;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.entry.CriticalFigure;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What rests on what is data: a figure that comes out otherwise must have said that it rests on what changed. */
public class FigureInputTest {
  /** What is changed in the question, and to what. */
  @DataProvider
  public Object[][] changes() {
    return new Object[][] {
      {FigureInput.WIND, "22006KT", "08012KT"}, {FigureInput.TEMPERATURE, "02/M04", "46/10"},
      {FigureInput.PRESSURE, "Q1006", "Q0975"}, {FigureInput.CONDITION, "\"dry\"", "\"wet\""},
      {FigureInput.LOAD, "\"front\": 50", "\"front\": 20"}, {FigureInput.FUEL, "\"centre\": 600", "\"centre\": 2600"},
      {FigureInput.RUNWAY, "\"fuel-plan\"", "\"choice\": {\"runway\": \"09R\"}, \"fuel-plan\""},
      {FigureInput.FLAP, "\"fuel-plan\"", "\"choice\": {\"flap\": \"2\"}, \"fuel-plan\""},
      {FigureInput.THRUST, "\"fuel-plan\"", "\"choice\": {\"thrust\": {\"full\": true}}, \"fuel-plan\""},
      {FigureInput.SYSTEMS, "\"fuel-plan\"", "\"anti-ice\": true, \"fuel-plan\""},
    };
  }

  @Test(dataProvider = "changes")
  public void what_comes_out_otherwise_rests_on_what_changed(FigureInput input, String from, String to)
      throws IOException {
    FiguresAsked was = asked("", "");
    FiguresAsked is = asked(from, to);
    assertThat(FigureInput.changed(was, was)).isEmpty();
    assertThat(FigureInput.changed(was, is)).containsExactly(input);
    Map<CriticalFigure, CriticalValues.Value> before = values(was);
    Map<CriticalFigure, CriticalValues.Value> after = values(is);
    Set<CriticalFigure> other = EnumSet.noneOf(CriticalFigure.class);
    for (CriticalFigure f : CriticalFigure.values()) {
      if (!entered(before, f).equals(entered(after, f))) {
        other.add(f);
      }
    }
    assertThat(other).as("it moves something").isNotEmpty();
    assertThat(other).allSatisfy(f -> assertThat(FigureInput.of(f)).contains(input));
  }

  private static String entered(Map<CriticalFigure, CriticalValues.Value> values, CriticalFigure figure) {
    return values.containsKey(figure) ? values.get(figure).entered() : "";
  }

  private static FiguresAsked asked(String from, String to) throws IOException {
    String text = Files.readString(TakeoffTest.DEMO.resolve("figures/asked/flight-31.json"));
    assertThat(text).contains(from);
    return FiguresAskedReader.read(from.isEmpty() ? text : text.replace(from, to), TakeoffTest.fleet()).orThrow("31");
  }

  private static Map<CriticalFigure, CriticalValues.Value> values(FiguresAsked asked) throws IOException {
    DepartureFigures figures = ((DepartureFigures.Result.Figures) DepartureFigures.of(
        TakeoffTest.type("halyard-210"), Holdover.NONE, asked)).figures();
    return CriticalValues.of(figures);
  }
}
