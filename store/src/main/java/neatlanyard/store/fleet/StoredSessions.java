package neatlanyard.store.fleet;

import static neatlanyard.store.generated.Tables.SESSION;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Sessions;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.SessionRecord;

/** Sessions in the database, so that a crew stays signed in over a restart. */
public final class StoredSessions implements Sessions {
  private final Database db;

  public StoredSessions(Database db) {
    this.db = db;
  }

  @Override
  public void begin(Session s) {
    db.write(sql -> sql.insertInto(SESSION).set(
        new SessionRecord(s.key(), s.who().value(), s.address(), s.begun().toEpochMilli(), s.ends().toEpochMilli()))
        .execute());
  }

  @Override
  public Optional<Session> find(String key) {
    return db.rows(sql -> sql.selectFrom(SESSION).where(SESSION.KEY.eq(key)), StoredSessions::of).stream().findFirst();
  }

  @Override
  public List<Session> open() {
    return db.rows(sql -> sql.selectFrom(SESSION).orderBy(SESSION.BEGUN_AT.desc(), SESSION.KEY), StoredSessions::of);
  }

  @Override
  public void end(String key) {
    db.write(sql -> sql.deleteFrom(SESSION).where(SESSION.KEY.eq(key)).execute());
  }

  @Override
  public void endBefore(Instant then) {
    db.write(sql -> sql.deleteFrom(SESSION).where(SESSION.ENDS_AT.le(then.toEpochMilli())).execute());
  }

  private static Session of(SessionRecord r) {
    return new Session(
        r.getKey(), new CrewId(r.getWho()), r.getAddress(), Instant.ofEpochMilli(r.getBegunAt()),
        Instant.ofEpochMilli(r.getEndsAt()));
  }
}
