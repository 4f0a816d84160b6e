package neatlanyard.core.departure;

import static neatlanyard.core.departure.Attempt.no;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.controls.live.Sighting;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.log.Event;

/** What is asked of a control check that a person tells of. */
final class ControlsAdmission {
  private final Attempt attempt;

  ControlsAdmission(Attempt attempt) {
    this.attempt = attempt;
  }

  /** Each movement is seen once, one way or the other. */
  Optional<Refusal> seen(Event.ControlsSeen e) {
    Set<List<Object>> once = new HashSet<>();
    boolean twice = false;
    for (Sighting s : e.sightings()) {
      twice |= Math.abs(s.sign()) > 1 || !once.add(List.of(s.inceptor(), s.axis(), s.sign()));
    }
    return e.sightings().isEmpty() || twice
        ? no(RefusalCode.NOT_A_CHECK, "A control check by eye says of each movement once how it was.",
            "Say what was seen of each.")
        : Optional.empty();
  }

  /** Only what was made can be asked for again. */
  Optional<Refusal> again() {
    return attempt.now().controls().isPresent() ? Optional.empty()
        : no(RefusalCode.NOT_A_CHECK, "The control check has not been made.", "Make it.");
  }
}
