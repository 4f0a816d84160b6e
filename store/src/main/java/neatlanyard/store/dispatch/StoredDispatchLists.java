package neatlanyard.store.dispatch;

import static neatlanyard.store.generated.Tables.DISPATCH_LIST;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.dispatch.DispatchLists;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.DispatchListRecord;

/** Dispatch lists in the database, as texts. */
public final class StoredDispatchLists implements DispatchLists {
  private final Database db;

  public StoredDispatchLists(Database db) {
    this.db = db;
  }

  @Override
  public Optional<Text> inForce(TypeId type) {
    return db.read(sql -> sql.selectFrom(DISPATCH_LIST).where(DISPATCH_LIST.TYPE.eq(type.value()))
        .orderBy(DISPATCH_LIST.ID.desc()).limit(1).fetchOptional(StoredDispatchLists::text));
  }

  @Override
  public List<Text> all() {
    Map<TypeId, Text> newest = new LinkedHashMap<>();
    db.rows(sql -> sql.selectFrom(DISPATCH_LIST).orderBy(DISPATCH_LIST.ID), StoredDispatchLists::text)
        .forEach(t -> newest.put(t.type(), t));
    return List.copyOf(newest.values());
  }

  @Override
  public void add(Text t) {
    db.write(sql -> sql.insertInto(DISPATCH_LIST)
        .set(DISPATCH_LIST.TYPE, t.type().value())
        .set(DISPATCH_LIST.REVISION, t.revision())
        .set(DISPATCH_LIST.SHA256, t.sha256())
        .set(DISPATCH_LIST.CONTENT, t.content())
        .set(DISPATCH_LIST.BROUGHT_IN_BY, t.by().value())
        .set(DISPATCH_LIST.BROUGHT_IN_AT, t.at().toEpochMilli())
        .execute());
  }

  private static Text text(DispatchListRecord r) {
    return new Text(
        new TypeId(r.getType()), r.getRevision(), r.getSha256(), r.getContent(), new CrewId(r.getBroughtInBy()),
        Instant.ofEpochMilli(r.getBroughtInAt()));
  }
}
