package neatlanyard.formats.timeline;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Categories;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import neatlanyard.core.fleet.FlightId;

/** A plan as a calendar (RFC 5545), for whoever keeps the day elsewhere. */
public final class PlanCalendar {
  private PlanCalendar() {}

  /**
   * One line of it.
   *
   * @param id the same as long as it is the same task
   * @param who whose it is, such as "left seat"
   */
  public record Line(String id, String who, String what, Instant begins, Instant ends) {}

  /** @param departs the departure that follows, an event that takes no time @param at when it was planned */
  public static String of(FlightId flight, List<Line> lines, Instant departs, Instant at) {
    Calendar calendar = new Calendar();
    calendar.add(new ProdId("-//Neat Lanyard//Plan//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    for (Line l : lines) {
      calendar.add(event("%s.%s.%s".formatted(flight, l.id(), l.who().replace(' ', '-')), l.what(), l.who(),
          l.begins(), l.ends(), at));
    }
    calendar.add(event("%s.departure".formatted(flight), "Departure", "all", departs, departs, at));
    return calendar.toString();
  }

  private static VEvent event(String id, String what, String who, Instant begins, Instant ends, Instant at) {
    VEvent event = new VEvent(false);
    event.add(new DtStamp(at));
    event.add(new Uid("%s@neat-lanyard".formatted(id)));
    event.add(new DtStart<>(begins.atZone(ZoneOffset.UTC)));
    event.add(new DtEnd<>(ends.atZone(ZoneOffset.UTC)));
    event.add(new Summary(what));
    event.add(new Categories(who));
    event.add(new Transp("TRANSPARENT"));
    return event;
  }
}
