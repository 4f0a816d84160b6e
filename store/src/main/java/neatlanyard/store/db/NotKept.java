package neatlanyard.store.db;

/** The database cannot be written or read as things stand; said in words for whoever looks after the installation. */
public final class NotKept extends RuntimeException {
  private final String tryThis;

  public NotKept(String what, String tryThis, Throwable cause) {
    super(what, cause);
    this.tryThis = tryThis;
  }

  /** What to do about it. */
  public String tryThis() {
    return tryThis;
  }
}
