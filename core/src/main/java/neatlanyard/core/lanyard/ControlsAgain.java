package neatlanyard.core.lanyard;

import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.log.Event;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Recorded;

/**
 * Why a control check that passed is to be made again.
 *
 * @param words what to do, and what to look for
 * @param since what was done to the aircraft after the check
 */
public record ControlsAgain(String words, Recorded<? extends Event> since) {
  /** What was done last after a check that passed; empty where nothing was, or none has passed. */
  public static Optional<ControlsAgain> of(DepartureState d) {
    return d.controls().filter(c -> c.event().judgement().passed()).flatMap(c ->
        Stream.concat(deIced(d, c).stream(), upset(d, c).stream())
            .max(Comparator.comparing((ControlsAgain a) -> a.since().at())));
  }

  /**
   * Fresh fluid may leave water that freezes in the gaps, so that what moved freely before need not now. Empty where
   * the last application began before the check, whenever that was said.
   */
  private static Optional<ControlsAgain> deIced(DepartureState d, Recorded<Event.ControlsChecked> check) {
    return d.given().deIced()
        .filter(by -> by.event().applied().filter(a -> a.lastBegan().isAfter(check.at())).isPresent())
        .map(by -> new ControlsAgain(
            "De-iced since it passed: make it again, slowly at first, and feel for stiffness.", by));
  }

  private static Optional<ControlsAgain> upset(DepartureState d, Recorded<Event.ControlsChecked> check) {
    return d.controlsUpset().filter(u -> u.number() > check.number()).map(u -> new ControlsAgain(
        "Since it passed, " + u.event().by().words() + ": make it again.", u));
  }
}
