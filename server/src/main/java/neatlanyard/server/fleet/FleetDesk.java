package neatlanyard.server.fleet;

import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.ReentrantLock;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.AccessLog.Act;
import neatlanyard.core.fleet.Accounts.Account;
import neatlanyard.core.fleet.Accounts;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.FleetTexts;
import neatlanyard.core.fleet.FleetTexts.FleetText;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.Flights;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.record.Chain;
import neatlanyard.formats.fleet.FleetReader;
import neatlanyard.formats.fleet.FlightsReader;
import neatlanyard.formats.text.Read;
import neatlanyard.server.fleet.FleetViews.OneTimePassword;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.work.HeavyWork;
import org.springframework.stereotype.Service;

/** Brings in fleets and flights; the same way for a user's and for the demo's. */
@Service
public class FleetDesk {
  /** Each new one gets a password, which takes its time. */
  private static final int MOST_PEOPLE = 2_000;
  private static final int MOST_NAMED = 20;

  private final FleetTexts texts;
  private final Flights flights;
  private final Accounts accounts;
  private final SignIns signIns;
  private final InstantSource clock;
  private final HeavyWork heavy;
  private final AtomicReference<Fleet> fleet;
  private final ReentrantLock one = new ReentrantLock();

  FleetDesk(FleetTexts texts, Flights flights, Accounts accounts, SignIns signIns, InstantSource clock,
      HeavyWork heavy) {
    this.heavy = heavy;
    this.texts = texts;
    this.flights = flights;
    this.accounts = accounts;
    this.signIns = signIns;
    this.clock = clock;
    this.fleet = new AtomicReference<>(texts.inForce()
        .map(t -> FleetReader.read(t.text()).orThrow(t.operator()))
        .orElse(Fleet.NONE));
  }

  /** The fleet that was brought in last. */
  public Fleet fleet() {
    return fleet.get();
  }

  /**
   * Brings in a fleet. Who is no longer in it is out at once, and a role that changed counts at once.
   *
   * @return one-time passwords for people who had no sign-in
   * @throws Problem naming every fault
   */
  public List<OneTimePassword> bringInFleet(String text, CrewId by) {
    Fleet read = heavy.run(by.value(), HeavyWork.Kind.IMPORT, stop -> switch (FleetReader.read(text)) {
      case Read.Good<Fleet> good -> good.value();
      case Read.Bad<Fleet> bad -> throw Problem.faulty("The fleet has faults.", bad.faults());
    });
    if (read.crew().size() > MOST_PEOPLE) {
      throw Problem.bad(ProblemCode.TOO_MANY_PEOPLE,
          "%d people; %d are the most.".formatted(read.crew().size(), MOST_PEOPLE));
    }
    one.lock();
    try {
      texts.keep(new FleetText(read.operator(), Chain.sha256(text), text, by, clock.instant()));
      signIns.write(by, Act.FLEET_BROUGHT_IN, read.operator(), "%d people".formatted(read.crew().size()));
      return become(read, by);
    } finally {
      one.unlock();
    }
  }

  /** The fleet in force as it was brought in; empty where none was. */
  Optional<FleetText> inForce() {
    return texts.inForce();
  }

  /** Whether there is one to go back to. */
  boolean mayBeWithdrawn() {
    return texts.before().isPresent();
  }

  /**
   * Withdraws the fleet in force: the one before it is in force again, with its people and their roles.
   *
   * @param edition the hash of the one that is meant
   * @return one-time passwords for those who come back
   * @throws Problem if another is in force, there is none before it, or a flight has a tail, an airfield or somebody
   *     that only this one has
   */
  List<OneTimePassword> withdrawFleet(String edition, CrewId by) {
    one.lock();
    try {
      if (inForce().filter(t -> t.sha256().equals(edition)).isEmpty()) {
        throw Problem.refused(new Refusal(RefusalCode.OTHER_FLEET,
            "Another fleet is in force by now.", "Look at it first."));
      }
      FleetText before = texts.before().orElseThrow(() -> Problem.refused(new Refusal(
          RefusalCode.NOTHING_BEFORE, "No other fleet was in force before it.", "Bring in the one that is right.")));
      Fleet read = FleetReader.read(before.text()).orThrow(before.operator());
      List<String> using = flights.all().stream().filter(f -> !has(read, f)).map(Flight::number).toList();
      if (!using.isEmpty()) {
        throw Problem.refused(new Refusal(
            RefusalCode.IN_USE, "It is in use: %s.".formatted(
            String.join(", ", using.subList(0, Math.min(using.size(), MOST_NAMED)))),
            "Withdraw those flights first, or bring in a fleet that has what they need."));
      }
      signIns.write(by, Act.FLEET_WITHDRAWN, fleet().operator(), "%d people".formatted(fleet().crew().size()));
      texts.withdraw(clock.instant());
      return become(read, by);
    } finally {
      one.unlock();
    }
  }

  private static boolean has(Fleet fleet, Flight flight) {
    return fleet.tail(flight.tail()).isPresent() && fleet.airfield(flight.from()).isPresent()
        && fleet.airfield(flight.to()).isPresent()
        && flight.crew().stream().allMatch(r -> fleet.member(r.who()).isPresent());
  }

  private List<OneTimePassword> become(Fleet read, CrewId by) {
    Fleet before = fleet.getAndSet(read);
    before.crew().stream()
        .filter(m -> read.member(m.id()).isEmpty() && !m.id().equals(by) && accounts.find(m.id())
        .filter(a -> !a.disabled()).isPresent())
        .forEach(m -> signIns.takeAway(by, m.id(), "no longer in the fleet"));
    List<OneTimePassword> given = new ArrayList<>();
    for (CrewMember m : read.crew()) {
      Optional<Account> account = accounts.find(m.id());
      boolean back = account.filter(Account::disabled).isPresent() && before.member(m.id()).isEmpty();
      if (account.isEmpty() || back) {
        given.add(new OneTimePassword(m.id().value(), m.name(), signIns.oneTime(by, m.id(), m.name(), m.role())));
      } else {
        signIns.become(by, m);
      }
    }
    return given;
  }

  /** Brings in flights of the present fleet. @return how many. @throws Problem naming every fault */
  public int bringInFlights(String text, CrewId by) {
    List<Flight> read = heavy.run(by.value(), HeavyWork.Kind.IMPORT, stop ->
        switch (FlightsReader.read(text, fleet(), clock.instant())) {
      case Read.Good<List<Flight>> good -> good.value();
      case Read.Bad<List<Flight>> bad -> throw Problem.faulty("The flights have faults.", bad.faults());
    });
    try {
      flights.add(read);
    } catch (IllegalArgumentException e) {
      throw Problem.bad(ProblemCode.FLIGHT_EXISTS, String.valueOf(e.getMessage()));
    }
    signIns.write(by, Act.FLIGHTS_BROUGHT_IN, "%d flights".formatted(read.size()), read.stream().limit(MOST_NAMED)
        .map(f -> f.id().value()).collect(Collectors.joining(", ")));
    return read.size();
  }

  /** Takes a flight away before it is used. @throws Problem if there is none, or its departure was opened */
  void withdraw(String id, CrewId by) {
    Flight flight = flights.all().stream().filter(f -> f.id().value().equals(id)).findFirst()
        .orElseThrow(() -> Problem.notFound("There is no flight of that name."));
    if (!flights.withdraw(flight.id())) {
      throw Problem.refused(
          new Refusal(RefusalCode.IN_USE, "Its departure was opened, and its record stays.",
          "Bring in another flight beside it."));
    }
    signIns.write(by, Act.FLIGHT_WITHDRAWN, flight.id().value(), flight.number());
  }
}
