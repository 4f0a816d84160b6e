package neatlanyard.core.log;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.dispatch.Deferral;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.StepId;

/**
 * What a departure knows of its tail's technical log.
 *
 * @param deferrals what is deferred, each with what bars today's flight
 * @param settled defects of this departure's finds that maintenance has cleared or deferred since
 * @param finds what earlier crews found, the newest first
 */
public record TechState(List<Deferral> deferrals, List<Settled> settled, List<FoundBefore> finds) {
  public static final TechState NONE = new TechState(List.of(), List.of(), List.of());

  public TechState {
    deferrals = List.copyOf(deferrals);
    settled = List.copyOf(settled);
    finds = List.copyOf(finds);
  }

  /** What maintenance did about a find. */
  public record Settled(UUID find, boolean cleared, String words) {}

  /** A find of an earlier departure. @param verdict in words; empty while there is none */
  public record FoundBefore(
      UUID find, Optional<PlaceId> place, Optional<StepId> step, String what, String by, Instant at, String verdict,
      List<UUID> photos) {
    public FoundBefore {
      photos = List.copyOf(photos);
    }
  }

  /** What maintenance did about one find; empty where it has not. */
  public Optional<Settled> settled(UUID find) {
    return settled.stream().filter(s -> s.find().equals(find)).findFirst();
  }
}
