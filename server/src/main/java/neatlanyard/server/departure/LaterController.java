package neatlanyard.server.departure;

import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.log.HeldLists;
import neatlanyard.core.sop.LaterList;
import neatlanyard.core.sop.State;
import neatlanyard.core.state.DepartureState;
import neatlanyard.server.departure.LaterViews.HeldForm;
import neatlanyard.server.departure.LaterViews.HeldView;
import neatlanyard.server.departure.LaterViews.LaterItemView;
import neatlanyard.server.departure.LaterViews.LaterListView;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The checklists after take-off to securing, one by one once the departure is tied off. */
@RestController
class LaterController {
  private final Departures departures;
  private final HeldLists held;
  private final InstantSource clock;

  LaterController(Departures departures, HeldLists held, InstantSource clock) {
    this.departures = departures;
    this.held = held;
    this.clock = clock;
  }

  @GetMapping("/api/departures/{id}/later")
  List<LaterListView> all(@PathVariable String id) {
    DepartureState d = departures.state(id);
    Map<LaterList.Phase, HeldLists.Held> done = held.of(d.opened().flight().id()).stream()
        .collect(Collectors.toMap(HeldLists.Held::phase, Function.identity()));
    return d.pack().later().stream().map(l -> new LaterListView(l.phase(), l.title(), items(d, l).stream()
        .map(i -> new LaterItemView(i.challenge(), i.response(), words(d, i))).toList(),
        Optional.ofNullable(done.get(l.phase())).map(h -> new HeldView(Names.family(d, h.by()), h.at(), h.answered(),
        h.all())))).toList();
  }

  /** A list was gone through, with what was answered of it. */
  @PostMapping("/api/departures/{id}/later/{phase}")
  void held(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @PathVariable String phase,
      @RequestBody HeldForm form) {
    DepartureState d = departures.state(id);
    LaterList list = d.pack().later().stream().filter(l -> l.phase().written().equals(phase)).findFirst()
        .orElseThrow(() -> Problem.notFound("The pack has no such list."));
    if (d.opened().flight().place(who.id()).isEmpty()) {
      throw Problem.refused(new Refusal(RefusalCode.NOT_ROSTERED, "You are not on the crew of this flight.",
          "Its crew holds its lists."));
    }
    if (d.tiedOff().isEmpty()) {
      throw Problem.refused(new Refusal(RefusalCode.NOT_TIED_OFF, "This departure is not tied off yet.",
          "Tie it off, then go on with the lists after take-off."));
    }
    List<LaterList.Item> items = items(d, list);
    Set<Integer> answered = new TreeSet<>();
    for (Integer i : Objects.requireNonNullElse(form.answered(), List.<Integer>of())) {
      if (i == null || i < 0 || i >= items.size()) {
        throw Problem.bad(ProblemCode.BAD_ANSWER, "The list has items 0 to %d.".formatted(items.size() - 1));
      }
      answered.add(i);
    }
    List<State> left = answered.stream().flatMap(i -> items.get(i).sets().stream()).toList();
    held.keep(new HeldLists.Held(d.opened().flight().id(), d.opened().tail().id(), list.phase(), who.id(),
        clock.instant(), answered.size(), items.size(), left));
  }

  private static List<LaterList.Item> items(DepartureState d, LaterList list) {
    return d.situation().map(now -> list.items(d.pack().policy(), now)).orElse(list.items());
  }

  private static String words(DepartureState d, LaterList.Item item) {
    return item.sets().stream().map(s -> "%s %s".formatted(d.pack().name(s.point()), s.value()))
        .collect(Collectors.joining(", "));
  }
}
