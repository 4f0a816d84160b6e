package neatlanyard.formats.fleet;

import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.Outbound;
import neatlanyard.core.fleet.Registered;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;

/** Reads a fleet; see docs/formats/fleet.md. */
public final class FleetReader {
  public static final String FORMAT = "neat-lanyard/fleet/1";

  private FleetReader() {}

  public static Read<Fleet> read(String text) {
    return Doc.read(text, FleetReader::fleet);
  }

  private static Fleet fleet(Doc doc) {
    doc.format(FORMAT);
    Set<Object> seen = new HashSet<>();
    Fleet fleet = new Fleet(
        doc.text("operator"),
        doc.has("zone") ? doc.of("zone", ZoneId::of, "UTC") : ZoneOffset.UTC,
        doc.list("airfields", d -> once(d, seen, airfield(d))),
        doc.list("tails", d -> once(d, seen, tail(d))),
        doc.list("crew", d -> once(d, seen, member(d))));
    fleet.airfields().forEach(a -> a.outbound().alternate().filter(x -> x.equals(a.id()) || !seen.contains(x))
        .ifPresent(x -> doc.fault("airfields", "'%s' is no take-off alternate of %s: another airfield of this file is."
        .formatted(x, a.id()))));
    return fleet;
  }

  private static <T> T once(Doc doc, Set<Object> seen, T value) {
    Object id = switch (value) {
      case Airfield a -> a.id();
      case Registered t -> t.id();
      case CrewMember c -> c.id();
      default -> value;
    };
    if (!seen.add(id)) {
      doc.fault("id", "'%s' stands twice.".formatted(id));
    }
    return value;
  }

  private static Airfield airfield(Doc doc) {
    double variation = doc.number("variation-deg", -180, 180, 0);
    List<Runway> runways = RunwayReader.runways(doc, variation);
    return new Airfield(
        doc.of("id", AirfieldId::new, "QXXX"), doc.text("name"), doc.number("latitude-deg", -90, 90),
        doc.number("longitude-deg", -180, 180), doc.whole("elevation-ft", -1_500, 20_000),
        doc.of("zone", ZoneId::of, "UTC"), variation, runways, outbound(doc),
        doc.has("ground") ? doc.inner("ground", d -> GroundPlanReader.plan(d, runways)) : Optional.empty(),
        doc.has("deck") ? doc.inner("deck", DeckReader::deck) : Optional.empty());
  }

  private static Outbound outbound(Doc doc) {
    Optional<Outbound.LandingLimits> landing = doc.has("landing-limits") ? doc.inner("landing-limits",
        d -> new Outbound.LandingLimits(d.whole("ceiling-ft", 0, 10_000), d.whole("visibility-m", 0, 20_000)))
        : Optional.empty();
    Optional<AirfieldId> alternate = doc.has("take-off-alternate")
        ? Optional.of(doc.of("take-off-alternate", AirfieldId::new, "QXXX")) : Optional.empty();
    OptionalInt minimum = doc.has("minimum-altitude-ft")
        ? OptionalInt.of(doc.whole("minimum-altitude-ft", 0, 30_000)) : OptionalInt.empty();
    return new Outbound(landing, alternate, minimum);
  }

  private static Registered tail(Doc doc) {
    return new Registered(doc.of("id", TailId::new, "XX"), doc.of("type", TypeId::new, "x1"));
  }

  private static CrewMember member(Doc doc) {
    return new CrewMember(doc.of("id", CrewId::new, "xx"), doc.text("name"), doc.one("role", Role.class));
  }
}
