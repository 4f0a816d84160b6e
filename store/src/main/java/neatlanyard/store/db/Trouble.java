package neatlanyard.store.db;

import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** What SQLite says of the disk, in words. */
final class Trouble {
  private static final int PRIMARY_CODE = 0xff;

  private Trouble() {}

  /** As {@link NotKept} where it is the disk's, else as it is: a fault of ours. */
  static RuntimeException of(RuntimeException e) {
    SQLiteException sqlite = sqlite(e);
    return sqlite != null && ofTheDisk(sqlite)
        ? new NotKept("The database cannot be used: %s.".formatted(words(e)), tryThis(e), e) : e;
  }

  private static @Nullable SQLiteException sqlite(Throwable e) {
    for (Throwable cause = e; cause != null; cause = cause.getCause()) {
      if (cause instanceof SQLiteException s) {
        return s;
      }
    }
    return null;
  }

  private static SQLiteErrorCode code(SQLiteException e) {
    return SQLiteErrorCode.getErrorCode(e.getResultCode().code & PRIMARY_CODE);
  }

  private static boolean ofTheDisk(SQLiteException e) {
    return switch (code(e)) {
      case SQLITE_FULL, SQLITE_READONLY, SQLITE_IOERR, SQLITE_CANTOPEN, SQLITE_BUSY, SQLITE_LOCKED, SQLITE_CORRUPT,
          SQLITE_NOTADB, SQLITE_PERM -> true;
      default -> false;
    };
  }

  static String words(Throwable e) {
    SQLiteException s = sqlite(e);
    return s == null ? String.valueOf(e.getMessage()) : switch (code(s)) {
      case SQLITE_FULL -> "the disk is full";
      case SQLITE_READONLY, SQLITE_PERM -> "it may only be read";
      case SQLITE_CANTOPEN -> "the file cannot be opened";
      case SQLITE_IOERR -> "the disk reports a fault";
      case SQLITE_CORRUPT, SQLITE_NOTADB -> "it is damaged, or no database";
      case SQLITE_BUSY, SQLITE_LOCKED -> "another program holds it";
      default -> String.valueOf(s.getMessage());
    };
  }

  static String tryThis(Throwable e) {
    SQLiteException s = sqlite(e);
    return s == null ? "Look at the file and its folder." : switch (code(s)) {
      case SQLITE_FULL -> "Make room on its disk; the server goes on by itself.";
      case SQLITE_READONLY, SQLITE_PERM -> "Let the server write the file and its folder; it goes on by itself.";
      case SQLITE_CORRUPT, SQLITE_NOTADB -> "Restore a backup: ./lanyard restore FILE.";
      default -> "Look at the file, its folder and its disk; the server goes on by itself.";
    };
  }
}
