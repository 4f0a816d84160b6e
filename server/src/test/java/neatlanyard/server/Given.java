package neatlanyard.server;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.test.context.DynamicPropertyRegistry;

/** An application for one test class: a database of its own, and a dark winter morning whatever the hour. */
final class Given {
  static final Path ROOT = Path.of(System.getProperty("lanyard.root", ".."));
  static final String DAY = "2027-01-14";

  private Given() {}

  static void demo(DynamicPropertyRegistry registry, boolean on) throws IOException {
    Path db = Files.createTempDirectory("lanyard-test").resolve("test.db");
    registry.add("lanyard.database", db::toString);
    registry.add("lanyard.demo", () -> on);
    registry.add("lanyard.demo-folder", () -> ROOT.resolve("demo").toString());
    registry.add("lanyard.begin-at", () -> DAY + "T07:25:00Z");
  }
}
