package neatlanyard.server.sop;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.flow.FoundSo;
import neatlanyard.core.gauge.Missing;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Drawing;
import neatlanyard.core.sop.Measure;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagId;
import neatlanyard.core.sop.TagKind;
import neatlanyard.core.walkaround.SecondSide;

/** What the interface is told of a card, and how it is told. */
public final class CardViews {
  private static final Set<TagKind.Trigger> SAID_OF_STEPS = EnumSet.of(TagKind.Trigger.STEP,
      TagKind.Trigger.LOOK_AGAIN, TagKind.Trigger.FIND, TagKind.Trigger.WAIT);

  private CardViews() {}

  /** @param byPanel whether its panels can be handed to another seat */
  public record PartView(String id, String title, Stage stage, Procedure.Kind kind, boolean byPanel, List<Seat> seats,
      List<ItemView> items) {}

  /**
   * One step of a card.
   *
   * @param any whether one of the seats is enough
   * @param measure what is read and entered
   * @param waits a time that must pass after it
   * @param needs the steps that must be done first @param afterWait those whose wait must have passed
   * @param course a test in its parts, or what a display may show, each to be seen
   * @param looks drawings that show it
   * @param why for who wonders why it is done; empty where nobody wrote it
   * @param number as printed on the operator's card; empty where it has none
   * @param notLit what the lights test does not cover, at the step that makes it
   * @param pressTest lights that must be out and that the lights test does not cover: dark may mean a dead bulb
   * @param foundAs the state the crew may find instead of making it, such as "APU: running"; empty where it is always
   *     made
   * @param differs what is not as on the side that was walked first; empty where nothing is
   */
  public record ItemView(
      String id, String challenge, String response, String caution, String why, LooksView looks,
      String number, String place, List<Seat> seats, boolean any,
      String added,
      boolean critical, boolean alerted, boolean belowLine, Optional<WaitForView> waits, List<String> needs,
      List<String> afterWait, Optional<MeasureView> measure, List<BeatView> course, List<String> notLit,
      List<String> pressTest,
      String foundAs, String differs, List<HookView> opens, List<HookView> closes) {}

  /** @param words such as "2 min before bleed air is taken" */
  public record WaitForView(long seconds, String words) {}

  /** What a step hangs on the cord or takes off it. */
  public record HookView(String tag, List<String> items) {}

  /**
   * A kind of tag that a device can hang by itself, as what hangs it is said there.
   *
   * @param title with {open} and {all} for the counts, {what} for what it is about
   * @param due the stage's title
   * @param closes what takes it off, in words
   */
  public record TagKindView(String id, String title, TagKind.Trigger hangsOn, Stage stage, String due, String closes,
      boolean mayStay) {}

  public record BeatView(String act, String see) {}

  /** @param limits in words @param none what "all as it should be" reads, for things that are counted when missing */
  public record MeasureView(String name, String unit, String limits, Optional<Double> none) {}

  public record LeftOutView(String step, Stage stage, String challenge, String why) {}

  /** @param glance how it looks when all is right; empty where nobody said it */
  public record PlaceView(String id, String name, double x, double y, double width, double height, String glance) {}

  public record AerofoilView(double spanM, double rootY, double rootChordM, double tipY, double tipChordM) {}

  public record EngineView(Planform.Engine.Kind kind, double x, double y, double diameterM) {}

  public record PlanformView(
      double lengthM, double fuselageWidthM, AerofoilView wing, AerofoilView tailplane, List<EngineView> engines,
      List<GearView> gear, List<DoorView> doors, List<HazardView> hazards) {}

  public record GearView(double x, double y, int wheels) {}

  /** @param right and {@code wrong}, ids of drawings */
  public record LooksView(List<String> right, List<String> wrong) {}

  /** A drawing in a field of its width and height. @param photo a JPEG in base64; empty where it is drawn */
  public record DrawingView(String id, String title, double width, double height, List<ShapeView> shapes,
      String photo) {}

  public record ShapeView(Drawing.Form form, Map<String, String> measures, Drawing.Tone tone) {}

  public record DoorView(String name, double x, double y, double lengthM) {}

  /** @param during the tag while which it is so; empty when it always is */
  public record HazardView(Planform.Hazard.Kind kind, String name, double x, double y, double widthM, double lengthM,
      String during) {}

  public static List<PartView> parts(Card card) {
    return card.parts().stream().map(p -> part(card.pack(), p)).toList();
  }

  private static PartView part(Pack pack, Card.Part p) {
    List<Seat> seats = Stream.of(Seat.values())
        .filter(s -> p.items().stream().allMatch(i -> i.seats().contains(s)))
        .toList();
    Map<PlaceId, Place> places = pack.places().stream().collect(Collectors.toMap(Place::id, x -> x));
    Map<StepId, String> differs = p.procedure().kind() == Procedure.Kind.WALKAROUND
        ? SecondSide.differences(p.items(), places) : Map.of();
    return new PartView(
        p.procedure().id().value(), p.procedure().title(), p.procedure().stage(),
        p.procedure().kind(), p.procedure().kind().byPanel(), seats, p.items().stream()
        .map(i -> item(pack, i, differs.getOrDefault(i.step().id(), ""))).toList());
  }

  private static ItemView item(Pack pack, Card.Item i, String differs) {
    return new ItemView(
        i.step().id().value(), i.step().challenge(), i.step().response(), i.step().caution(), i.step().why(),
        new LooksView(i.step().looks().right(), i.step().looks().wrong()),
        i.step().number().isEmpty() ? "" : Integer.toString(i.step().number().getAsInt()), i.step().place().value(),
        i.seats().stream().sorted().toList(), i.any(), i.added(), i.step().critical(), i.step()
        .alerted(),
        i.step().belowLine(), i.step().waits().map(w -> new WaitForView(w.time().toSeconds(), w.words())),
        ids(i.step().needs()), ids(i.step().afterWait()),
        i.step().measures().map(CardViews::measure), beats(i.step()),
        i.step().testsLights() ? pack.points().stream().filter(p -> !p.lightsTested()).map(Point::name).toList()
        : List.of(),
        i.step().expects().stream().flatMap(s -> pack.point(s.point()).stream()).filter(p -> !p.lightsTested())
        .map(Point::name).toList(),
        foundAs(pack, i), differs, hooks(i.step().opens()), hooks(i.step().closes()));
  }

  /** Those that steps of a card name. */
  public static List<DrawingView> drawings(Card card) {
    Set<String> named = card.items().stream().map(i -> i.step().looks())
        .flatMap(l -> Stream.concat(l.right().stream(), l.wrong().stream())).collect(Collectors.toSet());
    return card.pack().drawings().stream().filter(d -> named.contains(d.id()))
        .map(d -> new DrawingView(d.id(), d.title(), d.width(), d.height(), d.shapes().stream()
            .map(x -> new ShapeView(x.form(), x.measures(), x.tone())).toList(), d.photo())).toList();
  }

  private static List<BeatView> beats(Step step) {
    return Stream.concat(step.course().stream().map(b -> new BeatView(b.act(), b.see())),
        step.messages().stream().map(m -> new BeatView(m.shows(), m.words()))).toList();
  }

  private static List<String> ids(List<StepId> steps) {
    return steps.stream().map(StepId::value).toList();
  }

  private static List<HookView> hooks(List<Step.Hook> hooks) {
    return hooks.stream().map(h -> new HookView(h.tag().value(), h.items())).toList();
  }

  public static List<TagKindView> tags(Pack pack) {
    return pack.tagKinds().stream().filter(k -> SAID_OF_STEPS.contains(k.hangsOn()))
        .map(k -> new TagKindView(
            k.id().value(), k.title(), k.hangsOn(), k.due(), k.due().title(), k.hangsOn()
            .closes(), k.mayStay())).toList();
  }

  private static String foundAs(Pack pack, Card.Item i) {
    return FoundSo.may(pack, i.procedure(), i.step())
        ? i.step().sets().stream().map(s -> "%s: %s".formatted(pack.name(s.point()), s.value()))
        .collect(Collectors.joining(", "))
        : "";
  }

  private static MeasureView measure(Measure m) {
    return new MeasureView(m.quantity().name(), m.quantity().unit().symbol(), m.words(),
        m.quantity().gauge().filter(g -> g instanceof Missing).map(g -> 0.0));
  }

  public static List<LeftOutView> leftOut(Card card) {
    return card.leftOut().stream()
        .map(l -> new LeftOutView(l.step().id().value(), l.procedure().stage(), l.step().challenge(),
        l.why())).toList();
  }

  public static List<PlaceView> places(Pack pack) {
    return pack.places().stream().map(CardViews::place).toList();
  }

  private static PlaceView place(Place p) {
    return new PlaceView(p.id().value(), p.name(), p.x(), p.y(), p.width(), p.height(), p.glance());
  }

  public static PlanformView planform(Planform p) {
    return new PlanformView(
        p.lengthM(), p.fuselageWidthM(), aerofoil(p.wing()), aerofoil(p.tailplane()),
        p.engines().stream().map(e -> new EngineView(e.kind(), e.x(), e.y(), e.diameterM())).toList(),
        p.gear().stream().map(g -> new GearView(g.x(), g.y(), g.wheels())).toList(),
        p.doors().stream().map(d -> new DoorView(d.name(), d.x(), d.y(), d.lengthM())).toList(),
        p.hazards().stream().map(h -> new HazardView(
            h.kind(), h.name(), h.x(), h.y(), h.widthM(), h.lengthM(), h.during().map(TagId::value)
            .orElse(""))).toList());
  }

  private static AerofoilView aerofoil(Planform.Aerofoil a) {
    return new AerofoilView(a.spanM(), a.rootY(), a.rootChordM(), a.tipY(), a.tipChordM());
  }
}
