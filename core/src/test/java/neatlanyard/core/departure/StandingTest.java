package neatlanyard.core.departure;

import static neatlanyard.core.departure.Scene.CAPTAIN;
import static neatlanyard.core.departure.Scene.ENGINEER;
import static neatlanyard.core.departure.Scene.LIST;
import static neatlanyard.core.departure.Scene.OFFICER;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.flow.DayValues;
import neatlanyard.core.flow.Gates;
import neatlanyard.core.lanyard.Standing;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Proposal;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Card.Part;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.Status;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Properties of how steps stand, whatever two or three people say in whatever order. */
public class StandingTest {
  private static final List<CrewId> CREW = List.of(CAPTAIN, OFFICER, ENGINEER);

  /** A seed for each crew, half of them of two and half of three. */
  @DataProvider
  static Object[][] crews() {
    return Stream.iterate(0, n -> n + 1).limit(40).map(n -> new Object[] {n}).toArray(Object[][]::new);
  }

  @Test(dataProvider = "crews")
  public void random_crews(int seed) {
    Random random = new Random(seed);
    Pack pack = seed % 2 == 0 ? Scene.TODAY : Scene.POWER;
    Scene s = seed % 4 < 2 ? Scene.three(pack) : Scene.ready(pack);
    for (int i = 0; i < 120; i++) {
      s.at = s.at.plusSeconds(random.nextInt(40));
      s.tries(CREW.get(random.nextInt(3)), "d" + random.nextInt(3), anything(random, s));
      Standing standing = s.now.picture().standing();
      Map<StepId, Status> statuses = standing.statuses();
      for (Item item : s.now.state().items()) {
        Status status = status(statuses, item);
        owed(item, status, standing);
        told(s, item, status, standing);
      }
      s.now.state().card().orElseThrow().parts().forEach(p -> inOrder(s.now.picture(), p, statuses));
      gates(s, statuses);
    }
  }

  private static Status status(Map<StepId, Status> statuses, Item item) {
    return statuses.getOrDefault(item.step().id(), Status.OPEN);
  }

  /** What is not settled is owed by somebody it belongs to; what is done is owed by nobody. */
  private static void owed(Item item, Status status, Standing standing) {
    List<Seat> owes = standing.owes(item);
    assertThat(item.seats()).as("%s", item.step().id()).containsAll(owes);
    if (status == Status.OPEN || status == Status.AGAIN || status == Status.PART || status == Status.LATER) {
      assertThat(owes).as("%s, %s", item.step().id(), status).isNotEmpty();
    }
  }

  /**
   * What is asked for again says why, by itself or by a tag; a value that was said is today's, or has words, or is
   * asked again.
   */
  private static void told(Scene s, Item item, Status status, Standing standing) {
    StepId id = item.step().id();
    if (status == Status.AGAIN) {
      boolean byTag = s.now.picture().tags().stream().anyMatch(t -> t.closedBy().contains(id));
      assertThat(byTag || !standing.because(item).isEmpty()).as("%s says why", id).isTrue();
    }
    if (status == Status.DONE && DayValues.askedBack(item)) {
      String said = s.now.state().notes(id).value().orElseThrow().event().value();
      boolean words = s.now.state().notes(id).override().isPresent();
      assertThat(words || DayValues.of(s.now.state(), item).filter(k -> !k.agrees(said)).isEmpty())
          .as("%s: %s", id, said).isTrue();
    }
  }

  /** A checklist does not pass over what is open, and keeps what is held before its line and before its end. */
  private static void inOrder(Picture picture, Part part, Map<StepId, Status> statuses) {
    Optional<Item> next = picture.next(part);
    List<Item> open = part.items().stream().filter(i -> !status(statuses, i).settled())
        .toList();
    assertThat(next.isEmpty()).isEqualTo(open.isEmpty());
    next.filter(n -> part.procedure().kind() == Procedure.Kind.CHECKLIST).ifPresent(n -> {
      List<Item> before = open.stream().takeWhile(i -> !i.equals(n)).toList();
      assertThat(before).allMatch(i -> status(statuses, i) == Status.LATER);
      if (n.step().belowLine() && status(statuses, n) != Status.LATER) {
        assertThat(before).as("nothing above the line is held").allMatch(i -> i.step().belowLine());
      }
    });
  }

  /** What is told as closed is refused, and what is not is not, for whoever owns it. */
  private static void gates(Scene s, Map<StepId, Status> statuses) {
    for (Item item : s.now.state().items()) {
      if (status(statuses, item).settled() || s.now.state().notes(item.step().id()).override().isPresent()) {
        continue;
      }
      CrewId owner = CREW.get(List.of(Seat.LEFT, Seat.RIGHT, Seat.ENGINEER).indexOf(item.seats().iterator().next()));
      Instant now = s.at.plusSeconds(s.now.state().lastNumber());
      boolean closed = s.now.picture().gates(item).stream()
          .anyMatch(g -> g.until().map(u -> u.isAfter(now.plusSeconds(2))).orElse(true));
      boolean opens = Gates.of(s.now.state(), item).stream()
          .anyMatch(g -> g.until().filter(u -> !u.isAfter(now.plusSeconds(2))).isPresent());
      String refused = Admission.refusal(s.now,
          new Proposal(UUID.randomUUID(), now, owner, "d", new Event.StepDone(item.step().id())), now)
          .map(r -> r.code().written()).orElse("");
      if (!opens) {
        assertThat(Set.of("needs", "wait").contains(refused)).as("%s: %s", item.step().id(), refused)
            .isEqualTo(closed);
      }
    }
  }

  private static Event anything(Random random, Scene s) {
    List<StepId> steps = s.now.state().items().stream().map(i -> i.step().id()).toList();
    StepId step = steps.get(random.nextInt(steps.size()));
    List<UUID> hung = s.now.state().hung().stream().map(h -> h.event().tag()).toList();
    List<PlaceId> panels = s.now.state().pack().steps().map(x -> x.place())
        .distinct().toList();
    return switch (random.nextInt(15)) {
      case 0 -> new Event.StepUndone(step);
      case 1 -> new Event.StepLater(step, "in a moment");
      case 2 -> new Event.Overridden(step, "because");
      case 3 -> new Event.TagHung(UUID.randomUUID(), "something",
          Stage.values()[random.nextInt(Stage.values().length)], Optional.empty());
      case 4 -> new Event.TagTaken(hung.isEmpty() ? UUID.randomUUID() : hung.get(random.nextInt(hung.size())));
      case 5 -> new Event.PanelHandedOver(panels.get(random.nextInt(panels.size())), Seat.values()[random.nextInt(3)]);
      case 6 -> new Event.AircraftRead("data",
          List.of(new State(new PointId("flaps"), random.nextBoolean() ? "15" : "0")));
      case 7 -> Scene.day(OptionalDouble.of(random.nextBoolean() ? 1_003 : 1_001));
      case 8 -> random.nextBoolean() ? new Event.ChecklistStopped(LIST) : new Event.ChecklistResumed(LIST);
      case 9, 10, 11 -> new Event.ValueSaid(step, List.of("170", "12", "right", "15", "0", "1003", "1001")
          .get(random.nextInt(7)));
      default -> new Event.StepDone(step);
    };
  }
}
