package neatlanyard.core.lanyard;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.dispatch.Deferral;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.flow.DayValues;
import neatlanyard.core.flow.Gates;
import neatlanyard.core.flow.Waiting;
import neatlanyard.core.flow.Waits;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagKind;
import neatlanyard.core.sop.TagKind.Trigger;
import neatlanyard.core.state.BriefingNotes;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Find;
import neatlanyard.core.state.Mark;
import neatlanyard.core.state.Recorded;
import neatlanyard.core.state.Status;

/** What a departure has left open besides the openings of its steps. */
final class LooseEnds {
  private LooseEnds() {}

  /** See {@link Cord#tags}. */
  static List<LooseEnd> of(DepartureState d, List<Waiting> running, Set<StepId> untrue) {
    List<LooseEnd> ends = new ArrayList<>();
    for (Find f : d.finds()) {
      Optional<Find.Decision> decision = f.decision();
      if (decision.isEmpty()) {
        ends.add(end(Trigger.FIND, f.id().toString(), f.note(), f.by(), f.at(), f.number(), List.of(f.step())));
      } else if (!decision.get().verdict().mayGo() && d.tech().settled(f.id()).isEmpty()) {
        Find.Decision v = decision.get();
        String detail = "%s: %s".formatted(v.verdict().words(), f.note());
        ends.add(end(Trigger.STANDING_VERDICT, f.id().toString(), detail, v.by(), v.at(), v.number(),
            List.of(f.step())));
      }
    }
    for (Deferral deferral : d.tech().deferrals()) {
      if (!deferral.bars().isEmpty()) {
        ends.add(end(Trigger.DEFERRAL, deferral.defect().toString(),
            "%s: %s".formatted(deferral.words(), deferral.bars()),
            LooseEnd.NOBODY, Instant.EPOCH, 0, List.of()));
      }
    }
    d.log().filter(l -> !l.event().tail().equals(d.opened().tail().id())).ifPresent(l -> ends.add(end(
        Trigger.OTHER_LOG, "log", "%s, this is %s".formatted(l.event().tail(), d.opened().tail().id()), l.by(),
        l.at(), l.number(), List.of())));
    for (Card.Item item : d.items()) {
      StepId step = item.step().id();
      if (d.marked(item) == Status.LATER) {
        // What a checklist holds is due with it.
        Optional<Stage> due = item.procedure().kind() == Procedure.Kind.CHECKLIST
            ? Optional.of(item.procedure().stage()) : Optional.empty();
        d.marks(step).stream().filter(m -> m.outcome() == Mark.Outcome.LATER).findFirst()
            .ifPresent(m -> ends.add(new LooseEnd(
            Trigger.LOOK_AGAIN, step.value(), "%s, %s".formatted(item.step().challenge(), m.words()), 1, 1, m.by(),
            m.at(), m.number(), List.of(step), due)));
      }
      if (d.disagreed(step)) {
        d.marks(step).stream()
            .max(Comparator.comparing(Mark::number))
            .ifPresent(m -> ends.add(
                end(Trigger.DISAGREEMENT, step.value(), item.step().challenge(), m.by(), m.at(), m.number(),
                List.of(step))));
      }
    }
    for (Card.Part part : d.parts()) {
      d.stop(part.procedure().id()).ifPresent(s -> {
        List<Card.Item> open = part.items().stream().filter(i -> !d.marked(i).settled()).toList();
        String at = open.isEmpty() ? "at its end" : "at " + open.getFirst().step().challenge();
        ends.add(new LooseEnd(
            Trigger.STOPPED_CHECKLIST, part.procedure().id().value(), "%s, %s".formatted(part.procedure().title(), at),
            open.size(), part.items().size(), s.by(), s.at(), s.number(), ids(open), Optional.empty()));
      });
    }
    ends.addAll(waits(d, running));
    ends.addAll(overrides(d, running));
    ends.addAll(FigureEnds.of(d));
    ends.addAll(TaxiEnds.of(d));
    briefing(d, untrue).ifPresent(ends::add);
    d.hung().forEach(h -> ends.add(new LooseEnd(
        Trigger.BY_HAND, h.event().tag().toString(), h.event().words(), 1, 1, h.by(), h.at(), h.number(), List.of(),
        Optional.of(h.event().due()))));
    d.interruptions().stream().filter(i -> i.to().isEmpty()).forEach(i -> ends.add(
        end(Trigger.INTERRUPTED, i.by().value(), "", i.by(), i.from(), i.number(), List.of())));
    d.controls().filter(c -> !c.event().judgement().passed()).ifPresent(c -> ends.add(
        end(Trigger.CONTROLS, "controls", c.event().judgement().summary(), c.by(), c.at(), c.number(), List.of())));
    ControlsAgain.of(d).ifPresent(again -> ends.add(end(Trigger.CONTROLS, "controls", again.words(),
        again.since().by(), again.since().at(), again.since().number(), List.of())));
    return ends;
  }

  /** One for all lines, since the first of them was read. */
  private static Optional<LooseEnd> briefing(DepartureState d, Set<StepId> untrue) {
    List<Card.Item> lines = d.items().stream().filter(i -> untrue.contains(i.step().id())).toList();
    return lines.stream().flatMap(i -> d.briefing().read(i.step().id()).stream())
        .min(Comparator.comparing(BriefingNotes.Read::number)).map(first -> new LooseEnd(Trigger.BRIEFING, "briefing",
        "Brief again: %s".formatted(lines.stream().map(i -> i.step().challenge()).collect(Collectors.joining(", "))),
        lines.size(), lines.size(), first.by(), first.at(), first.number(), ids(lines), Optional.empty()));
  }

  /** Due by the end of the stage in which something waits for it. */
  private static List<LooseEnd> waits(DepartureState d, List<Waiting> running) {
    return running.stream().map(w -> new LooseEnd(
        Trigger.WAIT, w.item().step().id().value(), w.words(), 1, 1, w.by(), w.since(), w.number(), List.of(),
        Waits.after(d, w).stream().map(i -> i.procedure().stage()).min(Comparator.naturalOrder()))).toList();
  }

  /** As long as what they went past is still so; one for each step, whatever its words were for. */
  private static List<LooseEnd> overrides(DepartureState d, List<Waiting> running) {
    List<LooseEnd> ends = new ArrayList<>();
    for (Card.Item item : d.items()) {
      d.notes(item.step().id()).override().filter(o -> d.marked(item) == Status.DONE).ifPresent(o -> {
        List<Card.Item> open = Gates.of(d, item).stream()
            .filter(g -> g.until().isEmpty() || running.stream()
            .anyMatch(w -> g.before().filter(w.item()::equals).isPresent()))
            .flatMap(g -> g.before().stream()).toList();
        Stream<String> differs = DayValues.differing(d, item).stream()
            .map(said -> ": " + DayValues.against(said, DayValues.of(d, item).orElseThrow()));
        Stream<String> before = open.stream().limit(1).map(i -> " before " + i.step().challenge());
        List<String> past = Stream.concat(differs, before).toList();
        if (!past.isEmpty()) {
          ends.add(override(d, item, o,
              "%s%s: %s".formatted(item.step().challenge(), String.join(",", past), o.event().words())));
        }
      });
    }
    return ends;
  }

  /**
   * Due as its kind says, and never before the stage it was said in: words just said do not close what they opened.
   */
  private static LooseEnd override(DepartureState d, Card.Item item, Recorded<Event.Overridden> o, String detail) {
    Stage here = item.procedure().stage();
    Optional<Stage> due = d.pack().tagKinds().stream().filter(k -> k.hangsOn() == Trigger.OVERRIDE).map(TagKind::due)
        .filter(k -> k.compareTo(here) < 0).findFirst().map(k -> here);
    return new LooseEnd(Trigger.OVERRIDE, item.step().id().value(), detail, 1, 1, o.by(), o.at(), o.number(),
        List.of(), due);
  }

  private static LooseEnd end(
      Trigger trigger, String subject, String detail, CrewId by, Instant since, long number, List<StepId> steps) {
    return new LooseEnd(trigger, subject, detail, 1, 1, by, since, number, steps, Optional.empty());
  }

  private static List<StepId> ids(List<Card.Item> items) {
    return items.stream().map(i -> i.step().id()).toList();
  }
}
