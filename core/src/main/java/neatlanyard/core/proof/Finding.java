package neatlanyard.core.proof;

import java.util.Optional;

/**
 * One thing the pack check found.
 *
 * @param at the step, procedure, panel or tag it is at, as a waiver names it
 * @param where the same in words
 * @param what what is so, with a day on which it is
 * @param mend what would mend it
 * @param waived why fleet standards accept it; empty when they do not
 */
public record Finding(Rule rule, String at, String where, String what, String mend, Optional<String> waived) {
  static Finding of(Rule rule, String at, String where, String what, String mend) {
    return new Finding(rule, at, where, what, mend, Optional.empty());
  }

  /** Whether it keeps the pack from being published. */
  public boolean stops() {
    return rule.fault() && waived.isEmpty();
  }
}
