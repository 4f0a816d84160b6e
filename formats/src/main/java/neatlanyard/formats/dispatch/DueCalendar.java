package neatlanyard.formats.dispatch;

import java.time.Instant;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import neatlanyard.core.dispatch.Deferral;
import neatlanyard.core.fleet.TailId;

/** The last days of what is deferred, as a calendar (RFC 5545). */
public final class DueCalendar {
  private DueCalendar() {}

  /** One whole day an entry. @param at when it is written */
  public static String of(TailId tail, List<Deferral> deferrals, Instant at) {
    Calendar calendar = new Calendar();
    calendar.add(new ProdId("-//Neat Lanyard//Technical log//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    for (Deferral d : deferrals) {
      VEvent event = new VEvent(false);
      event.add(new DtStamp(at));
      event.add(new Uid("%s@neat-lanyard".formatted(d.defect())));
      event.add(new DtStart<>(d.lastDay()));
      event.add(new Summary("%s: last day of %s".formatted(tail, d.words())));
      event.add(new Description("%s. From the next day it stops a departure.".formatted(d.note())));
      event.add(new Transp("TRANSPARENT"));
      calendar.add(event);
    }
    return calendar.toString();
  }
}
