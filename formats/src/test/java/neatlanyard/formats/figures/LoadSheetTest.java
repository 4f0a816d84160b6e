package neatlanyard.formats.figures;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.formats.figures.PapersReader.Papers;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import org.testng.annotations.Test;

public class LoadSheetTest {
  private static final String JSON = """
      {"format": "neat-lanyard/load-sheet/1", "weights": "kg", "flight": "Flight 14", "tail": "TL-DVA",
      "day": "2027-01-14", "edition": 2, "states": {"zero-fuel": 15290, "zero-fuel-percent": 28.5},
      "load": {"passengers": {"front": 14, "aft": 12}, "holds": {"aft": 480.5}},
      "fuel": {"left": 1030, "right": 1030}, "taxi-fuel": 60, "trip-fuel": 640}""";

  private static final String CSV = """
      field,value
      weights,kg
      flight,Flight 14
      tail,TL-DVA
      day,2027-01-14
      edition,2
      states.zero-fuel,15290
      states.zero-fuel-percent,28.5
      load.passengers.front,14
      load.holds.aft,480.5
      load.passengers.aft,12
      fuel.left,1030
      fuel.right,1030
      taxi-fuel,60
      trip-fuel,640
      """;

  private static LoadSheet good(String text) {
    return switch (PapersReader.either(text)) {
      case Read.Good<Papers> good -> good.value().sheet();
      case Read.Bad<Papers> bad -> throw new AssertionError(bad.faults());
    };
  }

  private static List<String> faults(String text) {
    return switch (PapersReader.either(text)) {
      case Read.Good<Papers> good -> List.of();
      case Read.Bad<Papers> bad -> bad.faults().stream().map(Fault::words).toList();
    };
  }

  @Test
  public void rows_say_what_json_says() {
    assertThat(good(CSV)).isEqualTo(good(JSON));
    assertThat(good(CSV.replace("\n", "\r\n"))).isEqualTo(good(JSON));
    assertThat(good(CSV.replace("Flight 14", "\"Bob's 'fine', flight: {x}\"")).flight())
        .isEqualTo("Bob's 'fine', flight: {x}");
  }

  @Test
  public void each_fault_names_its_row() {
    assertThat(faults(CSV.replace("15290", "\"15290,5\"").replace("fuel.left,1030", "fuel.left,=1030+1")))
        .anyMatch(f -> f.startsWith("line 7:") && f.contains("15290,5"))
        .anyMatch(f -> f.startsWith("line 12:") && f.contains("=1030+1")).hasSize(2);
    assertThat(faults(CSV + "fuel.left,3\ntail.x,4\nFuel,5\n")).hasSize(1).allMatch(f -> f.startsWith("line 18:"));
    assertThat(faults(CSV + "fuel.left,3\ntail.x,4\n")).anyMatch(f -> f.contains("line 16: 'fuel.left' stands twice"))
        .anyMatch(f -> f.contains("line 17: 'tail' has a value of its own"));
    assertThat(faults(CSV.replace("trip-fuel,640\n", ""))).anyMatch(f -> f.contains("'trip-fuel' is missing"));
    assertThat(faults("field,value\n")).isNotEmpty();
  }
}
