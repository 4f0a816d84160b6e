package neatlanyard.server;

import neatlanyard.server.settings.Settings;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.EnableConfigurationProperties;

/** Starts the application. */
@SpringBootApplication
@EnableConfigurationProperties(Settings.class)
public class LanyardApplication {
  public static void main(String[] args) {
    System.setProperty("org.jooq.no-logo", "true");
    System.setProperty("org.jooq.no-tips", "true");
    SpringApplication.run(LanyardApplication.class, args);
  }
}
