package neatlanyard.store.db;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/**
 * That one process alone owns a database: what it keeps in memory would be wrong as soon as another wrote. A lock of
 * the operating system on a file beside it, so that it goes with a killed process.
 */
public final class OneOwner implements AutoCloseable {
  private final FileChannel channel;
  private final FileLock lock;

  private OneOwner(FileChannel channel, FileLock lock) {
    this.channel = channel;
    this.lock = lock;
  }

  /** @throws NotKept when another process owns it, or its folder cannot be written */
  public static OneOwner of(Path database) {
    Path beside = database.resolveSibling(database.getFileName() + ".lock");
    FileChannel channel;
    try {
      channel = FileChannel.open(beside, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
    } catch (IOException e) {
      throw new NotKept("The folder of the database %s cannot be written: %s.".formatted(database, e),
          "Give the server a folder that it may write, or make room on its disk.", e);
    }
    try {
      FileLock lock = channel.tryLock();
      if (lock != null) {
        return new OneOwner(channel, lock);
      }
      channel.close();
    } catch (IOException | OverlappingFileLockException e) {
      throw used(database, e);
    }
    throw used(database, new IllegalStateException("locked"));
  }

  private static NotKept used(Path database, Exception why) {
    return new NotKept("Another server uses the database %s.".formatted(database),
        "Stop that one first, or give this one another file: --lanyard.database=FILE.", why);
  }

  @Override
  public void close() throws IOException {
    lock.release();
    channel.close();
  }
}
