package neatlanyard.server.recording;

import java.time.Instant;
import java.util.List;
import neatlanyard.server.controls.ControlViews.ControlCheckView;
import neatlanyard.server.controls.ControlViews.JudgementView;

/** What the interface is told of recordings. */
public final class RecordingViews {
  private RecordingViews() {}

  /**
   * What there is to look at.
   *
   * @param mayKeep whether whoever asks may keep names of heads
   */
  public record RecordingsView(
      List<RecordedTypeView> types, List<RecordedTailView> tails, List<HeadNamesView> heads, boolean mayKeep) {}

  public record RecordedTypeView(String type, String title) {}

  /** @param recordings kept by departures of this tail, the latest first */
  public record RecordedTailView(String tail, String type, List<KeptView> recordings) {}

  public record KeptView(String departure, String flight, Instant departs, String sha256) {}

  /** Names that somebody's recorder gives its columns. */
  public record HeadNamesView(String name, String by, Instant at) {}

  /**
   * A recording, judged by the limits of its type.
   *
   * @param samples how many it has
   * @param channels names of what each row has after its time
   * @param values each: seconds, then the channels; null where nothing was recorded; of a long one not every sample
   */
  public record RecordingView(
      JudgementView judgement, ControlCheckView controlCheck, int samples, List<String> channels,
      List<List<Double>> values) {}

  /** A recording with the heads and units of the open format. */
  public record RewrittenView(String csv) {}
}
