package neatlanyard.core.departure;

import static neatlanyard.core.departure.Attempt.no;
import static neatlanyard.core.departure.Attempt.words;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.figures.entry.Recogniser;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.flow.ByFigure;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.FigureEntries;

/** What is asked of the figures and of what they are worked out from. */
final class FiguresAdmission {
  private static final int LONGEST_FIGURE = 12;
  private static final int MOST_CODE = 6;
  private static final int DEEPEST_MM = 300;
  private static final int PERCENT = 100;
  private static final int FULL_CIRCLE = 360;
  private static final int MOST_KT = 150;
  private static final int MOST_HEADS = 99;
  private static final int MOST_CHANGE_KG = 9_999;
  private static final int MOST_PLACES = 40;
  private static final Duration LONGEST_DE_ICED = Duration.ofHours(24);

  private final Attempt attempt;

  FiguresAdmission(Attempt attempt) {
    this.attempt = attempt;
  }

  Optional<Refusal> entered(Event.FigureEntered e) {
    return typed(e.figure(), e.value()).or(() -> owned(e.figure())).or(() -> only(e.figure(), e.value()));
  }

  /** A figure that on this day must be one of some, whoever agrees on another. */
  private Optional<Refusal> only(CriticalFigure figure, String value) {
    return ByFigure.only(attempt.now(), figure)
        .filter(o -> o.values().stream().noneMatch(v -> Recogniser.agrees(figure, v, value)))
        .findFirst().flatMap(o -> no(RefusalCode.NOT_THAT_FIGURE, "The %s %s is not taken here: %s.".formatted(
        figure.words(), value.strip(), o.because()), "Here it is %s.".formatted(
        String.join(" or ", o.values()))));
  }

  private static Optional<Refusal> typed(CriticalFigure figure, String value) {
    if (figure == CriticalFigure.TRANSPONDER && !value.strip().matches("[0-7]{4}")) {
      return no(RefusalCode.NOT_A_FIGURE, "A transponder code has four digits, each 0 to 7.", "Enter it again.");
    }
    boolean good = value.length() <= LONGEST_FIGURE && !value.isBlank()
        && value.matches(figure.number() ? " *[-\u2212]?[0-9][0-9 ]*([.,][0-9]{1,3})?" : "[0-9A-Za-z ]*");
    return good ? Optional.empty() : no(RefusalCode.NOT_A_FIGURE,
        "That is no figure: 1 to %d digits or letters.".formatted(LONGEST_FIGURE),
        "Enter it again.");
  }

  private Optional<Refusal> owned(CriticalFigure figure) {
    Optional<StepId> step = attempt.now().entersAt(figure).map(i -> i.step().id());
    return step.isPresent() ? attempt.own(step.get())
        : no(RefusalCode.NO_SUCH_FIGURE, "Nobody enters the %s on today's card.".formatted(figure.words()),
        "Reload the departure.");
  }

  Optional<Refusal> taken(Event.FigureTaken e) {
    return typed(e.figure(), e.value()).or(() -> owned(e.figure())).or(() -> only(e.figure(), e.value()))
        .or(() -> attempt.commander("takes a figure that differs"))
        .or(() -> words("reason", e.words())).or(() -> attempt.now().entries().standing(e.figure())
        == FigureEntries.Standing.DIFFERS ? Optional.empty()
        : no(RefusalCode.NOT_DIFFERING, "Nothing differs in the %s.".formatted(e.figure().words()),
        "Each enters it alone; what differs then, the commander may take."));
  }

  Optional<Refusal> runway(Event.RunwayReported e) {
    boolean good = e.condition().thirds().stream().allMatch(t -> within(t.code(), 0, MOST_CODE)
        && within(t.depthMm(), 0, DEEPEST_MM) && within(t.coveragePercent(), 0, PERCENT));
    return good ? Optional.empty() : no(RefusalCode.NOT_A_FIGURE,
        "A code is 0 to 6, a depth 0 to %d mm, a coverage 0 to 100 per cent.".formatted(DEEPEST_MM),
        "Look at the report again.");
  }

  Optional<Refusal> tower(Event.TowerWindSaid e) {
    boolean good = e.wind().isEmpty() || within(e.wind().get().fromMagneticDeg(), 0, FULL_CIRCLE)
        && e.wind().get().speedKt() >= 0 && e.wind().get().speedKt() <= MOST_KT
        && within(e.wind().get().gustKt(), e.wind().get().speedKt(), MOST_KT);
    return good ? Optional.empty() : no(RefusalCode.NOT_A_FIGURE,
        "A wind is from 0 to 360 degrees, 0 to %d kt, and a gust is more than the wind.".formatted(MOST_KT),
        "Ask the tower again.");
  }

  Optional<Refusal> chosen(Event.TakeoffChosen e) {
    boolean good = e.choice().intersection().orElse("").length() <= LONGEST_FIGURE
        && e.choice().flap().orElse("").length() <= LONGEST_FIGURE;
    return good ? Optional.empty()
        : no(RefusalCode.NOT_A_FIGURE, "No intersection and no flap has so long a name.", "Choose it from the list.");
  }

  private static boolean within(OptionalInt value, int least, int most) {
    return value.isEmpty() || value.getAsInt() >= least && value.getAsInt() <= most;
  }

  Optional<Refusal> sheet(Event.LoadSheetTaken e) {
    LoadSheet sheet = e.sheet();
    Flight flight = attempt.now().opened().flight();
    List<String> other = sheet.otherThan(flight.number(), flight.tail(), flight.day());
    if (!other.isEmpty()) {
      return no(RefusalCode.OTHER_SHEET, String.join(" ", other), "Ask for the one of this flight.");
    }
    return attempt.now().given().sheet().filter(s -> s.edition() > sheet.edition()).map(s -> no(
        RefusalCode.OTHER_SHEET, "Edition %d is here already; this is edition %d.".formatted(
        s.edition(), sheet.edition()), "The later one counts.")).orElse(Optional.empty());
  }

  Optional<Refusal> elsewhere(Event.ElsewhereReported e) {
    List<AirfieldId> asked = TodaysFigures.elsewhere(attempt.now());
    return asked.contains(e.airfield()) && e.report().station().equals(e.airfield().value()) ? Optional.empty()
        : no(RefusalCode.OTHER_STATION, "The report is of %s; this flight asks for %s.".formatted(
        e.report().station(), asked.stream().map(AirfieldId::value).collect(Collectors.joining(", "))),
        "Take the one of its destination or its alternate.");
  }

  Optional<Refusal> changed(Event.LoadSheetChanged e) {
    if (attempt.now().given().sheet().isEmpty()) {
      return no(RefusalCode.OTHER_SHEET, "There is no load sheet to be changed.", "Take one first.");
    }
    boolean good = Stream.concat(e.change().passengers().keySet().stream(), e.change().holdsKg().keySet().stream())
        .allMatch(p -> p.length() <= LONGEST_FIGURE * 2)
        && e.change().passengers().size() + e.change().holdsKg().size() <= MOST_PLACES
        && e.change().passengers().values().stream().allMatch(n -> Math.abs((long) n) <= MOST_HEADS)
        && e.change().holdsKg().values().stream().allMatch(kg -> Math.abs(kg) <= MOST_CHANGE_KG);
    return good ? Optional.empty() : no(RefusalCode.NOT_A_FIGURE,
        "A change by hand is of at most %d passengers in a cabin and %d kg in a hold.".formatted(
        MOST_HEADS, MOST_CHANGE_KG), "Ask for a new sheet.");
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
