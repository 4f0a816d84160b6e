package neatlanyard.store.db;

import static neatlanyard.store.generated.Tables.OWN_SETTING;

import java.util.function.Supplier;

/** Values the application makes once and must find again after a restart. */
public final class OwnSettings {
  private final Database db;

  public OwnSettings(Database db) {
    this.db = db;
  }

  /** The value of that name; made and kept when it is not there yet. */
  public String of(String name, Supplier<String> make) {
    db.write(sql -> sql.insertInto(OWN_SETTING)
        .values(name, make.get())
        .onDuplicateKeyIgnore()
        .execute());
    return db.read(sql -> sql.selectFrom(OWN_SETTING).where(OWN_SETTING.NAME.eq(name)).fetchSingle().getContent());
  }
}
