package neatlanyard.server.sop;

import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.proof.Finding;
import neatlanyard.core.sop.Change;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Condition.Weather.Sky;
import neatlanyard.core.sop.DayFigure;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Revision;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.units.Unit;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Fault;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.sop.PackDesk.RevisedPack;
import neatlanyard.server.sop.SopViews.ChangeView;
import neatlanyard.server.sop.SopViews.CheckView;
import neatlanyard.server.sop.SopViews.ChoiceView;
import neatlanyard.server.sop.SopViews.EditorView;
import neatlanyard.server.sop.SopViews.FaultView;
import neatlanyard.server.sop.SopViews.MatterView;
import neatlanyard.server.sop.SopViews.PackFinding;
import neatlanyard.server.sop.SopViews.RevisionView;
import neatlanyard.server.sop.SopViews.SignedView;
import org.springframework.stereotype.Component;

/** Puts packs and revisions into what the screens show. */
@Component
class PackViewer {
  private final PackDesk desk;
  private final FleetDesk fleet;

  PackViewer(PackDesk desk, FleetDesk fleet) {
    this.desk = desk;
    this.fleet = fleet;
  }

  RevisionView revision(RevisedPack k) {
    Revision r = k.revision();
    List<Finding> findings = desk.findings(k);
    return new RevisionView(
        r.pack().value(), r.name(), k.pack().title(), k.pack().type().value(),
        k.pack().planform().seating(), steps(k.pack()),
        k.pack().tails().stream().map(t -> t.id().value()).toList(), r.sha256(), r.life(), desk.words(r),
        r.edition(),
        signed(r.drafted()), r.checked().map(this::signed), r.published().map(this::signed), r.effective(),
        (int) findings.stream().filter(Finding::stops).count(),
        (int) findings.stream().filter(f -> !f.rule().fault() && f.waived().isEmpty()).count());
  }

  private SignedView signed(Revision.Signed s) {
    String name = fleet.fleet().member(s.by()).map(CrewMember::name).orElse(s.by().value());
    return new SignedView(s.by().value(), name, s.at());
  }

  static int steps(Pack pack) {
    return pack.procedures().stream().mapToInt(p -> p.steps().size()).sum();
  }

  static CheckView check(List<Fault> faults, List<Finding> findings) {
    return new CheckView(
        faults.stream().map(f -> new FaultView(f.path(), f.line(), f.column(), f.what())).toList(), findings.stream()
        .map(PackViewer::finding).toList());
  }

  static CheckView findings(List<Finding> findings) {
    return check(List.of(), findings);
  }

  private static PackFinding finding(Finding f) {
    return new PackFinding(
        f.rule().id(), f.rule().title(), f.rule().fault(), f.at(), f.where(), f.what(), f.rule().why(), f.rule()
        .source(), f.mend(), f.waived());
  }

  static ChangeView change(Change c, boolean thisTail) {
    return new ChangeView(c.kind(), c.step().map(StepId::value).orElse(""), c.where(), c.words(),
        c.seats().stream().sorted().toList(), thisTail);
  }

  /** The same pack under another revision's name. */
  static Pack renamed(Pack p, String revision) {
    return new Pack(
        p.id(), revision, p.title(), p.type(), p.policy(), p.equipment(), p.subTypes(), p.tails(), p.quantities(),
        p.due(),
        p.planform(), p.places(), p.points(), p.tags(), p.procedures(), p.takeoff(), p.flightControls(), p.waivers(),
        p.drawings(), p.later());
  }

  /** @param airfields the fleet's, for days to look at */
  static EditorView editor(List<Airfield> airfields) {
    return new EditorView(
        choices(Arrays.stream(Stage.values()).filter(s -> s != Stage.DAY && s != Stage.TIE_OFF), Stage::title),
        choices(Stream.of(Procedure.Kind.values()), k -> Doc.written(k).replace('-', ' ')),
        choices(Stream.of(Owner.values()), Owner::words),
        choices(Stream.of(Circumstance.values()), c -> c.words(true)),
        choices(Stream.of(Sky.values()), Sky::words),
        choices(Stream.of(Unit.values()), u -> u.symbol().isEmpty() ? "number" : u.symbol()),
        choices(Stream.of(DayFigure.values()), DayFigure::words),
        choices(Stream.of(CriticalFigure.values()), CriticalFigure::words),
        Stream.of(Matter.values())
            .map(m -> new MatterView(Doc.written(m), m.words(), choices(m.schools().stream(), s -> s.words())))
            .toList(),
        airfields.stream().map(a -> a.id().value()).toList());
  }

  private static <E extends Enum<E>> List<ChoiceView> choices(Stream<E> of, Function<E, String> words) {
    return of.map(e -> new ChoiceView(Doc.written(e), words.apply(e))).toList();
  }

  /** A name from an address or a form. @throws Problem if it cannot be one */
  static <T> T named(String text, Function<String, T> type, String what) {
    try {
      return type.apply(text);
    } catch (IllegalArgumentException e) {
      throw Problem.notFound("There is no %s '%s'.".formatted(what, text));
    }
  }

}
