package neatlanyard.core.weather;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeSet;
import neatlanyard.core.fleet.Outbound.LandingLimits;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.weather.Forecast.Change;
import neatlanyard.core.weather.Forecast.Expected;
import neatlanyard.core.weather.Forecast.Kind;

/**
 * A forecast held against what an airfield wants for a landing. What becomes worse counts from the beginning of its
 * time, what becomes better from its end: common practice of flight planning.
 */
public final class LandingForecast {
  private LandingForecast() {}

  /**
   * A time in which a landing is not to be counted on.
   *
   * @param words such as "at times ceiling 200 ft, landing wants 550"
   * @param always whether it is so all the time, and not only at times or perhaps
   */
  public record Spell(Instant begins, Instant ends, String words, boolean always) {}

  /** In the order in which they begin; none where all of it holds. What is not named is not against a landing. */
  public static List<Spell> against(Forecast forecast, LandingLimits limits) {
    TreeSet<Instant> times = new TreeSet<>(List.of(forecast.begins(), forecast.ends()));
    forecast.changes().forEach(c -> {
      times.add(within(c.begins(), forecast));
      times.add(within(c.ends(), forecast));
    });
    List<Spell> all = new ArrayList<>();
    for (Instant t : times.headSet(forecast.ends())) {
      add(all, at(forecast, limits, t, times.higher(t)));
    }
    return List.copyOf(all);
  }

  private static Instant within(Instant t, Forecast f) {
    return t.isBefore(f.begins()) ? f.begins() : t.isAfter(f.ends()) ? f.ends() : t;
  }

  /** Of two that follow each other and are alike one is made. */
  private static void add(List<Spell> all, List<Spell> next) {
    for (Spell s : next) {
      List<Spell> before = all.stream().filter(b -> b.ends().equals(s.begins()) && b.words().equals(s.words())
          && b.always() == s.always()).toList();
      before.forEach(b -> all.set(all.indexOf(b), new Spell(b.begins(), s.ends(), b.words(), b.always())));
      if (before.isEmpty()) {
        all.add(s);
      }
    }
  }

  /** Between two moments nothing changes. */
  private static List<Spell> at(Forecast f, LandingLimits limits, Instant from, Instant to) {
    List<Expected> prevailing = new ArrayList<>(List.of(f.first()));
    List<Spell> all = new ArrayList<>();
    for (Change c : f.changes()) {
      if (c.begins().isAfter(from) || c.passing() && !c.ends().isAfter(from)) {
        continue;
      }
      if (c.passing()) {
        String often = c.percent().isPresent() ? "%d %% likely%s".formatted(c.percent().getAsInt(),
            c.kind() == Kind.AT_TIMES ? " at times" : "") : c.kind().words();
        words(c.what(), limits).ifPresent(w -> all.add(new Spell(from, to, "%s %s".formatted(often, w), false)));
      } else if (c.kind() == Kind.FROM) {
        prevailing.clear();
        prevailing.add(c.what());
      } else {
        List<Expected> then = prevailing.stream().map(p -> p.with(c.what())).toList();
        if (!c.ends().isAfter(from)) {
          prevailing.clear();
        }
        prevailing.addAll(then);
      }
    }
    prevailing.stream().flatMap(p -> words(p, limits).stream()).distinct().forEach(w ->
        all.add(new Spell(from, to, w, true)));
    return all;
  }

  /** Empty where a landing may be counted on. */
  private static Optional<String> words(Expected e, LandingLimits limits) {
    List<String> all = new ArrayList<>();
    OptionalInt ceiling = Ceiling.ft(e.clouds().orElse(List.of()));
    ceiling.stream().filter(ft -> ft < limits.ceilingFt()).forEach(ft -> all.add("ceiling %s ft, landing wants %s"
        .formatted(Numbers.written(ft, 0), Numbers.written(limits.ceilingFt(), 0))));
    e.visibilityM().stream().filter(m -> m < limits.visibilityM()).forEach(m ->
        all.add("visibility %s m, landing wants %s".formatted(Numbers.written(m, 0),
        Numbers.written(limits.visibilityM(), 0))));
    return all.isEmpty() ? Optional.empty() : Optional.of(String.join("; ", all));
  }
}
