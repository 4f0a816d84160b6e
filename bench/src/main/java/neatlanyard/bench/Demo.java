package neatlanyard.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Situation;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.weather.StationReportReader;

/** The demo's data, read through the importers everybody uses. */
final class Demo {
  static final Path ROOT = Path.of(System.getProperty("lanyard.root", "."));
  static final Instant NOW = Instant.parse("2027-01-14T07:25:00Z");
  /** Steps that the pack is grown to: {@code -Dlanyard.steps=600}; as it is where it has as many. */
  static final int STEPS = Integer.getInteger("lanyard.steps", 0);
  static final Pack PACK = pack(STEPS);
  static final Tail TAIL = PACK.tail(new TailId("TL-DVA")).orElseThrow();
  static final Day DAY = new Day(
      StationReportReader.read("METAR QTRN 140720Z 24012KT 9000 -SN FEW012 BKN025 M02/M04 Q1003", NOW)
      .orThrow("report"),
      false, true, Set.of(Circumstance.FIRST_FLIGHT));

  private Demo() {}

  static Pack pack(int steps) {
    return Grown.pack(PackReader.read(text("packs/dovrin-46.yaml")).orThrow("dovrin-46.yaml"), steps);
  }

  static Card card(Pack pack) {
    return Card.cut(pack, Seat.LEFT,
        new Situation(TAIL, new AirfieldId("QTRN"), new AirfieldId("QVSK"), Optional.empty(), DAY, Map.of()));
  }

  static String text(String file) {
    try {
      return Files.readString(ROOT.resolve("demo").resolve(file));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
