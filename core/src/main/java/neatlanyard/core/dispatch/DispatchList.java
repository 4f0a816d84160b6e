package neatlanyard.core.dispatch;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.StepId;

/**
 * What may be inoperative or missing on a type, and on what terms. What is not in it must work.
 *
 * @param notTogether entries that are allowed alone but not with one another
 */
public record DispatchList(TypeId type, String title, String revision, List<Entry> entries,
    List<NotTogether> notTogether) {
  public DispatchList {
    entries = List.copyOf(entries);
    notTogether = List.copyOf(notTogether);
  }

  /** A type without a list: everything must work. */
  public static DispatchList none(TypeId type) {
    return new DispatchList(type, "no list", "", List.of(), List.of());
  }

  /**
   * One entry.
   *
   * @param days for category A, the calendar days it states
   * @param installed how many there are
   * @param required how many must work
   * @param operating what the crew does; empty for nothing
   * @param maintenance what maintenance does before the flight; empty for nothing
   * @param when under what conditions the flight may be made
   * @param belowFt the highest level that may be flown, in feet
   * @param placard what is put up and where; empty for nothing
   * @param steps steps at which it is found
   * @param adds what the crew looks at additionally while it is open
   */
  public record Entry(
      EntryId id, String title, Category category, int days, int installed, int required, String operating,
      String maintenance, Condition when, OptionalInt belowFt, String placard, List<StepId> steps, List<Extra> adds) {
    public Entry {
      steps = List.copyOf(steps);
      adds = List.copyOf(adds);
    }

    /** The last day on which it may still be so. @param zone the operator's */
    public LocalDate lastDay(Instant discovered, ZoneId zone) {
      return category.lastDay(days, discovered, zone);
    }

    /** How many may be out. */
    public int mayBeOut() {
      return installed - required;
    }

    /** Number and title. */
    public String words() {
      return "%s %s".formatted(id, title);
    }
  }

  /**
   * A step that an open deferral puts on the card.
   *
   * @param in the procedure it joins, after the other steps of its place
   */
  public record Extra(StepId id, ProcedureId in, PlaceId at, String challenge, String response) {}

  /** Two entries, and why not both. */
  public record NotTogether(EntryId one, EntryId other, String why) {
    boolean of(EntryId a, EntryId b) {
      return one.equals(a) && other.equals(b) || one.equals(b) && other.equals(a);
    }
  }

  /** Title and revision. */
  public String words() {
    return revision.isEmpty() ? title : "%s, revision %s".formatted(title, revision);
  }

  public Optional<Entry> entry(EntryId id) {
    return entries.stream().filter(e -> e.id().equals(id)).findFirst();
  }

  /** The entries a find at this step may be. */
  public List<Entry> at(StepId step) {
    return entries.stream().filter(e -> e.steps().contains(step)).toList();
  }
}
