package neatlanyard.core.controls;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import neatlanyard.core.controls.Judgement.Cause;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement.Finding;
import neatlanyard.core.controls.Judgement.Suggestion;

/** What a set of faults looks like, likeliest first. The weights are the product's own judgement, no source. */
final class Causes {
  private static final int SUGGESTED = 3;

  private final List<Finding> failed;
  private final ControlSpec spec;
  private final Map<Cause, Suggestion> found = new EnumMap<>(Cause.class);

  private Causes(List<Finding> failed, ControlSpec spec) {
    this.failed = failed;
    this.spec = spec;
  }

  static List<Suggestion> of(List<Finding> findings, ControlSpec spec) {
    Causes causes = new Causes(
        findings.stream().filter(f -> f.outcome() == Judgement.Outcome.NOT_AS_IT_SHOULD_BE).toList(), spec);
    causes.look();
    return causes.found.values().stream().sorted(Comparator.comparingDouble(Suggestion::weight).reversed())
        .limit(SUGGESTED).toList();
  }

  private void look() {
    Set<String> channel = subjects(Criterion.CHANNEL);
    if (!channel.isEmpty()) {
      boolean several = channel.size() > 1;
      suggest(several ? Cause.RECORDER : Cause.SENSOR, 0.9, several
          ? "Several channels fell silent or stopped together: the recorder or its link."
          : "One channel fell silent or stopped: its sensor, or the wire to it.");
    }
    Set<String> reversed = where(f -> f.criterion() == Criterion.SENSE && Math.signum(f.measured())
        != Math.signum(f.limit()) && f.words().contains("wrong way"));
    if (!reversed.isEmpty()) {
      suggest(Cause.REVERSED, 0.95, names(reversed) + " went against the control: reversed in rigging or wiring.");
    }
    Set<String> crossed = subjects(Criterion.CROSSED);
    if (!crossed.isEmpty()) {
      suggest(Cause.CROSSED, 0.9, names(crossed) + " moved with another control: crossed in rigging or wiring.");
    }
    Set<String> still = where(f -> f.criterion() == Criterion.SENSE && f.words().contains("did not move"));
    still.removeAll(crossed);
    Set<String> shorts = subjects(Criterion.FULL_TRAVEL);
    Set<String> slow = subjects(Criterion.ARRIVAL, Criterion.LAG);
    Set<String> jerky = subjects(Criterion.JUMPS, Criterion.PLAY, Criterion.DEAD_BAND, Criterion.FOLLOWING);
    boolean pressure = failed.stream().anyMatch(f -> f.criterion() == Criterion.PRESSURE);
    if (pressure) {
      boolean alone = slow.isEmpty() && shorts.isEmpty() && still.isEmpty() && jerky.isEmpty();
      suggest(Cause.LOW_PRESSURE, alone ? 0.7 : 0.95,
          "Hydraulic pressure was low while surfaces moved.");
    } else if (slow.size() > 1) {
      suggest(Cause.LOW_PRESSURE, 0.5, "Several surfaces were slow; their pressure was not low or not recorded.");
    }
    Set<String> held = new LinkedHashSet<>(still);
    held.addAll(shorts);
    if (held.size() >= 3 && held.size() * 2 > spec.surfaces().size() && !pressure) {
      suggest(Cause.GUST_LOCK, 0.8, "Most surfaces would not move or stopped early: a gust lock or a lock pin.");
    } else if (!still.isEmpty()) {
      suggest(Cause.JAMMED, 0.8, names(still) + " did not move: jammed, or cut off from its control.");
      suggest(Cause.SENSOR, 0.4, "What did not move may only not have been told.");
    }
    shorts.removeAll(stuck());
    travel(shorts);
    if (!jerky.isEmpty()) {
      boolean jumps = !subjects(Criterion.JUMPS).isEmpty();
      suggest(Cause.STIFFNESS, jumps ? 0.85 : jerky.size() > 1 ? 0.75 : 0.6, names(jerky)
          + " did not move evenly: stiffness, such as water frozen in a gap or a hinge.");
    }
    Set<String> off = subjects(Criterion.NEUTRAL, Criterion.DRIFT, Criterion.GEARING, Criterion.SYMMETRY);
    if (!off.isEmpty()) {
      suggest(Cause.RIGGING, 0.5, names(off) + " lay or went beside where it should: rigging.");
    }
  }

  /** The same movement right once and not another time: which surfaces. */
  private Set<String> stuck() {
    Set<String> stuck = new LinkedHashSet<>();
    for (Finding f : failed) {
      if (f.criterion() == Criterion.FULL_TRAVEL && f.movement() > 1 && failed.stream().noneMatch(o ->
          o.criterion() == Criterion.FULL_TRAVEL && o.subject().equals(f.subject())
              && o.movement() < f.movement())) {
        suggest(Cause.JAMMED, 0.8, f.subject() + " got there once and not again: something binds.");
        stuck.add(f.subject());
      }
    }
    Set<String> out = subjects(Criterion.SPOILER_IN);
    if (!out.isEmpty()) {
      suggest(Cause.JAMMED, 0.75, names(out) + " stayed out: jammed, or its valve.");
    }
    return stuck;
  }

  private void travel(Set<String> shorts) {
    for (String subject : shorts) {
      long ways = failed.stream().filter(f -> f.criterion() == Criterion.FULL_TRAVEL && f.subject().equals(subject))
          .map(f -> f.words().contains(" up") || f.words().contains(" right")).distinct().count();
      if (ways > 1) {
        suggest(Cause.RIGGING, 0.7, subject + " is short both ways: its gearing, rigging.");
      } else {
        suggest(Cause.SHORT_TRAVEL, 0.8, subject + " is short one way: something in its way, or its stop.");
      }
    }
  }

  private Set<String> subjects(Criterion... criteria) {
    Set<Criterion> wanted = Set.of(criteria);
    return where(f -> wanted.contains(f.criterion()));
  }

  private Set<String> where(java.util.function.Predicate<Finding> wanted) {
    Set<String> subjects = new LinkedHashSet<>();
    for (Finding f : failed) {
      if (wanted.test(f)) {
        subjects.add(f.subject());
      }
    }
    return subjects;
  }

  private static String names(Set<String> subjects) {
    List<String> names = new ArrayList<>(subjects);
    return names.size() <= 2 ? String.join(" and ", names)
        : names.getFirst() + " and " + (names.size() - 1) + " more";
  }

  private void suggest(Cause cause, double weight, String words) {
    found.merge(cause, new Suggestion(cause, weight, words), (a, b) -> b.weight() > a.weight() ? b : a);
  }
}
