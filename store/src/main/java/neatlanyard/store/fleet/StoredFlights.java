package neatlanyard.store.fleet;

import static neatlanyard.store.generated.Tables.ENTRY;
import static neatlanyard.store.generated.Tables.FLIGHT;
import static neatlanyard.store.generated.Tables.PHOTO;
import static neatlanyard.store.generated.Tables.ROSTERED;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Arrival;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Flights;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.TailId;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.FlightRecord;
import neatlanyard.store.generated.tables.records.RosteredRecord;

/** Flights in the database. */
public final class StoredFlights implements Flights {
  private final Database db;

  public StoredFlights(Database db) {
    this.db = db;
  }

  @Override
  public Optional<Flight> find(FlightId id) {
    return db.rows(sql -> sql.selectFrom(FLIGHT).where(FLIGHT.ID.eq(id.value())), f -> of(f, db.rows(
        sql -> sql.selectFrom(ROSTERED).where(ROSTERED.FLIGHT_ID.eq(f.getId())).orderBy(ROSTERED.SEAT),
        StoredFlights::of)))
        .stream().findFirst();
  }

  @Override
  public List<Flight> all() {
    Map<String, List<Rostered>> crews = db.rows(
            sql -> sql.selectFrom(ROSTERED).orderBy(ROSTERED.SEAT), r -> Map.entry(r.getFlightId(), of(r)))
        .stream().collect(
        Collectors.groupingBy(Map.Entry::getKey, Collectors.mapping(Map.Entry::getValue, Collectors.toList())));
    return db.rows(
        sql -> sql.selectFrom(FLIGHT).orderBy(FLIGHT.DEPARTS_AT, FLIGHT.ID), f ->
        of(f, crews.getOrDefault(f.getId(), List.of())));
  }

  @Override
  public void add(List<Flight> flights) {
    flights.stream().filter(f -> find(f.id()).isPresent()).findFirst().ifPresent(f -> {
      throw new IllegalArgumentException("The flight '%s' is there already.".formatted(f.id()));
    });
    db.write(sql -> {
      for (Flight f : flights) {
        sql.insertInto(FLIGHT).set(new FlightRecord(
            f.id().value(), f.number(), f.tail().value(), f.from().value(), f.to().value(), f.departs()
            .toEpochMilli(), f.level().orElse(null), f.remark(),
            f.arrival().map(a -> a.flies().toMillis()).orElse(null),
            f.arrival().flatMap(Arrival::wanted).map(Instant::toEpochMilli).orElse(null))).execute();
        f.crew().forEach(r -> sql.insertInto(ROSTERED).set(new RosteredRecord(
            f.id().value(), r.seat().name(), r.who().value(), r.commander(), r.flying())).execute());
      }
    });
  }

  /** What refers to a flight keeps it; so does the foreign key, should an entry come in between. */
  @Override
  public boolean withdraw(FlightId id) {
    AtomicBoolean gone = new AtomicBoolean();
    db.write(sql -> {
      boolean used = sql.fetchExists(ENTRY, ENTRY.FLIGHT_ID.eq(id.value()))
          || sql.fetchExists(PHOTO, PHOTO.FLIGHT_ID.eq(id.value()));
      gone.set(!used && sql.deleteFrom(FLIGHT).where(FLIGHT.ID.eq(id.value())).execute() > 0);
    });
    return gone.get();
  }

  private static Rostered of(RosteredRecord r) {
    return new Rostered(new CrewId(r.getWho()), Seat.valueOf(r.getSeat()), r.getCommander(), r.getFlying());
  }

  private static Flight of(FlightRecord f, List<Rostered> crew) {
    return new Flight(
        new FlightId(f.getId()), f.getNumber(), new TailId(f.getTail()), new AirfieldId(f.getFromAirfield()),
        new AirfieldId(f.getToAirfield()), Instant.ofEpochMilli(f.getDepartsAt()), Optional.ofNullable(f.getLevel()),
        crew, f.getRemark(), Optional.ofNullable(f.getFliesMs()).map(ms -> new Arrival(Duration.ofMillis(ms),
        Optional.ofNullable(f.getArriveBy()).map(Instant::ofEpochMilli))));
  }
}
