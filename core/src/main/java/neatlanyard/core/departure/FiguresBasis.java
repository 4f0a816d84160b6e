package neatlanyard.core.departure;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.fleet.Airfield;

/**
 * What there is to work the figures of a departure out by.
 *
 * @param type empty where none was brought in for the type
 * @param texts SHA-256 of the texts that {@code type} and {@code holdover} were read from
 * @param holdover the operator's; one without rows where it has none
 * @param from the airfield of departure; empty where the fleet has it no more
 * @param to where the flight goes; empty where the fleet has that no more
 */
public record FiguresBasis(
    Optional<TypeFigures> type, List<String> texts, Holdover holdover, Optional<Airfield> from,
    Optional<Airfield> to) {
  /** Whether it leaves from the deck of a ship: no take-off is worked out then. */
  boolean fromDeck() {
    return from.isPresent() && from.get().runways().isEmpty();
  }

  /** By what a take-off is worked out; empty where none is. */
  public Optional<TypeFigures> forTakeoff() {
    return fromDeck() ? Optional.empty() : type;
  }
}
