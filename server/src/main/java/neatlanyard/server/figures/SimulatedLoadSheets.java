package neatlanyard.server.figures;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import neatlanyard.core.fleet.Flight;
import neatlanyard.formats.figures.PapersReader;
import neatlanyard.server.settings.Settings;
import org.springframework.stereotype.Component;

/** A stand-in that answers from the demo's files, one a flight; silent where there is none. */
@Component
class SimulatedLoadSheets implements LoadSheetService {
  private static final String DAY = "{day}";

  private final Settings settings;

  SimulatedLoadSheets(Settings settings) {
    this.settings = settings;
  }

  @Override
  public Optional<Papers> latest(Flight flight, LocalDate day) {
    Path file = settings.demoFolder().resolve("figures/load-sheets/%s.json".formatted(flight.id()));
    if (!settings.demo() || !Files.exists(file)) {
      return Optional.empty();
    }
    try {
      String text = Files.readString(file).replace(DAY, day.toString());
      return Optional.of(PapersReader.read(text).orThrow(file.getFileName().toString()))
          .map(p -> new Papers(p.sheet(), p.fuel(), p.aircraftKg()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public String name() {
    return "simulated load sheet service";
  }

  @Override
  public boolean simulated() {
    return true;
  }
}
