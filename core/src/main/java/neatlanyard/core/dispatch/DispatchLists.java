package neatlanyard.core.dispatch;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.TypeId;

/** Where the texts of dispatch lists are kept; the one brought in last holds for its type. */
public interface DispatchLists {
  /** A text as it was brought in. */
  record Text(TypeId type, String revision, String sha256, String content, CrewId by, Instant at) {}

  Optional<Text> inForce(TypeId type);

  /** The newest of each type. */
  List<Text> all();

  void add(Text text);
}
