package neatlanyard.store.db;

import java.util.List;
import org.jooq.Table;
import org.jooq.TableRecord;
import org.jooq.impl.DSL;

/** A long table that comes in: a few rows at a time into a table beside its own, and from there in one stroke. */
public final class Coming {
  private static final int ROWS_AT_ONCE = 100;

  private Coming() {}

  /**
   * Takes all rows, or none. One table at a time: whoever calls holds off others.
   *
   * @param beside with the columns of {@code own} less its key, which is made there
   */
  public static <R extends TableRecord<R>, B extends TableRecord<B>> void take(Database db, List<R> rows, Table<B> beside, Table<R> own) {
    db.write(sql -> sql.deleteFrom(beside).execute());
    for (int from = 0; from < rows.size(); from += ROWS_AT_ONCE) {
      List<B> coming = rows.subList(from, Math.min(rows.size(), from + ROWS_AT_ONCE)).stream().map(r -> r.into(beside)).toList();
      db.write(sql -> sql.batchInsert(coming).execute());
    }
    db.write(sql -> {
      sql.insertInto(own, own.fields(beside.fields())).select(DSL.select(beside.fields()).from(beside)).execute();
      sql.deleteFrom(beside).execute();
    });
  }
}
