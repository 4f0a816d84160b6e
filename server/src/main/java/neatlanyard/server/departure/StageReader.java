package neatlanyard.server.departure;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.departure.Picture;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Card.Part;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Interruption;
import neatlanyard.core.state.Mark;
import neatlanyard.server.departure.DepartureViews.BeadState;
import neatlanyard.server.departure.DepartureViews.BeadView;
import neatlanyard.server.departure.DepartureViews.PartProgress;
import neatlanyard.server.departure.DepartureViews.SeatView;

/** Puts how far the stages and the parts of the card are, and who is where, into what the screens show. */
final class StageReader {
  private final DepartureState d;
  private final Picture picture;

  StageReader(DepartureState state, Picture picture) {
    this.d = state;
    this.picture = picture;
  }

  List<BeadView> beads() {
    Stage current = picture.currentStage();
    return picture.beads().stream().map(b -> {
      BeadState state = b.finished() ? BeadState.DONE : b.stage() == current ? BeadState.CURRENT : BeadState.AHEAD;
      return new BeadView(b.stage(), b.stage().title(), b.done(), b.all(), state, d.due(b.stage()));
    }).toList();
  }

  Map<String, PartProgress> parts() {
    Map<String, PartProgress> parts = new LinkedHashMap<>();
    d.parts().forEach(p -> parts.put(p.procedure().id().value(), part(p)));
    return parts;
  }

  private PartProgress part(Part p) {
    Optional<Item> next = picture.next(p);
    String stopped = d.stop(p.procedure().id()).map(s -> Names.family(d, s.by())).orElse("");
    Optional<Instant> finished = next.isPresent() ? Optional.empty() : lastWord(p);
    return new PartProgress(
        picture.standing().settled(p.items()), p.items().size(), next.map(n -> n.step().id().value()).orElse(""),
        stopped, finished);
  }

  private Optional<Instant> lastWord(Part p) {
    return p.items().stream().flatMap(i -> d.marks(i.step().id()).stream()).map(Mark::at).max(Instant::compareTo);
  }

  /** The number of the last entry of a seat about a part; 0 when there is none. */
  private long lastSaidFrom(Seat seat, Part p) {
    return p.items().stream().flatMap(i -> d.marks(i.step().id()).stream())
        .filter(m -> m.seat().filter(seat::equals).isPresent()).mapToLong(Mark::number).max().orElse(0);
  }

  List<SeatView> seats() {
    return Stream.of(Seat.values()).flatMap(seat -> d.opened().flight().crew().stream()
        .filter(r -> r.seat() == seat).map(r -> seat(seat, r.who()))).toList();
  }

  /** Where a seat is: of what is open and theirs, the part they spoke of last, the first while they said nothing. */
  private SeatView seat(Seat seat, CrewId who) {
    Optional<Part> part = d.parts().stream()
        .filter(p -> p.items().stream().allMatch(i -> i.seats().contains(seat)) && picture.next(p).isPresent())
        .map(p -> Map.entry(p, lastSaidFrom(seat, p))).max(Map.Entry.comparingByValue()).map(Map.Entry::getKey)
        .or(() -> d.parts().stream().filter(p -> p.procedure().stage() == picture.currentStage()).findFirst());
    Optional<Item> next = part.flatMap(picture::next);
    String doing = part.map(p -> p.procedure().title() + next.flatMap(i -> d.pack().place(i.step().place()))
        .map(place -> ", " + place.name()).orElse(""))
        .orElse(d.card().isPresent() ? picture.currentStage().title() : "Status and day");
    return new SeatView(
        seat, Names.whole(d, who), who.value(), d.seats().containsKey(seat), doing,
        next.map(i -> i.step().place().value()).orElse(""),
        part.map(p -> picture.standing().settled(p.items())).orElse(0), part.map(p -> p.items().size()).orElse(0),
        d.interrupted(who).map(Interruption::from));
  }
}
