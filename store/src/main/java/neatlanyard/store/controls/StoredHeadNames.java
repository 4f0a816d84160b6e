package neatlanyard.store.controls;

import static neatlanyard.store.generated.Tables.HEAD_NAMES;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.recording.HeadNames;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.HeadNamesRecord;

/** What other people's recorders call their columns, in the database. */
public final class StoredHeadNames implements HeadNames {
  private final Database db;

  public StoredHeadNames(Database db) {
    this.db = db;
  }

  @Override
  public List<Kept> all() {
    return db.rows(sql -> sql.selectFrom(HEAD_NAMES).orderBy(HEAD_NAMES.NAME), StoredHeadNames::kept);
  }

  @Override
  public Optional<Kept> find(String name) {
    return db.rows(sql -> sql.selectFrom(HEAD_NAMES).where(HEAD_NAMES.NAME.eq(name)), StoredHeadNames::kept).stream()
        .findFirst();
  }

  @Override
  public void keep(Kept names) {
    db.write(sql -> {
      sql.deleteFrom(HEAD_NAMES).where(HEAD_NAMES.NAME.eq(names.name())).execute();
      sql.insertInto(HEAD_NAMES, HEAD_NAMES.NAME, HEAD_NAMES.CONTENT, HEAD_NAMES.KEPT_BY, HEAD_NAMES.KEPT_AT)
          .values(names.name(), names.text(), names.by().value(), names.at().toEpochMilli()).execute();
    });
  }

  @Override
  public boolean drop(String name) {
    boolean[] dropped = {false};
    db.write(sql -> dropped[0] = sql.deleteFrom(HEAD_NAMES).where(HEAD_NAMES.NAME.eq(name)).execute() == 1);
    return dropped[0];
  }

  private static Kept kept(HeadNamesRecord r) {
    return new Kept(r.getName(), r.getContent(), new CrewId(r.getKeptBy()), Instant.ofEpochMilli(r.getKeptAt()));
  }
}
