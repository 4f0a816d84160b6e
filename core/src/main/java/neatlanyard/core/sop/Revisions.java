package neatlanyard.core.sop;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.fleet.CrewId;

/** The revisions of every pack, and who has read which. A published one is never changed or taken away. */
public interface Revisions {
  Optional<Revision> find(PackId pack, String name);

  /** Every revision, the one saved last first. */
  List<Revision> all();

  /**
   * Keeps a revision in place of the one of its pack and name.
   *
   * @param over the edition it was made from; 0 for a new one
   * @return whether it was kept: not when that edition is not the present one any more, or it is published
   */
  boolean keep(Revision revision, long over);

  /**
   * Takes a draft away.
   *
   * @param edition the one that was looked at
   * @return whether that was still there and not published
   */
  boolean discard(PackId pack, String name, long edition);

  /** Somebody has read what changed. */
  void acknowledge(PackId pack, String name, Revision.Signed by);

  /** The revisions of a pack that somebody has acknowledged. */
  Set<String> acknowledged(PackId pack, CrewId who);

  /** Who has acknowledged a revision, in the order in which they did. */
  List<Revision.Signed> readers(PackId pack, String name);
}
