package neatlanyard.core.sop;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Equipment;
import neatlanyard.core.fleet.SubTypeId;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.Wind;

/**
 * When a step applies: a structure over the tail, the route and the day, so it can be explained, analysed and edited.
 */
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

  /** Whether it holds, and why. @param policy the schools of the pack the condition stands in */
  Answer ask(Policy policy, Situation now);

  /** The condition itself in words, whatever the day: "APU fitted", "colder than 3 °C". */
  String words();

  /** The facts it asks of, each once. */
  default Set<Fact> facts() {
    return switch (this) {
      case Always a -> Set.of();
      case Not not -> not.of().facts();
      case All all -> all.of().stream().flatMap(c -> c.facts().stream())
          .collect(Collectors.toCollection(LinkedHashSet::new));
      case Any any -> any.of().stream().flatMap(c -> c.facts().stream())
          .collect(Collectors.toCollection(LinkedHashSet::new));
      case Fact fact -> Set.of(fact);
    };
  }

  /** Whether some day on this tail can bring it about; when in doubt, yes. */
  default boolean possibleOn(Tail tail, Policy policy) {
    return switch (this) {
      case Always a -> true;
      case Fitted f -> tail.equipment().contains(f.equipment);
      case OfSubType s -> tail.subType().filter(s.subType::equals).isPresent();
      case OnTail t -> tail.id().equals(t.tail);
      case Follows f -> policy.follows(f.school);
      case Fact other -> true;
      case Not(Fact fact) -> !fixed(fact) || !fact.possibleOn(tail, policy);
      case Not(Not(Condition twice)) -> twice.possibleOn(tail, policy);
      case Not(All(List<Condition> of)) -> of.stream().anyMatch(c -> new Not(c).possibleOn(tail, policy));
      case Not(Any(List<Condition> of)) -> of.stream().allMatch(c -> new Not(c).possibleOn(tail, policy));
      case Not(Always a) -> false;
      case All all -> all.of.stream().allMatch(c -> c.possibleOn(tail, policy));
      case Any any -> any.of.stream().anyMatch(c -> c.possibleOn(tail, policy));
    };
  }

  /** Whether a fact is settled by the tail and the pack, whatever the day. */
  private static boolean fixed(Fact fact) {
    return fact instanceof Fitted || fact instanceof OfSubType || fact instanceof OnTail || fact instanceof Follows;
  }

  /** One fact, in contrast to what joins or turns conditions. */
  sealed interface Fact extends Condition {
    /** How it reads when it is not so. */
    default String otherwise() {
      return "not " + words();
    }
  }

  /** Applies on every day. */
  record Always() implements Condition {
    @Override
    public Answer ask(Policy policy, Situation now) {
      return new Answer(true, List.of());
    }

    @Override
    public String words() {
      return "always";
    }
  }

  /** The tail has something fitted. */
  record Fitted(Equipment equipment) implements Fact {
    @Override
    public Answer ask(Policy policy, Situation now) {
      return Answer.of(now.tail().equipment().contains(equipment), words(),
          "no %s on this tail".formatted(equipment.words()));
    }

    @Override
    public String words() {
      return equipment.words() + " fitted";
    }

    @Override
    public String otherwise() {
      return "no " + equipment.words();
    }
  }

  /** The tail is of a sub-type. */
  record OfSubType(SubTypeId subType) implements Fact {
    @Override
    public Answer ask(Policy policy, Situation now) {
      return Answer.of(now.tail().subType().filter(subType::equals).isPresent(), words(),
          "not of sub-type %s".formatted(subType));
    }

    @Override
    public String words() {
      return "sub-type %s".formatted(subType);
    }
  }

  /** It is one certain tail. */
  record OnTail(TailId tail) implements Fact {
    @Override
    public Answer ask(Policy policy, Situation now) {
      return Answer.of(now.tail().id().equals(tail), words(), "not %s".formatted(tail));
    }

    @Override
    public String words() {
      return "on %s".formatted(tail);
    }
  }

  /** The fleet follows a school. */
  record Follows(School school) implements Fact {
    @Override
    public Answer ask(Policy policy, Situation now) {
      School followed = policy.of(school.matter());
      return Answer.of(policy.follows(school), words(), words(followed));
    }

    @Override
    public String words() {
      return words(school);
    }

    private static String words(School school) {
      String how = school.words();
      return "%s: %s".formatted(school.matter().words(), how.substring(0, 1).toLowerCase(Locale.ROOT)
          + how.substring(1));
    }
  }

  /** Dark at the airfield of departure. */
  record Dark() implements Fact {
    @Override
    public Answer ask(Policy policy, Situation now) {
      return Answer.of(now.day().dark(), "it is dark", "it is light");
    }

    @Override
    public String words() {
      return "dark";
    }

    @Override
    public String otherwise() {
      return "light";
    }
  }

  /** Colder than a whole number of degrees Celsius; a report without a temperature counts as colder. */
  record ColderThan(int celsius) implements Fact {
    @Override
    public Answer ask(Policy policy, Situation now) {
      OptionalInt reported = now.day().report().temperatureC();
      if (reported.isEmpty()) {
        return new Answer(true,
            List.of("no temperature reported, taken as colder than %s".formatted(degrees(celsius))));
      }
      int t = reported.getAsInt();
      return Answer.of(
          t < celsius,
          "%s, colder than %s".formatted(degrees(t), degrees(celsius)),
          "%s, not colder than %s".formatted(degrees(t), degrees(celsius)));
    }

    @Override
    public String words() {
      return "colder than " + degrees(celsius);
    }

    private static String degrees(int celsius) {
      return (celsius < 0 ? "−" : "") + Math.abs(celsius) + " °C";
    }
  }

  /** Wind or gusts above a number of knots; a report without wind counts as above. */
  record WindAbove(int kt) implements Fact {
    @Override
    public Answer ask(Policy policy, Situation now) {
      Optional<Wind> wind = now.day().report().wind();
      if (wind.isEmpty()) {
        return new Answer(true, List.of("no wind reported, taken as above %d kt".formatted(kt)));
      }
      int strongest = Math.max(wind.get().speedKt(), wind.get().gustKt().orElse(0));
      return Answer.of(strongest > kt, "wind %d kt, above %d kt".formatted(strongest, kt),
          "wind %d kt, not above %d kt".formatted(strongest, kt));
    }

    @Override
    public String words() {
      return "wind above %d kt".formatted(kt);
    }

    @Override
    public String otherwise() {
      return "wind not above %d kt".formatted(kt);
    }
  }

  /** Visibility below a number of metres; a report without one counts as below. */
  record VisibilityBelow(int metres) implements Fact {
    @Override
    public Answer ask(Policy policy, Situation now) {
      OptionalInt seen = now.day().report().visibilityM();
      if (seen.isEmpty()) {
        return new Answer(true, List.of("no visibility reported, taken as below %d m".formatted(metres)));
      }
      int m = seen.getAsInt();
      return Answer.of(m < metres, "visibility %d m, below %d m".formatted(m, metres),
          "visibility %d m, not below %d m".formatted(m, metres));
    }

    @Override
    public String words() {
      return "visibility below %d m".formatted(metres);
    }

    @Override
    public String otherwise() {
      return "visibility not below %d m".formatted(metres);
    }
  }

  /** Weather of a kind at the airfield. */
  record Weather(Sky sky) implements Fact {
    /** What is asked of the present weather. */
    public enum Sky {
      PRECIPITATION("something is falling", "nothing is falling", Phenomenon::precipitation),
      RAIN("rain", "no rain", p -> p.of(Phenomenon.Kind.RA, Phenomenon.Kind.DZ)),
      SNOW("snow", "no snow", p -> p.of(Phenomenon.Kind.SN, Phenomenon.Kind.SG, Phenomenon.Kind.PL)),
      FREEZING("freezing precipitation or fog", "nothing is freezing on", Phenomenon::freezing),
      THUNDERSTORM("thunderstorm", "no thunderstorm", Phenomenon::thunderstorm),
      FOG("fog or mist", "no fog", p -> p.of(Phenomenon.Kind.FG, Phenomenon.Kind.BR));

      private final String yes;
      private final String no;
      private final Predicate<Phenomenon> shows;

      Sky(String yes, String no, Predicate<Phenomenon> shows) {
        this.yes = yes;
        this.no = no;
        this.shows = shows;
      }

      public String words() {
        return yes;
      }
    }

    @Override
    public Answer ask(Policy policy, Situation now) {
      List<String> seen = now.day().report().weather().stream().filter(sky.shows).map(Phenomenon::words).toList();
      return Answer.of(!seen.isEmpty(), String.join(" and ", seen), sky.no);
    }

    @Override
    public String words() {
      return sky.yes;
    }

    @Override
    public String otherwise() {
      return sky.no;
    }
  }

  /** What the crew says of the day. */
  record Is(Circumstance what) implements Fact {
    @Override
    public Answer ask(Policy policy, Situation now) {
      return Answer.of(now.day().is(what), what.words(true), what.words(false));
    }

    @Override
    public String words() {
      return what.words(true);
    }

    @Override
    public String otherwise() {
      return what.words(false);
    }
  }

  /** Departing from an airfield. */
  record From(AirfieldId airfield) implements Fact {
    @Override
    public Answer ask(Policy policy, Situation now) {
      return Answer.of(now.from().equals(airfield), words(), "not from %s".formatted(airfield));
    }

    @Override
    public String words() {
      return "from %s".formatted(airfield);
    }
  }

  /** Going to an airfield. */
  record To(AirfieldId airfield) implements Fact {
    @Override
    public Answer ask(Policy policy, Situation now) {
      return Answer.of(now.to().equals(airfield), words(), "not to %s".formatted(airfield));
    }

    @Override
    public String words() {
      return "to %s".formatted(airfield);
    }
  }

  /**
   * Something measured in this departure lies below a value; not so until it is measured.
   *
   * @param limit in the quantity's unit
   */
  record MeasuredBelow(Quantity quantity, double limit) implements Fact {
    @Override
    public Answer ask(Policy policy, Situation now) {
      Double value = now.measured().get(quantity.id());
      String least = quantity.unit().words(limit);
      if (value == null) {
        return new Answer(false, List.of("%s not measured yet".formatted(quantity.name().toLowerCase(Locale.ROOT))));
      }
      String is = "%s %s".formatted(quantity.name().toLowerCase(Locale.ROOT), quantity.unit().words(value));
      return Answer.of(value < limit, "%s, below %s".formatted(is, least), "%s, not below %s".formatted(is, least));
    }

    @Override
    public String words() {
      return "%s below %s".formatted(quantity.name().toLowerCase(Locale.ROOT), quantity.unit().words(limit));
    }
  }

  /** The opposite. */
  record Not(Condition of) implements Condition {
    @Override
    public Answer ask(Policy policy, Situation now) {
      Answer inner = of.ask(policy, now);
      return new Answer(!inner.holds, inner.because);
    }

    @Override
    public String words() {
      return of instanceof Fact fact ? fact.otherwise() : "not (%s)".formatted(of.words());
    }
  }

  /** Every one holds; when not, the facts are those that stand against it. */
  record All(List<Condition> of) implements Condition {
    public All {
      of = List.copyOf(of);
    }

    @Override
    public Answer ask(Policy policy, Situation now) {
      return among(of, policy, now, false);
    }

    @Override
    public String words() {
      return joined(of, " and ");
    }
  }

  /** At least one holds; when so, the facts are those that speak for it. */
  record Any(List<Condition> of) implements Condition {
    public Any {
      of = List.copyOf(of);
    }

    @Override
    public Answer ask(Policy policy, Situation now) {
      return among(of, policy, now, true);
    }

    @Override
    public String words() {
      return joined(of, " or ");
    }
  }

  private static String joined(List<Condition> of, String by) {
    return of.stream()
        .map(c -> c instanceof All || c instanceof Any ? "(%s)".formatted(c.words()) : c.words())
        .collect(Collectors.joining(by));
  }

  /** The answer of the ones that decide, where there are any; of all otherwise. */
  private static Answer among(List<Condition> of, Policy policy, Situation now, boolean deciding) {
    List<Answer> answers = of.stream().map(c -> c.ask(policy, now)).toList();
    List<Answer> decide = answers.stream().filter(a -> a.holds == deciding).toList();
    List<Answer> told = decide.isEmpty() ? answers : decide;
    return new Answer(
        decide.isEmpty() != deciding, told.stream().flatMap(a -> a.because.stream()).distinct().toList());
  }
}
