package neatlanyard.server.fleet;

import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Role;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.settings.Settings;
import neatlanyard.server.fleet.FleetViews.DemoSignIn;
import org.springframework.stereotype.Service;

/** The demo's passwords, read from its own file and shown on the sign-in page; nothing of it outside demo mode. */
@Service
public class DemoSignIns {
  /** Nobody of the fleet: whoever looks after the installation. */
  private static final CrewMember ADMINISTRATOR = new CrewMember(new CrewId("administrator"), "Administrator",
      Role.ADMINISTRATOR);

  private record Line(String who, String password) {}

  private final Settings settings;
  private final FleetDesk fleet;
  private final SignIns signIns;
  private volatile List<DemoSignIn> shown = List.of();

  DemoSignIns(Settings settings, FleetDesk fleet, SignIns signIns) {
    this.settings = settings;
    this.fleet = fleet;
    this.signIns = signIns;
  }

  boolean on() {
    return settings.demo();
  }

  /** The demo's sign-ins as they are shown; empty outside demo mode. */
  public List<DemoSignIn> shown() {
    return shown;
  }

  /** Gives the demo's crew the passwords of the demo's file. */
  public void load() throws IOException {
    String text = Files.readString(settings.demoFolder().resolve("sign-ins.yaml"));
    List<Line> lines = Doc.read(text, doc -> {
      doc.text("format");
      return doc.list("sign-ins", d -> new Line(d.text("who"), d.text("password")));
    }).orThrow("sign-ins.yaml");
    shown = lines.stream().map(this::give).toList();
  }

  private DemoSignIn give(Line line) {
    if (line.who.equals(ADMINISTRATOR.id().value())) {
      return give(line, ADMINISTRATOR);
    }
    return give(line, fleet.fleet().member(new CrewId(line.who)).orElseThrow(() ->
        new IllegalStateException("sign-ins.yaml names '%s', who is not in the fleet".formatted(line.who))));
  }

  private DemoSignIn give(Line line, CrewMember m) {
    signIns.set(m.id(), m.name(), m.role(), line.password);
    return new DemoSignIn(line.who, m.name(), Doc.written(m.role()).replace('-', ' '), line.password);
  }
}
