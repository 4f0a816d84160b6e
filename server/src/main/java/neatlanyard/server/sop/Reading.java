package neatlanyard.server.sop;

import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.sop.Change;
import neatlanyard.core.sop.Changes;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.Revision.Signed;
import neatlanyard.core.sop.Revisions;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.sop.PackDesk.RevisedPack;
import org.springframework.stereotype.Service;

/** Who has read what changed. Crews read what concerns them before they open a departure on a new revision. */
@Service
public class Reading {
  /** What somebody has to read. @param since the revision they know */
  public record Owed(RevisedPack since, RevisedPack to, List<Change> changes) {}

  private final Revisions revisions;
  private final PackDesk packs;
  private final InstantSource clock;

  Reading(Revisions revisions, PackDesk packs, InstantSource clock) {
    this.revisions = revisions;
    this.packs = packs;
    this.clock = clock;
  }

  /** The seats a role may sit in. A captain may fly from the right, to train somebody. */
  public static Set<Seat> seats(Role role) {
    return switch (role) {
      case CAPTAIN -> Seat.pilots();
      case FIRST_OFFICER -> EnumSet.of(Seat.RIGHT);
      case ENGINEER -> EnumSet.of(Seat.ENGINEER);
      default -> EnumSet.noneOf(Seat.class);
    };
  }

  /** What somebody has not read of a published revision; empty when they have, or nothing concerns them. */
  public Optional<Owed> owed(RevisedPack to, CrewId who, Role role) {
    Set<String> read = revisions.acknowledged(to.pack().id(), who);
    List<RevisedPack> published = packs.published(to.pack().id());
    int at = published.stream().map(k -> k.revision().name()).toList().indexOf(to.revision().name());
    if (at <= 0 || read.contains(to.revision().name()) || seats(role).isEmpty()) {
      return Optional.empty();
    }
    // Since the last one they read; who has read none knows the first, on which the fleet began.
    RevisedPack since = published.getFirst();
    for (RevisedPack k : published.subList(0, at)) {
      since = read.contains(k.revision().name()) ? k : since;
    }
    List<Change> concerning = Changes.between(since.pack(), to.pack()).stream().filter(c -> c.concerns(seats(role)))
        .toList();
    return concerning.isEmpty() ? Optional.empty() : Optional.of(new Owed(since, to, concerning));
  }

  /** All that somebody has to read, of every pack: what holds now and what is to come. */
  public List<Owed> owed(CrewId who, Role role) {
    List<Owed> owed = new ArrayList<>();
    for (PackId pack : packs.all().stream().map(k -> k.pack().id()).distinct().toList()) {
      List<RevisedPack> published = packs.published(pack);
      if (!published.isEmpty()) {
        owed(published.getLast(), who, role).ifPresent(owed::add);
      }
    }
    return owed;
  }

  /** @throws Problem when something on this tail concerns somebody's seats and they have not read it */
  public void mustHaveRead(RevisedPack to, Tail tail, CrewId who, Role role) {
    owed(to, who, role).ifPresent(owed -> {
      long here = owed.changes.stream()
          .filter(c -> c.concerns(tail, to.pack().policy()) || c.concerns(tail, owed.since.pack().policy())).count();
      if (here > 0) {
        throw Problem.refused(new Refusal(RefusalCode.NOT_READ,
            "Revision %s changed %d %s on %s for you since %s, and you have not read %s.".formatted(
                to.revision().name(), here, here == 1 ? "thing" : "things", tail.id(), owed.since.revision().name(),
                here == 1 ? "it" : "them"),
            "Read what changed and acknowledge it; then open the departure."));
      }
    });
  }

  /** Somebody says that they have read it. */
  public void acknowledge(RevisedPack to, CrewId who) {
    if (to.revision().published().isEmpty()) {
      throw Problem.bad(ProblemCode.NOT_PUBLISHED,
          "Revision %s is not published; there is nothing to acknowledge.".formatted(to.revision().name()));
    }
    revisions.acknowledge(to.pack().id(), to.revision().name(),
        new Signed(who, Instant.ofEpochMilli(clock.instant().toEpochMilli())));
  }

  /** Who has acknowledged it, in the order in which they did. */
  public List<Signed> readers(RevisedPack to) {
    return revisions.readers(to.pack().id(), to.revision().name());
  }
}
