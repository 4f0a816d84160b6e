package neatlanyard.server.departure;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import neatlanyard.core.departure.Picture;
import neatlanyard.core.departure.TaxiWay;
import neatlanyard.core.fleet.Deck;
import neatlanyard.core.fleet.GroundPlan;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.School;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Recorded;
import neatlanyard.core.state.TaxiNotes;
import neatlanyard.core.taxi.Clearance;
import neatlanyard.core.taxi.ClearanceWords;
import neatlanyard.core.taxi.Rolling;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.departure.TaxiViews.BrakesView;
import neatlanyard.server.departure.TaxiViews.ClearanceForm;
import neatlanyard.server.departure.TaxiViews.DeckAreaView;
import neatlanyard.server.departure.TaxiViews.DeckView;
import neatlanyard.server.departure.TaxiViews.GroundPlanView;
import neatlanyard.server.departure.TaxiViews.HeardView;
import neatlanyard.server.departure.TaxiViews.LaneView;
import neatlanyard.server.departure.TaxiViews.PlaceOfWayView;
import neatlanyard.server.departure.TaxiViews.PlanSpotView;
import neatlanyard.server.departure.TaxiViews.StripView;
import neatlanyard.server.departure.TaxiViews.TaxiView;
import neatlanyard.server.departure.TaxiViews.WayView;
import neatlanyard.server.problem.Problem;

/** Puts taxiing into what the screens show, and what a pilot heard into a clearance. */
final class TaxiReader {
  private final DepartureState d;
  private final Picture picture;
  private final TaxiNotes taxi;

  TaxiReader(DepartureState state, Picture picture) {
    this.d = state;
    this.picture = picture;
    this.taxi = state.taxi();
  }

  /** @throws Problem naming all that cannot be understood */
  static Event heard(ClearanceForm form, DepartureState d) {
    GroundPlan plan = d.facts().ground().orElseThrow(() -> Problem.refused(new Refusal(RefusalCode.NOT_A_CLEARANCE,
        "The fleet has no plan of this airfield's ground.", "Write it down, and read it back.")));
    return switch (ClearanceWords.read(plan, Objects.requireNonNullElse(form.from(), ""),
        Objects.requireNonNullElse(form.words(), ""))) {
      case ClearanceWords.Heard.Understood u -> new Event.TaxiCleared(u.clearance());
      case ClearanceWords.Heard.NotUnderstood n -> throw Problem.refused(new Refusal(RefusalCode.NOT_A_CLEARANCE,
          String.join(" ", n.faults()), "Say the stand, each taxiway and the limit by their names."));
    };
  }

  /** Empty where the fleet has no plan of this airfield and the pack no table of brakes. */
  Optional<TaxiView> view() {
    boolean cools = d.pack().planform().ground().filter(g -> !g.cooling().isEmpty()).isPresent();
    return d.facts().ground().isEmpty() && !cools ? Optional.empty() : Optional.of(new TaxiView(taxi.standing(),
        taxi.heard().keySet().stream().sorted().map(Doc::written).toList(),
        taxi.heard().size() < 2 ? List.of() : taxi.heard().entrySet().stream().sorted(Map.Entry.comparingByKey())
            .map(e -> heard(e.getValue())).toList(),
        taxi.differences(), taxi.before().map(Clearance::words).orElse(""), picture.taxiWay().known().map(this::way),
        picture.taxiWay().notFor(), taxi.brakes().map(this::brakes)));
  }

  private HeardView heard(Recorded<Event.TaxiCleared> r) {
    return new HeardView(Names.family(d, r.by()), r.event().clearance().words(), r.at());
  }

  private WayView way(TaxiWay.Known known) {
    return new WayView(known.clearance().words(), places(known),
        known.rolling().controlCheck(), known.way().spots().stream()
            .map(s -> new double[] {s.eastM(), s.northM()}).toList());
  }

  private static List<PlaceOfWayView> places(TaxiWay.Known known) {
    List<PlaceOfWayView> all = new ArrayList<>();
    for (Rolling.Stop s : known.rolling().places()) {
      double[] at = known.way().middle(all.size());
      all.add(new PlaceOfWayView(s.leg().place(), s.kt(), s.words(), s.may(), s.leg().cleared(), s.cautions(), at));
    }
    return all;
  }

  private BrakesView brakes(Recorded<Event.BrakesRead> r) {
    Event.BrakesRead e = r.event();
    Optional<Duration> takes = d.pack().planform().ground().flatMap(g -> g.cooling(e.hottestC()))
        .map(c -> c.takes(e.fan())).filter(t -> !t.isZero());
    return new BrakesView(e.hottestC(), e.fan(), Names.family(d, r.by()), r.at(), takes.map(r.at()::plus));
  }

  /** The ground of the airfield of departure. */
  static Optional<GroundPlanView> plan(DepartureState d) {
    School school = d.pack().policy().of(Matter.TRANSPONDER);
    return d.facts().ground().map(g -> new GroundPlanView(
        g.spots().stream().map(s -> new PlanSpotView(s.name(), s.eastM(), s.northM(), s.kind(), s.remark())).toList(),
        g.taxiways().stream().map(t -> lane(g, t)).toList(),
        g.strips().stream().map(s -> new StripView(s.name(), s.ends().stream().map(RunwayName::value).toList(),
            new double[] {s.fromEastM(), s.fromNorthM()}, new double[] {s.toEastM(), s.toNorthM()}, s.widthM()))
            .toList(),
        school == School.BY_AIRFIELD ? g.transponder().words() : school.words().toLowerCase(java.util.Locale.ROOT)));
  }

  static DeckView deck(Deck deck) {
    return new DeckView(corners(deck.outline()), deck.areas().stream().map(a -> new DeckAreaView(
        a.name(), a.kind(), a.kind().area(), corners(a.corners()), a.remark())).toList());
  }

  private static List<double[]> corners(List<Deck.Corner> corners) {
    return corners.stream().map(c -> new double[] {c.rightM(), c.aheadM()}).toList();
  }

  private static LaneView lane(GroundPlan g, GroundPlan.Taxiway t) {
    return new LaneView(t.name(), t.along().stream().flatMap(n -> spot(g, n).stream()).toList(), t.widthM(), t.apron(),
        t.runway().isPresent(), t.bridges().stream().map(b ->
        List.of(b.from(), b.to()).stream().flatMap(n -> spot(g, n).stream()).toList()).toList());
  }

  private static Optional<double[]> spot(GroundPlan g, String name) {
    return g.spot(name).map(s -> new double[] {s.eastM(), s.northM()});
  }
}
