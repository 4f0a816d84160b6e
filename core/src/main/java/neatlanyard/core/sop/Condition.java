package neatlanyard.core.sop;

import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import neatlanyard.core.fleet.Equipment;
import neatlanyard.core.weather.Phenomenon;

/** When a step applies: a structure over the tail and the day, so it can be explained and analysed. */
public sealed interface Condition {

  /** Whether a condition holds, and the facts that decided it, in plain words. */
  record Answer(boolean holds, List<String> because) {
    public Answer {
      because = List.copyOf(because);
    }

    static Answer of(boolean holds, String yes, String no) {
      return new Answer(holds, List.of(holds ? yes : no));
    }

    /** The facts in one phrase; empty for a step that always applies. */
    public String words() {
      return String.join(", ", because);
    }
  }

  Answer ask(Set<Equipment> fitted, Day day);

  /** Applies on every day. */
  record Always() implements Condition {
    @Override
    public Answer ask(Set<Equipment> fitted, Day day) {
      return new Answer(true, List.of());
    }
  }

  /** The tail has something fitted. */
  record Fitted(Equipment equipment) implements Condition {
    @Override
    public Answer ask(Set<Equipment> fitted, Day day) {
      String name = equipment.words();
      return Answer.of(fitted.contains(equipment), name + " fitted", "no " + name + " on this tail");
    }
  }

  /** Dark at the airfield of departure. */
  record Dark() implements Condition {
    @Override
    public Answer ask(Set<Equipment> fitted, Day day) {
      return Answer.of(day.dark(), "it is dark", "it is light");
    }
  }

  /** Colder than a whole number of degrees Celsius; a report without a temperature counts as colder. */
  record ColderThan(int celsius) implements Condition {
    @Override
    public Answer ask(Set<Equipment> fitted, Day day) {
      OptionalInt now = day.report().temperatureC();
      if (now.isEmpty()) {
        return new Answer(true, List.of("no temperature reported, taken as colder than %s".formatted(degrees(celsius))));
      }
      int t = now.getAsInt();
      return Answer.of(
          t < celsius,
          "%s, colder than %s".formatted(degrees(t), degrees(celsius)),
          "%s, not colder than %s".formatted(degrees(t), degrees(celsius)));
    }

    private static String degrees(int celsius) {
      return (celsius < 0 ? "−" : "") + Math.abs(celsius) + " °C";
    }
  }

  /** Something is falling at the airfield. */
  record Precipitation() implements Condition {
    @Override
    public Answer ask(Set<Equipment> fitted, Day day) {
      List<String> falling =
          day.report().weather().stream().filter(Phenomenon::precipitation).map(Phenomenon::words).toList();
      return Answer.of(!falling.isEmpty(), String.join(" and ", falling), "nothing is falling");
    }
  }

  /** First flight of the day for this aircraft. */
  record FirstFlight() implements Condition {
    @Override
    public Answer ask(Set<Equipment> fitted, Day day) {
      return Answer.of(day.firstFlight(), "first flight of the day", "not the first flight of the day");
    }
  }

  /** Fuelling while the crew prepares. */
  record Fuelling() implements Condition {
    @Override
    public Answer ask(Set<Equipment> fitted, Day day) {
      return Answer.of(day.fuelling(), "fuelling", "no fuelling");
    }
  }

  /** Maintenance has worked on the aircraft since its last flight. */
  record AfterMaintenance() implements Condition {
    @Override
    public Answer ask(Set<Equipment> fitted, Day day) {
      return Answer.of(day.afterMaintenance(), "maintenance since the last flight", "no maintenance since the last flight");
    }
  }

  /** The opposite. */
  record Not(Condition of) implements Condition {
    @Override
    public Answer ask(Set<Equipment> fitted, Day day) {
      Answer inner = of.ask(fitted, day);
      return new Answer(!inner.holds, inner.because);
    }
  }

  /** Every one holds; when not, the facts are those that stand against it. */
  record All(List<Condition> of) implements Condition {
    public All {
      of = List.copyOf(of);
    }

    @Override
    public Answer ask(Set<Equipment> fitted, Day day) {
      return among(of, fitted, day, false);
    }
  }

  /** At least one holds; when so, the facts are those that speak for it. */
  record Any(List<Condition> of) implements Condition {
    public Any {
      of = List.copyOf(of);
    }

    @Override
    public Answer ask(Set<Equipment> fitted, Day day) {
      return among(of, fitted, day, true);
    }
  }

  /** The answer of the ones that decide, where there are any; of all otherwise. */
  private static Answer among(List<Condition> of, Set<Equipment> fitted, Day day, boolean deciding) {
    List<Answer> answers = of.stream().map(c -> c.ask(fitted, day)).toList();
    List<Answer> decide = answers.stream().filter(a -> a.holds == deciding).toList();
    List<Answer> told = decide.isEmpty() ? answers : decide;
    return new Answer(
        decide.isEmpty() != deciding, told.stream().flatMap(a -> a.because.stream()).distinct().toList());
  }
}
