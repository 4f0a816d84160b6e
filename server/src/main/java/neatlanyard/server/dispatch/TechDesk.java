package neatlanyard.server.dispatch;

import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.controls.trend.ControlTrend.Checked;
import neatlanyard.core.dispatch.Deferral;
import neatlanyard.core.dispatch.DispatchList;
import neatlanyard.core.dispatch.DispatchLists;
import neatlanyard.core.dispatch.Imports;
import neatlanyard.core.dispatch.Imports.Import;
import neatlanyard.core.dispatch.Imports.Standing;
import neatlanyard.core.dispatch.ReadingHistory;
import neatlanyard.core.dispatch.TechAct;
import neatlanyard.core.dispatch.TechEntry;
import neatlanyard.core.dispatch.TechLog;
import neatlanyard.core.dispatch.TechLogs;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Registered;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.record.Chain;
import neatlanyard.formats.controls.HistoryCsv;
import neatlanyard.formats.dispatch.DispatchListReader;
import neatlanyard.formats.dispatch.ReadingsCsv;
import neatlanyard.formats.dispatch.TechLogCsv;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import org.springframework.stereotype.Service;

/** The technical logs of the fleet's tails, with the lists they are judged by. */
@Service
public class TechDesk {
  private static final int MOST_IMPORTS_SHOWN = 20;

  private final TechLogs logs;
  private final DispatchLists lists;
  private final Imports imports;
  private final FleetDesk fleet;
  private final InstantSource clock;
  /** So that two files with the same defect do not both find that it is not there. */
  private final ReentrantLock oneFile = new ReentrantLock();
  private final Map<TypeId, DispatchList> read = new ConcurrentHashMap<>();
  private final List<Consumer<TailId>> listeners = new CopyOnWriteArrayList<>();

  TechDesk(TechLogs logs, DispatchLists lists, Imports imports, FleetDesk fleet, InstantSource clock) {
    this.logs = logs;
    this.lists = lists;
    this.imports = imports;
    this.fleet = fleet;
    this.clock = clock;
  }

  /** Is told of every tail whose log has got a line. */
  public void onLine(Consumer<TailId> listener) {
    listeners.add(listener);
  }

  /** The operator's time zone, in which days are counted. */
  public ZoneId zone() {
    return fleet.fleet().zone();
  }

  /** The list in force for a type; an empty one where there is none. */
  public DispatchList list(TypeId type) {
    return read.computeIfAbsent(type, t -> lists.inForce(t)
        .map(x -> DispatchListReader.read(x.content()).orThrow("the dispatch list of " + t))
        .orElse(DispatchList.none(t)));
  }

  /** @throws Problem if the fleet has no such tail */
  public Registered tail(String id) {
    return fleet.fleet().tails().stream().filter(t -> t.id().value().equals(id)).findFirst()
        .orElseThrow(() -> Problem.notFound("The fleet has no tail '%s'.".formatted(id)));
  }

  /** Of somebody of the fleet; of others what they are known by. */
  public String name(CrewId who) {
    return fleet.fleet().member(who).map(CrewMember::name).orElse(who.value());
  }

  public List<Registered> tails() {
    return fleet.fleet().tails();
  }

  public TechLog log(TailId tail) {
    return TechLog.of(logs.of(tail));
  }

  List<TechEntry> lines(TailId tail) {
    return logs.of(tail);
  }

  /** What is deferred on a tail, with nothing said yet of any flight. */
  public List<Deferral> deferrals(TailId tail, TypeId type) {
    return log(tail).deferrals(list(type), zone());
  }

  /** Writes a line of maintenance control's. @throws Problem saying why not */
  void write(Registered tail, TechAct act, SignedIn who) {
    Instant now = clock.instant();
    Optional<Refusal> refusal = log(tail.id()).refusal(act, who.role(), list(tail.type()), now, zone());
    if (refusal.isPresent()) {
      throw Problem.refused(refusal.get());
    }
    add(List.of(new TechEntry(tail.id(), now, who.id(), who.name(), act)));
  }

  /** Writes lines that a commander's decision makes. */
  public void add(List<TechEntry> lines) {
    if (lines.isEmpty()) {
      return;
    }
    logs.add(lines);
    tell(lines.stream().map(TechEntry::tail));
  }

  private void tell(Stream<TailId> tails) {
    tails.distinct().forEach(t -> listeners.forEach(l -> l.accept(t)));
  }

  /** Brings in a dispatch list, which holds from now on. @throws Problem naming every fault */
  public DispatchList bringInList(String text, CrewId by) {
    DispatchList list = switch (DispatchListReader.read(text)) {
      case Read.Good<DispatchList> good -> good.value();
      case Read.Bad<DispatchList> bad -> throw Problem.faulty("The list has faults.", bad.faults());
    };
    lists.add(new DispatchLists.Text(list.type(), list.revision(), Chain.sha256(text), text, by, clock.instant()));
    read.put(list.type(), list);
    tell(tails().stream().filter(t -> t.type().equals(list.type())).map(Registered::id));
    return list;
  }

  Optional<String> listText(TypeId type) {
    return lists.inForce(type).map(DispatchLists.Text::content);
  }

  /**
   * Brings in lines of technical logs, all or none; those of defects that are there already are passed over.
   *
   * @return how many were new
   * @throws Problem naming every fault
   */
  public int bringInLog(String csv, CrewId by) {
    List<TechEntry> lines = switch (TechLogCsv.read(csv, t -> list(type(t)), clock.instant(), zone())) {
      case Read.Good<List<TechEntry>> good -> good.value();
      case Read.Bad<List<TechEntry>> bad -> throw Problem.faulty("The log has faults.", bad.faults());
    };
    List<Fault> faults = lines.stream().map(TechEntry::tail).distinct().filter(t -> fleet.fleet().tail(t).isEmpty())
        .map(t -> new Fault(0, 0, "The fleet has no tail %s.".formatted(t))).toList();
    if (!faults.isEmpty()) {
      throw Problem.faulty("The log is of other aircraft.", faults);
    }
    oneFile.lock();
    try {
      List<TechEntry> fresh = fresh(lines);
      if (!fresh.isEmpty()) {
        imports.bringInLog(fresh, by, clock.instant());
        tell(fresh.stream().map(TechEntry::tail));
      }
      return fresh.size();
    } finally {
      oneFile.unlock();
    }
  }

  private List<TechEntry> fresh(List<TechEntry> lines) {
    Map<TailId, List<TechEntry>> byTail = new LinkedHashMap<>();
    lines.forEach(l -> byTail.computeIfAbsent(l.tail(), t -> new ArrayList<>()).add(l));
    List<TechEntry> fresh = new ArrayList<>();
    byTail.forEach((tail, of) -> {
      TechLog there = log(tail);
      of.stream().filter(l -> there.defect(l.act().defect()).isEmpty()).forEach(fresh::add);
    });
    Set<UUID> raised = fresh.stream().map(TechEntry::act).filter(a -> a instanceof TechAct.Raised).map(TechAct::defect)
        .collect(Collectors.toSet());
    List<Fault> orphans = fresh.stream()
        .filter(l -> !raised.contains(l.act().defect()))
        .map(l -> new Fault(0, 0, "Defect %s was never raised.".formatted(l.act().defect()))).distinct().toList();
    if (!orphans.isEmpty()) {
      throw Problem.faulty("The log has faults.", orphans);
    }
    return fresh;
  }

  private TypeId type(TailId tail) {
    return fleet.fleet().tail(tail).map(Registered::type).orElse(new TypeId("unknown"));
  }

  /** Brings in earlier readings. @return how many. @throws Problem naming every fault */
  public int bringInReadings(String csv, CrewId by) {
    List<ReadingHistory.Reading> rows = switch (ReadingsCsv.read(csv, clock.instant())) {
      case Read.Good<List<ReadingHistory.Reading>> good -> good.value();
      case Read.Bad<List<ReadingHistory.Reading>> bad ->
          throw Problem.faulty("The readings have faults.", bad.faults());
    };
    if (!rows.isEmpty()) {
      imports.bringInReadings(rows, by, clock.instant());
    }
    return rows.size();
  }

  /** Brings in what control checks measured. @return how many checks. @throws Problem naming every fault */
  public int bringInChecks(String csv, CrewId by) {
    List<Checked> checks = switch (HistoryCsv.read(csv, clock.instant())) {
      case Read.Good<List<Checked>> good -> good.value();
      case Read.Bad<List<Checked>> bad -> throw Problem.faulty("The control history has faults.", bad.faults());
    };
    if (!checks.isEmpty()) {
      imports.bringInChecks(checks, by, clock.instant());
    }
    return checks.size();
  }

  /** The files that were brought in of late, the newest first. */
  List<Import> imports() {
    return imports.latest(MOST_IMPORTS_SHOWN);
  }

  /** Withdraws a file that nobody has gone by yet. @throws Problem if it is in use, or there is none to withdraw */
  void withdraw(int number) {
    Import found = imports.find(number).orElseThrow(() -> Problem.notFound("No such file was brought in."));
    if (!imports.withdraw(number, clock.instant())) {
      throw Problem.refused(found.standing() == Standing.WITHDRAWN
          ? new Refusal(RefusalCode.WITHDRAWN, "It was withdrawn already.", "Look at the list again.")
          : new Refusal(RefusalCode.IN_USE,
              "A departure of its tails went on since, or a later line is about its defects.",
              "Its lines stay; write the correction beside them."));
    }
    tell(found.tails().stream());
  }

  Instant now() {
    return clock.instant();
  }
}
