package neatlanyard.core.figures;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.TypeId;

/** Where the texts are kept that figures rest on; the one brought in last holds. */
public interface FiguresTexts {
  /** What a text is. */
  enum Kind {
    /** Loading, limits and what else the figures of a type want. */
    TYPE_FIGURES,
    TAKEOFF_TABLES,
    /** Of the operator, for all types. */
    HOLDOVER
  }

  /** A text as it was brought in. @param type empty where it is for all */
  record Text(Kind kind, Optional<TypeId> type, String edition, String sha256, String content, CrewId by,
      Instant at) {}

  Optional<Text> inForce(Kind kind, Optional<TypeId> type);

  /** A text by its hash, also one that holds no more: a record names those it was worked out by. */
  Optional<Text> find(String sha256);

  /** The newest of each kind and type. */
  List<Text> all();

  void add(Text text);
}
