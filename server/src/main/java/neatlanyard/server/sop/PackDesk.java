package neatlanyard.server.sop;

import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.fleet.Seating;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.proof.Budget;
import neatlanyard.core.proof.Finding;
import neatlanyard.core.proof.PackCheck;
import neatlanyard.core.record.Chain;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.Revision;
import neatlanyard.core.sop.Revision.Signed;
import neatlanyard.core.sop.RevisionLife;
import neatlanyard.core.sop.Revisions;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.work.HeavyWork;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Takes packs through their life and finds them again; each text is read and checked once. */
@Service
public class PackDesk {
  /** A pack with the revision it was read from. */
  public record RevisedPack(Pack pack, Revision revision) {}

  /** What a text is found to be. @param faults why it cannot be read */
  public record Checked(List<Fault> faults, List<Finding> findings) {}

  private final Revisions revisions;
  private final InstantSource clock;
  private final Map<String, Pack> read = new ConcurrentHashMap<>();
  private final Map<String, List<Finding>> checked = new ConcurrentHashMap<>();
  private final HeavyWork heavy;
  private final ReentrantLock one = new ReentrantLock();

  PackDesk(Revisions revisions, InstantSource clock, HeavyWork heavy) {
    this.revisions = revisions;
    this.clock = clock;
    this.heavy = heavy;
  }

  /** The day it is, as revisions count it. */
  public LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
  }

  /** Reads a pack and keeps nothing. @throws Problem naming every fault */
  public Pack read(String text, CrewId who) {
    return switch (heavy.run(who.value(), HeavyWork.Kind.PACK, stop -> PackReader.read(text))) {
      case Read.Good<Pack> good -> good.value();
      case Read.Bad<Pack> bad -> throw Problem.faulty("The pack has faults.", bad.faults());
    };
  }

  /** What reading and checking a text finds; given up when whoever asked asks again or goes. */
  public Checked check(String text, CrewId who, HeavyWork.Alive alive) {
    return heavy.latest(who.value(), HeavyWork.Kind.PACK, alive, stop -> switch (PackReader.read(text)) {
      case Read.Bad<Pack> bad -> new Checked(bad.faults(), List.of());
      case Read.Good<Pack> good -> new Checked(List.of(), findings(good.value(), stop));
    });
  }

  private static List<Finding> findings(Pack pack, BooleanSupplier stop) {
    try {
      return PackCheck.of(pack, Budget.until(stop));
    } catch (Budget.Stopped e) {
      throw Problem.later(HttpStatus.SERVICE_UNAVAILABLE, ProblemCode.NOT_DECIDED,
          "The check was not through in its time.",
          Duration.ofSeconds(5));
    }
  }

  /**
   * Saves a draft under the name and revision its text gives.
   *
   * @param over the edition it was made from; 0 for one that is not there yet
   * @throws Problem naming every fault, or why it may not be saved
   */
  public RevisedPack save(String text, long over, CrewId who, Role role) {
    Pack pack = read(text, who);
    Optional<Revision> there = revisions.find(pack.id(), pack.revision());
    String sha = Chain.sha256(text);
    if (there.filter(r -> r.sha256().equals(sha)).isPresent() && role.draws()) {
      return known(there.get());
    }
    refuse(RevisionLife.saving(there, role));
    Signed by = new Signed(who, now());
    Revision next = there.map(r -> r.saved(text, sha, by))
        .orElseGet(() -> Revision.draft(pack.id(), pack.revision(), text, sha, by));
    keep(next, over);
    read.put(sha, pack);
    return known(next);
  }

  /** A second person has checked a draft. @param edition the one they looked at @throws Problem why not */
  public RevisedPack check(PackId pack, String name, long edition, CrewId who, Role role) {
    Revision r = require(pack, name);
    refuse(RevisionLife.checking(r, who, role, stops(known(r))));
    return kept(r.checked(new Signed(who, now())), edition);
  }

  /** Publishes a checked revision. @param edition the one that was looked at @throws Problem why not */
  public RevisedPack publish(PackId pack, String name, long edition, LocalDate effective, CrewId who, Role role) {
    Revision r = require(pack, name);
    refuse(RevisionLife.publishing(r, role, stops(known(r)), effective, today()));
    return kept(r.published(new Signed(who, now()), effective), edition);
  }

  /** Takes a draft away. @param edition the one that was looked at @throws Problem why not */
  public void discard(PackId pack, String name, long edition, Role role) {
    Revision r = require(pack, name);
    refuse(RevisionLife.saving(Optional.of(r), role));
    if (!revisions.discard(pack, name, edition)) {
      throw editedMeanwhile(r);
    }
  }

  private RevisedPack kept(Revision r, long over) {
    keep(r, over);
    return known(r);
  }

  private void keep(Revision r, long over) {
    if (!revisions.keep(r, over)) {
      throw editedMeanwhile(r);
    }
  }

  private static Problem editedMeanwhile(Revision r) {
    return Problem.refused(
        new Refusal(RefusalCode.EDITED_MEANWHILE,
        "Somebody else's edition of revision %s of %s is there.".formatted(r.name(), r.pack()),
        "Look at their edition first; nothing of it was changed."));
  }

  private long stops(RevisedPack known) {
    return findings(known).stream().filter(Finding::stops).count();
  }

  /** To the millisecond, as it is kept. */
  private Instant now() {
    return Instant.ofEpochMilli(clock.instant().toEpochMilli());
  }

  private static void refuse(Optional<Refusal> refusal) {
    refusal.ifPresent(r -> {
      throw Problem.refused(r);
    });
  }

  /** What the pack check finds; asked once for each text. */
  public List<Finding> findings(RevisedPack known) {
    return once(checked, known.revision.sha256(), stop -> findings(known.pack, stop));
  }

  /** Asked for once, by whoever comes first; the others wait for them. */
  private <T> T once(Map<String, T> known, String sha256, HeavyWork.Work<T> work) {
    T there = known.get(sha256);
    if (there != null) {
      return there;
    }
    one.lock();
    try {
      T meanwhile = known.get(sha256);
      T made = meanwhile != null ? meanwhile : heavy.run("the pack desk", HeavyWork.Kind.PACK, work);
      known.put(sha256, made);
      return made;
    } finally {
      one.unlock();
    }
  }

  /** Every revision, the one saved last first. */
  public List<RevisedPack> all() {
    return revisions.all().stream().map(this::known).toList();
  }

  /** The revision of a type's pack that holds on a day. */
  public Optional<RevisedPack> inForce(TypeId type, LocalDate day) {
    List<Revision> all = revisions.all();
    return all.stream().map(Revision::pack).distinct()
        .flatMap(p -> RevisionLife.inForce(all, p, day).stream())
        .map(this::known)
        .filter(k -> k.pack.type().equals(type))
        .max(Comparator.comparing(k -> k.revision.published().orElseThrow().at()));
  }

  /** How the pilots of each type sit, by the pack in force today; a type without one is left out. */
  public Map<TypeId, Seating> seatings() {
    List<Revision> all = revisions.all();
    return all.stream().map(Revision::pack).distinct()
        .flatMap(p -> RevisionLife.inForce(all, p, today()).stream()).map(k -> known(k).pack)
        .collect(Collectors.toMap(Pack::type, p -> p.planform().seating(), (a, b) -> a));
  }

  /** Packs in force today, of types whose controls have limits to be judged by. */
  public List<Pack> withControls() {
    return all().stream().map(k -> k.pack().type()).distinct().flatMap(t -> withControls(t).stream()).toList();
  }

  /** The pack of a type in force today. @throws Problem where there is none, or its controls have no limits */
  public Pack withControls(String type) {
    try {
      return withControls(new TypeId(type)).orElseThrow(() -> Problem.notFound(
          "There are no procedures in force with limits of the controls for '%s'.".formatted(type)));
    } catch (IllegalArgumentException e) {
      throw Problem.notFound("There is no type of that name.");
    }
  }

  private Optional<Pack> withControls(TypeId type) {
    return inForce(type, today()).map(RevisedPack::pack).filter(p -> !p.flightControls().surfaces().isEmpty());
  }

  /** The published revisions of a pack, in the order in which they come into force. */
  public List<RevisedPack> published(PackId pack) {
    return RevisionLife.published(revisions.all(), pack).stream().map(this::known).toList();
  }

  /** How a revision stands today, in words. */
  public String words(Revision r) {
    return RevisionLife.words(r, revisions.all(), today());
  }

  /** One revision. @throws Problem if there is none */
  public RevisedPack one(PackId pack, String name) {
    return known(require(pack, name));
  }

  private Revision require(PackId pack, String name) {
    return revisions.find(pack, name)
        .orElseThrow(() -> Problem.notFound("There is no revision '%s' of '%s'.".formatted(name, pack)));
  }

  /** A revision that a departure was cut from. @throws IllegalStateException if it is not there any more */
  public Pack exactly(PackId id, String revision) {
    return revisions.find(id, revision).map(this::known).map(RevisedPack::pack).orElseThrow(() ->
        new IllegalStateException("The pack %s %s is not in the library".formatted(id, revision)));
  }

  /**
   * A published text is read where it is asked for, once after a start: a crew's departure must not wait in a queue
   * that others fill. A draft waits like all long work.
   */
  private RevisedPack known(Revision r) {
    return new RevisedPack(r.published().isPresent()
        ? read.computeIfAbsent(r.sha256(), s -> parsed(r))
        : once(read, r.sha256(), stop -> parsed(r)), r);
  }

  private static Pack parsed(Revision r) {
    return PackReader.read(r.text()).orThrow(r.name());
  }
}
