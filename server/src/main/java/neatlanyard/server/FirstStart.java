package neatlanyard.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import neatlanyard.core.fleet.Accounts;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.Flights;
import neatlanyard.core.fleet.Role;
import neatlanyard.server.dispatch.DemoTechLogs;
import neatlanyard.server.figures.DemoFigures;
import neatlanyard.server.fleet.DemoSignIns;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.fleet.SignIns;
import neatlanyard.server.settings.Settings;
import neatlanyard.server.sop.DemoRevisions;
import neatlanyard.server.timeline.DemoTimes;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.stereotype.Component;

/** What happens once at the start: the first administrator, or the demo's data, and the address on the terminal. */
@Component
class FirstStart implements SmartInitializingSingleton, ApplicationRunner {
  private static final CrewId DEMO = new CrewId("demo-loader");
  private static final CrewId FIRST = new CrewId("administrator");

  private final Settings settings;
  private final Accounts accounts;
  private final Flights flights;
  private final FleetDesk fleet;
  private final DemoRevisions revisions;
  private final SignIns signIns;
  private final DemoSignIns demo;
  private final DemoTechLogs tech;
  private final DemoTimes times;
  private final DemoFigures figures;
  private final ServletWebServerApplicationContext server;

  FirstStart(
      Settings settings, Accounts accounts, Flights flights, FleetDesk fleet, DemoRevisions revisions, SignIns signIns,
      DemoSignIns demo, DemoTechLogs tech, DemoFigures figures, DemoTimes times,
      ServletWebServerApplicationContext server) {
    this.settings = settings;
    this.accounts = accounts;
    this.flights = flights;
    this.fleet = fleet;
    this.revisions = revisions;
    this.signIns = signIns;
    this.demo = demo;
    this.tech = tech;
    this.figures = figures;
    this.times = times;
    this.server = server;
  }

  /** Before the first request can come, so that nobody sees a demo without its people. */
  @Override
  public void afterSingletonsInstantiated() {
    if (settings.demo()) {
      try {
        loadDemo();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  @Override
  public void run(ApplicationArguments args) {
    StringBuilder says = new StringBuilder();
    if (settings.demo()) {
      says.append("Demo data is loaded. Sign in as:%n".formatted());
      demo.shown().forEach(s ->
          says.append("  %-6s %-16s %s, %s%n".formatted(s.who(), s.password(), s.name(), s.role())));
    } else if (accounts.all().isEmpty()) {
      String password = signIns.oneTime(FIRST, FIRST, "Administrator", Role.ADMINISTRATOR);
      says.append("First start. Sign in as 'administrator' with the one-time password %s%n".formatted(password));
    }
    int port = server.getWebServer() == null ? 0 : server.getWebServer().getPort();
    boolean secure = server.getEnvironment().containsProperty("server.ssl.certificate") || server.getEnvironment()
        .containsProperty("server.ssl.key-store");
    says.append("Neat Lanyard is ready at %s://localhost:%d".formatted(secure ? "https" : "http", port));
    System.out.println(says);
  }

  /** Through the same importers a user has; what is there already stays. */
  private void loadDemo() throws IOException {
    Path folder = settings.demoFolder();
    if (fleet.fleet().equals(Fleet.NONE)) {
      fleet.bringInFleet(Files.readString(folder.resolve("fleet.yaml")), DEMO);
    }
    revisions.load(folder);
    if (flights.all().isEmpty()) {
      fleet.bringInFlights(Files.readString(folder.resolve("flights.yaml")), DEMO);
    }
    tech.load(folder, DEMO);
    figures.load(folder, DEMO);
    times.load(folder);
    demo.load();
  }
}
