package neatlanyard.core.dispatch;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import neatlanyard.core.dispatch.DispatchList.Entry;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.Policy;
import neatlanyard.core.sop.Situation;
import neatlanyard.core.sop.StepId;

/**
 * The case for a verdict: what the list says of a find, with the reasons. The commander takes it or a stricter one.
 *
 * @param verdict the mildest that the list supports
 * @param entry the entry it rests on
 * @param because why, one reason a sentence
 * @param lastDay until when, for a flight with an entry
 * @param todo what is done, by whom and what is put up, one line each
 * @param list title and revision of the list
 */
public record DispatchCase(
    Verdict verdict, Optional<EntryId> entry, List<String> because, Optional<LocalDate> lastDay, List<String> todo,
    String list) {
  public DispatchCase {
    because = List.copyOf(because);
    todo = List.copyOf(todo);
  }

  /**
   * What was found.
   *
   * @param entry the entry its finder names
   * @param counted whether only one kind of thing can be missing there, so that the one entry of the step is it
   * @param count how many
   * @param critical whether missing that step can hurt somebody
   */
  public record FindFacts(StepId step, Optional<EntryId> entry, int count, Severity severity, boolean critical,
      boolean counted) {}

  /** What the list says of a find. @param open what is deferred on this tail already @param zone the operator's */
  public static DispatchCase of(
      FindFacts found, DispatchList list, Policy policy, Situation now, List<Deferral> open, Instant at, ZoneId zone) {
    String named = list.words();
    if (found.severity() == Severity.DANGER) {
      return plain(Verdict.STOPS_THE_FLIGHT, "Its finder says it is not to be flown like this.", named);
    }
    if (found.severity() == Severity.MARK && found.entry().isEmpty()) {
      return found.critical()
          ? plain(Verdict.MAINTENANCE_FIRST,
          "A mark, but at a place where a fault can hurt somebody: maintenance looks at it.", named)
          : plain(Verdict.NOTHING_TO_ENTER, "A mark: nothing missing, nothing loose.", named);
    }
    List<Entry> candidates = list.at(found.step());
    Optional<Entry> entry = found.entry().flatMap(list::entry)
        .or(() -> found.counted() && candidates.size() == 1 ? Optional.of(candidates.getFirst()) : Optional.empty());
    if (entry.isEmpty()) {
      return plain(
          Verdict.MAINTENANCE_FIRST,
          candidates.isEmpty()
              ? "The list has no entry for it, and what is not in the list must work."
              : "None of the list's entries for this place was named: %s.".formatted(
                  candidates.stream().map(Entry::words).collect(Collectors.joining("; "))),
          named);
    }
    return byEntry(entry.get(), found, list, policy, now, open, named, entry.get().lastDay(at, zone));
  }

  private static DispatchCase byEntry(
      Entry e, FindFacts found, DispatchList list, Policy policy, Situation now, List<Deferral> open, String named,
      LocalDate lastDay) {
    List<String> because = new ArrayList<>();
    List<String> against = new ArrayList<>();
    int before = open.stream().filter(d -> d.entry().equals(e.id())).mapToInt(Deferral::count).sum();
    int left = e.installed() - before - found.count();
    String counted = "%s: %d installed, %d must work; %d out%s leaves %d.".formatted(
        e.words(), e.installed(), e.required(), found.count(), before > 0
        ? " and %d deferred before".formatted(before) : "", Math.max(0, left));
    (left < e.required() ? against : because).add(counted);
    Condition.Answer answer = e.when().ask(policy, now);
    if (!(e.when() instanceof Condition.Always)) {
      String condition = "%s asks for: %s. Today: %s.".formatted(e.id(), e.when().words(), answer.words());
      (answer.holds() ? because : against).add(condition);
    }
    against.addAll(together(e.id(), list, open));
    List<String> todo = todo(e);
    if (!against.isEmpty()) {
      return new DispatchCase(Verdict.MAINTENANCE_FIRST, Optional.of(e.id()), against, Optional.empty(), List.of(),
          named);
    }
    because.add("Category %s: until the end of %s, the day of discovery not counted.".formatted(e.category(),
        lastDay));
    if (!e.maintenance().isEmpty()) {
      because.add("The entry wants maintenance before the flight; then it may go with the entry.");
      return new DispatchCase(Verdict.MAINTENANCE_FIRST, Optional.of(e.id()), because, Optional.of(lastDay), todo,
          named);
    }
    return new DispatchCase(Verdict.FLY_WITH_ENTRY, Optional.of(e.id()), because, Optional.of(lastDay), todo, named);
  }

  private static List<String> together(EntryId id, DispatchList list, List<Deferral> open) {
    return open.stream()
        .flatMap(d -> list.notTogether().stream().filter(n -> n.of(id, d.entry()))
            .map(n -> "%s is not allowed together with %s, which is deferred: %s.".formatted(id, d.words(), n.why())))
        .toList();
  }

  private static List<String> todo(Entry e) {
    List<String> todo = new ArrayList<>();
    if (!e.operating().isEmpty()) {
      todo.add("Crew: " + e.operating());
    }
    if (!e.maintenance().isEmpty()) {
      todo.add("Maintenance: " + e.maintenance());
    }
    e.belowFt().ifPresent(ft -> todo.add("Not above %s.".formatted(neatlanyard.core.units.Unit.FT.words(ft))));
    if (!e.placard().isEmpty()) {
      todo.add("Placard: " + e.placard());
    }
    return todo;
  }

  private static DispatchCase plain(Verdict verdict, String because, String list) {
    return new DispatchCase(verdict, Optional.empty(), List.of(because), Optional.empty(), List.of(), list);
  }

  /**
   * What is deferred, each with what bars a departure with it in this situation: it has run out, its conditions do not
   * hold, too many are out, or two are not allowed together.
   *
   * @param now empty before the day is known; then conditions are not asked
   * @param departs when the flight leaves
   */
  public static List<Deferral> standing(
      DispatchList list, Policy policy, Optional<Situation> now, List<Deferral> open, Instant departs) {
    List<Deferral> judged = new ArrayList<>();
    for (Deferral d : open) {
      List<String> bars = new ArrayList<>();
      if (d.runOut(departs)) {
        bars.add("It ran out at the end of %s".formatted(d.lastDay()));
      }
      Optional<Entry> entry = list.entry(d.entry());
      if (entry.isEmpty()) {
        bars.add("The list in force has no entry %s any more".formatted(d.entry()));
      }
      entry.filter(e -> now.filter(n -> !e.when().ask(policy, n).holds()).isPresent()).ifPresent(e -> bars.add(
          "%s asks for: %s; today: %s".formatted(e.id(), e.when().words(), e.when().ask(policy, now.orElseThrow())
          .words())));
      entry.filter(e -> e.installed() - open.stream().filter(o -> o.entry().equals(e.id())).mapToInt(Deferral::count)
          .sum() < e.required())
          .ifPresent(e -> bars.add("fewer than %d of %d work".formatted(e.required(), e.installed())));
      open.stream().filter(o -> !o.defect().equals(d.defect()))
          .flatMap(o -> list.notTogether().stream().filter(n -> n.of(d.entry(), o.entry()))
          .map(n -> "not together with %s: %s".formatted(o.words(), n.why())))
          .forEach(bars::add);
      judged.add(d.barred(String.join("; ", bars)));
    }
    return judged;
  }
}
