package neatlanyard.core.lanyard;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import neatlanyard.core.figures.Balance;
import neatlanyard.core.figures.Limit;
import neatlanyard.core.figures.WorkedOut;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagId;
import neatlanyard.core.sop.TagKind.Trigger;
import neatlanyard.core.sop.TagKind;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.FigureEntries.OfFigure;
import neatlanyard.core.state.FigureEntries.Standing;
import neatlanyard.core.state.FigureEntries;
import neatlanyard.core.state.Recorded;
import neatlanyard.core.state.Status;
import neatlanyard.core.state.StepNotes;
import neatlanyard.core.units.Words;

/** What the figures have left open: figures that are not agreed, limits that do not hold, a fluid that runs off. */
final class FigureEnds {
  private final DepartureState d;
  private final FigureEntries entries;
  private final List<LooseEnd> ends = new ArrayList<>();

  /** A figure with the step it is entered at. */
  private record At(CriticalFigure figure, StepId step, OfFigure of) {}

  private FigureEnds(DepartureState d) {
    this.d = d;
    this.entries = d.entries();
  }

  static List<LooseEnd> of(DepartureState d) {
    FigureEnds all = new FigureEnds(d);
    all.figures();
    all.limits();
    all.holdover();
    return all.ends;
  }

  private void figures() {
    if (entries.touched().findAny().isEmpty()) {
      return;
    }
    List<At> all = d.entering().stream().flatMap(i -> i.step().enters().stream()
        .map(f -> new At(f, i.step().id(), entries.of(f)))).toList();
    all.stream().filter(a -> entries.standing(a.figure) == Standing.DIFFERS).forEach(a -> {
      Recorded<Event.FigureEntered> by = a.of.entries().getLast();
      List<String> values = a.of.entries().stream().map(e -> a.figure.shown(e.event().value())).distinct().toList();
      String words = values.size() == 1 ? "%s: both entered %s, not as worked out".formatted(
          Words.first(a.figure.words()), values.getFirst())
          : "%s differs: %s entered".formatted(Words.first(a.figure.words()), String.join(" and ", values));
      ends.add(new LooseEnd(Trigger.FIGURE, a.figure.name(), words, 1, 1, by.by(), by.at(), by.number(),
          List.of(a.step), Optional.empty()));
    });
    List<At> covered = all.stream().filter(a -> entries.standing(a.figure) == Standing.COVERED).toList();
    covered.stream().map(a -> a.of.entries().getFirst()).min(Comparator.comparing(Recorded::number)).ifPresent(by ->
        ends.add(new LooseEnd(Trigger.FIGURE, "COVERED", "Entered by one: " + names(covered), covered.size(),
        covered.size(), by.by(), by.at(), by.number(), steps(covered), Optional.empty())));
    List<At> again = all.stream().filter(a -> entries.standing(a.figure) == Standing.OPEN
        && a.of.again().isPresent() && !entries.notToday(a.figure)).toList();
    entries.workedBy().filter(w -> !again.isEmpty()).ifPresent(w -> ends.add(new LooseEnd(Trigger.FIGURE, "AGAIN",
        "Enter again: %s; %s".formatted(names(again), why(again)), again.size(), again.size(), LooseEnd.NOBODY,
        w.at(), again.stream().flatMap(a -> a.of.again().stream()).mapToLong(StepNotes.Change::since).min()
        .orElse(w.number()), steps(again), Optional.empty())));
  }

  private static String names(List<At> all) {
    return all.stream().map(a -> a.figure.words()).collect(Collectors.joining(", "));
  }

  private static String why(List<At> all) {
    return all.stream().flatMap(a -> a.of.again().stream()).map(StepNotes.Change::words).distinct()
        .collect(Collectors.joining("; "));
  }

  private static List<StepId> steps(List<At> all) {
    return all.stream().map(At::step).distinct().toList();
  }

  /** A sheet that states several weights wrong is one thing to look at. */
  private void limits() {
    entries.workedBy().ifPresent(w -> {
      Map<Boolean, List<Limit>> all = w.event().worked().notHeld().stream()
          .collect(Collectors.partitioningBy(l -> l.what().endsWith(Balance.AS_STATED)));
      all.getOrDefault(true, List.of()).stream().findFirst().ifPresent(first -> limit(w, Balance.AS_STATED.strip(),
          "The load sheet does not agree with itself. " + first.words()));
      all.getOrDefault(false, List.of()).forEach(l ->
          limit(w, l.what(), "%s. %s".formatted(Words.first(l.what()), l.words())));
    });
  }

  private void limit(Recorded<Event.FiguresWorked> by, String subject, String words) {
    ends.add(new LooseEnd(Trigger.LIMIT, subject, words, 1, 1, LooseEnd.NOBODY, by.at(), by.number(), List.of(),
        Optional.empty()));
  }

  /** Until a step that closes it is done after the treatment. */
  private void holdover() {
    Optional<WorkedOut.Protection> protection = entries.worked().protection();
    d.given().deIced().ifPresent(by -> protection.ifPresent(p -> {
      List<TagId> kinds = d.pack().tagKinds().stream().filter(k -> k.hangsOn() == Trigger.HOLDOVER)
          .map(TagKind::id).toList();
      List<Card.Item> closers = d.items().stream().filter(i -> i.step().closes().stream()
          .anyMatch(h -> kinds.contains(h.tag()))).toList();
      boolean closed = closers.stream().anyMatch(i -> d.marked(i) == Status.DONE
          && d.standsSince(i) > by.number());
      if (!closed) {
        ends.add(new LooseEnd(Trigger.HOLDOVER, "holdover", p.words(), 1, 1, by.by(), p.began(), by.number(),
            closers.stream().map(i -> i.step().id()).toList(), Optional.empty()));
      }
    }));
  }
}
