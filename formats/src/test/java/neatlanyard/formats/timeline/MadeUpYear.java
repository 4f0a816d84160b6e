package neatlanyard.formats.timeline;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.formats.sop.PackReader;

/**
 * The stated generator of the demo's year: a number of flights a type; crews take a factor of each procedure's own
 * (scatter 0.2 of its logarithm), more in the dark and, outside, in the cold, and scatter by 0.28.
 */
final class MadeUpYear {
  static final Path DEMO = Path.of(System.getProperty("lanyard.root", ".."), "demo");
  static final List<String> TYPES = List.of("dovrin-46", "halyard-210", "pellow-9", "selkie-m3", "burdock-four");
  static final long SEED = 2705;
  static final int FLIGHTS = 45;
  static final double SCATTER = 0.28;
  private static final double DARK = 0.12;
  private static final double COLD_OUTSIDE = 0.25;
  private static final String HEAD = "flight,type,procedure,at,dark,cold,estimated-s,took-s\r\n";

  /** @param day how many days ago */
  record Day(int number, int day, boolean dark, boolean cold) {}

  /** What is true of a type's crews. @param own the logarithm of each procedure's factor */
  record Crews(String type, Map<ProcedureId, Double> own, List<Day> days) {
    /** Logarithm of how many times the estimate they take. */
    double factor(Procedure p, Day day) {
      return own.getOrDefault(p.id(), 0.0) + (day.dark() ? DARK : 0)
          + (day.cold() && p.kind() == Procedure.Kind.WALKAROUND ? COLD_OUTSIDE : 0);
    }
  }

  final List<Crews> crews = new ArrayList<>();
  /** As CSV. */
  final String times;

  MadeUpYear() throws IOException {
    StringBuilder text = new StringBuilder(HEAD);
    Random random = new Random(SEED);
    for (String name : TYPES) {
      Pack pack = PackReader.read(Files.readString(DEMO.resolve("packs/%s.yaml".formatted(name)))).orThrow(name);
      List<Procedure> done = pack.procedures().stream().filter(p -> p.kind() != Procedure.Kind.BRIEFING)
          .filter(p -> p.steps().size() > 3).toList();
      Crews of = new Crews(name, new LinkedHashMap<>(), new ArrayList<>());
      done.forEach(p -> of.own().put(p.id(), 0.2 * random.nextGaussian()));
      for (int f = 0; f < FLIGHTS; f++) {
        int day = 1 + f * 364 / FLIGHTS;
        boolean winter = day < 90 || day > 330;
        Day on = new Day(f + 1, day, random.nextDouble() < (winter ? 0.7 : 0.2),
            winter && random.nextDouble() < 0.6);
        of.days().add(on);
        for (Procedure p : done) {
          int estimated = p.steps().size() * (p.kind() == Procedure.Kind.WALKAROUND ? 8 : 5);
          double log = of.factor(p, on) + SCATTER * random.nextGaussian();
          text.append("year-%s-%d,%s,%s,-P%dD,%s,%s,%d,%s\r\n".formatted(name, f + 1, name, p.id(), day,
              on.dark() ? "yes" : "no", on.cold() ? "yes" : "no", estimated,
              String.format(Locale.ROOT, "%.1f", estimated * Math.exp(log))));
        }
      }
      crews.add(of);
    }
    times = text.toString();
  }
}
