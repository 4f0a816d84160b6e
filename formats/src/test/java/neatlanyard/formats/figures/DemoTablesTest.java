package neatlanyard.formats.figures;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The demo's take-off tables are those of the model in this folder. */
public class DemoTablesTest {
  private static final Path FIGURES = Path.of("..", "demo", "figures");

  @DataProvider
  Object[] aircraft() {
    return new Object[] {DemoTakeoffModel.DOVRIN, DemoTakeoffModel.HALYARD, DemoTakeoffModel.BURDOCK,
        DemoTakeoffModel.PELLOW, DemoTakeoffModel.SELKIE};
  }

  @Test(dataProvider = "aircraft")
  void the_file_is_what_the_model_makes(DemoTakeoffModel.Aircraft aircraft) throws IOException {
    Path file = FIGURES.resolve(aircraft.type() + "-take-off.yaml");
    String made = DemoTakeoffModel.tables(aircraft);
    if (Boolean.getBoolean("lanyard.refresh")) {
      Files.writeString(file, made);
    }
    if (aircraft.engines() == 1) {
      assertThat(made).doesNotContain("accelerate", "v1", "climb");
    }
    assertThat(Files.readString(file)).isEqualTo(made);
  }
}
