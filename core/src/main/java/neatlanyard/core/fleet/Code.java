package neatlanyard.core.fleet;

import java.util.Locale;

/** A stable name of a reason, for programs. */
public interface Code {
  /** Its constant. */
  String name();

  /** As it is written in an answer. */
  default String written() {
    return written(name());
  }

  /** How a constant is written outside of Java: in lower case, with hyphens. */
  static String written(String constant) {
    return constant.toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
