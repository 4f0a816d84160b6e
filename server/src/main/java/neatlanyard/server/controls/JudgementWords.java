package neatlanyard.server.controls;

import neatlanyard.core.controls.Judgement;
import neatlanyard.server.controls.ControlViews.FindingView;
import neatlanyard.server.controls.ControlViews.JudgementView;
import neatlanyard.server.controls.ControlViews.SuggestionView;

/** Puts a judgement into what the screens show. */
public final class JudgementWords {
  private JudgementWords() {}

  public static JudgementView view(Judgement j) {
    return new JudgementView(j.verdict(), j.summary(), j.findings().stream()
        .map(f -> new FindingView(
            f.axis(), f.subject(), f.criterion(), f.movement(), f.outcome(), f.measured(), f.limit(),
            f.uncertainty(), f.unit(), f.words()))
        .toList(), j.missing(), j.suggestions().stream().map(s -> new SuggestionView(s.cause(), s.words())).toList());
  }
}
