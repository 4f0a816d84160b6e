package neatlanyard.core.taxi;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import neatlanyard.core.fleet.GroundPlan;
import neatlanyard.core.fleet.GroundPlan.Spot;
import neatlanyard.core.fleet.GroundPlan.Strip;
import neatlanyard.core.fleet.GroundPlan.Taxiway;
import neatlanyard.core.fleet.RunwayName;

/**
 * Reads a taxi clearance from words, limit first or route first: "A1 via B A cross 16", "B, A, cross runway 16,
 * holding point A1". Taxiways and points are those of the airfield; what else stands there is a fault.
 */
public final class ClearanceWords {
  /** Longest that is read, in characters. */
  public static final int MOST_CHARACTERS = 300;

  private static final Set<String> FILLING = Set.of("TAXI", "TO", "VIA", "HOLD", "HOLDING", "POINT", "SHORT", "OF",
      "AT", "AND", "THEN", "ON", "RUNWAY", "LIMIT", "FROM");

  private final GroundPlan plan;
  private final List<String> via = new ArrayList<>();
  private final Set<RunwayName> crossing = new TreeSet<>(Comparator.comparing(RunwayName::value));
  private final List<String> faults = new ArrayList<>();
  private Optional<Spot> limit = Optional.empty();
  private Optional<Strip> shortOf = Optional.empty();

  /** What the next name means. */
  private enum Next { ANY, CROSS, BACKTRACK, STAND }

  private Next next = Next.ANY;

  private ClearanceWords(GroundPlan plan) {
    this.plan = plan;
  }

  /** What came of the words. */
  public sealed interface Heard {
    record Understood(Clearance clearance) implements Heard {}

    /** @param faults each in words, at least one */
    record NotUnderstood(List<String> faults) implements Heard {}
  }

  /** @param from the stand */
  public static Heard read(GroundPlan plan, String from, String words) {
    return new ClearanceWords(plan).read(from.strip().toUpperCase(Locale.ROOT), words);
  }

  private Heard read(String from, String words) {
    if (plan.spots(Spot.Kind.STAND).noneMatch(s -> s.name().equals(from))) {
      faults.add(from.isEmpty() ? "No stand is said to come from." : "There is no stand %s.".formatted(cut(from)));
    }
    if (words.length() > MOST_CHARACTERS) {
      faults.add("A clearance has at most %d characters; this has %d.".formatted(MOST_CHARACTERS, words.length()));
      return new Heard.NotUnderstood(faults);
    }
    for (String token : words.toUpperCase(Locale.ROOT).split("[\\s,;.]+")) {
      if (!token.isEmpty()) {
        take(token);
      }
    }
    settle();
    if (!faults.isEmpty()) {
      return new Heard.NotUnderstood(List.copyOf(faults));
    }
    Clearance heard = new Clearance(from, via, limit.orElseThrow().name(), List.copyOf(crossing));
    return Way.of(plan, heard).<Heard>map(w -> new Heard.Understood(heard)).orElseGet(() ->
        new Heard.NotUnderstood(List.of("Nothing leads from stand %s via %s to %s.".formatted(from,
        String.join(", ", via), heard.limit()))));
  }

  private void take(String token) {
    switch (token) {
      case "CROSS", "CROSSING" -> next = Next.CROSS;
      case "BACKTRACK" -> next = Next.BACKTRACK;
      case "STAND" -> next = Next.STAND;
      default -> {
        if (!FILLING.contains(token)) {
          named(token);
        }
      }
    }
  }

  private void named(String token) {
    Next meant = next;
    next = Next.ANY;
    Optional<Strip> strip = strip(token);
    if ((meant == Next.CROSS || meant == Next.BACKTRACK) && strip.isEmpty()) {
      faults.add("'%s' is no runway to %s here.".formatted(cut(token), meant.name().toLowerCase(Locale.ROOT)));
    } else if (meant == Next.CROSS && strip.isPresent()) {
      crossing.add(strip.get().ends().getFirst());
    } else if (meant == Next.BACKTRACK && strip.isPresent()) {
      backtrack(token, strip.get());
    } else if (meant == Next.STAND) {
      limit(plan.spots(Spot.Kind.STAND).filter(s -> s.name().equals(token)).findFirst(), "stand " + cut(token));
    } else if (plan.spot(token).filter(s -> s.kind() == Spot.Kind.HOLDING).isPresent()) {
      limit(plan.spot(token), token);
    } else if (plan.taxiway(token).filter(t -> t.runway().isEmpty()).isPresent()) {
      if (via.isEmpty() || !via.getLast().equals(token)) {
        via.add(token);
      }
    } else if (strip.isPresent()) {
      shortOf = strip;
    } else {
      faults.add("'%s' is no taxiway, holding point or runway here.".formatted(cut(token)));
    }
  }

  private void backtrack(String token, Strip strip) {
    Optional<Taxiway> along = plan.taxiways().stream()
        .filter(t -> t.runway().filter(strip.ends()::contains).isPresent()).findFirst();
    along.ifPresentOrElse(t -> via.add(t.name()), () -> faults.add("%s is not taxied along.".formatted(strip.name())));
    limit(plan.spots(Spot.Kind.TURN_PAD).filter(s -> s.runway().filter(r -> r.value().equals(token)).isPresent())
        .findFirst(), "the beginning of " + cut(token));
  }

  private void limit(Optional<Spot> now, String named) {
    if (now.isEmpty()) {
      faults.add("There is no %s here.".formatted(named));
    } else if (limit.isPresent() && !limit.equals(now)) {
      faults.add("Two limits: %s and %s.".formatted(limit.get().name(), now.get().name()));
    } else {
      limit = now;
    }
  }

  /** A runway that is neither crossed nor taxied along goes with the limit, or is the limit. */
  private void settle() {
    shortOf.ifPresent(strip -> {
      if (limit.isEmpty()) {
        Optional<Taxiway> last = via.isEmpty() ? Optional.empty() : plan.taxiway(via.getLast());
        List<Spot> holding = plan.spots(Spot.Kind.HOLDING).filter(s -> s.runway().filter(strip.ends()::contains)
            .isPresent() && last.filter(t -> t.along().contains(s.name())).isPresent()).toList();
        if (holding.size() == 1) {
          limit = Optional.of(holding.getFirst());
        } else {
          faults.add("Which holding point of %s is meant?".formatted(strip.name()));
        }
      } else if (limit.get().runway().filter(r -> !strip.ends().contains(r)).isPresent()) {
        faults.add("%s is of runway %s, not of %s.".formatted(limit.get().name(),
            limit.get().runway().orElseThrow(), strip.name()));
      }
    });
    if (next != Next.ANY) {
      faults.add("Nothing is named behind the last word.");
    }
    if (via.isEmpty()) {
      faults.add("No taxiway is named.");
    }
    if (limit.isEmpty() && shortOf.isEmpty()) {
      faults.add("No limit is named: a holding point, a stand or a runway to hold short of.");
    }
  }

  /** Of "16" as of "16/34". */
  private Optional<Strip> strip(String token) {
    return plan.strips().stream().filter(s -> s.name().equals(token)
        || s.ends().stream().anyMatch(e -> e.value().equals(token))).findFirst();
  }

  private static String cut(String token) {
    return token.length() > 12 ? token.substring(0, 12) + "…" : token;
  }
}
