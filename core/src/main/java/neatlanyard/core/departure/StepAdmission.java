package neatlanyard.core.departure;

import static neatlanyard.core.departure.Attempt.no;
import static neatlanyard.core.departure.Attempt.words;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.flow.DayValues;
import neatlanyard.core.flow.FoundSo;
import neatlanyard.core.flow.Gates.Gate;
import neatlanyard.core.flow.Waiting;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Measure;
import neatlanyard.core.sop.StepId;

/** What is asked of the words said of a step. */
final class StepAdmission {
  private static final double MOST_VALUE = 1e6;

  private final Attempt attempt;
  private final ChecklistAdmission checklists;

  StepAdmission(Attempt attempt) {
    this.attempt = attempt;
    this.checklists = new ChecklistAdmission(attempt);
  }

  Optional<Refusal> stepDone(StepId step) {
    return done(step).or(() -> wantsValue(step));
  }

  Optional<Refusal> measured(Event.Measured e) {
    return done(e.step()).or(() -> readable(e));
  }

  Optional<Refusal> valueSaid(Event.ValueSaid e) {
    return done(e.step()).or(() -> agreeing(e));
  }

  Optional<Refusal> foundSo(StepId step) {
    return attempt.own(step).or(() -> findable(step)).or(() -> undecided(step));
  }

  Optional<Refusal> overridden(Event.Overridden e) {
    return attempt.own(e.step()).or(() -> words("reason", e.words())).or(() -> closed(e.step()));
  }

  Optional<Refusal> waitSeen(StepId step) {
    return attempt.onCard(step).or(() -> over(step));
  }

  Optional<Refusal> later(Event.StepLater e) {
    return attempt.own(e.step()).or(() -> words("reason", e.reason())).or(() -> attempt.notStopped(e.step()))
        .or(() -> checklists.mayBeHeld(e.step())).or(() -> undecided(e.step()));
  }

  Optional<Refusal> notToday(Event.StepNotToday e) {
    return attempt.own(e.step()).or(() -> words("reason", e.reason())).or(() -> attempt.notStopped(e.step()))
        .or(() -> checklists.inOrder(e.step()));
  }

  Optional<Refusal> doesNotFit(Event.DoesNotFit e) {
    return known(e.step()).or(() -> words("note", e.words()));
  }

  private Optional<Refusal> done(StepId step) {
    return attempt.own(step).or(() -> needs(step)).or(() -> attempt.notStopped(step))
        .or(() -> checklists.inOrder(step)).or(() -> undecided(step));
  }

  private Optional<Refusal> wantsValue(StepId step) {
    Item item = attempt.item(step);
    String what = item.step().challenge();
    if (DayValues.askedBack(item)) {
      return no(RefusalCode.VALUE_WANTED, "%s wants what is seen, not that it is set.".formatted(what), "Say it.");
    }
    return item.step().measures().flatMap(m -> no(RefusalCode.VALUE_WANTED,
        "%s wants a value: %s.".formatted(what, m.quantity().name().toLowerCase(Locale.ROOT)),
        "Read it and enter it."));
  }

  private Optional<Refusal> readable(Event.Measured e) {
    Optional<Measure> measure = attempt.item(e.step()).step().measures();
    if (measure.isEmpty()) {
      return no(RefusalCode.NO_VALUE, "%s measures nothing.".formatted(attempt.item(e.step()).step().challenge()),
          "Answer it without a value.");
    }
    if (!(Math.abs(e.value()) <= MOST_VALUE)) {
      return no(RefusalCode.NOT_A_VALUE,
          "%s is not a value anybody reads.".formatted(e.value()), "Enter what is shown.");
    }
    return Optional.empty();
  }

  /** What is said must be what today gives, unless somebody has said in words why it is not. */
  private Optional<Refusal> agreeing(Event.ValueSaid e) {
    Item item = attempt.item(e.step());
    if (!DayValues.askedBack(item)) {
      return no(RefusalCode.NO_VALUE,
          "%s asks for no value.".formatted(item.step().challenge()), "Answer it without one.");
    }
    List<String> choices = DayValues.choices(attempt.now(), item);
    boolean sayable = choices.isEmpty() ? DayValues.number(e.value()).isPresent() : choices.contains(e.value());
    if (!sayable) {
      return no(RefusalCode.NOT_A_VALUE, "'%s' is not a value anybody sees there.".formatted(shortened(e.value())),
          "Say what is shown.");
    }
    return DayValues.of(attempt.now(), item)
        .filter(k -> !k.agrees(e.value()) && attempt.now().notes(e.step()).override().isEmpty())
        .flatMap(k -> no(RefusalCode.DIFFERS,
            "%s: %s.".formatted(item.step().challenge(), DayValues.against(e.value(), k)),
            "Set it right and say it again, or say in words why it is different."));
  }

  private static String shortened(String value) {
    return value.length() <= 20 ? value : value.substring(0, 20) + "…";
  }

  /** A step that does not fit may be one that today's card leaves out. */
  private Optional<Refusal> known(StepId step) {
    return attempt.now().pack().step(step).isPresent()
        ? Optional.empty()
        : no(RefusalCode.NO_SUCH_STEP, "The pack has no step '%s'.".formatted(step), "Reload the departure.");
  }

  private Optional<Refusal> needs(StepId step) {
    boolean passed = attempt.now().notes(step).override().isPresent();
    return passed ? Optional.empty() : gate(step).flatMap(g -> g.until().isPresent()
        ? no(RefusalCode.WAIT, g.words() + ".", "It is counted; it will call.")
        : no(RefusalCode.NEEDS, g.words(), "Do that, then this."));
  }

  /** What keeps a step closed at the time this happened. */
  private Optional<Gate> gate(StepId step) {
    return attempt.picture().gates(attempt.item(step)).stream()
        .filter(g -> g.until().map(attempt::toCome).orElse(true)).findFirst();
  }

  private Optional<Refusal> closed(StepId step) {
    Item item = attempt.item(step);
    return attempt.picture().maySayWords(item) || DayValues.askedBack(item) ? Optional.empty()
        : no(RefusalCode.NOTHING_TO_OVERRIDE, "Nothing keeps that step closed.", "Do it.");
  }

  private Optional<Refusal> findable(StepId step) {
    Item item = attempt.item(step);
    return FoundSo.may(attempt.now().pack(), item.procedure(), item.step()) ? Optional.empty()
        : no(RefusalCode.MUST_BE_DONE,
            "%s is done, not found: it makes what follows safe.".formatted(item.step().challenge()),
        "Do it.");
  }

  private Optional<Refusal> over(StepId step) {
    Optional<Waiting> wait = attempt.picture().waits().stream()
        .filter(w -> w.item().step().id().equals(step)).findFirst();
    if (wait.isEmpty()) {
      return no(RefusalCode.NO_WAIT, "Nothing waits for that step.", "Reload the departure.");
    }
    return attempt.toCome(wait.get().until())
        ? no(RefusalCode.WAIT, "It is not over: %s.".formatted(wait.get().words()), "It is counted; it will call.")
        : Optional.empty();
  }

  /** A find that nobody has decided is not talked away by the person who raised it pressing done. */
  private Optional<Refusal> undecided(StepId step) {
    return attempt.now().marks(step).stream()
        .filter(m -> m.by().equals(attempt.by()))
        .flatMap(m -> m.find().stream())
        .flatMap(f -> attempt.now().find(f).stream())
        .filter(f -> f.decision().isEmpty() && !f.measured())
        .findFirst()
        .flatMap(f -> no(RefusalCode.UNDECIDED, "Your find here has no decision yet: %s".formatted(f.note()),
            "The commander decides on it; then the step can be done."));
  }

  Optional<Refusal> undone(StepId step) {
    return attempt.onCard(step).or(() -> attempt.now().marks(step).stream().noneMatch(m -> m.by().equals(attempt.by()))
        && attempt.item(step).step().enters().stream()
            .noneMatch(f -> attempt.now().entries().saidBy(attempt.by(), f))
        ? no(RefusalCode.NOTHING_TO_UNDO, "You have said nothing of that step.",
        "Only what you said yourself can be taken back.")
        : undecidedFind(step));
  }

  private Optional<Refusal> undecidedFind(StepId step) {
    return attempt.now().marks(step).stream().filter(m -> m.by().equals(attempt.by())).flatMap(m -> m.find().stream())
        .flatMap(f -> attempt.now().find(f).stream())
            .anyMatch(f -> !f.measured() || f.decision().isPresent())
        ? no(RefusalCode.FIND_STANDS, "A find is not taken back once it is raised.",
        "The commander can decide: nothing to enter.")
        : Optional.empty();
  }
}
