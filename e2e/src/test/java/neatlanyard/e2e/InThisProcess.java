package neatlanyard.e2e;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import neatlanyard.server.LanyardApplication;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;

/** The application as the launcher starts it, but in the process of the tests: warm from the second time on. */
record InThisProcess(ServletWebServerApplicationContext application) implements Running {
  static InThisProcess start(List<String> settings) {
    List<String> all = new ArrayList<>(settings);
    // Whoever still listens is not waited for.
    all.add("--server.shutdown=immediate");
    return new InThisProcess(LanyardApplication.start(all.toArray(String[]::new)));
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
    application.close();
  }
}
