package neatlanyard.store.record;

import static neatlanyard.store.generated.Tables.SEAL_KEY;

import java.time.Instant;
import java.util.List;
import neatlanyard.core.record.Seal;
import neatlanyard.core.record.SealKeys;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.SealKeyRecord;

/** Keys in the database. */
public final class StoredSealKeys implements SealKeys {
  private final Database db;

  public StoredSealKeys(Database db) {
    this.db = db;
  }

  @Override
  public List<Seal.Key> all() {
    return db.read(sql -> sql.selectFrom(SEAL_KEY).orderBy(SEAL_KEY.MADE_AT.desc())
        .fetch(r -> new Seal.Key(Instant.ofEpochMilli(r.getMadeAt()), r.getPublicKey(), r.getPrivateKey())));
  }

  @Override
  public void add(Seal.Key key) {
    db.write(sql -> sql.insertInto(SEAL_KEY)
        .set(new SealKeyRecord(key.publicKey(), key.privateKey(), key.made().toEpochMilli())).execute());
  }
}
