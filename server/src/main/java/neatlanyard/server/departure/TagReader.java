package neatlanyard.server.departure;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import neatlanyard.core.departure.Picture;
import neatlanyard.core.lanyard.LooseEnd;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagKind;
import neatlanyard.core.state.DepartureState;
import neatlanyard.server.departure.DepartureViews.TagView;

/** Puts what hangs into what the screens show. */
final class TagReader {
  private final DepartureState d;
  private final Picture picture;

  TagReader(DepartureState state, Picture picture) {
    this.d = state;
    this.picture = picture;
  }

  List<TagView> tags() {
    return picture.tags().stream().map(this::tag).toList();
  }

  /** What a tie-off would find besides the tags. */
  List<TagView> unfinished() {
    return picture.unfinished().stream().map(this::tag).toList();
  }

  private TagView tag(Tag t) {
    List<Item> closers = t.closedBy().stream().flatMap(s -> d.item(s).stream()).toList();
    return new TagView(
        t.key(), t.title(), t.detail(), t.sinceNumber() == 0 || t.hungBy().equals(LooseEnd.NOBODY) ? ""
        : Names.family(d, t.hungBy()),
        t.sinceNumber() == 0 ? Optional.empty() : Optional.of(t.since()),
        t.due(), t.due().title(), go(t, closers),
        about(t).map(i -> List.of(i.step().id().value()))
        .orElseGet(() -> t.closedBy().stream().map(StepId::value).toList()),
        closes(t, closers), t.kind().mayStay(), picture.late(t), outside(t, closers),
        t.kind().hangsOn() == TagKind.Trigger.BY_HAND ? subject(t) : "", t.open(), t.all());
  }

  private static String subject(Tag t) {
    return t.key().substring(t.key().indexOf('/') + 1);
  }

  /** The step whose wait or override it is. */
  private Optional<Item> about(Tag t) {
    boolean ofStep = t.kind().hangsOn() == TagKind.Trigger.WAIT || t.kind().hangsOn() == TagKind.Trigger.OVERRIDE;
    return ofStep ? d.item(new StepId(subject(t))) : Optional.empty();
  }

  /** Opened on the walk, or put aside there. */
  private boolean outside(Tag t, List<Item> closers) {
    return t.kind().hangsOn() == TagKind.Trigger.STEP
        ? d.items().stream().filter(i -> i.procedure().kind() == Procedure.Kind.WALKAROUND)
            .anyMatch(i -> i.step().opens().stream().anyMatch(h -> h.tag().equals(t.kind().id())))
        : closers.stream().anyMatch(i -> i.procedure().kind() == Procedure.Kind.WALKAROUND);
  }

  /** The screen on which it is closed: the stage of a step that does, or the finds, which the commander decides. */
  private Screen go(Tag t, List<Item> closers) {
    return switch (t.kind().hangsOn()) {
      case FIND, STANDING_VERDICT -> Screen.FINDS;
      case DEFERRAL, OTHER_LOG -> Screen.DAY;
      case FIGURE, LIMIT -> Screen.FIGURES;
      case BRIEFING -> Screen.BRIEFING;
      case CLEARANCE, BRAKES -> Screen.of(Stage.TAXI);
      case WAIT, OVERRIDE -> Screen.of(about(t).map(i -> i.procedure().stage()).orElse(t.due()));
      case STEP, LOOK_AGAIN, DISAGREEMENT, STOPPED_CHECKLIST, CONTROLS, BY_HAND, INTERRUPTED, UNFINISHED,
          HOLDOVER ->
          Screen.of(closers.stream().findFirst().map(i -> i.procedure().stage()).orElse(t.due()));
    };
  }

  private static String closes(Tag t, List<Item> closers) {
    return t.kind().hangsOn() == TagKind.Trigger.STEP && !closers.isEmpty()
        ? closers.stream().map(i -> "%s: %s".formatted(i.step().challenge(), i.step().response()))
        .collect(Collectors.joining("; "))
        : t.kind().hangsOn().closes();
  }
}
