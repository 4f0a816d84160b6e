package neatlanyard.server;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.springframework.test.context.DynamicPropertyRegistry;

/** An application for one test class: a database of its own, and a dark winter morning whatever the hour. */
final class Given {
  static final Path ROOT = Path.of(System.getProperty("lanyard.root", ".."));
  static final String DAY = "2027-01-14";
  /** Of the demo's people. */
  static final Map<String, String> PASSWORDS = Map.of(
      "adeyo", "north-slip-24", "marsk", "bare-cord-11", "quill", "tide-table-35", "holm", "gravel-strip-9", "saldo",
      "third-seat-31",
      "orrin", "line-and-below-6", "rand", "second-look-18", "varga", "torque-stripe-7", "administrator",
      "spare-key-70");

  private Given() {}

  static void demo(DynamicPropertyRegistry registry, boolean on) throws IOException {
    Path db = Files.createTempDirectory("lanyard-test").resolve("test.db");
    registry.add("lanyard.database", db::toString);
    registry.add("lanyard.demo", () -> on);
    registry.add("lanyard.demo-folder", () -> ROOT.resolve("demo").toString());
    // Tests ask as often as they can.
    registry.add("lanyard.pace", () -> 1_000);
    registry.add("lanyard.begin-at", () -> DAY + "T07:25:00Z");
  }
}
