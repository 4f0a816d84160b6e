package neatlanyard.server.sop;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Seating;
import neatlanyard.core.sop.Change;
import neatlanyard.core.sop.Revision;
import neatlanyard.core.sop.Stage;
import neatlanyard.server.sop.CardViews.LeftOutView;
import neatlanyard.server.sop.CardViews.PartView;

/** What the interface is told of packs and their revisions. */
public final class SopViews {
  private SopViews() {}

  /**
   * One revision.
   *
   * @param life draft, checked or published
   * @param state in words: draft, checked, published, in force, superseded
   * @param faults findings that keep it from being published
   * @param advice other findings that nobody waived
   */
  public record RevisionView(
      String id, String revision, String title, String type, Seating seating, int steps, List<String> tails,
      String sha256, Revision.Life life,
      String state, long edition, SignedView drafted, Optional<SignedView> checked, Optional<SignedView> published,
      Optional<LocalDate> effective, int faults, int advice) {}

  public record SignedView(String by, String name, Instant at) {}

  /** A revision to look at or to edit. @param document the pack as JSON, in the pack format */
  public record PackView(RevisionView revision, String document, CheckView check) {}

  /**
   * What is wrong with a pack.
   *
   * @param faults where it cannot be read
   * @param findings of the pack check, when it can
   */
  public record CheckView(List<FaultView> faults, List<PackFinding> findings) {}

  /** @param path JSON Pointer of the field */
  public record FaultView(String path, int line, int column, String what) {}

  public record PackFinding(
      String rule, String title, boolean fault, String at, String where, String what, String why, String source,
      String mend,
      Optional<String> waived) {}

  /** A choice for the editor, with the words for it. */
  public record ChoiceView(String id, String words) {}

  /** A matter of policy with its schools, the default first. */
  public record MatterView(String id, String words, List<ChoiceView> schools) {}

  /** What the editor offers, so that it knows no rule of its own. */
  public record EditorView(
      List<ChoiceView> stages, List<ChoiceView> kinds, List<ChoiceView> owners, List<ChoiceView> circumstances,
      List<ChoiceView> sky, List<ChoiceView> units, List<ChoiceView> figures, List<ChoiceView> criticalFigures,
      List<MatterView> matters, List<String> airfields) {}

  /** @param thisTail whether it concerns the tail that was asked for */
  public record ChangeView(Change.Kind kind, String step, String where, List<String> words, List<Seat> seats,
      boolean thisTail) {}

  /** @param acknowledged whether the one who asks has said they read it */
  public record ChangesView(
      RevisionView since, RevisionView to, List<ChangeView> changes, boolean acknowledged, boolean owed) {}

  /** Who of the crew has read a revision. @param concerned whether something in it concerns them */
  public record ReaderView(String id, String name, String role, boolean concerned, Optional<Instant> at) {}

  public record NewRevision(String revision) {}

  public record Publication(LocalDate effective) {}

  /** What to cut a card from. @param document an unsaved pack in place of the revision's */
  public record PreviewForm(String pack, String revision, Optional<String> document, List<PreviewDay> days) {}

  /** @param report a station report; its station need not be the airfield */
  public record PreviewDay(
      String tail, String flying, String from, String to, String report, boolean dark, List<String> circumstances,
      Map<String, Double> measured) {}

  public record PreviewView(List<PreviewCard> cards, List<DifferenceView> differences) {}

  public record PreviewCard(String tail, int steps, List<PartView> parts, List<LeftOutView> leftOut) {}

  public record DifferenceView(String step, String part, Stage stage, String challenge, String response,
      SideView left, SideView right) {}

  public record SideView(boolean there, List<Seat> seats, String why) {}
}
