package neatlanyard.store.fleet;

import static neatlanyard.store.generated.Tables.ACCESS_LINE;
import static neatlanyard.store.generated.Tables.FAILED_SIGN_IN;

import java.time.Instant;
import java.util.List;
import neatlanyard.core.fleet.AccessLog;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.store.db.Database;
import org.jooq.impl.DSL;

/** What was done about access, in the database; triggers keep its lines as they are. */
public final class StoredAccessLog implements AccessLog {
  /** Wrong passwords beyond these are forgotten, the oldest first. */
  private static final int FAILURES_KEPT = 2_000;

  private final Database db;

  public StoredAccessLog(Database db) {
    this.db = db;
  }

  @Override
  public void add(Line l) {
    db.write(sql -> sql.insertInto(ACCESS_LINE)
        .set(ACCESS_LINE.AT, l.at().toEpochMilli()).set(ACCESS_LINE.BY_WHOM, l.by().value())
        .set(ACCESS_LINE.ACT, l.act().name())
        .set(ACCESS_LINE.ABOUT, l.about()).set(ACCESS_LINE.WORDS, l.words()).execute());
  }

  @Override
  public List<Line> latest(int most) {
    return db.rows(sql -> sql.selectFrom(ACCESS_LINE).orderBy(ACCESS_LINE.ID.desc()).limit(most), r -> new Line(
        Instant.ofEpochMilli(r.getAt()), new CrewId(r.getByWhom()), Act.valueOf(r.getAct()), r.getAbout(),
        r.getWords()));
  }

  @Override
  public void failed(Failure f) {
    db.write(sql -> {
      sql.insertInto(FAILED_SIGN_IN)
          .set(FAILED_SIGN_IN.AT, f.at().toEpochMilli()).set(FAILED_SIGN_IN.NAME, f.name())
          .set(FAILED_SIGN_IN.ADDRESS, f.address()).execute();
      sql.deleteFrom(FAILED_SIGN_IN)
          .where(FAILED_SIGN_IN.ID.le(DSL.field(DSL.select(DSL.max(FAILED_SIGN_IN.ID)).from(FAILED_SIGN_IN))
          .minus(FAILURES_KEPT))).execute();
    });
  }

  @Override
  public List<Failure> failures(int most) {
    return db.rows(
        sql -> sql.selectFrom(FAILED_SIGN_IN).orderBy(FAILED_SIGN_IN.ID.desc()).limit(most),
        r -> new Failure(Instant.ofEpochMilli(r.getAt()), r.getName(), r.getAddress()));
  }
}
