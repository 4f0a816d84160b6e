package neatlanyard.formats.fleet;

import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Arrival;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.TailId;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;

/** Reads flights with their crews; see docs/formats/flights.md. */
public final class FlightsReader {
  private static final Duration LATE = Duration.ofDays(60);
  private static final Duration AHEAD = Duration.ofDays(500);

  public static final String FORMAT = "neat-lanyard/flights/1";
  private static final int LONGEST_REMARK = 200;
  private static final Duration LEAST_FLOWN = Duration.ofMinutes(1);
  private static final Duration MOST_FLOWN = Duration.ofHours(24);

  private final Fleet fleet;
  private final Instant now;
  private final Set<FlightId> seen = new HashSet<>();

  private FlightsReader(Fleet fleet, Instant now) {
    this.fleet = fleet;
    this.now = now;
  }

  /**
   * Reads flights of a fleet.
   *
   * @param now what a departure given as "departs-in" counts from
   */
  public static Read<List<Flight>> read(String text, Fleet fleet, Instant now) {
    return Doc.read(text, doc -> new FlightsReader(fleet, now).flights(doc));
  }

  private List<Flight> flights(Doc doc) {
    doc.format(FORMAT);
    return doc.list("flights", this::flight);
  }

  private Flight flight(Doc doc) {
    FlightId id = doc.of("id", FlightId::new, "x");
    if (!seen.add(id)) {
      doc.fault("id", "A flight '%s' stands twice.".formatted(id));
    }
    TailId tail = doc.of("tail", TailId::new, "XX");
    if (fleet.tail(tail).isEmpty()) {
      doc.fault("tail", "The fleet has no tail '%s'.".formatted(tail));
    }
    List<Rostered> crew = doc.list("crew", this::rostered);
    List<Seat> seats = crew.stream().map(Rostered::seat).sorted().toList();
    if (!seats.equals(List.of(Seat.LEFT, Seat.RIGHT)) && !seats.equals(List.of(Seat.values()))) {
      doc.fault("crew",
          "A crew has one person in the left seat and one in the right, and may have one in the engineer's.");
    }
    if (crew.stream().anyMatch(r -> r.seat() == Seat.ENGINEER && (r.commander() || r.flying()))) {
      doc.fault("crew", "The engineer neither commands nor flies.");
    }
    if (crew.stream().filter(Rostered::commander).count() != 1) {
      doc.fault("crew", "Exactly one of the crew is the commander.");
    }
    if (crew.stream().filter(Rostered::flying).count() != 1) {
      doc.fault("crew", "Exactly one of the crew is the pilot flying.");
    }
    Instant departs = departs(doc);
    return new Flight(id, doc.text("number"), tail, airfield(doc, "from"), airfield(doc, "to"), departs,
        doc.has("level") ? Optional.of(doc.whole("level", 10, 600)) : Optional.empty(), crew,
        remark(doc), arrival(doc, departs));
  }

  private static String remark(Doc doc) {
    String remark = doc.text("remark", "").strip();
    if (remark.length() > LONGEST_REMARK) {
      doc.fault("remark", "It has %d letters; %d is the most.".formatted(remark.length(), LONGEST_REMARK));
    }
    return remark;
  }

  private Optional<Arrival> arrival(Doc doc, Instant departs) {
    if (!doc.has("flies")) {
      if (doc.has("arrives-by") || doc.has("arrives-in")) {
        doc.fault("flies", "When it should arrive says nothing without how long it flies.");
      }
      return Optional.empty();
    }
    Duration flies = doc.of("flies", FlightsReader::flying, "PT1H");
    Optional<Instant> wanted = doc.has("arrives-in")
        ? Optional.of(doc.of("arrives-in", t -> after(departs, now.plus(Duration.parse(t))),
        Duration.between(now, departs.plus(flies)).toString()))
        : doc.has("arrives-by") ? Optional.of(doc.of("arrives-by", t -> after(departs, Instant.parse(t)),
        departs.plus(flies).toString())) : Optional.empty();
    return Optional.of(new Arrival(flies, wanted));
  }

  private static Duration flying(String text) {
    Duration flies = Duration.parse(text);
    if (flies.compareTo(LEAST_FLOWN) < 0 || flies.compareTo(MOST_FLOWN) > 0) {
      throw new IllegalArgumentException("a flight takes from a minute to a day");
    }
    return flies;
  }

  private static Instant after(Instant departs, Instant arrives) {
    if (!arrives.isAfter(departs) || arrives.isAfter(departs.plus(MOST_FLOWN))) {
      throw new IllegalArgumentException("%s is not within the day after %s".formatted(arrives, departs));
    }
    return arrives;
  }

  private Instant departs(Doc doc) {
    if (doc.has("departs-in")) {
      return doc.of("departs-in", t -> planned(now.plus(Duration.parse(t))), "PT0S");
    }
    return doc.of("departs", t -> planned(Instant.parse(t)), now.toString());
  }

  /** Flights are planned about a year ahead; those of the last weeks may be brought in for their records. */
  private Instant planned(Instant departs) {
    Instant first = now.minus(LATE);
    Instant last = now.plus(AHEAD);
    if (departs.isBefore(first) || departs.isAfter(last)) {
      throw new IllegalArgumentException("%s is not from %s to %s".formatted(departs, first, last));
    }
    return departs;
  }

  private AirfieldId airfield(Doc doc, String field) {
    AirfieldId id = doc.of(field, AirfieldId::new, "QXXX");
    if (fleet.airfield(id).map(Airfield::id).isEmpty()) {
      doc.fault(field, "The fleet has no airfield '%s'.".formatted(id));
    }
    return id;
  }

  private Rostered rostered(Doc doc) {
    CrewId who = doc.of("who", CrewId::new, "xx");
    Seat seat = doc.one("seat", Seat.class);
    fleet.member(who).ifPresentOrElse(
        m -> {
          if (!m.role().sits(seat)) {
            doc.fault("who", "'%s' is %s and does not sit in the %s seat.".formatted(who, Doc.written(m.role()),
                Doc.written(seat)));
          }
        },
        () -> doc.fault("who", "The fleet has no crew member '%s'.".formatted(who)));
    return new Rostered(who, seat, doc.yes("commander", false), doc.yes("flying", false));
  }
}
