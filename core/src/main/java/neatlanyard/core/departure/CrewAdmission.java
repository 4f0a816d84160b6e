package neatlanyard.core.departure;

import static neatlanyard.core.departure.Attempt.no;
import static neatlanyard.core.departure.Attempt.words;

import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.log.Event;

/** What is asked of who sits where, who is away, whose panel it is, and of tags hung by hand. */
final class CrewAdmission {
  private static final int DAY_SECONDS = 86_400;

  private final Attempt attempt;

  CrewAdmission(Attempt attempt) {
    this.attempt = attempt;
  }

  /** Everything but taking a seat wants one. */
  Optional<Refusal> seated() {
    return attempt.now().seatOf(attempt.by()).isPresent() ? Optional.empty()
        : no(RefusalCode.NO_SEAT, "You have not taken a seat in this departure.", "Take your seat first.");
  }

  Optional<Refusal> seatTaken(Seat seat) {
    Optional<Rostered> place = attempt.now().opened().flight().place(attempt.by());
    if (place.isEmpty()) {
      return no(RefusalCode.NOT_ROSTERED, "You are not on the crew of this flight.",
          "Ask whoever rosters the flight to put you on it.");
    }
    if (place.get().seat() != seat) {
      return no(RefusalCode.OTHER_SEAT,
          "The roster has you in the %s seat.".formatted(attempt.name(place.get().seat())),
          "Take the %s seat.".formatted(attempt.name(place.get().seat())));
    }
    return Optional.empty();
  }

  Optional<Refusal> interrupted() {
    return attempt.now().interrupted(attempt.by()).isEmpty() ? Optional.empty()
        : no(RefusalCode.INTERRUPTED, "You are called away already.", "Go on when you are back.");
  }

  Optional<Refusal> wentOn() {
    return attempt.now().interrupted(attempt.by()).isPresent() ? Optional.empty()
        : no(RefusalCode.NOT_INTERRUPTED, "You were not called away.", "Go on.");
  }

  /** By whoever works the panel, to a seat that is taken. */
  Optional<Refusal> handOver(Event.PanelHandedOver e) {
    Seat own = attempt.now().seatOf(attempt.by()).orElseThrow();
    boolean works = attempt.now().items().stream()
        .anyMatch(i -> i.procedure().kind().byPanel() && i.step().place().equals(e.panel()) && i.seats()
        .equals(Set.of(own)));
    if (!works) {
      return no(RefusalCode.NOT_YOUR_PANEL, "That panel is not yours to hand over.", "Ask the seat that works it.");
    }
    return e.to() == own || !attempt.now().seats().containsKey(e.to())
        ? no(RefusalCode.NO_SUCH_SEAT, "Nobody else sits in the %s seat.".formatted(attempt.name(e.to())),
        "Hand it to a seat that is taken.")
        : Optional.empty();
  }

  Optional<Refusal> planChosen(Event.PlanChosen e) {
    return words("choice", e.words()).or(() -> e.earlierS() < 0 || e.earlierS() > DAY_SECONDS
        ? no(RefusalCode.NO_SUCH_GAIN, "%d seconds are no time that a choice gains.".formatted(e.earlierS()),
            "Choose what the plan offers.") : Optional.empty());
  }

  Optional<Refusal> tagHung(Event.TagHung e) {
    return words("tag", e.words()).or(() -> hanging(e.tag())
        ? no(RefusalCode.TAG_EXISTS, "That tag hangs already.", "Hang another.") : Optional.empty());
  }

  Optional<Refusal> tagTaken(Event.TagTaken e) {
    return hanging(e.tag()) ? Optional.empty()
        : no(RefusalCode.NO_SUCH_TAG, "That tag does not hang.", "Reload the departure.");
  }

  private boolean hanging(UUID tag) {
    return attempt.now().hung().stream().anyMatch(h -> h.event().tag().equals(tag));
  }
}
