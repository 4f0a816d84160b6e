package neatlanyard.core.state;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.figures.Difference;
import neatlanyard.core.figures.FigureInput;
import neatlanyard.core.figures.WorkedOut;
import neatlanyard.core.figures.entry.Comparison;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.figures.entry.Recogniser;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import org.pcollections.HashTreePMap;
import org.pcollections.PMap;
import org.pcollections.PVector;
import org.pcollections.TreePVector;

/**
 * What two pilots entered, each alone, and what was worked out. A figure both entered alike, and as it was worked out,
 * is agreed and stays so until what it rests on gives another.
 */
public final class FigureEntries {
  public static final FigureEntries NONE =
      new FigureEntries(HashTreePMap.empty(), HashTreePMap.empty(), Optional.empty());

  private final PMap<CriticalFigure, OfFigure> all;
  private final PMap<CriticalFigure, PVector<Settled>> settled;
  private final Optional<Recorded<Event.FiguresWorked>> last;

  private FigureEntries(PMap<CriticalFigure, OfFigure> all, PMap<CriticalFigure, PVector<Settled>> settled,
      Optional<Recorded<Event.FiguresWorked>> last) {
    this.all = all;
    this.settled = settled;
    this.last = last;
  }

  /** A value that was agreed or taken. @param number of the entry from which on it counted */
  public record Settled(String value, long number) {}

  /** How a figure stands. */
  public enum Standing {
    /** Nobody has entered it. */
    OPEN,
    /** One has; it is covered until the other has too. */
    COVERED,
    /** Both have, and it cannot be taken as it stands. */
    DIFFERS,
    /** Both alike, and as it was worked out. */
    AGREED,
    /** The commander took it, with words. */
    TAKEN;

    public boolean settled() {
      return this == AGREED || this == TAKEN;
    }
  }

  /**
   * What is kept of one figure.
   *
   * @param entries of each pilot the last, in the order in which they came
   * @param taken by the commander, with words
   * @param again why it is to be entered anew; empty where it is not
   * @param told why it cannot be taken as it stands
   */
  public record OfFigure(
      List<Recorded<Event.FigureEntered>> entries, Optional<Recorded<Event.FigureTaken>> taken,
      Optional<StepNotes.Change> again, Optional<Recorded<Event.FigureDiffered>> told) {
    private static final OfFigure NONE =
        new OfFigure(List.of(), Optional.empty(), Optional.empty(), Optional.empty());

    public OfFigure {
      entries = List.copyOf(entries);
    }

    /** The two that count: the last of two people. */
    Optional<List<Recorded<Event.FigureEntered>>> both() {
      return entries.size() < 2 ? Optional.empty()
          : Optional.of(entries.subList(entries.size() - 2, entries.size()));
    }

    /** Number of the last entry made of it. */
    long last() {
      return entries.stream().mapToLong(Recorded::number).max().orElse(0);
    }
  }

  /** What was worked out last. */
  public WorkedOut worked() {
    return last.map(w -> w.event().worked()).orElse(WorkedOut.NONE);
  }

  /** When that was, and by which entry; empty before. */
  public Optional<Recorded<Event.FiguresWorked>> workedBy() {
    return last;
  }

  public OfFigure of(CriticalFigure figure) {
    OfFigure kept = all.get(figure);
    return kept == null ? OfFigure.NONE : kept;
  }

  public Standing standing(CriticalFigure figure) {
    OfFigure of = of(figure);
    if (of.taken.isPresent()) {
      return Standing.TAKEN;
    }
    return of.both().map(b -> verdict(figure, b).agreed() ? Standing.AGREED : Standing.DIFFERS)
        .orElse(of.entries.isEmpty() ? Standing.OPEN : Standing.COVERED);
  }

  private Comparison.Verdict verdict(CriticalFigure figure, List<Recorded<Event.FigureEntered>> both) {
    return Comparison.verdict(figure, both.getFirst().event().value(), both.getLast().event().value(),
        worked().value(figure));
  }

  /** Whether a figure has no value today: none is assumed where full thrust is used. */
  public boolean notToday(CriticalFigure figure) {
    return figure == CriticalFigure.ASSUMED_TEMPERATURE && worked().value(CriticalFigure.V1).isPresent()
        && worked().value(figure).isEmpty();
  }

  /** The figure that counts; empty unless it is agreed or taken. */
  public Optional<String> agreed(CriticalFigure figure) {
    OfFigure of = of(figure);
    return of.taken.map(t -> t.event().value()).or(() -> standing(figure) == Standing.AGREED
        ? Optional.of(of.entries.getLast().event().value()) : Optional.empty());
  }

  /**
   * The value that counted last at an entry of the log, or before it; one that is to be entered anew counts until it
   * is. Empty where there was none yet.
   */
  public Optional<Settled> settled(CriticalFigure figure, long number) {
    PVector<Settled> of = settled.get(figure);
    return of == null ? Optional.empty() : of.stream().filter(s -> s.number() <= number)
        .reduce((earlier, later) -> later);
  }

  /** Keeps a value that counts from an entry on, where another did before. */
  private FigureEntries settling(CriticalFigure figure, long number) {
    PVector<Settled> before = settled.getOrDefault(figure, TreePVector.empty());
    return agreed(figure)
        .filter(is -> before.isEmpty() || !Recogniser.agrees(figure, before.getLast().value(), is))
        .map(is -> new FigureEntries(all, settled.plus(figure, before.plus(new Settled(is, number))), last))
        .orElse(this);
  }

  /** Two entries that cannot be taken and of which nobody has been told why yet. */
  public Optional<List<Recorded<Event.FigureEntered>>> untold(CriticalFigure figure) {
    OfFigure of = of(figure);
    boolean told = of.told.filter(t -> t.number() > of.last()
        && t.number() > last.map(Recorded::number).orElse(0L)).isPresent();
    return standing(figure) == Standing.DIFFERS && !told ? of.both() : Optional.empty();
  }

  /** Why it cannot be taken; empty unless it differs. */
  public Optional<Difference> difference(CriticalFigure figure) {
    return standing(figure) != Standing.DIFFERS ? Optional.empty()
        : of(figure).told.filter(t -> t.number() > of(figure).last()).map(t -> t.event().difference());
  }

  /** Whether somebody has entered a figure or taken it. */
  public boolean saidBy(CrewId who, CriticalFigure figure) {
    OfFigure of = of(figure);
    return of.taken.filter(t -> t.by().equals(who)).isPresent()
        || of.entries.stream().anyMatch(e -> e.by().equals(who));
  }

  private FigureEntries with(CriticalFigure figure, OfFigure of) {
    return new FigureEntries(all.plus(figure, of), settled, last);
  }

  public FigureEntries entered(Event.FigureEntered e, Entry entry) {
    OfFigure of = of(e.figure());
    List<Recorded<Event.FigureEntered>> entries = new ArrayList<>(of.entries);
    entries.removeIf(x -> x.by().equals(entry.by()));
    entries.add(Recorded.happened(e, entry));
    return with(e.figure(), new OfFigure(entries, Optional.empty(), of.again, of.told))
        .settling(e.figure(), entry.number());
  }

  public FigureEntries differed(Event.FigureDiffered e, Entry entry) {
    OfFigure of = of(e.difference().figure());
    return with(e.difference().figure(),
        new OfFigure(of.entries, of.taken, of.again, Optional.of(Recorded.happened(e, entry))));
  }

  public FigureEntries taken(Event.FigureTaken e, Entry entry) {
    OfFigure of = of(e.figure());
    return with(e.figure(), new OfFigure(of.entries, Optional.of(Recorded.happened(e, entry)), of.again, of.told))
        .settling(e.figure(), entry.number());
  }

  /** Without what somebody said of a figure. What was taken in view of two entries falls with either of them. */
  public FigureEntries without(CriticalFigure figure, CrewId by, Entry entry) {
    OfFigure of = of(figure);
    return with(figure, new OfFigure(of.entries.stream().filter(e -> !e.by().equals(by)).toList(), Optional.empty(),
        of.again, of.told)).settling(figure, entry.number());
  }

  /**
   * After something was worked out anew. What gives another value than before is to be entered anew, unless what was
   * agreed is just that; all the rest stays.
   */
  public FigureEntries worked(Event.FiguresWorked e, Entry entry) {
    WorkedOut now = e.worked();
    WorkedOut before = worked();
    Map<CriticalFigure, OfFigure> changed = new EnumMap<>(CriticalFigure.class);
    all.forEach((figure, of) -> {
      Optional<String> is = now.value(figure);
      boolean another = is.isPresent()
          && before.value(figure).map(was -> !Recogniser.agrees(figure, is.get(), was))
          .orElse(standing(figure).settled());
      List<Recorded<Event.FigureEntered>> right = another ? of.entries.stream()
          .filter(x -> Recogniser.agrees(figure, is.orElse(""), x.event().value())).toList() : of.entries;
      boolean stays = right.size() == of.entries.size() && of.taken.isEmpty();
      if (another && !stays) {
        String words = why(figure, now);
        changed.put(figure, new OfFigure(List.of(), Optional.empty(),
            Optional.of(new StepNotes.Change(entry.number(), words)), Optional.empty()));
      }
    });
    FigureEntries next = new FigureEntries(all.plusAll(changed), settled, Optional.of(Recorded.happened(e, entry)));
    for (CriticalFigure figure : all.keySet()) {
      next = next.settling(figure, entry.number());
    }
    return next;
  }

  /** Says what changed, and not what came of it: it is to be entered without sight of that. */
  private static String why(CriticalFigure figure, WorkedOut now) {
    String changed = now.changed().stream().filter(FigureInput.of(figure)::contains).map(FigureInput::words)
        .collect(Collectors.joining(", "));
    return changed.isEmpty() ? "worked out anew" : "another now: " + changed;
  }

  /** The figures of which anything was said, or that are to be entered anew. */
  public Stream<CriticalFigure> touched() {
    return all.keySet().stream().sorted();
  }
}
