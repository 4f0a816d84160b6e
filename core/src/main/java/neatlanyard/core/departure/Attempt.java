package neatlanyard.core.departure;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;

/** Somebody's attempt to bring an event in, and what is asked of more than one kind of event. */
record Attempt(DepartureState now, Picture picture, CrewId by, Instant happened) {
  /** Longest reason or note, in characters. */
  static final int MOST_WORDS = 2_000;

  /** Two clocks never agree to the second. */
  private static final Duration LENIENCE = Duration.ofSeconds(1);

  Optional<Refusal> onCard(StepId step) {
    Optional<Card> card = now.card();
    if (card.isEmpty()) {
      return no(RefusalCode.NO_CARD, "The card has not been cut yet.",
          "Enter the station report and the state of the day first.");
    }
    if (card.get().item(step).isPresent()) {
      return Optional.empty();
    }
    return card.get().leftOut().stream().filter(l -> l.step().id().equals(step)).findFirst()
        .map(l -> no(RefusalCode.LEFT_OUT,
            "%s is left out of today's card: %s.".formatted(l.step().challenge(), l.why()),
            "If that is not so, correct the state of the day and the card is cut again."))
        .orElseGet(() -> no(RefusalCode.NO_SUCH_STEP,
            "The pack has no step '%s'.".formatted(step), "Reload the departure."));
  }

  Optional<Refusal> own(StepId step) {
    Optional<Refusal> missing = onCard(step);
    if (missing.isPresent()) {
      return missing;
    }
    Item item = item(step);
    Seat seat = now.seatOf(by).orElseThrow();
    if (item.seats().contains(seat)) {
      return Optional.empty();
    }
    String whose = item.seats().stream().sorted().map(this::name).collect(Collectors.joining(" and "));
    return no(RefusalCode.OTHER_SEATS_STEP, "%s belongs to the %s seat.".formatted(item.step().challenge(), whose),
        "Leave it to the %s seat; if it is not as it should be, raise a find.".formatted(whose));
  }

  /** Whether a time is still to come when this happened. */
  boolean toCome(Instant time) {
    return time.isAfter(happened.plus(LENIENCE));
  }

  Optional<Refusal> notStopped(StepId step) {
    Procedure procedure = item(step).procedure();
    return now.stop(procedure.id()).isPresent()
        ? no(RefusalCode.STOPPED, "%s is stopped.".formatted(procedure.title()), "Resume it first.")
        : Optional.empty();
  }

  Optional<Refusal> commander(String does) {
    return now.commands(by)
        ? Optional.empty()
        : no(RefusalCode.COMMANDER_ONLY, "Only the commander %s.".formatted(does), "Ask the commander.");
  }

  static Optional<Refusal> words(String what, String words) {
    if (words.isBlank()) {
      return no(RefusalCode.WORDS_MISSING, "The %s is empty.".formatted(what), "Say it in a few words.");
    }
    return words.length() > MOST_WORDS
        ? no(RefusalCode.TOO_LONG,
            "The %s has %d characters; %d is the most.".formatted(what, words.length(), MOST_WORDS),
        "Shorten it.")
        : Optional.empty();
  }

  /** A step of the card. */
  Item item(StepId step) {
    return now.item(step).orElseThrow();
  }

  /** What the seat is called in this type, before the word "seat". */
  String name(Seat seat) {
    return now.pack().planform().seating().name(seat);
  }

  static Optional<Refusal> no(RefusalCode code, String what, String tryThis) {
    return Optional.of(new Refusal(code, what, tryThis));
  }
}
