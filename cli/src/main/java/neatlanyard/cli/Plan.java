package neatlanyard.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Duration;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Predicate;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Likelihood;
import neatlanyard.core.timeline.Order;
import neatlanyard.core.timeline.Person;
import neatlanyard.core.timeline.Planner.Outcome;
import neatlanyard.core.timeline.Timeline;
import neatlanyard.formats.timeline.PlanJson;
import neatlanyard.formats.timeline.PlanReader;
import neatlanyard.solver.ConstraintPlanner;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Plans the time before one departure. */
@Command(
    name = "plan",
    description = "Plans the time before one departure. Exit 0: on time. 1: late and why, or what clashes."
        + " 2: cannot be read, and every fault.",
    mixinStandardHelpOptions = true)
final class Plan implements Callable<Integer> {
  private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm:ss").withZone(ZoneOffset.UTC);
  private static final double PERCENT = 100;
  private static final int DECIDING = 3;
  private static final double MILLIS = 1_000;

  @Parameters(paramLabel = "FILE.json", description = "what is asked, see docs/formats/plan.md")
  private Path file = Path.of("");

  @Option(names = "--json", description = "print JSON")
  private boolean json;

  @Option(names = "--seconds", paramLabel = "N", description = "the most time to look for it (default: 5)")
  private double seconds = 5;

  @Option(names = "--runs", paramLabel = "N", description = "runs of the simulation (default: 10000)")
  private int runs = 10_000;

  @Option(names = "--seed", paramLabel = "N", description = "of the simulation (default: 1)")
  private long seed = 1;

  @Spec
  @SuppressWarnings("NullAway.Init") // picocli sets it before it calls.
  private CommandSpec spec;

  @Override
  public Integer call() {
    PrintWriter out = spec.commandLine().getOut();
    if (!(seconds >= 0.01 && seconds <= 3_600) || runs < 1 || runs > 10_000_000) {
      out.println("Between 0.01 and 3600 seconds, and 1 to 10 000 000 runs.");
      return Lanyard.UNREADABLE;
    }
    try {
      PlanReader.Asked asked = InputFile.good(file, PlanReader.read(InputFile.text(file)));
      Duration within = Duration.ofMillis(Math.round(seconds * MILLIS));
      return switch (new ConstraintPlanner(1).plan(asked.demands(), Optional.empty(), within)) {
        case Outcome.Planned p -> {
          RandomGenerator chance = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
          Likelihood likelihood = Likelihood.of(asked.demands(), p.timeline(), runs, chance);
          if (json) {
            out.println(PlanJson.of(asked, p, likelihood));
          } else {
            new Text(asked, p, likelihood, out).print();
          }
          yield p.timeline().departs(asked.demands()).equals(asked.demands().due()) ? Lanyard.GOOD : Lanyard.NOT_GOOD;
        }
        case Outcome.Clash c -> {
          if (json) {
            out.println(PlanJson.clash(c));
          } else {
            out.println(c.smallest() ? "No plan holds. These clash; without any one of them there is one:"
                : "No plan holds. Among these are those that clash; the time was over before fewer were found:");
            c.demands().forEach(d -> out.println("  " + d));
          }
          yield Lanyard.NOT_GOOD;
        }
        case Outcome.NoTime n -> {
          out.println(json ? PlanJson.nothing(seconds)
              : "Nothing was found in %s s, and nothing shown to be impossible.".formatted(seconds));
          yield Lanyard.NOT_GOOD;
        }
      };
    } catch (InputFile.Unreadable e) {
      e.lines().forEach(out::println);
      return Lanyard.UNREADABLE;
    }
  }

  private record Text(PlanReader.Asked asked, Outcome.Planned planned, Likelihood likelihood, PrintWriter out) {
    void print() {
      Demands d = asked.demands();
      Timeline t = planned.timeline();
      Duration late = t.departs(d).minus(d.due());
      line("Departs %s, %s. %s", clock(t.departs(d)), late.isZero() ? "on time"
          : "%d min %d s late".formatted(late.toMinutes(), late.toSecondsPart()),
          proof());
      Map<ActivityId, Order.Room> rooms = Order.of(d, t).rooms();
      for (Person p : d.people()) {
        line("%s", p.name());
        strip(t, s -> s.who().contains(p.id()), rooms);
      }
      line("By itself, or by somebody who is not planned");
      strip(t, s -> s.who().isEmpty(), rooms);
      line("What decides, each from when the one before is over:");
      Order.of(d, t).criticalChain().forEach(l -> line("  %s–%s %s, %s", clock(l.begins()), clock(l.ends()),
          d.activity(l.activity()).what(), l.because()));
      line("On time in %.1f %% of %d runs; half by %s, nine of ten by %s.", PERCENT * likelihood.onTime(),
          likelihood.runs(), clock(likelihood.departs()), clock(likelihood.late()));
      List<Likelihood.Decides> first = likelihood.decides().stream().limit(DECIDING).toList();
      first.forEach(x -> line("  Decides %.0f %% of the late ones: %s", PERCENT * x.share(),
          d.activity(x.activity()).what()));
    }

    private String proof() {
      if (planned.best()) {
        return "Nothing better is possible.";
      }
      return planned.earliest() ? "Nothing departs earlier; what else could be better was not shown in the time."
          : "Found in the time there was; nothing departs before %s.".formatted(clock(planned.bound()));
    }

    private void strip(Timeline t, Predicate<Timeline.Slot> theirs,
        Map<ActivityId, Order.Room> rooms) {
      asked.demands().activities().stream().filter(a -> theirs.test(t.of(a.id())))
          .sorted(Comparator.comparing((Activity a) -> t.of(a.id()).begins()).thenComparing(a -> a.id().value()))
          .forEach(a -> {
            Timeline.Slot slot = t.of(a.id());
            Order.Room room = rooms.get(a.id());
            Duration slack = room == null ? Duration.ZERO : room.latest().minus(slot.begins());
            line("  %s–%s %s%s", clock(slot.begins()), clock(slot.ends()), a.what(),
                slack.isZero() ? ", no slack" : ", %d min %02d s slack".formatted(slack.toMinutes(),
                slack.toSecondsPart()));
          });
    }

    private String clock(Duration since) {
      return CLOCK.format(asked.begins().plus(since));
    }

    private void line(String words, Object... values) {
      out.println(String.format(Locale.ROOT, words, values));
    }
  }
}
