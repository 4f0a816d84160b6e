package neatlanyard.core.figures;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import neatlanyard.core.figures.TakeoffFigures.LimitedBy;
import neatlanyard.core.figures.TakeoffTables.Gives;
import neatlanyard.core.fleet.Runway;

/** What a take-off must keep to: with two engines and more one of them may fail, with one it lands ahead. */
enum TakeoffRules {
  /** 14 CFR 25.105 to 25.121. */
  ENGINE_OUT(EnumSet.complementOf(EnumSet.of(Gives.LANDING)), 1.13,
      LimitedBy.GO_DISTANCE, LimitedBy.ALL_ENGINES_DISTANCE, LimitedBy.STOP_DISTANCE, LimitedBy.TAKEOFF_RUN,
      LimitedBy.CLIMB, LimitedBy.OBSTACLE, LimitedBy.BRAKE_ENERGY, LimitedBy.TYRE) {
    @Override
    List<Fit> fits(Runway.Declared left) {
      String source = "14 CFR 25.113";
      return List.of(
          new Fit(LimitedBy.GO_DISTANCE, "go on, engine out", Gives.ACCELERATE_GO, 1, left.todaM(), "TODA", source),
          new Fit(LimitedBy.ALL_ENGINES_DISTANCE, "all engines and 15 %", Gives.ALL_ENGINES, 1.15, left.todaM(),
          "TODA", source),
          new Fit(LimitedBy.STOP_DISTANCE, "stop from V1", Gives.ACCELERATE_STOP, 1, left.asdaM(), "ASDA", source),
          new Fit(LimitedBy.TAKEOFF_RUN, "take-off run", Gives.TAKEOFF_RUN, 1, left.toraM(), "TORA", source));
    }
  },

  /** EU 965/2012, CAT.POL.A.305, and for the speeds 14 CFR 23.51 before amendment 23-64; both from memory. */
  ONE_ENGINE(EnumSet.of(Gives.ALL_ENGINES, Gives.STALL, Gives.VR, Gives.V2, Gives.FLAP_RETRACT, Gives.POWER), 1.2,
      LimitedBy.TAKEOFF_RUN, LimitedBy.TAKEOFF_DISTANCE, LimitedBy.STOP_DISTANCE, LimitedBy.TYRE) {
    @Override
    List<Fit> fits(Runway.Declared left) {
      double alone = left.toraM() / ALONE;
      double parts = Math.min(left.toraM(), Math.min(left.todaM() / TO_TODA, left.asdaM() / TO_ASDA));
      // Either is enough; a stopway and a clearway count where they carry more.
      return alone >= parts
          ? List.of(one(LimitedBy.TAKEOFF_RUN, "take-off and 25 %", ALONE, left.toraM(), "TORA"))
          : List.of(one(LimitedBy.TAKEOFF_RUN, "take-off", 1, left.toraM(), "TORA"),
          one(LimitedBy.TAKEOFF_DISTANCE, "take-off and 15 %", TO_TODA, left.todaM(), "TODA"),
          one(LimitedBy.STOP_DISTANCE, "take-off and 30 %", TO_ASDA, left.asdaM(), "ASDA"));
    }

    private Fit one(LimitedBy by, String what, double factor, int availableM, String which) {
      return new Fit(by, what, Gives.ALL_ENGINES, factor, availableM, which, "EU 965/2012, CAT.POL.A.305");
    }
  };

  private static final double ALONE = 1.25;
  private static final double TO_TODA = 1.15;
  private static final double TO_ASDA = 1.3;

  private final Set<Gives> asked;
  private final double v2OverStall;
  private final List<LimitedBy> limits;

  TakeoffRules(Set<Gives> asked, double v2OverStall, LimitedBy... limits) {
    this.asked = asked;
    this.v2OverStall = v2OverStall;
    this.limits = List.of(limits);
  }

  /**
   * A distance that must fit.
   *
   * @param what such as "stop from V1"
   * @param factor on what the table gives
   * @param availableM metres of {@code which}, such as "ASDA"
   */
  record Fit(LimitedBy by, String what, Gives table, double factor, int availableM, String which, String source) {}

  /** @param left from where the take-off begins */
  abstract List<Fit> fits(Runway.Declared left);

  /** The tables that must have a value. */
  Set<Gives> asked() {
    return asked;
  }

  /** All that may stand against more weight, but for the structure. */
  List<LimitedBy> limits() {
    return limits;
  }

  double v2OverStall() {
    return v2OverStall;
  }
}
