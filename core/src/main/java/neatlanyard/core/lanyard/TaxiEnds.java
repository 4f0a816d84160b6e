package neatlanyard.core.lanyard;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.sop.TagKind.Trigger;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Recorded;
import neatlanyard.core.state.TaxiNotes;

/** What taxiing has left open: a clearance that two have not said alike, brakes that cool. */
final class TaxiEnds {
  private TaxiEnds() {}

  static List<LooseEnd> of(DepartureState d) {
    List<LooseEnd> ends = new ArrayList<>();
    TaxiNotes taxi = d.taxi();
    if (taxi.standing() == TaxiNotes.Standing.BY_ONE) {
      Map.Entry<Seat, Recorded<Event.TaxiCleared>> one = taxi.heard().entrySet().iterator().next();
      ends.add(end(Trigger.CLEARANCE, "%s said by the %s seat alone".formatted(
          taxi.before().isPresent() ? "A changed clearance" : "Clearance",
          d.pack().planform().seating().name(one.getKey())), one.getValue()));
    } else if (taxi.standing() == TaxiNotes.Standing.DIFFERS) {
      ends.add(end(Trigger.CLEARANCE, "Heard differently: " + String.join("; ", taxi.differences()),
          taxi.heard().values().stream().max(Comparator.comparing(Recorded::number)).orElseThrow()));
    }
    taxi.brakes().flatMap(b -> cooling(d, b)).ifPresent(ends::add);
    return ends;
  }

  /** Until somebody reads them cool: the table is of a usual day, the brakes are of this one. */
  private static Optional<LooseEnd> cooling(DepartureState d, Recorded<Event.BrakesRead> b) {
    Planform.Ground ground = d.pack().planform().ground().orElseThrow();
    int hot = b.event().hottestC();
    Optional<Planform.Cooling> row = ground.cooling(hot);
    if (row.isEmpty()) {
      return Optional.of(end(Trigger.BRAKES, "Brakes %d \u00b0C, hotter than their table".formatted(hot), b));
    }
    Duration takes = row.get().takes(b.event().fan());
    return takes.isZero() ? Optional.empty()
        : Optional.of(end(Trigger.BRAKES, "Brakes %d \u00b0C: cool %d min %s, then read them again".formatted(
        hot, takes.toMinutes(), b.event().fan() ? "with the fan" : "without a fan"), b));
  }

  private static LooseEnd end(Trigger trigger, String words, Recorded<?> by) {
    return new LooseEnd(trigger, trigger.name().toLowerCase(Locale.ROOT), words, 1, 1, by.by(), by.at(), by.number(),
        List.of(), Optional.empty());
  }
}
