package neatlanyard.core.proof;

import org.logicng.knowledgecompilation.bdds.BDD;

/** A set of days, with tail and seats: those on which something is so. Always within the days that can be. */
final class DaySet {
  private final Days days;
  private final BDD bdd;

  DaySet(Days days, BDD bdd) {
    this.days = days;
    this.bdd = bdd;
  }

  BDD bdd() {
    return bdd;
  }

  boolean isEmpty() {
    return bdd.isContradiction();
  }

  DaySet and(DaySet other) {
    return new DaySet(days, bdd.and(other.bdd));
  }

  DaySet or(DaySet other) {
    return new DaySet(days, bdd.or(other.bdd));
  }

  DaySet minus(DaySet other) {
    return new DaySet(days, bdd.and(other.bdd.negate()));
  }

  boolean within(DaySet other) {
    return minus(other).isEmpty();
  }

  /** One of its days in words, naming only the facts that matter; empty for a set of no day. */
  String example() {
    return days.example(this);
  }
}
