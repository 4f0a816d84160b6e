package neatlanyard.core.departure;

import static neatlanyard.core.departure.Attempt.no;
import static neatlanyard.core.departure.Attempt.words;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.FigureEntries;

/** What is asked of the figures and of what they are worked out from. */
final class FiguresAdmission {
  private static final int LONGEST_FIGURE = 12;
  private static final Duration LONGEST_DE_ICED = Duration.ofHours(24);

  private final Attempt attempt;

  FiguresAdmission(Attempt attempt) {
    this.attempt = attempt;
  }

  Optional<Refusal> entered(Event.FigureEntered e) {
    return typed(e.value()).or(() -> owned(e.figure()));
  }

  private static Optional<Refusal> typed(String value) {
    return value.matches("[0-9A-Za-z.,\u2212 -]{1," + LONGEST_FIGURE + "}") && !value.isBlank() ? Optional.empty()
        : no(RefusalCode.NOT_A_FIGURE, "That is no figure: 1 to %d digits or letters.".formatted(LONGEST_FIGURE),
        "Enter it again.");
  }

  private Optional<Refusal> owned(CriticalFigure figure) {
    Optional<StepId> step = FiguresFold.item(attempt.now(), figure).map(i -> i.step().id());
    return step.isPresent() ? attempt.own(step.get())
        : no(RefusalCode.NO_SUCH_FIGURE, "Nobody enters the %s on today's card.".formatted(figure.words()),
        "Reload the departure.");
  }

  Optional<Refusal> taken(Event.FigureTaken e) {
    return typed(e.value()).or(() -> owned(e.figure())).or(() -> attempt.commander("takes a figure that differs"))
        .or(() -> words("reason", e.words())).or(() -> attempt.now().entries().standing(e.figure())
        == FigureEntries.Standing.DIFFERS ? Optional.empty()
        : no(RefusalCode.NOT_DIFFERING, "Nothing differs in the %s.".formatted(e.figure().words()),
        "Each enters it alone; what differs then, the commander may take."));
  }

  Optional<Refusal> sheet(Event.LoadSheetTaken e) {
    LoadSheet sheet = e.sheet();
    Flight flight = attempt.now().opened().flight();
    LocalDate day = LocalDate.ofInstant(flight.departs(), ZoneOffset.UTC);
    String take = "Ask for the one of this flight.";
    if (!sheet.tail().equals(flight.tail())) {
      return no(RefusalCode.OTHER_SHEET, "The load sheet is for %s; this is %s.".formatted(
          sheet.tail(), flight.tail()), take);
    }
    if (!sheet.flight().equals(flight.number())) {
      return no(RefusalCode.OTHER_SHEET, "The load sheet is for %s; this is %s.".formatted(
          sheet.flight(), flight.number()), take);
    }
    if (!sheet.day().equals(day)) {
      return no(RefusalCode.OTHER_SHEET, "The load sheet is of %s; this flight is on %s.".formatted(
          sheet.day(), day), take);
    }
    return attempt.now().given().sheet().filter(s -> s.edition() > sheet.edition()).map(s -> no(
        RefusalCode.OTHER_SHEET, "Edition %d is here already; this is edition %d.".formatted(
        s.edition(), sheet.edition()), "The later one counts.")).orElse(Optional.empty());
  }

  Optional<Refusal> deIced(Event.DeIced e) {
    Optional<Instant> began = e.applied().map(a -> a.lastBegan());
    boolean odd = began.filter(b -> attempt.toCome(b)
        || b.isBefore(attempt.happened().minus(LONGEST_DE_ICED))).isPresent();
    boolean wordy = e.applied().filter(a -> a.fluid().length() > LONGEST_FIGURE * 2
        || a.mix().length() > LONGEST_FIGURE).isPresent();
    return odd || wordy ? no(RefusalCode.NOT_A_FIGURE,
        "The last application began within the last 24 hours, with a fluid of the table.", "Look at the time again.")
        : Optional.empty();
  }

  /** A step that enters figures is done by those. */
  Optional<Refusal> notByPress(StepId step) {
    return attempt.now().item(step).map(Item::step).filter(s -> !s.enters().isEmpty()).isPresent()
        ? no(RefusalCode.FIGURES_WANTED, "Each pilot enters the figures of this step alone.",
        "Enter them on the screen Figures.") : Optional.empty();
  }
}
