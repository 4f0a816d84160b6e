package neatlanyard.core.departure;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import neatlanyard.core.dispatch.Verdict;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Measure;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.StepId;

/** Decides whether an event may enter the log of a departure, and says why not. */
public final class Admission {
  /** Longest reason or note, in characters. */
  public static final int MOST_WORDS = 2_000;

  private static final double MOST_VALUE = 1e6;
  private static final int MOST_COUNT = 100;

  /** Two clocks never agree to the second. */
  private static final Duration LENIENCE = Duration.ofSeconds(1);

  private final Departure now;
  private final CrewId by;
  private final Instant happened;

  private Admission(Departure now, CrewId by, Instant happened) {
    this.now = now;
    this.by = by;
    this.happened = happened;
  }

  /** Why a person's event is not allowed as the departure stands; empty when it is. @param at the server's time */
  public static Optional<Refusal> refusal(Departure now, Proposal proposal, Instant at) {
    return new Admission(now, proposal.by(), Entry.happened(proposal.deviceAt(), at)).of(proposal.event());
  }

  private Optional<Refusal> of(Event event) {
    if (now.tiedOff().isPresent()) {
      return no("tied-off", "This departure is tied off.", "Its record stands; open another departure.");
    }
    if (event instanceof Event.SeatTaken e) {
      return seat(e.seat());
    }
    if (event instanceof Event.Opened) {
      return no("not-yours", "A departure is opened once, by the server.", "Open it from the list of departures.");
    }
    if (now.seatOf(by).isEmpty()) {
      return no("no-seat", "You have not taken a seat in this departure.", "Take your seat first.");
    }
    return switch (event) {
      case Event.DaySet e -> Optional.empty();
      case Event.StepDone e -> done(e.step()).or(() -> wantsValue(e.step()));
      case Event.Measured e -> done(e.step()).or(() -> readable(e));
      case Event.ValueSaid e -> done(e.step()).or(() -> agreeing(e));
      case Event.AircraftRead e -> Optional.empty();
      case Event.FlightFacts e -> byServerAlone();
      case Event.FoundSo e -> own(e.step()).or(() -> findable(e.step())).or(() -> undecided(e.step()));
      case Event.Overridden e -> own(e.step()).or(() -> words("reason", e.words())).or(() -> closed(e.step()));
      case Event.WaitSeen e -> onCard(e.step()).or(() -> over(e.step()));
      case Event.TagHung e -> words("tag", e.words())
          .or(() -> hanging(e.tag()) ? no("tag-exists", "That tag hangs already.", "Hang another.")
          : Optional.empty());
      case Event.TagTaken e -> hanging(e.tag()) ? Optional.empty()
          : no("no-such-tag", "That tag does not hang.", "Reload the departure.");
      case Event.Interrupted e -> now.beside().interrupted(by).isEmpty() ? Optional.empty()
          : no("interrupted", "You are called away already.", "Go on when you are back.");
      case Event.WentOn e -> now.beside().interrupted(by).isPresent() ? Optional.empty()
          : no("not-interrupted", "You were not called away.", "Go on.");
      case Event.PanelHandedOver e -> handOver(e);
      case Event.StepLater e -> own(e.step()).or(() -> words("reason", e.reason())).or(() -> notStopped(e.step()))
          .or(() -> open(e.step())).or(() -> undecided(e.step()));
      case Event.LogTailRead e -> Optional.empty();
      case Event.TechStatus e -> byServerAlone();
      case Event.ReadBefore e -> byServerAlone();
      case Event.DoesNotFit e -> known(e.step()).or(() -> words("note", e.words()));
      case Event.StepNotToday e -> own(e.step())
          .or(() -> words("reason", e.reason()))
          .or(() -> notStopped(e.step()))
          .or(() -> inOrder(e.step()));
      case Event.StepUndone e -> undone(e.step());
      case Event.FindRaised e -> onCard(e.step()).or(() -> words("note", e.note())).or(() -> newFind(e))
          .or(() -> sound(e.what()));
      case Event.VerdictTaken e -> verdict(e);
      case Event.ChecklistStopped e -> stop(e);
      case Event.ChecklistResumed e -> now.stop(e.checklist()).isPresent()
          ? Optional.empty()
          : no("not-stopped", "That checklist is not stopped.", "Go on with its next item.");
      case Event.ControlsChecked e -> Optional.empty();
      case Event.TiedOff e -> tieOff(e);
      case Event.SeatTaken e -> Optional.empty();
      case Event.Opened e -> Optional.empty();
    };
  }

  private Optional<Refusal> seat(Seat seat) {
    Optional<Rostered> place = now.opened().flight().place(by);
    if (place.isEmpty()) {
      return no("not-rostered", "You are not on the crew of this flight.",
          "Ask whoever rosters the flight to put you on it.");
    }
    if (place.get().seat() != seat) {
      return no("other-seat", "The roster has you in the %s seat.".formatted(name(place.get().seat())),
          "Take the %s seat.".formatted(name(place.get().seat())));
    }
    return Optional.empty();
  }

  private Optional<Refusal> onCard(StepId step) {
    Optional<Card> card = now.card();
    if (card.isEmpty()) {
      return no("no-card", "The card has not been cut yet.",
          "Enter the station report and the state of the day first.");
    }
    if (card.get().item(step).isPresent()) {
      return Optional.empty();
    }
    return card.get().leftOut().stream().filter(l -> l.step().id().equals(step)).findFirst()
        .map(l -> no("left-out", "%s is left out of today's card: %s.".formatted(l.step().challenge(), l.why()),
            "If that is not so, correct the state of the day and the card is cut again."))
        .orElseGet(() -> no("no-such-step", "The pack has no step '%s'.".formatted(step), "Reload the departure."));
  }

  private Optional<Refusal> own(StepId step) {
    Optional<Refusal> missing = onCard(step);
    if (missing.isPresent()) {
      return missing;
    }
    Item item = item(step);
    Seat seat = now.seatOf(by).orElseThrow();
    if (item.seats().contains(seat)) {
      return Optional.empty();
    }
    String whose = item.seats().stream().sorted().map(Admission::name).collect(Collectors.joining(" and "));
    return no("other-seats-step", "%s belongs to the %s seat.".formatted(item.step().challenge(), whose),
        "Leave it to the %s seat; if it is not as it should be, raise a find.".formatted(whose));
  }

  private Optional<Refusal> done(StepId step) {
    return own(step).or(() -> needs(step)).or(() -> notStopped(step)).or(() -> inOrder(step))
        .or(() -> undecided(step));
  }

  private Optional<Refusal> wantsValue(StepId step) {
    if (DayValues.back(item(step))) {
      return no("value-wanted", "%s wants what is seen, not that it is set.".formatted(item(step).step().challenge()),
          "Say it.");
    }
    return item(step).step().measures().flatMap(m -> no("value-wanted",
        "%s wants a value: %s.".formatted(item(step).step().challenge(), m.quantity().name().toLowerCase(Locale.ROOT)),
        "Read it and enter it."));
  }

  private Optional<Refusal> readable(Event.Measured e) {
    Optional<Measure> measure = item(e.step()).step().measures();
    if (measure.isEmpty()) {
      return no("no-value", "%s measures nothing.".formatted(item(e.step()).step().challenge()),
          "Answer it without a value.");
    }
    if (!(Math.abs(e.value()) <= MOST_VALUE)) {
      return no("not-a-value", "%s is not a value anybody reads.".formatted(e.value()), "Enter what is shown.");
    }
    return Optional.empty();
  }

  /** What is said must be what today gives, unless somebody has said in words why it is not. */
  private Optional<Refusal> agreeing(Event.ValueSaid e) {
    Item item = item(e.step());
    if (!DayValues.back(item)) {
      return no("no-value", "%s asks for no value.".formatted(item.step().challenge()), "Answer it without one.");
    }
    List<String> choices = DayValues.choices(now, item);
    boolean sayable = choices.isEmpty() ? DayValues.number(e.value()).isPresent() : choices.contains(e.value());
    if (!sayable) {
      return no("not-a-value", "'%s' is not a value anybody sees there.".formatted(shortened(e.value())),
          "Say what is shown.");
    }
    return DayValues.of(now, item).filter(k -> !k.agrees(e.value()) && now.beside().override(e.step()).isEmpty())
        .flatMap(k -> no("differs", "%s: %s.".formatted(item.step().challenge(), DayValues.against(e.value(), k)),
            "Set it right and say it again, or say in words why it is different."));
  }

  private static String shortened(String value) {
    return value.length() <= 20 ? value : value.substring(0, 20) + "…";
  }

  private static Optional<Refusal> byServerAlone() {
    return no("not-yours", "This is written by the server alone.", "Reload the departure.");
  }

  /** What is answered is not put aside, least of all the last item of a checklist, which says that nothing is. */
  private Optional<Refusal> open(StepId step) {
    Item item = item(step);
    if (item.procedure().kind() != Procedure.Kind.CHECKLIST) {
      return Optional.empty();
    }
    boolean last = now.part(item.procedure().id()).filter(p -> p.items().getLast().equals(item)).isPresent();
    return last
        ? no("no-later", "The last item of a checklist is not held: it says that nothing is.",
        "Stop the checklist, and resume it when the item can be answered.")
        : inOrder(step);
  }

  private static Optional<Refusal> sound(Find.What what) {
    if (what.count() < 1 || what.count() > MOST_COUNT) {
      return no("not-a-count", "%d is not a number of things anybody counts here.".formatted(what.count()),
          "Give how many, from 1 to %d.".formatted(MOST_COUNT));
    }
    if (what.photos().size() > Find.What.MOST_PHOTOS) {
      return no("too-many-photos", "%d photos; %d is the most of one find.".formatted(what.photos().size(),
          Find.What.MOST_PHOTOS), "Raise another find for the rest.");
    }
    boolean off = what.spot().filter(s -> !(Math.abs(s.x()) <= 100 && Math.abs(s.y()) <= 200)).isPresent();
    return off ? no("off-the-drawing", "That place is not on the drawing.", "Point at the aircraft.")
        : Optional.empty();
  }

  /** A step that does not fit may be one that today's card leaves out. */
  private Optional<Refusal> known(StepId step) {
    return now.pack().step(step).isPresent()
        ? Optional.empty()
        : no("no-such-step", "The pack has no step '%s'.".formatted(step), "Reload the departure.");
  }

  private Optional<Refusal> needs(StepId step) {
    return now.beside().override(step).isPresent() ? Optional.empty() : gate(step).flatMap(g -> g.until().isPresent()
        ? no("wait", g.words() + ".", "It is counted; it will call.")
        : no("needs", g.words(), "Do that, then this."));
  }

  /** What keeps a step closed at the time this happened. */
  private Optional<Gates.Gate> gate(StepId step) {
    return Gates.all(now, item(step), Gates.ofStage(now, item(step).procedure().stage(), now.tags())).stream()
        .filter(g -> g.until().map(u -> u.isAfter(happened.plus(LENIENCE))).orElse(true)).findFirst();
  }

  private Optional<Refusal> closed(StepId step) {
    return Gates.maySayWords(now, item(step), now.tags()) || DayValues.back(item(step)) ? Optional.empty()
        : no("nothing-to-override", "Nothing keeps that step closed.", "Do it.");
  }

  private Optional<Refusal> findable(StepId step) {
    return Gates.mayBeFound(now.pack(), item(step).procedure(), item(step).step()) ? Optional.empty()
        : no("not-found", "%s is done, not found: it makes what follows safe.".formatted(item(step).step()
        .challenge()), "Do it.");
  }

  private Optional<Refusal> over(StepId step) {
    Optional<Waiting> wait = now.waits().stream().filter(w -> w.item().step().id().equals(step)).findFirst();
    if (wait.isEmpty()) {
      return no("no-wait", "Nothing waits for that step.", "Reload the departure.");
    }
    return wait.get().until().isAfter(happened.plus(LENIENCE))
        ? no("wait", "It is not over: %s.".formatted(wait.get().words()), "It is counted; it will call.")
        : Optional.empty();
  }

  private boolean hanging(UUID tag) {
    return now.beside().hung().stream().anyMatch(h -> h.event().tag().equals(tag));
  }

  /** By whoever works the panel, to a seat that is taken. */
  private Optional<Refusal> handOver(Event.PanelHandedOver e) {
    Seat own = now.seatOf(by).orElseThrow();
    boolean works = now.items().stream()
        .anyMatch(i -> i.procedure().kind().byPanel() && i.step().place().equals(e.panel()) && i.seats()
        .equals(Set.of(own)));
    if (!works) {
      return no("not-yours", "That panel is not yours to hand over.", "Ask the seat that works it.");
    }
    return e.to() == own || !now.seats().containsKey(e.to())
        ? no("no-such-seat", "Nobody else sits in the %s seat.".formatted(name(e.to())),
        "Hand it to a seat that is taken.")
        : Optional.empty();
  }

  private Optional<Refusal> notStopped(StepId step) {
    Procedure procedure = item(step).procedure();
    return now.stop(procedure.id()).isPresent()
        ? no("stopped", "%s is stopped.".formatted(procedure.title()), "Resume it first.")
        : Optional.empty();
  }

  private Optional<Refusal> inOrder(StepId step) {
    Procedure procedure = item(step).procedure();
    if (procedure.kind() != Procedure.Kind.CHECKLIST) {
      return Optional.empty();
    }
    Map<StepId, Status> statuses = now.statuses(now.tags());
    return now.next(procedure, statuses)
        .filter(next -> !next.step().id().equals(step))
        .filter(next -> !statuses.getOrDefault(step, Status.OPEN).settled() && statuses.get(step) != Status.LATER)
        .flatMap(next -> no("out-of-order", "Before it comes %s.".formatted(next.step().challenge()),
            "A checklist is answered in order, so that nothing is passed over."));
  }

  /** A find that nobody has decided is not talked away by the person who raised it pressing done. */
  private Optional<Refusal> undecided(StepId step) {
    return now.marks(step).stream()
        .filter(m -> m.by().equals(by))
        .flatMap(m -> m.find().stream())
        .flatMap(f -> now.find(f).stream())
        .filter(f -> f.decision().isEmpty() && !f.measured())
        .findFirst()
        .flatMap(f -> no("undecided", "Your find here has no decision yet: %s".formatted(f.note()),
            "The commander decides on it; then the step can be done."));
  }

  private Optional<Refusal> undone(StepId step) {
    return onCard(step).or(() -> now.marks(step).stream().noneMatch(m -> m.by().equals(by))
        ? no("nothing-to-undo", "You have said nothing of that step.",
        "Only what you said yourself can be taken back.")
        : undecidedFind(step));
  }

  private Optional<Refusal> undecidedFind(StepId step) {
    return now.marks(step).stream().filter(m -> m.by().equals(by)).flatMap(m -> m.find().stream())
        .flatMap(f -> now.find(f).stream())
            .anyMatch(f -> !f.measured() || f.decision().isPresent())
        ? no("find-stands", "A find is not taken back once it is raised.",
        "The commander can decide: nothing to enter.")
        : Optional.empty();
  }

  private Optional<Refusal> newFind(Event.FindRaised e) {
    return now.find(e.find()).isPresent()
        ? no("find-exists", "That find is already raised.", "Raise another for another thing.")
        : Optional.empty();
  }

  private Optional<Refusal> verdict(Event.VerdictTaken e) {
    return commander("decides on finds")
        .or(() -> now.find(e.find()).isEmpty()
            ? no("no-such-find", "There is no such find.", "Reload the departure.")
            : Optional.empty())
        .or(() -> e.proposed().filter(c -> e.verdict().milderThan(c.verdict())).flatMap(c -> no("milder",
            "The list does not support '%s': %s".formatted(e.verdict().words().toLowerCase(Locale.ROOT),
            String.join(" ", c.because())),
            "Take '%s' or a stricter one.".formatted(c.verdict().words().toLowerCase(Locale.ROOT)))))
        .or(() -> e.verdict() == Verdict.NOTHING_TO_ENTER && e.words().isBlank()
            ? Optional.empty()
            : words("reason", e.words()));
  }

  private Optional<Refusal> stop(Event.ChecklistStopped e) {
    Optional<Card.Part> part = now.part(e.checklist());
    if (part.isEmpty() || part.get().procedure().kind() != Procedure.Kind.CHECKLIST) {
      return no("no-such-checklist", "There is no such checklist on today's card.", "Reload the departure.");
    }
    List<Item> items = part.get().items();
    if (items.stream().allMatch(i -> now.said(i).settled()) || items.stream()
        .noneMatch(i -> now.said(i) != Status.OPEN)) {
      return no("nothing-to-stop", "That checklist is not under way.", "There is nothing to stop.");
    }
    return now.stop(e.checklist()).isPresent()
        ? no("stopped", "%s is stopped already.".formatted(part.get().procedure().title()),
        "Resume it when you are ready.")
        : Optional.empty();
  }

  private Optional<Refusal> tieOff(Event.TiedOff e) {
    Optional<Refusal> other = commander("ties off");
    if (other.isPresent()) {
      return other;
    }
    if (now.card().isEmpty()) {
      return no("no-card", "The card has not been cut yet.",
          "Enter the station report and the state of the day first.");
    }
    Map<String, String> reasons =
        e.accepted().stream().collect(Collectors.toMap(Event.Acceptance::tag, Event.Acceptance::reason, (a, b) -> b));
    List<Tag> inTheWay = now.inTheWay();
    List<Tag> never = inTheWay.stream().filter(t -> !t.kind().mayStay()).toList();
    if (!never.isEmpty()) {
      return no("may-not-stay", "This may not stay, whatever the reason: %s.".formatted(titles(never)),
          "Close it, or leave the aircraft to maintenance.");
    }
    List<Tag> without = inTheWay.stream()
        .filter(t -> Objects.requireNonNullElse(reasons.get(t.key()), "").isBlank()).toList();
    if (!without.isEmpty()) {
      return no("not-bare", "The cord is not bare: %s.".formatted(titles(without)),
          "Close each, or give the commander's reason why it may stay.");
    }
    return reasons.values().stream().flatMap(r -> words("reason", r).stream()).findFirst();
  }

  private Optional<Refusal> commander(String does) {
    return now.commands(by)
        ? Optional.empty()
        : no("commander-only", "Only the commander %s.".formatted(does), "Ask the commander.");
  }

  private static Optional<Refusal> words(String what, String words) {
    if (words.isBlank()) {
      return no("words-missing", "The %s is empty.".formatted(what), "Say it in a few words.");
    }
    return words.length() > MOST_WORDS
        ? no("too-long", "The %s has %d characters; %d is the most.".formatted(what, words.length(), MOST_WORDS),
        "Shorten it.")
        : Optional.empty();
  }

  private Item item(StepId step) {
    return now.card().flatMap(c -> c.item(step)).orElseThrow();
  }

  private static String titles(List<Tag> tags) {
    return tags.stream().map(Tag::words).collect(Collectors.joining("; "));
  }

  private static String name(Seat seat) {
    return seat.name().toLowerCase(Locale.ROOT);
  }

  private static Optional<Refusal> no(String code, String what, String tryThis) {
    return Optional.of(new Refusal(code, what, tryThis));
  }
}
