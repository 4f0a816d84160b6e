package neatlanyard.server.departure;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.Deck;
import neatlanyard.core.fleet.GroundPlan;
import neatlanyard.core.state.TaxiNotes;
import neatlanyard.core.taxi.Way;
import org.jspecify.annotations.Nullable;

/** What the interface is told of the ground of an airfield, and of a crew's way over it. */
public final class TaxiViews {
  private TaxiViews() {}

  /**
   * The ground of the airfield of departure; places in metres, east and north.
   *
   * @param transponder how it is set while taxiing, in words
   */
  public record GroundPlanView(List<PlanSpotView> spots, List<LaneView> lanes, List<StripView> strips,
      String transponder) {}

  /** The deck of a ship; places in metres, right of its middle line and ahead of its stern. */
  public record DeckView(List<double[]> outline, List<DeckAreaView> areas) {}

  /** @param remark what can hurt there; empty where nothing can */
  public record DeckAreaView(String name, Deck.Area.Kind kind, boolean closed, List<double[]> corners,
      String remark) {}

  public record PlanSpotView(String name, double east, double north, GroundPlan.Spot.Kind kind, String remark) {}

  /** A taxiway. @param along each place as east and north @param bridges each as two places */
  public record LaneView(String name, List<double[]> along, int widthM, boolean apron, boolean onRunway,
      List<List<double[]>> bridges) {}

  public record StripView(String name, List<String> ends, double[] from, double[] to, int widthM) {}

  /**
   * How taxiing stands.
   *
   * @param saidBy the seats that have said the clearance since it was agreed last
   * @param heard as each heard it; none while only one has, as the other says it alone
   * @param before the clearance that was agreed before this one; empty where there was none
   * @param way where it leads, once both heard the same
   * @param notFor what the type should not take, each with why
   */
  public record TaxiView(TaxiNotes.Standing standing, List<String> saidBy, List<HeardView> heard,
      List<String> differences, String before, Optional<WayView> way, List<String> notFor,
      Optional<BrakesView> brakes) {}

  public record HeardView(String by, String words, Instant at) {}

  /** @param controlCheck where the check of the controls is made @param line each place as east and north */
  public record WayView(String words, List<PlaceOfWayView> places, String controlCheck, List<double[]> line) {}

  /** @param kt most speed; 0 where one stands @param at its middle, east and north */
  public record PlaceOfWayView(Way.Place place, int kt, String words, String may, boolean cleared,
      List<String> cautions, double[] at) {}

  /** @param until they are cool by their table; empty where they are, or it ends below */
  public record BrakesView(int hottestC, boolean fan, String by, Instant at, Optional<Instant> until) {}

  /** A clearance as a pilot typed or picked it. */
  public record ClearanceForm(@Nullable String from, @Nullable String words) {}
}
