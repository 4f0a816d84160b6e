package neatlanyard.e2e;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.locks.ReentrantLock;
import neatlanyard.server.LanyardApplication;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;

/** The application as the launcher starts it, but in the process of the tests: warm from the second time on. */
record InThisProcess(ServletWebServerApplicationContext application) implements Running {
  /** The logging of a process is one: of two that start or end in the same moment one finds it half set up. */
  private static final ReentrantLock ONE = new ReentrantLock();

  static InThisProcess start(List<String> settings) {
    List<String> all = new ArrayList<>(settings);
    // Whoever still listens is not waited for.
    all.add("--server.shutdown=immediate");
    ONE.lock();
    try {
      return new InThisProcess(LanyardApplication.start(all.toArray(String[]::new)));
    } finally {
      ONE.unlock();
    }
  }

  @Override
  public int port() {
    return Objects.requireNonNull(application.getWebServer()).getPort();
  }

  @Override
  public String said() {
    throw new UnsupportedOperationException("said to the terminal of the tests");
  }

  @Override
  public void end() {
    ONE.lock();
    try {
      application.close();
    } finally {
      ONE.unlock();
    }
  }
}
