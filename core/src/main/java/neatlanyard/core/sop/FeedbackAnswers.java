package neatlanyard.core.sop;

import java.util.Map;
import java.util.UUID;

/** What fleet standards answered to crews who said that a step does not fit. */
public interface FeedbackAnswers {
  /** An answer. */
  record Answer(String words, Revision.Signed by) {}

  /** Keeps an answer in place of an earlier one. @param event the event in which it was said */
  void keep(UUID event, Answer answer);

  /** Every answer, by the event it answers. */
  Map<UUID, Answer> all();
}
