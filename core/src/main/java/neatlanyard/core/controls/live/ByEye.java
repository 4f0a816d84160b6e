package neatlanyard.core.controls.live;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement.Finding;
import neatlanyard.core.controls.Judgement.Outcome;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.Practice;

/** A check of an aircraft that gives no data: complete by the same rules, and nothing of it measured. */
public final class ByEye {
  /** Where its judgement comes from, in words. */
  public static final String SOURCE = "crew's eyes, nothing measured";

  private ByEye() {}

  /** @param disconnected whether the steering was disconnected for the rudder, and connected again */
  public static Judgement judge(Practice practice, List<Sighting> sightings, boolean disconnected) {
    List<Finding> findings = new ArrayList<>();
    List<String> missing = new ArrayList<>();
    for (Sighting s : sightings) {
      findings.add(finding(Optional.of(s.axis()), s.sign() == 0 ? Criterion.NEUTRAL : Criterion.FULL_TRAVEL,
          s.right() ? Outcome.AS_IT_SHOULD_BE : Outcome.NOT_AS_IT_SHOULD_BE, first(s.words()) + said(s)));
    }
    for (Wanted wanted : Wanted.of(practice)) {
      if (sightings.stream().noneMatch(s -> s.answers(wanted))) {
        missing.add(first(wanted.words()) + ": not looked at.");
      }
    }
    for (Axis axis : Axis.values()) {
      if (sightings.stream().noneMatch(s -> s.axis() == axis && s.sign() == 0)) {
        missing.add(axis.title() + " neutral: not looked at.");
      }
    }
    if (practice.disconnected() && disconnected) {
      findings.add(finding(Optional.empty(), Criterion.DISCONNECT, Outcome.AS_IT_SHOULD_BE,
          "The steering was disconnected for the rudder, and connected again."));
    } else if (practice.disconnected()) {
      missing.add("The steering disconnected for the rudder, and connected again: not said.");
    }
    findings.add(finding(Optional.empty(), Criterion.DATA, Outcome.UNJUDGED,
        "Nothing was measured: how far, how fast and how evenly a surface moved is not known."));
    return new Judgement(findings, missing, List.of());
  }

  private static String said(Sighting s) {
    return s.sign() == 0 ? s.right() ? ": seen back." : ": seen not back at neutral."
        : s.right() ? ": seen full, free and the right way." : ": seen not full, not free or the wrong way.";
  }

  private static Finding finding(Optional<Axis> axis, Criterion criterion, Outcome outcome, String words) {
    return new Finding(axis, "By eye", criterion, 0, outcome, 0, 0, 0, "", words);
  }

  private static String first(String words) {
    return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }
}
