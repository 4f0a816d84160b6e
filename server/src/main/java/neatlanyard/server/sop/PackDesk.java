package neatlanyard.server.sop;

import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.record.Chain;
import neatlanyard.core.sop.Library;
import neatlanyard.core.sop.Library.Document;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.PackId;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.text.Read;
import neatlanyard.server.problem.Problem;
import org.springframework.stereotype.Service;

/** Brings in packs and finds them again; each text is read once. */
@Service
public class PackDesk {
  /** A pack with the text it was read from. */
  public record Known(Pack pack, Document document) {}

  private final Library library;
  private final InstantSource clock;
  private final Map<String, Pack> read = new ConcurrentHashMap<>();

  PackDesk(Library library, InstantSource clock) {
    this.library = library;
    this.clock = clock;
  }

  /** Brings in a pack. @throws Problem naming every fault, or that the revision is there with another text */
  public Pack bringIn(String text, CrewId by) {
    Pack pack = switch (PackReader.read(text)) {
      case Read.Good<Pack> good -> good.value();
      case Read.Bad<Pack> bad -> throw Problem.faulty("The pack has faults.", bad.faults());
    };
    try {
      library.keep(new Document(
          Library.Kind.PACK, pack.id().value(), pack.revision(), Chain.sha256(text), text, by, clock.instant()));
    } catch (IllegalArgumentException e) {
      throw Problem.bad("revision-exists", String.valueOf(e.getMessage()));
    }
    return pack;
  }

  /** Every pack, the one brought in last first. */
  public List<Known> all() {
    return library.all(Library.Kind.PACK).stream().map(this::known).toList();
  }

  /** The pack of a type that was brought in last. */
  public Optional<Known> latest(TypeId type) {
    return all().stream().filter(k -> k.pack.type().equals(type)).findFirst();
  }

  /** A revision that a departure was cut from. @throws IllegalStateException if it is not there any more */
  public Pack exactly(PackId id, String revision) {
    return library.find(Library.Kind.PACK, id.value(), revision).map(this::known).map(Known::pack).orElseThrow(() ->
        new IllegalStateException("The pack %s %s is not in the library".formatted(id, revision)));
  }

  private Known known(Document d) {
    return new Known(read.computeIfAbsent(d.sha256(), s -> PackReader.read(d.text()).orThrow(d.name())), d);
  }
}
