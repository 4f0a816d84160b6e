package neatlanyard.server.sop;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.CardDifference;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.sop.Situation;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.sop.SopViews.DifferenceView;
import neatlanyard.server.sop.SopViews.PreviewCard;
import neatlanyard.server.sop.SopViews.PreviewDay;
import neatlanyard.server.sop.SopViews.PreviewForm;
import neatlanyard.server.sop.SopViews.PreviewView;
import neatlanyard.server.sop.SopViews.SideView;
import neatlanyard.server.weather.Reports;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Cuts cards for a look: one tail and day, or two beside each other with what differs. */
@RestController
class PreviewController {
  private static final int MOST_CARDS = 2;

  private final PackDesk desk;
  private final Reports reports;
  private final FleetDesk fleet;

  PreviewController(PackDesk desk, Reports reports, FleetDesk fleet) {
    this.fleet = fleet;
    this.desk = desk;
    this.reports = reports;
  }

  @PostMapping("/api/card-previews")
  PreviewView preview(@AuthenticationPrincipal SignedIn who, @RequestBody PreviewForm form) {
    List<PreviewDay> days = Objects.requireNonNullElse(form.days(), List.<PreviewDay>of());
    if (days.isEmpty() || days.size() > MOST_CARDS) {
      throw Problem.bad(ProblemCode.BAD_PREVIEW, "One or two days are wanted, not %d.".formatted(days.size()));
    }
    Pack pack = pack(form, who);
    List<Card> cards = days.stream().map(d -> cut(pack, d)).toList();
    List<DifferenceView> differences = cards.size() < MOST_CARDS
        ? List.of()
        : CardDifference.between(cards.getFirst(), cards.getLast()).stream().map(PreviewController::view).toList();
    return new PreviewView(
        cards.stream().map(c -> view(c, days.get(cards.indexOf(c)).tail())).toList(), differences);
  }

  /** The document as it is typed, or a revision; what is not published is for those whose work it is. */
  private Pack pack(PreviewForm form, SignedIn who) {
    if (form.document().isPresent()) {
      PackController.mustDrawOrCheck(who);
      return desk.read(form.document().get(), who.id());
    }
    PackDesk.RevisedPack known = desk.one(PackViewer.named(text(form.pack()), PackId::new, "pack"),
        text(form.revision()));
    if (known.revision().published().isEmpty()) {
      PackController.mustDrawOrCheck(who);
    }
    return known.pack();
  }

  private Card cut(Pack pack, PreviewDay form) {
    TailId id = PackViewer.named(text(form.tail()), TailId::new, "tail");
    Tail tail = pack.tail(id).orElseThrow(() ->
        Problem.bad(ProblemCode.NO_SUCH_TAIL, "The pack does not cover %s.".formatted(id)));
    Seat flying = text(form.flying()).equals("right") ? Seat.RIGHT : Seat.LEFT;
    Set<Circumstance> circumstances = Circumstances.of(form.circumstances());
    Day day = new Day(reports.read(text(form.report())), false, form.dark(), circumstances);
    Map<QuantityId, Double> measured = new HashMap<>();
    Objects.requireNonNullElse(form.measured(), Map.<String, Double>of())
        .forEach((name, value) -> measured.put(PackViewer.named(name, QuantityId::new, "quantity"), value));
    AirfieldId from = PackViewer.named(text(form.from()), AirfieldId::new, "airfield");
    AirfieldId to = PackViewer.named(text(form.to()), AirfieldId::new, "airfield");
    return Card.cut(pack, flying, new Situation(
        tail, from, to, fleet.fleet().airfield(from).map(Airfield::latitudeDeg), day, measured));
  }

  private static PreviewCard view(Card card, String tail) {
    return new PreviewCard(tail, card.items().size(), CardViews.parts(card), CardViews.leftOut(card));
  }

  private static DifferenceView view(CardDifference d) {
    return new DifferenceView(
        d.step().id().value(), d.procedure().title(), d.procedure().stage(), d.step().challenge(),
        d.step().response(),
        side(d.left()), side(d.right()));
  }

  private static SideView side(CardDifference.Side s) {
    return new SideView(s.there(), s.seats().stream().sorted().toList(), s.why());
  }

  private static String text(String maybe) {
    return maybe == null ? "" : maybe;
  }
}
