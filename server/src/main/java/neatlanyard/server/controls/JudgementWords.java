package neatlanyard.server.controls;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement;
import neatlanyard.server.controls.ControlViews.FindingView;
import neatlanyard.server.controls.ControlViews.JudgementView;
import neatlanyard.server.controls.ControlViews.SuggestionView;

/** Puts a judgement into what the screens show. */
public final class JudgementWords {
  private static final Set<Criterion> STIFFNESS = EnumSet.of(Criterion.JUMPS, Criterion.DEAD_BAND, Criterion.PLAY);

  private JudgementWords() {}

  /** How freely each surface moved: fluid that has frozen in a gap shows there first. */
  public static List<String> stiffness(Judgement j) {
    return j.findings().stream().filter(f -> STIFFNESS.contains(f.criterion())).map(Judgement.Finding::words).toList();
  }

  public static JudgementView view(Judgement j) {
    return new JudgementView(j.verdict(), j.summary(), j.findings().stream()
        .map(f -> new FindingView(
            f.axis(), f.subject(), f.criterion(), f.movement(), f.outcome(), f.measured(), f.limit(),
            f.uncertainty(), f.unit(), f.words()))
        .toList(), j.missing(), j.suggestions().stream().map(s -> new SuggestionView(s.cause(), s.words())).toList());
  }
}
