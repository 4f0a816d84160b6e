package neatlanyard.core.briefing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.briefing.Line.Kind;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.Wording.Part;
import neatlanyard.core.state.BriefingNotes;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Status;
import neatlanyard.core.state.StepNotes.Change;
import neatlanyard.core.units.Words;

/** Today's briefing, put together from the pack's words and what today gives them. */
public final class Briefing {
  private Briefing() {}

  /** Whether a step is a line of the briefing. */
  public static boolean isLine(Item item) {
    return item.procedure().kind() == Procedure.Kind.BRIEFING;
  }

  /** Its lines: what differs first, then what has figures, then the usual; each in the order of the card. */
  public static List<Line> of(DepartureState d) {
    TodaysWords today = new TodaysWords(d);
    return d.items().stream().filter(Briefing::isLine).map(i -> line(d, today, i))
        .sorted(Comparator.comparing(Line::kind)).toList();
  }

  /** Whether two states of a departure, one made from the other, give it the same to speak of. */
  public static boolean same(DepartureState a, DepartureState b) {
    return a.card().equals(b.card()) && a.entries() == b.entries() && a.given() == b.given() && a.facts() == b.facts()
        && a.tech() == b.tech() && a.briefing() == b.briefing();
  }

  /** What a line says of itself today, whatever the crew has written in its place. */
  public static String composed(DepartureState d, Item item) {
    return composed(new TodaysWords(d), item).words;
  }

  private record Composed(String words, Set<String> from, List<String> missing, boolean differs, boolean today) {}

  private static Composed composed(TodaysWords today, Item item) {
    if (item.step().says().isEmpty()) {
      return new Composed(item.step().response(), Set.of(), List.of(), false, false);
    }
    StringBuilder words = new StringBuilder();
    Set<String> from = new LinkedHashSet<>();
    List<String> missing = new ArrayList<>();
    boolean differs = false;
    boolean figures = false;
    for (Part part : item.step().says().get().parts()) {
      switch (part) {
        case Part.Plain p -> words.append(p.words());
        case Part.Today t -> {
          TodaysWords.Said said = today.of(t);
          differs |= said.differs();
          figures |= !TodaysWords.ofCrew(t.value());
          if (said.known()) {
            boolean first = words.isEmpty() || words.toString().endsWith(". ");
            words.append(first ? Words.first(said.words()) : said.words());
            from.add(said.from());
          } else {
            words.append("[%s]".formatted(said.words()));
            missing.add(said.words());
          }
        }
      }
    }
    return new Composed(words.toString(), from, missing, differs, figures);
  }

  private static Line line(DepartureState d, TodaysWords today, Item item) {
    Composed composed = composed(today, item);
    Optional<BriefingNotes.Worded> own = d.briefing().worded(item.step().id());
    boolean holds = own.filter(w -> w.composed().equals(composed.words)).isPresent();
    boolean sometimes = !(item.step().when() instanceof Condition.Always);
    Kind kind = sometimes || composed.differs || own.isPresent() ? Kind.DIFFERS
        : composed.today ? Kind.TODAY : Kind.USUAL;
    List<String> from = holds ? List.of("the crew's own words")
        : composed.from.isEmpty() ? List.of("the procedures of the type") : List.copyOf(composed.from);
    return new Line(item.step().id(), item.step().challenge(), holds ? own.get().words() : composed.words, kind,
        sometimes ? item.added() : "", from, composed.missing, holds,
        own.filter(w -> !holds).map(BriefingNotes.Worded::words));
  }

  /** The lines that were read and say something else now, each with what was read. */
  public static Map<StepId, Change> untrue(DepartureState d, List<Line> lines) {
    Map<StepId, Change> untrue = new LinkedHashMap<>();
    long since = Math.max(d.briefing().wordedNumber(), Math.max(d.figuresNumber(), d.cardNumber()));
    for (Line line : lines) {
      d.briefing().read(line.step()).filter(r -> !r.words().equals(line.words()))
          .filter(r -> d.item(line.step()).filter(i -> d.marked(i) != Status.OPEN).isPresent())
          .ifPresent(r -> untrue.put(line.step(),
          new Change(Math.max(since, r.number() + 1), "read was: %s".formatted(r.words()))));
    }
    return untrue;
  }

  /** How long all of it takes at 150 words a minute, whole seconds. */
  public static long seconds(List<Line> lines) {
    return Math.round(lines.stream().mapToDouble(Line::seconds).sum());
  }
}
