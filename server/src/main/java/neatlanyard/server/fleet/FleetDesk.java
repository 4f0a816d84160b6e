package neatlanyard.server.fleet;

import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import neatlanyard.core.fleet.Accounts;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.FleetTexts;
import neatlanyard.core.fleet.FleetTexts.FleetText;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.Flights;
import neatlanyard.core.record.Chain;
import neatlanyard.formats.fleet.FleetReader;
import neatlanyard.formats.fleet.FlightsReader;
import neatlanyard.formats.text.Read;
import neatlanyard.server.fleet.FleetViews.OneTimePassword;
import neatlanyard.server.problem.Problem;
import org.springframework.stereotype.Service;

/** Brings in fleets and flights; the same way for a user's and for the demo's. */
@Service
public class FleetDesk {
  private final FleetTexts texts;
  private final Flights flights;
  private final Accounts accounts;
  private final SignIns signIns;
  private final InstantSource clock;
  private final AtomicReference<Fleet> fleet;

  FleetDesk(FleetTexts texts, Flights flights, Accounts accounts, SignIns signIns, InstantSource clock) {
    this.texts = texts;
    this.flights = flights;
    this.accounts = accounts;
    this.signIns = signIns;
    this.clock = clock;
    this.fleet = new AtomicReference<>(texts.latest()
        .map(t -> FleetReader.read(t.text()).orThrow(t.operator()))
        .orElse(Fleet.NONE));
  }

  /** The fleet that was brought in last. */
  public Fleet fleet() {
    return fleet.get();
  }

  /** Brings in a fleet. @return one-time passwords for people who had no sign-in. @throws Problem naming every fault */
  public List<OneTimePassword> bringInFleet(String text, CrewId by) {
    Fleet read = switch (FleetReader.read(text)) {
      case Read.Good<Fleet> good -> good.value();
      case Read.Bad<Fleet> bad -> throw Problem.faulty("The fleet has faults.", bad.faults());
    };
    texts.keep(new FleetText(read.operator(), Chain.sha256(text), text, by, clock.instant()));
    fleet.set(read);
    List<OneTimePassword> given = new ArrayList<>();
    for (CrewMember m : read.crew()) {
      if (accounts.find(m.id()).isEmpty()) {
        given.add(new OneTimePassword(m.id().value(), m.name(), signIns.oneTime(m.id(), m.name(), m.role())));
      }
    }
    return given;
  }

  /** Brings in flights of the present fleet. @return how many. @throws Problem naming every fault */
  public int bringInFlights(String text) {
    List<Flight> read = switch (FlightsReader.read(text, fleet(), clock.instant())) {
      case Read.Good<List<Flight>> good -> good.value();
      case Read.Bad<List<Flight>> bad -> throw Problem.faulty("The flights have faults.", bad.faults());
    };
    try {
      flights.add(read);
    } catch (IllegalArgumentException e) {
      throw Problem.bad("flight-exists", String.valueOf(e.getMessage()));
    }
    return read.size();
  }
}
