package neatlanyard.core.fleet;

import java.util.Locale;

/** A stable name of a reason, for programs. */
public interface Code {
  /** Its constant. */
  String name();

  /** As it is written in an answer: in lower case, with hyphens. */
  default String written() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
