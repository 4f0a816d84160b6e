package neatlanyard.core.departure;

import static neatlanyard.core.departure.Attempt.no;

import java.util.Optional;
import neatlanyard.core.fleet.GroundPlan;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.log.Event;
import neatlanyard.core.taxi.Way;

/** What is asked of a taxi clearance and of a reading of the brakes. */
final class TaxiAdmission {
  /** Hotter no brake is read. */
  static final int MOST_C = 1_500;

  private final Attempt attempt;

  TaxiAdmission(Attempt attempt) {
    this.attempt = attempt;
  }

  Optional<Refusal> cleared(Event.TaxiCleared e) {
    if (!Seat.pilots().contains(attempt.now().seatOf(attempt.by()).orElseThrow())) {
      return no(RefusalCode.NOT_YOUR_ROLE, "A clearance is heard and read back by the two pilots.",
          "Tell them what you heard.");
    }
    Optional<GroundPlan> plan = attempt.now().facts().ground();
    if (plan.isEmpty()) {
      return no(RefusalCode.NOT_A_CLEARANCE, "The fleet has no plan of this airfield's ground.",
          "Write it down, and read it back.");
    }
    return Way.of(plan.get(), e.clearance()).isPresent() ? Optional.empty()
        : no(RefusalCode.NOT_A_CLEARANCE, "Nothing leads there: %s.".formatted(e.clearance().words()),
        "Say it taxiway by taxiway.");
  }

  Optional<Refusal> brakes(Event.BrakesRead e) {
    boolean tells = attempt.now().pack().planform().ground().filter(g -> !g.cooling().isEmpty()).isPresent();
    if (!tells) {
      return no(RefusalCode.NO_VALUE, "The pack has no table by which this type's brakes cool.",
          "Go by the operator's manuals.");
    }
    return e.hottestC() < -60 || e.hottestC() > MOST_C
        ? no(RefusalCode.NOT_A_VALUE, "A brake is read between -60 and %d \u00b0C.".formatted(MOST_C),
        "Read it again.")
        : Optional.empty();
  }
}
