package neatlanyard.core.lanyard;

import java.util.Optional;
import neatlanyard.core.log.Event;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Recorded;

/**
 * Why a control check that passed is to be made again.
 *
 * @param words what to do, and what to look for
 * @param since what was done to the aircraft after the check
 */
public record ControlsAgain(String words, Recorded<Event.DeIced> since) {
  /**
   * Fresh fluid may leave water that freezes in the gaps, so that what moved freely before need not now. Empty where
   * no check has passed, or the last application began before it, whenever that was said.
   */
  public static Optional<ControlsAgain> of(DepartureState d) {
    return d.controls().filter(c -> c.event().judgement().passed())
        .flatMap(c -> d.given().deIced()
            .filter(by -> by.event().applied().filter(a -> a.lastBegan().isAfter(c.at())).isPresent()))
        .map(by -> new ControlsAgain(
            "De-iced since it passed: make it again, slowly at first, and feel for stiffness.", by));
  }
}
