package neatlanyard.server.dispatch;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.dispatch.Imports;

/** What the interface is told of technical logs. */
public final class TechViews {
  private TechViews() {}

  /**
   * One line of the list of tails.
   *
   * @param runOut how many deferrals have run out
   * @param next the last day that comes first
   */
  public record TailLine(String tail, String type, int open, int deferred, int runOut, Optional<LocalDate> next) {}

  /** @param entries of the list in force, for deferring @param list its title and revision */
  public record TechLogView(
      String tail, String type, String list, boolean yours, List<DefectView> open, List<DefectView> deferred,
      List<DefectView> cleared,
      List<ListEntryView> entries) {}

  public record DefectView(
      String id, String what, String place, String raisedBy, Instant raisedAt, Optional<TermsView> terms,
      List<HappenedView> lines) {}

  /** @param left the days that are left today, in words @param latest the last day an extension may give */
  public record TermsView(
      String entry, String title, String category, int count, LocalDate lastDay, String left, boolean runOut,
      boolean mayBeExtended, LocalDate latest,
      String operating, String placard) {}

  public record HappenedView(Instant at, String by, String words) {}

  /**
   * An entry to defer under.
   *
   * @param days it may wait, from the day after it was found
   * @param most how many may be out
   */
  public record ListEntryView(String id, String title, String category, int days, int most) {}

  /** @param kind raised, deferred, extended or cleared */
  public record ActForm(
      String kind, Optional<String> defect, Optional<String> entry, Optional<Integer> count,
      Optional<LocalDate> lastDay, Optional<String> words) {}

  /**
   * Where what was measured or read of a tail is going, what meets its limit first before all others.
   *
   * @param rows how many checks or readings there are
   */
  public record TrendsView(String tail, int rows, List<TrendView> trends) {}

  /**
   * One number over months.
   *
   * @param of the surface, the pair or the quantity
   * @param what of it was measured; empty where its name says so
   * @param limit that it goes to; nothing where there is none
   * @param atLeast whether the limit is the least, and not the most
   * @param line the straight line since the last change, at its first number and at the last; empty where it keeps
   * @param weeks until the line meets the limit
   * @param prudentWeeks until the next number could lie beyond it
   */
  public record TrendView(
      String of, String what, String unit, Optional<Double> limit, boolean atLeast, double aWeek,
      Optional<Integer> weeks, Optional<Integer> prudentWeeks, boolean worsens, List<Instant> changes,
      List<TrendPointView> points, List<TrendPointView> line, String words) {}

  public record TrendPointView(Instant at, double value) {}

  public record BroughtInView(String what) {}

  /** A file that was brought in. @param what "lines of technical logs" or "earlier readings" @param by whose name */
  public record ImportView(int number, String what, String by, Instant at, List<String> tails, int rows,
      Imports.Standing standing) {}
}
