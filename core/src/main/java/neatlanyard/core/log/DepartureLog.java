package neatlanyard.core.log;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletionStage;
import neatlanyard.core.fleet.FlightId;

/**
 * Where the logs of departures are kept: written once, in order, never changed. A departure is named by its flight.
 */
public interface DepartureLog {
  /**
   * An entry as it is kept.
   *
   * @param json canonical JSON, hash included
   */
  record StoredEntry(long number, UUID event, String json, String hash) {}

  /**
   * Appends one entry. When the stage completes the entry is on the disk and survives a killed process and a lost
   * power supply; when it fails nothing was written.
   */
  CompletionStage<Void> append(FlightId departure, StoredEntry entry);

  /** The whole log by number; empty when the departure was never opened. */
  List<StoredEntry> read(FlightId departure);

  /** The number of the last entry of each departure that was opened. */
  Map<FlightId, Long> lastNumbers();

  /** A stored entry with the departure it is of. */
  record StoredIn(FlightId departure, StoredEntry entry) {}

  /** What crews said does not fit, in every departure, the newest first. */
  List<StoredIn> doesNotFit();

  /** Keeps a control trace under its SHA-256; keeping it again changes nothing. */
  void keepTrace(FlightId departure, String sha256, String csv);

  Optional<String> trace(FlightId departure, String sha256);
}
