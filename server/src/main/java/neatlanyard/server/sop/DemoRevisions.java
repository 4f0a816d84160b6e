package neatlanyard.server.sop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.sop.Pack;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.sop.PackDesk.RevisedPack;
import org.springframework.stereotype.Service;

/** Takes the demo's packs through their life, by the hands that the demo's file names. */
@Service
public class DemoRevisions {
  private record Line(String file, String draftedBy, Optional<String> checkedBy, Optional<String> publishedBy) {}

  private final PackDesk desk;
  private final FleetDesk fleet;

  DemoRevisions(PackDesk desk, FleetDesk fleet) {
    this.desk = desk;
    this.fleet = fleet;
  }

  /** Drafts, checks and publishes what is not there yet; what is there stays as it is. */
  public void load(Path folder) throws IOException {
    List<Line> lines = Doc.read(Files.readString(folder.resolve("revisions.yaml")), doc -> {
      doc.text("format");
      return doc.list("revisions", d -> new Line(
          d.text("file"), d.text("drafted-by"), optional(d, "checked-by"), optional(d, "published-by")));
    }).orThrow("revisions.yaml");
    for (Line line : lines) {
      take(line, Files.readString(folder.resolve(line.file)));
    }
  }

  private static Optional<String> optional(Doc doc, String field) {
    return doc.has(field) ? Optional.of(doc.text(field)) : Optional.empty();
  }

  private void take(Line line, String text) {
    CrewMember drafts = member(line.draftedBy);
    Pack pack = desk.read(text, drafts.id());
    if (desk.all().stream().anyMatch(k -> k.pack().id().equals(pack.id()) && k.revision().name()
        .equals(pack.revision()))) {
      return;
    }
    RevisedPack k = desk.save(text, 0, drafts.id(), drafts.role());
    line.checkedBy.map(this::member)
        .ifPresent(m -> desk.check(k.pack().id(), k.pack().revision(), k.revision().edition(), m.id(), m.role()));
    line.publishedBy.map(this::member).ifPresent(m ->
        desk.publish(k.pack().id(), k.pack().revision(), k.revision().edition(), desk.today(), m.id(), m.role()));
  }

  private CrewMember member(String who) {
    return fleet.fleet().member(new CrewId(who)).orElseThrow(() ->
        new IllegalStateException("revisions.yaml names '%s', who is not in the fleet".formatted(who)));
  }
}
