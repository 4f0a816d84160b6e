package neatlanyard.core.sop;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Seat;

/** What differs between two revisions of a pack, in words. */
public final class Changes {
  private record At(Procedure procedure, Step step, Optional<StepId> after) {}

  private final Pack before;
  private final Pack after;

  private Changes(Pack before, Pack after) {
    this.before = before;
    this.after = after;
  }

  /**
   * Every difference: the pack as a whole first, then steps in the order of the later revision, then those taken out.
   */
  public static List<Change> between(Pack before, Pack after) {
    Changes changes = new Changes(before, after);
    return Stream.concat(changes.ofThePack(), changes.ofSteps()).toList();
  }

  private static Map<StepId, At> steps(Pack pack) {
    Map<StepId, At> steps = new LinkedHashMap<>();
    for (Procedure procedure : pack.procedures()) {
      Optional<StepId> last = Optional.empty();
      for (Step step : procedure.steps()) {
        steps.put(step.id(), new At(procedure, step, last));
        last = Optional.of(step.id());
      }
    }
    return steps;
  }

  private Stream<Change> ofSteps() {
    Map<StepId, At> was = steps(before);
    Map<StepId, At> is = steps(after);
    Set<StepId> moved = moved(was, is);
    List<Change> changes = new ArrayList<>();
    is.forEach((id, now) -> {
      At then = was.get(id);
      if (then == null) {
        changes.add(change(Change.Kind.ADDED, after, now,
            List.of("New: %s. %s.".formatted(now.step.response(), applies(now.step)))));
      } else {
        List<String> words = words(then, now);
        if (moved.contains(id)) {
          words.add(now.after.map(a -> "Now comes after %s.".formatted(title(after, a)))
              .orElse("Now comes first in %s.".formatted(now.procedure.title())));
        }
        if (!words.isEmpty()) {
          Change c = change(Change.Kind.CHANGED, after, now, words);
          Set<Seat> seats = new HashSet<>(c.seats());
          seats.addAll(seats(before, then.step));
          changes.add(new Change(c.kind(), c.step(), c.where(), words, seats,
              List.of(then.step.when(), now.step.when())));
        }
      }
    });
    was.forEach((id, then) -> {
      if (!is.containsKey(id)) {
        changes.add(change(Change.Kind.REMOVED, before, then,
            List.of("Taken out. It was: %s.".formatted(then.step.response()))));
      }
    });
    return changes.stream();
  }

  private static Change change(Change.Kind kind, Pack pack, At at, List<String> words) {
    return new Change(kind, Optional.of(at.step.id()), "%s, %s".formatted(at.procedure.title(), at.step.challenge()),
        words,
        seats(pack, at.step), List.of(at.step.when()));
  }

  private static Set<Seat> seats(Pack pack, Step step) {
    Place place = pack.place(step.place()).orElse(new Place(step.place(), "", 0, 0, 0, 0, Seat.LEFT, false));
    // What is the engineer's is the pilot monitoring's on a flight without one.
    Stream<Owner> owners = step.owner() == Owner.ENGINEER ? Stream.of(Owner.ENGINEER, Owner.MONITORING)
        : Stream.of(step.owner());
    return owners.flatMap(o -> Seat.pilots().stream()
        .flatMap(flying -> o.answering(flying, pack.policy(), place).seats().stream()))
        .collect(Collectors.toSet());
  }

  private static String applies(Step step) {
    return step.when() instanceof Condition.Always ? "It applies always" : "It applies when: " + step.when().words();
  }

  private static String title(Pack pack, StepId id) {
    return pack.step(id).map(Step::challenge).orElse(id.value());
  }

  /**
   * The fewest steps that must be taken out of the order so that the rest stand in the same order as before: those
   * outside a longest increasing subsequence (Fredman 1975), so that one step moved up is one change, not hundreds.
   */
  private static Set<StepId> moved(Map<StepId, At> was, Map<StepId, At> is) {
    Set<StepId> moved = new HashSet<>();
    Map<StepId, Integer> position = new HashMap<>();
    was.keySet().forEach(id -> position.put(id, position.size()));
    Map<ProcedureId, List<StepId>> byProcedure = new LinkedHashMap<>();
    is.forEach((id, at) -> {
      At then = was.get(id);
      if (then != null && then.procedure.id().equals(at.procedure.id())) {
        byProcedure.computeIfAbsent(at.procedure.id(), p -> new ArrayList<>()).add(id);
      }
    });
    byProcedure.values().forEach(ids -> {
      Set<StepId> kept = increasing(ids, position);
      ids.stream().filter(id -> !kept.contains(id)).forEach(moved::add);
    });
    return moved;
  }

  private static Set<StepId> increasing(List<StepId> ids, Map<StepId, Integer> position) {
    int[] tails = new int[ids.size()];
    int[] before = new int[ids.size()];
    int length = 0;
    for (int i = 0; i < ids.size(); i++) {
      int value = Objects.requireNonNull(position.get(ids.get(i)));
      int low = 0;
      int high = length;
      while (low < high) {
        int middle = (low + high) >>> 1;
        if (Objects.requireNonNull(position.get(ids.get(tails[middle]))) < value) {
          low = middle + 1;
        } else {
          high = middle;
        }
      }
      before[i] = low == 0 ? -1 : tails[low - 1];
      tails[low] = i;
      length = Math.max(length, low + 1);
    }
    Set<StepId> kept = new HashSet<>();
    for (int i = length == 0 ? -1 : tails[length - 1]; i >= 0; i = before[i]) {
      kept.add(ids.get(i));
    }
    return kept;
  }

  private List<String> words(At then, At now) {
    List<String> words = new ArrayList<>();
    Step a = then.step;
    Step b = now.step;
    if (!then.procedure.id().equals(now.procedure.id())) {
      words.add("Moved from %s to %s.".formatted(then.procedure.title(), now.procedure.title()));
    }
    said(words, "Challenge", a.challenge(), b.challenge());
    said(words, "Response", a.response(), b.response());
    said(words, "Owner", a.owner().words(), b.owner().words());
    said(words, "Applies", a.when().words(), b.when().words());
    said(words, "Place", place(before, a), place(after, b));
    said(words, "Caution", a.caution(), b.caution());
    said(words, "Sets", states(before, a.sets()), states(after, b.sets()));
    said(words, "Expects", states(before, a.expects()), states(after, b.expects()));
    said(words, "Verifies", states(before, a.verifies()), states(after, b.verifies()));
    said(words, "Needs", titles(before, a.needs()), titles(after, b.needs()));
    said(words, "Opens", hooks(a.opens()), hooks(b.opens()));
    said(words, "Closes", hooks(a.closes()), hooks(b.closes()));
    said(words, "Starts a wait", a.waits().map(Wait::words).orElse(""), b.waits().map(Wait::words).orElse(""));
    said(words, "Comes after the wait of", titles(before, a.afterWait()), titles(after, b.afterWait()));
    said(words, "Measured", measure(a), measure(b));
    said(words, "Entered by each alone", entered(a), entered(b));
    said(words, "Only", only(a), only(b));
    said(words, "Said in the briefing", briefed(a), briefed(b));
    said(words, "In turn", turns(a), turns(b));
    said(words, "Value of today", value(before, a), value(after, b));
    said(words, "Course", course(a), course(b));
    said(words, "Messages", messages(a), messages(b));
    said(words, "Why", a.why(), b.why());
    said(words, "Drawings", a.looks().words(), b.looks().words());
    said(words, "Number", number(a), number(b));
    said(words, "Changes a trim", yes(a.changesTrim()), yes(b.changesTrim()));
    said(words, "Tests the lights", yes(a.testsLights()), yes(b.testsLights()));
    said(words, "Never while fuelling", yes(a.notWhileFuelling()), yes(b.notWhileFuelling()));
    said(words, "Critical", yes(a.critical()), yes(b.critical()));
    said(words, "Caught by alerting", yes(a.alerted()), yes(b.alerted()));
    said(words, "Below the line", yes(a.belowLine()), yes(b.belowLine()));
    return words;
  }

  private static void said(List<String> words, String what, String was, String is) {
    if (!was.equals(is)) {
      words.add(was.isEmpty() ? "%s, new: \"%s\".".formatted(what, is)
          : is.isEmpty() ? "%s taken out; it was: \"%s\".".formatted(what, was)
          : "%s: was \"%s\", now \"%s\".".formatted(what, was, is));
    }
  }

  private static String entered(Step s) {
    return s.enters().stream().map(CriticalFigure::words).collect(Collectors.joining(", "));
  }

  private static String only(Step s) {
    return s.only().stream().map(o -> "%s %s, %s, as %s".formatted(o.figure().words(), String.join(" or ", o.values()),
        o.when().words(), o.because())).collect(Collectors.joining("; "));
  }

  private static String briefed(Step s) {
    return s.says().map(Wording::toString).orElse("");
  }

  private static String yes(boolean so) {
    return so ? "yes" : "no";
  }

  private static String place(Pack pack, Step step) {
    return pack.place(step.place()).map(Place::name).orElse(step.place().value());
  }

  private static String states(Pack pack, List<State> states) {
    return states.stream().map(pack::words).collect(Collectors.joining(", "));
  }

  private static String titles(Pack pack, List<StepId> ids) {
    return ids.stream().map(id -> title(pack, id)).collect(Collectors.joining(", "));
  }

  private static String hooks(List<Step.Hook> hooks) {
    return hooks.stream().map(h -> "%s (%s)".formatted(h.tag(), String.join(", ", h.items())))
        .collect(Collectors.joining("; "));
  }

  private static String measure(Step s) {
    return s.measures().map(m -> "%s %s".formatted(m.quantity().name(), m.words()).strip()).orElse("");
  }

  private static String value(Pack pack, Step s) {
    return s.value().map(v -> switch (v.source()) {
      case DayValue.Source.Figure f -> f.plus() == 0 ? f.figure().words()
          : "%s %+d".formatted(f.figure().words(), f.plus());
      case DayValue.Source.Position p -> pack.name(p.point());
      case DayValue.Source.Agreed a -> "the %s both agreed".formatted(a.figures().stream()
          .map(CriticalFigure::words).collect(Collectors.joining(", ")));
      case DayValue.Source.Turn t -> "the one whose turn it is";
    } + (v.back() ? ", asked back" : "")).orElse("");
  }

  private static String messages(Step s) {
    return s.messages().stream().map(m -> "%s, %s".formatted(m.shows(), m.words())).collect(Collectors.joining("; "));
  }

  private static String number(Step s) {
    return s.number().isEmpty() ? "" : Integer.toString(s.number().getAsInt());
  }

  private static String course(Step s) {
    return s.course().stream().map(b -> "%s: %s".formatted(b.act(), b.see())).collect(Collectors.joining("; "));
  }

  private static String turns(Step s) {
    return s.alternates().map(a -> String.join(", ", a.choices())).orElse("");
  }

  private Stream<Change> ofThePack() {
    List<Change> changes = new ArrayList<>();
    for (Matter matter : Matter.values()) {
      School was = before.policy().of(matter);
      School is = after.policy().of(matter);
      if (was != is) {
        pack(changes, matter.words(), "Was: %s. Now: %s.".formatted(was.words(), is.words()));
      }
    }
    listed(changes, "Tails", before.tails(), after.tails(), t -> t.id().value());
    listed(changes, "Sub-types", before.subTypes(), after.subTypes(), s -> s.name());
    listed(changes, "Stations and panels", before.places(), after.places(), Place::name);
    listed(changes, "Controls and indications", before.points(), after.points(), Point::name);
    listed(changes, "Tags", before.tags(), after.tags(), TagKind::title);
    listed(changes, "Quantities", before.quantities(), after.quantities(), Quantity::name);
    listed(changes, "Procedures", before.procedures(), after.procedures(), p ->
        "%s (%s, leaves %s%s)".formatted(p.title(), p.stage().title(), p.leaves(),
        p.takes().map(t -> ", takes %d s".formatted(t.toSeconds())).orElse("")
        + p.monitoringDone().map(t -> ", the pilot monitoring is done %d min before".formatted(t.toMinutes()))
        .orElse("")));
    listed(changes, "Waivers", before.waivers(), after.waivers(), w -> "%s at %s".formatted(w.rule(), w.at()));
    if (!before.due().equals(after.due())) {
      pack(changes, "Times", "The minutes by which stages should be finished are different.");
    }
    if (!before.takeoff().equals(after.takeoff())) {
      pack(changes, "Take-off configuration",
          "Was: %s. Now: %s.".formatted(states(before, before.takeoff()), states(after, after.takeoff())));
    }
    if (!before.flightControls().equals(after.flightControls())) {
      pack(changes, "Flight control check", "Its limits are different.");
    }
    if (!before.planform().equals(after.planform())) {
      pack(changes, "Drawing", "The aircraft from above is drawn differently.");
    }
    return changes.stream();
  }

  private static void pack(List<Change> changes, String where, String words) {
    changes.add(new Change(Change.Kind.PACK, Optional.empty(), where, List.of(words), Set.of(), List.of()));
  }

  /**
   * Things of a list that came, went or changed, by name. Steps are said one by one, so a procedure is only its head.
   */
  private static <T> void listed(List<Change> changes, String where, List<T> was, List<T> is,
      Function<T, String> name) {
    List<String> came = is.stream()
        .filter(x -> x instanceof Procedure ? !names(was, name).contains(name.apply(x)) : !was.contains(x)).map(name)
        .toList();
    List<String> went = was.stream()
        .filter(x -> x instanceof Procedure ? !names(is, name).contains(name.apply(x)) : !is.contains(x)).map(name)
        .toList();
    List<String> words = new ArrayList<>();
    came.stream().filter(c -> !went.contains(c)).forEach(c -> words.add("New: %s.".formatted(c)));
    came.stream().filter(went::contains).forEach(c -> words.add("Different: %s.".formatted(c)));
    went.stream().filter(w -> !came.contains(w)).forEach(w -> words.add("Taken out: %s.".formatted(w)));
    if (!words.isEmpty()) {
      changes.add(new Change(Change.Kind.PACK, Optional.empty(), where, words, Set.of(), List.of()));
    }
  }

  private static <T> Set<String> names(List<T> of, Function<T, String> name) {
    return of.stream().map(name).collect(Collectors.toSet());
  }
}
