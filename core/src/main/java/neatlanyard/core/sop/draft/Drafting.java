package neatlanyard.core.sop.draft;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Seating;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Policy;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Procedure.Kind;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;

/** Makes a first pack of an operator's printed checklist, and says of each guess that it is one. */
public final class Drafting {
  private static final int LONGEST_NAME = 40;
  private static final double ALIKE = 0.5;
  private static final Map<String, Owner> WHO = Map.ofEntries(
      Map.entry("l", Owner.LEFT), Map.entry("left", Owner.LEFT), Map.entry("c", Owner.LEFT),
      Map.entry("captain", Owner.LEFT), Map.entry("r", Owner.RIGHT), Map.entry("right", Owner.RIGHT),
      Map.entry("fo", Owner.RIGHT), Map.entry("first officer", Owner.RIGHT), Map.entry("pf", Owner.FLYING),
      Map.entry("flying", Owner.FLYING), Map.entry("pm", Owner.MONITORING), Map.entry("monitoring", Owner.MONITORING),
      Map.entry("both", Owner.BOTH), Map.entry("b", Owner.BOTH), Map.entry("all", Owner.BOTH),
      Map.entry("fe", Owner.ENGINEER), Map.entry("engineer", Owner.ENGINEER));

  private final List<Draft.Guess> guesses = new ArrayList<>();
  private final Map<PlaceId, Place> named = new LinkedHashMap<>();
  private final Map<PointId, Point> points = new LinkedHashMap<>();
  private final Map<PointId, Integer> since = new LinkedHashMap<>();
  /** The words of each point's name. */
  private final Map<PointId, Set<String>> words = new LinkedHashMap<>();

  private Drafting() {}

  /**
   * A draft of all lists that stand before the take-off.
   *
   * @param type the type's name, such as "paddle-2" @param tail a tail it is for
   */
  public static Draft of(TypeId type, TailId tail, List<PrintedItem> items) {
    return new Drafting().draft(type, tail, items);
  }

  private Draft draft(TypeId type, TailId tail, List<PrintedItem> items) {
    guess(0, "Shape of the aircraft, travel of its controls, their tolerances: invented. Put in the type's own.");
    Map<String, List<PrintedItem>> lists = items.stream()
        .collect(Collectors.groupingBy(PrintedItem::list, LinkedHashMap::new, Collectors.toList()));
    List<Procedure> procedures = new ArrayList<>();
    Set<String> names = new HashSet<>();
    Stage before = Stage.FLOWS;
    for (Map.Entry<String, List<PrintedItem>> list : lists.entrySet()) {
      int line = list.getValue().getFirst().line();
      if (Sections.later(list.getKey())) {
        guess(line, "'%s' is after the line-up: left out.".formatted(list.getKey()));
        continue;
      }
      Sections.Section section = Sections.of(list.getKey(), before);
      before = section.stage();
      guess(line, "'%s' is a %s of the stage '%s'%s.".formatted(list.getKey(), words(section.kind()),
          section.stage().title().toLowerCase(Locale.ROOT), section.known() ? "" : ", as nothing in its name says"));
      String id = unique(slug(list.getKey()), names);
      procedures.add(new Procedure(new ProcedureId(id), list.getKey(), section.stage(), section.kind(), List.of(),
          steps(id, section, list.getValue())));
    }
    List<Procedure> ordered = procedures.stream().sorted(Comparator.comparing(Procedure::stage)).toList();
    return new Draft(new Pack(
        new PackId(type.value()), "draft", "%s, a first draft".formatted(type.value()), type, Policy.DEFAULT,
        List.of(), List.of(), List.of(new Pack.PackTail(tail, Optional.empty(), Set.of())), List.of(), Map.of(),
        SHAPE, used(ordered), List.copyOf(points.values()), List.of(), ordered, List.of(), CONTROLS, List.of(),
        List.of(), List.of()),
        guesses);
  }

  private List<Step> steps(String list, Sections.Section section, List<PrintedItem> items) {
    List<Step> steps = new ArrayList<>();
    for (PrintedItem i : items) {
      Place place = place(i, section.kind() == Kind.WALKAROUND);
      Step.Builder step = Step.of("%s-%d".formatted(list.length() > 30 ? list.substring(0, 30) : list,
          steps.size() + 1), place.id().value(), i.challenge(), i.response(), owner(i, section.kind(), place));
      if (section.kind() == Kind.CHECKLIST) {
        verified(i).ifPresent(step::verifies);
      } else {
        made(i, section.kind(), place, step);
      }
      steps.add(step.build());
    }
    return steps;
  }

  private Place place(PrintedItem i, boolean outside) {
    if (!i.where().isBlank()) {
      PlaceId id = new PlaceId(slug(i.where()));
      return named.computeIfAbsent(id, x -> outside
          ? new Place(x, i.where(), -3, 3.0 + named.size(), 0, 0, Seat.LEFT, false)
          : new Place(x, i.where(), 2.0 * (named.size() % 4), 6 + Math.floor(named.size() / 4.0), 2, 1,
              named.size() % 4 < 2 ? Seat.LEFT : Seat.RIGHT, true));
    }
    return Places.known(i.challenge(), outside).orElseGet(() -> {
      Place usual = Places.usual(outside);
      guess(i.line(), "'%s' names no place: put at '%s'.".formatted(i.challenge(), usual.name()));
      return usual;
    });
  }

  private Owner owner(PrintedItem i, Kind kind, Place place) {
    Owner said = WHO.get(i.who().toLowerCase(Locale.ROOT).strip());
    if (said != null) {
      return said;
    }
    Owner guessed = switch (kind) {
      case CHECKLIST -> Owner.MONITORING;
      case WALKAROUND -> Owner.RIGHT;
      default -> place.half() == Seat.RIGHT ? Owner.RIGHT : Owner.LEFT;
    };
    guess(i.line(), "'%s'%s: given to the %s.".formatted(i.challenge(), i.who().isBlank() ? " is nobody's"
        : " is '%s', which is no seat".formatted(i.who()), guessed.words()));
    return guessed;
  }

  /** What a flow sets or a walk looks for. */
  private void made(PrintedItem i, Kind kind, Place place, Step.Builder step) {
    Optional<String> position = Positions.of(i.response());
    if (position.isEmpty()) {
      return;
    }
    PointId id = new PointId(slug(i.challenge()));
    boolean control = kind != Kind.WALKAROUND;
    Point known = points.get(id);
    List<String> states = known == null ? List.of(Positions.otherwise(position.get()), position.get())
        : Stream.concat(known.states().stream(), position.stream()).distinct().toList();
    points.put(id, new Point(id, i.challenge(), known == null ? place.id() : known.place(),
        known == null ? control : known.control(), states));
    since.putIfAbsent(id, i.line());
    words.putIfAbsent(id, tokens(i.challenge()));
    State state = new State(id, position.get());
    if (known == null ? control : known.control()) {
      step.sets(state);
    } else {
      step.expects(state);
    }
  }

  /** The state made before that an item confirms: of all with its position, the one whose name shares most words. */
  private Optional<State> verified(PrintedItem i) {
    Optional<String> position = Positions.of(i.response());
    if (position.isEmpty()) {
      return Optional.empty();
    }
    Set<String> mine = tokens(i.challenge());
    Optional<Point> best = points.values().stream().filter(p -> p.states().contains(position.get()))
        .filter(p -> alike(p, mine) >= ALIKE).max(Comparator.comparingDouble(p -> alike(p, mine)));
    guess(i.line(), best.map(p -> "'%s' verifies '%s %s', made in line %d.".formatted(i.challenge(), p.name(),
        position.get(), since.getOrDefault(p.id(), 0)))
        .orElse("'%s %s': nothing before makes it so.".formatted(i.challenge(), position.get())));
    return best.map(p -> new State(p.id(), position.get()));
  }

  /** Shared words of all words of two names (Jaccard 1901). */
  private double alike(Point one, Set<String> b) {
    Set<String> a = words.getOrDefault(one.id(), Set.of());
    Set<String> both = new HashSet<>(a);
    both.retainAll(b);
    Set<String> all = new HashSet<>(a);
    all.addAll(b);
    return all.isEmpty() ? 0 : (double) both.size() / all.size();
  }

  private static Set<String> tokens(String name) {
    return Arrays.stream(name.toLowerCase(Locale.ROOT).split("[^a-z0-9]+")).filter(w -> !w.isEmpty())
        .map(w -> w.length() > 3 && w.endsWith("s") ? w.substring(0, w.length() - 1) : w).collect(Collectors.toSet());
  }

  private List<Place> used(List<Procedure> procedures) {
    Set<PlaceId> at = procedures.stream().flatMap(p -> p.steps().stream()).map(Step::place)
        .collect(Collectors.toSet());
    points.values().forEach(p -> at.add(p.place()));
    return Stream.of(Places.stations(), Places.panels(), named.values()).flatMap(c -> c.stream())
        .filter(p -> at.contains(p.id())).sorted(Comparator.comparing((Place p) -> !p.station())).toList();
  }

  private void guess(int line, String words) {
    guesses.add(new Draft.Guess(line, words));
  }

  private static String words(Kind kind) {
    return kind.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private static String unique(String name, Set<String> taken) {
    String free = name;
    for (int n = 2; !taken.add(free); n++) {
      free = "%s-%d".formatted(name.length() > LONGEST_NAME - 4 ? name.substring(0, LONGEST_NAME - 4) : name, n);
    }
    return free;
  }

  private static String slug(String words) {
    String slug = words.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    return slug.isEmpty() ? "x" : slug.substring(0, Math.min(LONGEST_NAME, slug.length())).replaceAll("-$", "");
  }

  private static final Planform SHAPE = new Planform(20, 2.4, new Planform.Aerofoil(20, 6, 3, 7, 1.5),
      new Planform.Aerofoil(7, 17, 2, 18, 1), List.of(), List.of(), List.of(), List.of(),
      Seating.ABREAST, Optional.empty());

  private static ControlSpec.Surface surface(String id, String name, Axis axis, double positive) {
    return new ControlSpec.Surface(id, name, axis, positive, -positive, 1.5, List.of(), List.of());
  }

  private static final ControlSpec CONTROLS = new ControlSpec(
      95, 5, Duration.ofMillis(500), Duration.ofMillis(1_200), 1.5, 1, 0.95, Duration.ofMillis(500),
      ControlSpec.Following.usual(1.5, 1, 5, Duration.ofMillis(1_200)), List.of(
      surface("elevator", "Elevator", Axis.PITCH, 20), surface("aileron-left", "Left aileron", Axis.ROLL, -20),
      surface("aileron-right", "Right aileron", Axis.ROLL, 20), surface("rudder", "Rudder", Axis.YAW, 25)),
      List.of(), List.of(), List.of());
}
