package neatlanyard.core.sop;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Collectors;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Practice;

/** The school a fleet follows in each matter; one choice for everybody in one cockpit. */
public final class Policy {
  public static final Policy DEFAULT = of(Map.of());

  private final Map<Matter, School> schools;

  private Policy(Map<Matter, School> schools) {
    this.schools = schools;
  }

  /**
   * The choices given, and the default in every other matter.
   *
   * @throws IllegalArgumentException for a school of another matter
   */
  public static Policy of(Map<Matter, School> choices) {
    choices.forEach((matter, school) -> {
      if (!matter.schools().contains(school)) {
        throw new IllegalArgumentException("%s is not a school of %s".formatted(school, matter));
      }
    });
    return new Policy(new EnumMap<>(Arrays.stream(Matter.values())
        .collect(Collectors.toMap(Function.identity(), m -> choices.getOrDefault(m, m.byDefault())))));
  }

  public School of(Matter matter) {
    return schools.getOrDefault(matter, matter.byDefault());
  }

  public boolean follows(School school) {
    return of(school.matter()) == school;
  }

  /** Who of the two seats reads the challenge of a checklist; neither where a third crew member does. */
  public Optional<Owner> reader() {
    return switch (of(Matter.CHECKLIST_VOICE)) {
      case FIRST_OFFICER_READS -> Optional.of(Owner.RIGHT);
      case THIRD_READS -> Optional.empty();
      default -> Optional.of(Owner.MONITORING);
    };
  }

  /** Below this the control check is made standing, whatever the school. Common practice, no source. */
  public static final int LOW_VISIBILITY_M = 550;

  /**
   * When the flight control check is made on a day, in words: by the school, and always stationary in low visibility.
   */
  public String controlCheckOn(Day day) {
    OptionalInt seen = day.report().visibilityM();
    return of(Matter.CONTROL_CHECK) != School.STATIONARY && seen.isPresent() && lowVisibility(day)
        ? "Stationary: visibility %d m".formatted(seen.getAsInt())
        : of(Matter.CONTROL_CHECK).words();
  }

  /** How the fleet makes the flight control check: its order, by whom, and whether standing. */
  public Practice controlCheck() {
    List<Axis> order = switch (of(Matter.CONTROL_ORDER)) {
      case PITCH_ROLL_YAW -> List.of(Axis.PITCH, Axis.ROLL, Axis.YAW);
      case ROLL_PITCH_YAW -> List.of(Axis.ROLL, Axis.PITCH, Axis.YAW);
      default -> List.of();
    };
    return new Practice(order, follows(School.BOTH_STICKS), follows(School.STEERING_DISCONNECTED),
        follows(School.STATIONARY), follows(School.MONITORING_CALLS));
  }

  /** The same on a day: in low visibility it is made standing, whatever the school. */
  public Practice controlCheck(Day day) {
    return lowVisibility(day) ? controlCheck().standingStill() : controlCheck();
  }

  /** The same where the day may not be set yet. */
  public Practice controlCheck(Optional<Day> day) {
    return day.map(this::controlCheck).orElseGet(this::controlCheck);
  }

  private static boolean lowVisibility(Day day) {
    OptionalInt seen = day.report().visibilityM();
    return seen.isPresent() && seen.getAsInt() < LOW_VISIBILITY_M;
  }

  @Override
  public boolean equals(Object o) {
    return o instanceof Policy p && p.schools.equals(schools);
  }

  @Override
  public int hashCode() {
    return schools.hashCode();
  }

  @Override
  public String toString() {
    return schools.toString();
  }
}
