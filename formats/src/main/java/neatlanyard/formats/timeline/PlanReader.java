package neatlanyard.formats.timeline;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Apart;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Length;
import neatlanyard.core.timeline.Person;
import neatlanyard.core.timeline.PersonId;
import neatlanyard.core.timeline.Wait;
import neatlanyard.core.timeline.Walk;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;

/** Reads what a plan must keep to; see docs/formats/plan.md. */
public final class PlanReader {
  public static final String FORMAT = "neat-lanyard/plan/1";
  private static final double DAY_MIN = 24 * 60.0;
  private static final double SECONDS = 60;
  private static final int MOST_ACTIVITIES = 300;
  private static final int MOST_PEOPLE = 20;
  private static final int MOST_RULES = 1_000;
  private static final String EPOCH = "1970-01-01T00:00:00Z";

  private final List<Wait> waits = new ArrayList<>();
  private Instant begins = Instant.EPOCH;

  private PlanReader() {}

  /** @param begins from which everything in {@code demands} is counted */
  public record Asked(Instant begins, Demands demands) {}

  public static Read<Asked> read(String text) {
    return Doc.read(text, doc -> new PlanReader().plan(doc));
  }

  private Asked plan(Doc doc) {
    doc.format(FORMAT);
    begins = doc.of("begins", Instant::parse, EPOCH);
    Duration due = since(doc, "departs");
    List<Person> people = doc.list("people", d -> new Person(d.of("id", PersonId::new, "x"), d.text("name")));
    List<Activity> activities = doc.list("activities", this::activity);
    waits.addAll(doc.list("waits", d -> new Wait(id(d, "after"), id(d, "before"), minutes(d, "least-min", 0),
        d.has("most-min") ? Optional.of(minutes(d, "most-min", 0)) : Optional.empty(), d.text("because", ""))));
    List<Apart> apart = doc.list("apart", d -> new Apart(
        new LinkedHashSet<>(d.values("these", ActivityId::new, "x")), d.text("because")));
    List<Walk> walks = doc.list("walks", PlanReader::walk);
    List<List<ActivityId>> inOneGo = doc.list("in-one-go", d -> d.values("these", ActivityId::new, "x"));
    Optional<ActivityId> runs = doc.has("runs") ? Optional.of(id(doc, "runs")) : Optional.empty();
    bound(doc, "people", people, MOST_PEOPLE);
    bound(doc, "activities", activities, MOST_ACTIVITIES);
    bound(doc, "waits", waits, MOST_RULES);
    bound(doc, "apart", apart, MOST_RULES);
    bound(doc, "walks", walks, MOST_RULES);
    bound(doc, "in-one-go", inOneGo, MOST_RULES);
    Demands demands = new Demands(people, activities, waits, apart, walks, inOneGo, due, runs);
    demands.faults().forEach(f ->
        doc.fault(f.where().replaceAll("\\[.*", ""), "%s: %s".formatted(f.where(), f.what())));
    return new Asked(begins, demands);
  }

  private static void bound(Doc doc, String field, List<?> all, int most) {
    if (all.size() > most) {
      doc.fault(field, "%d %s; %d is the most.".formatted(all.size(), field, most));
    }
  }

  private static ActivityId id(Doc doc, String field) {
    return doc.of(field, ActivityId::new, "x");
  }

  private static Duration minutes(Doc doc, String field, double least) {
    return Duration.ofSeconds(Math.round(doc.number(field, least, DAY_MIN) * SECONDS));
  }

  /** A time of the day as what has passed since the plan begins. */
  private Duration since(Doc doc, String field) {
    Instant at = doc.of(field, Instant::parse, EPOCH);
    Duration since = Duration.between(begins, at);
    if (!at.equals(Instant.EPOCH) && (since.isNegative() || since.toMinutes() > DAY_MIN)) {
      doc.fault(field, "%s is not within the 24 h after %s, when the plan begins.".formatted(at, begins));
      return Duration.ZERO;
    }
    return since.isNegative() ? Duration.ZERO : since;
  }

  private Activity activity(Doc doc) {
    ActivityId id = id(doc, "id");
    String what = doc.text("what");
    List<Set<PersonId>> ways = ways(doc);
    doc.values("after", ActivityId::new, "x").forEach(a ->
        waits.add(new Wait(a, id, Duration.ZERO, Optional.empty(), "")));
    return new Activity(id, what, ways, length(doc),
        doc.has("place") ? Optional.of(doc.text("place")) : Optional.empty(),
        doc.has("from") ? since(doc, "from") : Duration.ZERO,
        doc.has("until") ? Optional.of(since(doc, "until")) : Optional.empty());
  }

  private static List<Set<PersonId>> ways(Doc doc) {
    List<PersonId> all = doc.oneOrMore("by", PersonId::new, "x");
    List<PersonId> either = doc.values("either", PersonId::new, "x");
    if (!all.isEmpty() && !either.isEmpty()) {
      doc.fault("either", "'by' and 'either' do not stand together.");
    }
    if (new LinkedHashSet<>(all).size() < all.size() || new LinkedHashSet<>(either).size() < either.size()) {
      doc.fault(all.isEmpty() ? "either" : "by", "Somebody stands twice.");
    }
    return either.isEmpty() ? List.of(new LinkedHashSet<>(all)) : either.stream().map(p -> Set.of(p)).toList();
  }

  private static Length length(Doc doc) {
    if (!doc.has("estimate")) {
      return new Length(minutes(doc, "minutes", 0), doc.number("spread", 0, 2, 0));
    }
    if (doc.has("minutes") || doc.has("spread")) {
      doc.fault("estimate", "An estimate stands alone, without minutes and spread.");
    }
    return doc.inner("estimate", d -> {
      Duration least = minutes(d, "least-min", 0);
      Duration likely = minutes(d, "likely-min", 0);
      Duration most = minutes(d, "most-min", 0);
      try {
        return Length.estimated(least, likely, most);
      } catch (IllegalArgumentException e) {
        d.fault("least-min", e.getMessage() + ".");
        return Length.always(likely);
      }
    }).orElseGet(() -> Length.always(Duration.ZERO));
  }

  private static Walk walk(Doc doc) {
    List<String> places = doc.values("between", s -> s, "");
    if (places.size() != 2 || places.get(0).equals(places.get(1))) {
      doc.fault("between", "A walk is between two places.");
    }
    return new Walk(places.isEmpty() ? "" : places.getFirst(), places.isEmpty() ? "" : places.getLast(),
        minutes(doc, "minutes", 0));
  }
}
