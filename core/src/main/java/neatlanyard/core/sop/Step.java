package neatlanyard.core.sop;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import neatlanyard.core.figures.entry.CriticalFigure;

/**
 * One thing to look at, set or answer.
 *
 * @param challenge what, such as "Static ports, left"
 * @param response the state wanted, such as "cover off, clean, no frost"
 * @param caution shown where the danger is; empty where there is none
 * @param sets controls it puts into a position
 * @param expects indications or positions it looks for
 * @param verifies states made earlier that a checklist item confirms
 * @param needs steps that must have been done before this one, where they are on today's card
 * @param opens what is left open once this is done
 * @param closes what is closed once this is done
 * @param waits a time that must pass after it
 * @param afterWait steps whose wait must be over before this one
 * @param measures what is read and entered
 * @param enters critical figures that each pilot enters alone; it is done once all are agreed, and never by a press
 * @param only values that such a figure must have, where and why
 * @param says what is said of it in a briefing; empty: its response
 * @param alternates what is used in turn
 * @param value what today's flight gives it
 * @param course a test in its parts: what is done, and what is then seen or heard
 * @param testsLights whether it tests the lights
 * @param messages what a display may show there, each with why it is expected
 * @param why a sentence or two for who wonders why it is done; empty where nobody wrote one
 * @param looks drawings of the pack that show it right, and wrong
 * @param number as printed on the operator's card; it stays when steps before it are left out
 * @param changesTrim whether it moves what the flight control check went by, so that the check is made again
 * @param notWhileFuelling whether it is never done while fuel is taken, such as transmitting on HF
 * @param critical whether missing it can hurt somebody
 * @param alerted whether the aircraft's alerting would announce it anyway
 * @param belowLine whether a checklist item stands below its line
 */
public record Step(
    StepId id,
    PlaceId place,
    String challenge,
    String response,
    Owner owner,
    Condition when,
    String caution,
    List<State> sets,
    List<State> expects,
    List<State> verifies,
    List<StepId> needs,
    List<Hook> opens,
    List<Hook> closes,
    Optional<Wait> waits,
    List<StepId> afterWait,
    Optional<Measure> measures,
    List<CriticalFigure> enters,
    List<Only> only,
    Optional<Wording> says,
    Optional<Alternation> alternates,
    Optional<DayValue> value,
    List<Beat> course,
    List<Message> messages,
    String why,
    Looks looks,
    OptionalInt number,
    boolean changesTrim,
    boolean testsLights,
    boolean notWhileFuelling,
    boolean critical,
    boolean alerted,
    boolean belowLine) {
  public Step {
    sets = List.copyOf(sets);
    expects = List.copyOf(expects);
    verifies = List.copyOf(verifies);
    needs = List.copyOf(needs);
    opens = List.copyOf(opens);
    closes = List.copyOf(closes);
    afterWait = List.copyOf(afterWait);
    enters = List.copyOf(enters);
    only = List.copyOf(only);
    course = List.copyOf(course);
    messages = List.copyOf(messages);
  }

  /** The state it wants of a point, set, expected or verified; empty where it wants none. */
  public Optional<State> wanted(PointId point) {
    return states().filter(s -> s.point().equals(point)).findFirst();
  }

  /** The states it sets, expects and verifies. */
  public Stream<State> states() {
    return Stream.of(sets, expects, verifies).flatMap(List::stream);
  }

  /** The same with other states. */
  public Step withStates(UnaryOperator<State> other) {
    return states().map(other).toList().equals(states().toList()) ? this
        : with(sets.stream().map(other).toList(), expects.stream().map(other).toList(),
        verifies.stream().map(other).toList(), waits);
  }

  /** The same where its wait is that of a place; see {@link Wait#at}. */
  public Step at(Optional<Double> latitudeDeg) {
    return waits.filter(w -> !w.nearerPoles().isEmpty())
        .map(w -> with(sets, expects, verifies, Optional.of(w.at(latitudeDeg)))).orElse(this);
  }

  private Step with(List<State> set, List<State> expected, List<State> verified, Optional<Wait> wait) {
    return new Step(id, place, challenge, response, owner, when, caution, set, expected, verified, needs, opens,
        closes, wait, afterWait, measures, enters, only, says, alternates, value, course, messages, why, looks, number,
        changesTrim, testsLights, notWhileFuelling, critical, alerted, belowLine);
  }

  /** Begins a step that says what and where; see {@link Builder} for the rest. */
  public static Builder of(String id, String place, String challenge, String response, Owner owner) {
    return new Builder(new StepId(id), new PlaceId(place), challenge, response, owner);
  }

  /** Puts a step together; what is not given is empty, and a step without a condition always applies. */
  public static final class Builder {
    private final StepId id;
    private final PlaceId place;
    private final String challenge;
    private final String response;
    private final Owner owner;
    private Condition when = new Condition.Always();
    private List<State> sets = List.of();
    private List<State> expects = List.of();
    private List<State> verifies = List.of();
    private List<StepId> needs = List.of();
    private List<Hook> opens = List.of();
    private List<Hook> closes = List.of();
    private Optional<Wait> waits = Optional.empty();
    private List<StepId> afterWait = List.of();
    private Optional<Measure> measures = Optional.empty();
    private List<CriticalFigure> enters = List.of();
    private List<Only> only = List.of();
    private Optional<Wording> says = Optional.empty();
    private Optional<Alternation> alternates = Optional.empty();
    private Optional<DayValue> value = Optional.empty();
    private List<Beat> course = List.of();
    private List<Message> messages = List.of();
    private String why = "";
    private Looks looks = Looks.NONE;
    private OptionalInt number = OptionalInt.empty();
    private boolean changesTrim;
    private boolean testsLights;
    private boolean notWhileFuelling;
    private boolean critical;
    private boolean alerted;
    private boolean belowLine;

    private Builder(StepId id, PlaceId place, String challenge, String response, Owner owner) {
      this.id = id;
      this.place = place;
      this.challenge = challenge;
      this.response = response;
      this.owner = owner;
    }

    public Builder when(Condition condition) {
      when = condition;
      return this;
    }

    public Builder sets(State... states) {
      sets = List.of(states);
      return this;
    }

    public Builder expects(State... states) {
      expects = List.of(states);
      return this;
    }

    public Builder verifies(State... states) {
      verifies = List.of(states);
      return this;
    }

    public Builder needs(StepId... steps) {
      needs = List.of(steps);
      return this;
    }

    public Builder opens(Hook... hooks) {
      opens = List.of(hooks);
      return this;
    }

    public Builder closes(Hook... hooks) {
      closes = List.of(hooks);
      return this;
    }

    public Builder waits(Wait wait) {
      waits = Optional.of(wait);
      return this;
    }

    public Builder afterWait(StepId... steps) {
      afterWait = List.of(steps);
      return this;
    }

    public Builder measures(Measure measure) {
      measures = Optional.of(measure);
      return this;
    }

    public Builder enters(CriticalFigure... figures) {
      enters = List.of(figures);
      return this;
    }

    public Builder only(Only... some) {
      only = List.of(some);
      return this;
    }

    public Builder says(String wording) {
      says = Optional.of(Wording.of(wording));
      return this;
    }

    public Builder alternates(Alternation alternation) {
      alternates = Optional.of(alternation);
      return this;
    }

    public Builder value(DayValue ofToday) {
      value = Optional.of(ofToday);
      return this;
    }

    public Builder course(Beat... beats) {
      course = List.of(beats);
      return this;
    }

    public Builder messages(Message... some) {
      messages = List.of(some);
      return this;
    }

    public Builder why(String reason) {
      why = reason;
      return this;
    }

    public Builder looks(Looks how) {
      looks = how;
      return this;
    }

    public Builder number(int printed) {
      number = OptionalInt.of(printed);
      return this;
    }

    public Builder changesTrim() {
      changesTrim = true;
      return this;
    }

    public Builder testsLights() {
      testsLights = true;
      return this;
    }

    public Builder notWhileFuelling() {
      notWhileFuelling = true;
      return this;
    }

    public Builder critical() {
      critical = true;
      return this;
    }

    public Builder alerted() {
      alerted = true;
      return this;
    }

    public Builder belowLine() {
      belowLine = true;
      return this;
    }

    public Step build() {
      return new Step(
          id, place, challenge, response, owner, when, "", sets, expects, verifies, needs, opens, closes, waits,
          afterWait, measures, enters, only, says, alternates, value, course, messages, why, looks, number,
          changesTrim, testsLights, notWhileFuelling, critical, alerted, belowLine);
    }
  }

  /**
   * The values a figure must have where something holds: no other is taken.
   *
   * @param because why, in words the crew understands
   */
  public record Only(CriticalFigure figure, Condition when, List<String> values, String because) {
    public Only {
      values = List.copyOf(values);
    }
  }

  /** How it looks, by the ids of the pack's drawings. */
  public record Looks(List<String> right, List<String> wrong) {
    public static final Looks NONE = new Looks(List.of(), List.of());

    public Looks {
      right = List.copyOf(right);
      wrong = List.copyOf(wrong);
    }

    /** In words, for who compares revisions. */
    public String words() {
      return this.equals(NONE) ? "" : "right: %s; wrong: %s".formatted(String.join(", ", right),
          String.join(", ", wrong));
    }
  }

  /**
   * One line a display may show.
   *
   * @param shows as it reads there
   * @param expected why it is right to stand there now; empty: it is in the log, or a find
   */
  public record Message(String shows, String expected) {
    /** What is to be made of it. */
    public String words() {
      return expected.isEmpty() ? "not there, in the log, or a find" : "expected, as %s".formatted(expected);
    }
  }

  /** One part of a test. @param act what is done @param see what must then be seen, heard or felt */
  public record Beat(String act, String see) {}

  /**
   * What a step hangs on the cord or takes off it.
   *
   * @param items the single things under one tag, such as four covers; a tag without items has one, its own name
   */
  public record Hook(TagId tag, List<String> items) {
    public Hook {
      items = items.isEmpty() ? List.of(tag.value()) : List.copyOf(items);
    }
  }
}
