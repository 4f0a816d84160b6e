package neatlanyard.core.weather;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalInt;
import neatlanyard.core.weather.Phenomenon.Descriptor;
import neatlanyard.core.weather.Phenomenon.Intensity;
import neatlanyard.core.weather.Phenomenon.Kind;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Weather in words, as the meanings of WMO No. 306 code table 4678 (from memory). */
public class WordsTest {
  @DataProvider
  Object[][] phenomena() {
    return new Object[][] {
      {new Phenomenon(Intensity.LIGHT, false, Descriptor.NONE, List.of(Kind.SN)), "light snow", true},
      {new Phenomenon(Intensity.HEAVY, false, Descriptor.SH, List.of(Kind.RA, Kind.SN)),
      "heavy showers of rain and snow", true},
      {new Phenomenon(Intensity.MODERATE, false, Descriptor.FZ, List.of(Kind.FG)), "freezing fog", false},
      {new Phenomenon(Intensity.MODERATE, false, Descriptor.TS, List.of()), "thunderstorm", false},
      {new Phenomenon(Intensity.MODERATE, true, Descriptor.SH, List.of()), "showers nearby", false},
      {new Phenomenon(Intensity.MODERATE, true, Descriptor.SH, List.of(Kind.RA)), "showers of rain nearby", false},
      {new Phenomenon(Intensity.MODERATE, false, Descriptor.BC, List.of(Kind.FG)), "patches of fog", false},
      {new Phenomenon(Intensity.MODERATE, false, Descriptor.NONE, List.of(Kind.UP)), "unknown precipitation", true},
      {new Phenomenon(Intensity.MODERATE, false, Descriptor.NONE, List.of(Kind.BR)), "mist", false},
    };
  }

  @Test(dataProvider = "phenomena")
  public void a_phenomenon(Phenomenon phenomenon, String words, boolean precipitation) {
    assertThat(phenomenon.words()).isEqualTo(words);
    assertThat(phenomenon.precipitation()).isEqualTo(precipitation);
  }

  @Test
  public void wind() {
    assertThat(new Wind(OptionalInt.of(50), 25, OptionalInt.of(37)).words()).isEqualTo("050° 25 kt, gusting 37");
    assertThat(new Wind(OptionalInt.empty(), 3, OptionalInt.empty()).words()).isEqualTo("variable 3 kt");
    assertThat(new Wind(OptionalInt.of(0), 0, OptionalInt.empty()).words()).isEqualTo("calm");
  }
}
