package neatlanyard.server.sop;

import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.fleet.TypeId;
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
import neatlanyard.formats.text.Read;
import neatlanyard.server.problem.Problem;
import org.springframework.stereotype.Service;

/** Takes packs through their life and finds them again; each text is read and checked once. */
@Service
public class PackDesk {
  /** A pack with the revision it was read from. */
  public record Known(Pack pack, Revision revision) {}

  private final Revisions revisions;
  private final InstantSource clock;
  private final Map<String, Pack> read = new ConcurrentHashMap<>();
  private final Map<String, List<Finding>> checked = new ConcurrentHashMap<>();

  PackDesk(Revisions revisions, InstantSource clock) {
    this.revisions = revisions;
    this.clock = clock;
  }

  /** The day it is, as revisions count it. */
  public LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
  }

  /** Reads a pack and keeps nothing. @throws Problem naming every fault */
  public static Pack read(String text) {
    return switch (PackReader.read(text)) {
      case Read.Good<Pack> good -> good.value();
      case Read.Bad<Pack> bad -> throw Problem.faulty("The pack has faults.", bad.faults());
    };
  }

  /**
   * Saves a draft under the name and revision its text gives.
   *
   * @param over the edition it was made from; empty to save over whatever draft is there
   * @throws Problem naming every fault, or why it may not be saved
   */
  public Known save(String text, Optional<Long> over, CrewId who, Role role) {
    Pack pack = read(text);
    Optional<Revision> there = revisions.find(pack.id(), pack.revision());
    String sha = Chain.sha256(text);
    if (there.filter(r -> r.sha256().equals(sha)).isPresent() && role.draws()) {
      return known(there.get());
    }
    refuse(RevisionLife.saving(there, role));
    Signed by = new Signed(who, now());
    Revision next = there.map(r -> r.saved(text, sha, by)).orElseGet(() -> new Revision(
        pack.id(), pack.revision(), text, sha, 1, by, Optional.empty(), Optional.empty(), Optional.empty()));
    keep(next, over.orElse(there.map(Revision::edition).orElse(0L)));
    return known(next);
  }

  /** A second person has checked a draft. @throws Problem why not */
  public Known check(PackId pack, String name, CrewId who, Role role) {
    Revision r = require(pack, name);
    refuse(RevisionLife.checking(r, who, role, stops(known(r))));
    return kept(r.checked(new Signed(who, now())), r.edition());
  }

  /** Publishes a checked revision. @throws Problem why not */
  public Known publish(PackId pack, String name, LocalDate effective, CrewId who, Role role) {
    Revision r = require(pack, name);
    refuse(RevisionLife.publishing(r, role, stops(known(r)), effective, today()));
    return kept(r.published(new Signed(who, now()), effective), r.edition());
  }

  /** Takes a draft away. @throws Problem why not */
  public void discard(PackId pack, String name, Role role) {
    Revision r = require(pack, name);
    refuse(RevisionLife.saving(Optional.of(r), role));
    revisions.discard(pack, name);
  }

  private Known kept(Revision r, long over) {
    keep(r, over);
    return known(r);
  }

  private void keep(Revision r, long over) {
    if (!revisions.keep(r, over)) {
      throw Problem.refused(new Refusal("edited-meanwhile", "Somebody else saved revision %s of %s meanwhile.".formatted(r.name(), r.pack()),
          "Look at their edition first; yours is kept here until you do."));
    }
  }

  private long stops(Known known) {
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
  public List<Finding> findings(Known known) {
    return checked.computeIfAbsent(known.revision.sha256(), s -> PackCheck.of(known.pack));
  }

  /** Every revision, the one saved last first. */
  public List<Known> all() {
    return revisions.all().stream().map(this::known).toList();
  }

  /** The revision of a type's pack that holds on a day. */
  public Optional<Known> inForce(TypeId type, LocalDate day) {
    List<Revision> all = revisions.all();
    return all.stream().map(Revision::pack).distinct()
        .flatMap(p -> RevisionLife.inForce(all, p, day).stream())
        .map(this::known)
        .filter(k -> k.pack.type().equals(type))
        .max(Comparator.comparing(k -> k.revision.published().orElseThrow().at()));
  }

  /** The published revisions of a pack, in the order in which they come into force. */
  public List<Known> published(PackId pack) {
    return RevisionLife.published(revisions.all(), pack).stream().map(this::known).toList();
  }

  /** How a revision stands today, in words. */
  public String words(Revision r) {
    return RevisionLife.words(r, revisions.all(), today());
  }

  /** One revision. @throws Problem if there is none */
  public Known one(PackId pack, String name) {
    return known(require(pack, name));
  }

  private Revision require(PackId pack, String name) {
    return revisions.find(pack, name).orElseThrow(() -> Problem.notFound("There is no revision '%s' of '%s'.".formatted(name, pack)));
  }

  /** A revision that a departure was cut from. @throws IllegalStateException if it is not there any more */
  public Pack exactly(PackId id, String revision) {
    return revisions.find(id, revision).map(this::known).map(Known::pack).orElseThrow(() ->
        new IllegalStateException("The pack %s %s is not in the library".formatted(id, revision)));
  }

  private Known known(Revision r) {
    return new Known(read.computeIfAbsent(r.sha256(), s -> PackReader.read(r.text()).orThrow(r.name())), r);
  }
}
