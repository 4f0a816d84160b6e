package neatlanyard.server;

import neatlanyard.server.settings.Settings;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;

/** Starts the application. */
@SpringBootApplication
@EnableConfigurationProperties(Settings.class)
public class LanyardApplication {
  public static void main(String[] args) {
    start(args);
  }

  /**
   * Starts it in this process.
   *
   * @param args settings, as on the command line
   * @return the application, ready to be asked; closing it ends it
   */
  public static ServletWebServerApplicationContext start(String... args) {
    System.setProperty("org.jooq.no-logo", "true");
    System.setProperty("org.jooq.no-tips", "true");
    return (ServletWebServerApplicationContext) SpringApplication.run(LanyardApplication.class, args);
  }
}
