package neatlanyard.core.figures;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.figures.entry.CriticalFigure;

/**
 * What was worked out for a departure, as its record keeps it.
 *
 * @param tables edition of the type's figures; empty where there are none
 * @param texts SHA-256 of the texts it was worked out by, as they were brought in
 * @param figures the critical ones that have a value today
 * @param notHeld limits that do not hold
 * @param missing why nothing could be worked out, a sentence each; empty where it could
 * @param changed what was another the last time; empty the first time
 * @param thrust by which the speeds were; empty where no take-off was worked out, and in records of earlier versions
 * @param protection what the fluid is good for; empty where none was applied
 */
public record WorkedOut(
    String tables, List<String> texts, List<Figure> figures, List<Limit> notHeld, List<String> missing,
    Set<FigureInput> changed, Optional<Thrust> thrust, Optional<Protection> protection) {
  public static final WorkedOut NONE =
      new WorkedOut("", List.of(), List.of(), List.of(), List.of(), Set.of(), Optional.empty(), Optional.empty());

  public WorkedOut {
    texts = List.copyOf(texts);
    figures = List.copyOf(figures);
    notHeld = List.copyOf(notHeld);
    missing = List.copyOf(missing);
    Set<FigureInput> ordered = EnumSet.noneOf(FigureInput.class);
    ordered.addAll(changed);
    changed = Collections.unmodifiableSet(ordered);
  }

  /** @param value as it is entered */
  public record Figure(CriticalFigure figure, String value) {}

  /**
   * What the fluid on the wings is good for.
   *
   * @param began of the last application
   * @param least and {@code most}, empty where there is no time to count on
   * @param words such as "Holdover 24 to 41 min", or why there is no time
   */
  public record Protection(Instant began, Optional<Instant> least,
      Optional<Instant> most, String words) {}

  /**
   * What there is to compare entries with.
   *
   * @param texts SHA-256 of those it was worked out by
   * @param changed since the last time
   */
  public static WorkedOut of(DepartureFigures f, List<String> texts, Set<FigureInput> changed) {
    List<Figure> figures = new ArrayList<>();
    CriticalValues.of(f).forEach((figure, v) -> figures.add(new Figure(figure, v.entered())));
    return new WorkedOut(f.type().edition(), texts, figures, f.limits().stream().filter(l -> !l.held()).toList(),
        List.of(), changed, thrust(f), f.asked().deIced().flatMap(d -> f.holdover().map(h -> protection(d, h))));
  }

  private static Optional<Thrust> thrust(DepartureFigures f) {
    return f.chosen().flatMap(r -> r instanceof Takeoff.Result.Figures t
        ? Optional.of(t.figures().of().thrust()) : Optional.empty());
  }

  /** @param why a sentence each */
  public static WorkedOut none(List<String> why) {
    return new WorkedOut("", List.of(), List.of(), List.of(), why, Set.of(), Optional.empty(), Optional.empty());
  }

  private static Protection protection(Holdover.Applied applied, Holdover.Result result) {
    return switch (result) {
      case Holdover.Result.Until u -> new Protection(applied.lastBegan(), Optional.of(u.least()),
          Optional.of(u.most()), "Holdover %d to %d min".formatted(
          Duration.between(applied.lastBegan(), u.least()).toMinutes(),
          Duration.between(applied.lastBegan(), u.most()).toMinutes()));
      case Holdover.Result.NoEnd n ->
          new Protection(applied.lastBegan(), Optional.empty(), Optional.empty(), n.why());
      case Holdover.Result.None n ->
          new Protection(applied.lastBegan(), Optional.empty(), Optional.empty(), n.why());
    };
  }

  /** Empty where it has no value today. */
  public Optional<String> value(CriticalFigure figure) {
    return figures.stream().filter(f -> f.figure() == figure).map(Figure::value).findFirst();
  }

  /** Whether the same was worked out, whatever changed. */
  public boolean same(WorkedOut other) {
    return tables.equals(other.tables) && texts.equals(other.texts) && figures.equals(other.figures)
        && notHeld.equals(other.notHeld) && missing.equals(other.missing) && thrust.equals(other.thrust)
        && protection.equals(other.protection);
  }
}
