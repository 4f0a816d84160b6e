package neatlanyard.server.departure;

import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.dispatch.Severity;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Seating;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Policy;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.walkaround.WalkTime;
import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.Sun;
import neatlanyard.device.drawn.ReportDrawn;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.controls.CheckWords;
import neatlanyard.server.departure.DepartureViews.CardView;
import neatlanyard.server.departure.DepartureViews.CircumstanceView;
import neatlanyard.server.departure.DepartureViews.CrewView;
import neatlanyard.server.departure.DepartureViews.DayView;
import neatlanyard.server.departure.DepartureViews.DepartureLine;
import neatlanyard.server.departure.DepartureViews.DepartureView;
import neatlanyard.server.departure.DepartureViews.EntryLineView;
import neatlanyard.server.departure.DepartureViews.Header;
import neatlanyard.server.departure.DepartureViews.PlaceName;
import neatlanyard.server.departure.DepartureViews.SchoolView;
import neatlanyard.server.departure.DepartureViews.SeverityView;
import neatlanyard.server.departure.DepartureViews.WalkView;
import neatlanyard.server.departure.Departures.Look;
import neatlanyard.server.departure.LaterViews.LeftView;
import neatlanyard.server.dispatch.TechDesk;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.sop.CardViews;
import neatlanyard.server.sop.GroundViews;
import neatlanyard.server.sop.PackDesk;
import neatlanyard.server.weather.Reports;
import org.springframework.stereotype.Component;

/** Puts a departure's flight and card into what the screens show. */
@Component
class DepartureViewer {
  private final FleetDesk fleet;
  private final PackDesk packs;
  private final Reports reports;
  private final ProgressViewer progress;
  private final TechDesk tech;
  private final InstantSource clock;

  DepartureViewer(FleetDesk fleet, PackDesk packs, Reports reports, ProgressViewer progress, TechDesk tech,
      InstantSource clock) {
    this.fleet = fleet;
    this.packs = packs;
    this.reports = reports;
    this.progress = progress;
    this.tech = tech;
    this.clock = clock;
  }

  /** @param walks how long crews took to walk round this type */
  DepartureView view(Departure d, List<Duration> walks) {
    DepartureState state = d.state();
    return new DepartureView(
        header(state), state.card().map(c -> card(state, c, walks)), progress.progress(d));
  }

  /** All departures shown, as one person sees them. */
  List<DepartureLine> lines(List<Departures.Shown> shown, SignedIn who) {
    Map<TypeId, Seating> seatings = packs.seatings();
    return shown.stream().map(s -> {
      Optional<TypeId> type = fleet.fleet().tail(s.flight().tail()).map(t -> t.type());
      return line(s.flight(), s.look(), who, type, type.map(seatings::get).orElse(Seating.ABREAST));
    }).toList();
  }

  private DepartureLine line(Flight flight, Look look, SignedIn who, Optional<TypeId> type, Seating seating) {
    Optional<Look.Open> open = look instanceof Look.Open o ? Optional.of(o) : Optional.empty();
    String note = look instanceof Look.Unreadable ? "its log cannot be read"
        : open.map(o -> note(o, flight)).orElse("");
    return new DepartureLine(
        flight.id().value(), flight.number(), flight.tail().value(),
        type.map(TypeId::value).orElse(""), seating, place(flight.from()),
        place(flight.to()),
        flight.departs(), zone(flight.from()).getId(), crew(flight), flight.place(who.id()).isPresent(),
        !(look instanceof Look.NotOpened), open.flatMap(Look.Open::tiedOff).isPresent(),
        flight.remark(), note, open.flatMap(Look.Open::due), open.map(Look.Open::tags).orElse(0),
        open.map(Look.Open::first).orElse(List.of()), open.map(Look.Open::seats).orElse(List.of()));
  }

  private String note(Look.Open open, Flight flight) {
    return open.tiedOff().map(at -> "tied off " + time(at, flight.from())).orElseGet(() -> open.stage().title());
  }

  private Header header(DepartureState d) {
    Event.Opened o = d.opened();
    Flight f = o.flight();
    Policy policy = d.pack().policy();
    String reader = policy.reader()
        .map(who -> who == Owner.RIGHT ? Seat.RIGHT : f.flyingSeat().other())
        .or(() -> f.crew().stream().map(Rostered::seat).filter(s -> s == Seat.ENGINEER).findFirst())
        .map(Doc::written)
        .orElse("a third crew member");
    return new Header(
        f.id().value(), f.number(), f.tail().value(), o.tail().type().value(),
        d.pack().planform().seating(), place(f.from()), place(f.to()),
        f.departs(),
        zone(f.from()).getId(), d.pack().title(), o.pack().value(), o.revision(), crew(f), f.remark(),
        reader,
        policy.of(Matter.RESUMING),
        Stream.of(Matter.values())
            .map(m -> new SchoolView(m.words(), m.stage(), policy.of(m).words(),
            policy.of(m) == m.byDefault())).toList(),
        circumstances(d, Set.of()), CheckWords.of(d.pack().flightControls(), d.pack().policy().controlCheck()));
  }

  /** What the pack asks of the day, and what the crew says of it. */
  private static List<CircumstanceView> circumstances(DepartureState d, Set<Circumstance> so) {
    return d.pack().circumstances().stream()
        .map(c -> new CircumstanceView(c, c.words(true), so.contains(c))).toList();
  }

  private CardView card(DepartureState d, Card card, List<Duration> walks) {
    return new CardView(
        d.cardNumber(),
        day(d, card.day()),
        d.pack().policy().controlCheckOn(card.day()),
        CardViews.parts(card),
        d.handovers().panels().stream().map(PlaceId::value).sorted().toList(),
        CardViews.leftOut(card),
        CardViews.tags(d.pack()),
        CardViews.places(d.pack()),
        CardViews.drawings(card),
        CardViews.planform(d.pack().planform()),
        GroundViews.of(d.pack().planform()),
        TaxiReader.plan(d),
        fleet.fleet().airfield(d.opened().flight().from()).flatMap(Airfield::deck).map(TaxiReader::deck),
        d.facts().left().map(l -> new LeftView(l.by(), l.flight(), l.at(), l.states().stream()
            .map(s -> "%s %s".formatted(d.pack().name(s.point()), s.value())).toList())),
        walk(card, walks),
        tech.list(d.opened().tail().type()).entries().stream().map(e -> new EntryLineView(
            e.id().value(), e.title(), e.installed(), e.steps().stream().map(StepId::value).toList())).toList(),
        Stream.of(Severity.values()).map(s -> new SeverityView(s, s.words())).toList());
  }

  private static WalkView walk(Card card, List<Duration> walks) {
    List<Card.Item> items = card.items().stream().filter(i -> i.procedure().kind() == Procedure.Kind.WALKAROUND)
        .toList();
    List<Place> stations = items.stream().map(i -> i.step().place()).distinct()
        .flatMap(p -> card.pack().place(p).stream()).toList();
    WalkTime time = WalkTime.of(stations, items.size(), walks);
    return new WalkView(Math.round(time.metres()), time.takes().toSeconds() / 60.0, time.from());
  }

  private DayView day(DepartureState d, Day day) {
    String weather = Stream.concat(
            day.report().weather().stream().map(Phenomenon::words),
            day.report().temperatureC().stream().mapToObj(ReportDrawn::degrees))
        .collect(java.util.stream.Collectors.joining(", "));
    return new DayView(
        day.report().text(), day.simulatedReport(), reports.facts(day.report()), day.dark(), light(d, day), weather,
        circumstances(d, day.circumstances()));
  }

  /** "dark until 08:52" or "light until 15:31", in the airfield's own time. */
  private String light(DepartureState d, Day day) {
    String now = day.dark() ? "dark" : "light";
    AirfieldId from = d.opened().flight().from();
    return fleet.fleet().airfield(from)
        .flatMap(a -> Sun.nextPassing(clock.instant(), a, Sun.DARK_BELOW_DEG))
        .map(t -> "%s until %s".formatted(now, time(t, from)))
        .orElse(now);
  }

  /** In the order of the seats, whatever the order of the roster. */
  private List<CrewView> crew(Flight f) {
    return f.crew().stream().sorted(Comparator.comparing(Rostered::seat))
        .map(r -> new CrewView(
            r.who().value(), fleet.fleet().member(r.who()).map(m -> m.name()).orElse(r.who().value()),
            r.seat(), r.commander(), r.flying()))
        .toList();
  }

  private PlaceName place(AirfieldId id) {
    return new PlaceName(id.value(), fleet.fleet().airfield(id).map(Airfield::name).orElse(id.value()));
  }

  private ZoneId zone(AirfieldId id) {
    return fleet.fleet().airfield(id).map(Airfield::zone).orElse(ZoneId.of("UTC"));
  }

  private String time(Instant at, AirfieldId where) {
    return DateTimeFormatter.ofPattern("HH:mm").format(at.atZone(zone(where)));
  }
}
