package neatlanyard.store.sop;

import static neatlanyard.store.generated.Tables.FEEDBACK_ANSWER;

import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.FeedbackAnswers;
import neatlanyard.core.sop.Revision.Signed;
import neatlanyard.store.db.Database;

/** Answers of fleet standards in the database. */
public final class StoredFeedbackAnswers implements FeedbackAnswers {
  private final Database db;

  public StoredFeedbackAnswers(Database db) {
    this.db = db;
  }

  @Override
  public void keep(UUID event, Answer answer) {
    long at = answer.by().at().toEpochMilli();
    db.write(sql -> sql.insertInto(FEEDBACK_ANSWER)
        .set(FEEDBACK_ANSWER.EVENT_ID, event.toString())
        .set(FEEDBACK_ANSWER.WORDS, answer.words())
        .set(FEEDBACK_ANSWER.ANSWERED_BY, answer.by().by().value())
        .set(FEEDBACK_ANSWER.ANSWERED_AT, at)
        .onConflict(FEEDBACK_ANSWER.EVENT_ID).doUpdate()
        .set(FEEDBACK_ANSWER.WORDS, answer.words())
        .set(FEEDBACK_ANSWER.ANSWERED_BY, answer.by().by().value())
        .set(FEEDBACK_ANSWER.ANSWERED_AT, at)
        .execute());
  }

  @Override
  public Map<UUID, Answer> all() {
    return db.rows(sql -> sql.selectFrom(FEEDBACK_ANSWER), r -> Map.entry(
            UUID.fromString(r.getEventId()),
            new Answer(r.getWords(), new Signed(new CrewId(r.getAnsweredBy()),
            Instant.ofEpochMilli(r.getAnsweredAt())))))
        .stream().collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
  }
}
