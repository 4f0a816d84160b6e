package neatlanyard.core.sop;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;

/** The texts that were brought in, as they were brought in: packs by revision, and fleets. None is ever edited. */
public interface Library {
  /** What a text is. */
  enum Kind { PACK, FLEET }

  /**
   * One text.
   *
   * @param name of the pack or the operator
   * @param sha256 of the text
   */
  record Document(Kind kind, String name, String revision, String sha256, String text, CrewId by, Instant at) {}

  /** Keeps a text. @throws IllegalArgumentException if that revision is there with another text */
  void keep(Document document);

  Optional<Document> find(Kind kind, String name, String revision);

  /** Every text of a kind, the one brought in last first. */
  List<Document> all(Kind kind);
}
