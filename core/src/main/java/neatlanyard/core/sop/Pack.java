package neatlanyard.core.sop;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.fleet.TypeId;

/**
 * A fleet's procedures for one type, in one revision.
 *
 * @param due how long before the planned departure each stage should be finished; negative for after it
 * @param tags declared kinds of tag; see {@link #tagKinds()} for all that hold
 */
public record Pack(
    PackId id,
    String revision,
    String title,
    TypeId type,
    Policy policy,
    Map<Stage, Duration> due,
    Planform planform,
    List<Place> places,
    List<TagKind> tags,
    List<Procedure> procedures,
    ControlSpec controls) {
  public Pack {
    due = Map.copyOf(due);
    places = List.copyOf(places);
    tags = List.copyOf(tags);
    procedures = List.copyOf(procedures);
  }

  public Optional<Place> place(PlaceId id) {
    return places.stream().filter(p -> p.id().equals(id)).findFirst();
  }

  /** The pack's own kinds, and the defaults for each trigger it says nothing of. */
  public List<TagKind> tagKinds() {
    List<TagKind> all = new ArrayList<>(tags);
    TagKind.DEFAULTS.stream()
        .filter(d -> tags.stream().noneMatch(t -> t.hangsOn() == d.hangsOn()))
        .forEach(all::add);
    return List.copyOf(all);
  }
}
