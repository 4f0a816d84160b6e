package neatlanyard.server.controls;

import neatlanyard.core.controls.Judgement;
import neatlanyard.server.controls.ControlViews.FindingView;
import neatlanyard.server.controls.ControlViews.JudgementView;

/** Puts a judgement into what the screens show. */
public final class JudgementWords {
  private JudgementWords() {}

  public static JudgementView view(Judgement j) {
    return new JudgementView(j.passed(), j.summary(), j.findings().stream()
        .map(f -> new FindingView(
            f.axis(), f.subject(), f.criterion(), f.passed(), f.measured(), f.limit(),
            f.unit(), f.words()))
        .toList());
  }
}
