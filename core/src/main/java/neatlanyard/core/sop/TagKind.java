package neatlanyard.core.sop;

import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * A kind of tag, as the pack declares it.
 *
 * @param title in words; {open} and {all} stand for the number of items, {what} for what it is about
 * @param hangsOn what hangs it
 * @param due the stage at whose end it must be gone
 * @param mayStay whether the commander may tie off with it hanging, given a reason
 * @param most how long before the departure a plan hangs it at the most, where nothing is lost by that, as with what
 *     burns fuel; empty where it does not matter
 */
public record TagKind(TagId id, String title, Trigger hangsOn, Stage due, boolean mayStay, Optional<Duration> most) {
  public TagKind(TagId id, String title, Trigger hangsOn, Stage due, boolean mayStay) {
    this(id, title, hangsOn, due, mayStay, Optional.empty());
  }

  /** What makes a tag of a kind hang. */
  public enum Trigger {
    /** A step opens it and a step closes it. */
    STEP("Nothing on today's card closes it; the commander gives a reason."),
    /** A find hangs it, the commander's verdict takes it off. */
    FIND("The commander decides on it."),
    /** A verdict that the aircraft may not go; a new verdict takes it off. */
    STANDING_VERDICT("Maintenance mends it, and the commander decides again."),
    /** Two people said different things of one step. */
    DISAGREEMENT("Both look again and say the same, or the commander decides on the find."),
    /** A checklist was stopped; resuming it takes it off. */
    STOPPED_CHECKLIST("Resume it."),
    /** The last control check did not pass; one that passes takes it off. */
    CONTROLS("A control check that passes."),
    /** A step was put aside to be looked at again; doing it takes it off. */
    LOOK_AGAIN("Look at it again and say how it is."),
    /** A deferred defect bars the flight today; maintenance takes it off. */
    DEFERRAL("Maintenance clears or extends it, or the flight is made when its terms hold."),
    /** The technical log read is of another tail; reading the right one takes it off. */
    OTHER_LOG("Read the registration on the right log."),
    /** A step has begun a wait that nobody has seen over. */
    WAIT("The time runs out and somebody says so, or what waited for it is done."),
    /** A step was done past what keeps it closed, which is still not so. */
    OVERRIDE("What was passed is done after all, or the commander gives a reason."),
    /** A critical figure is entered by one alone, differs, or is to be entered anew. */
    FIGURE("Both enter it alike, and as it was worked out; or the commander takes it."),
    /** Something that must hold for the take-off does not, by what was worked out. */
    LIMIT("What is given for the figures is put right, or another runway, flap or thrust is chosen."),
    /** Something of the briefing was read and says something else now. */
    BRIEFING("One reads it as it is now, the other hears it."),
    /** The taxi clearance was heard by one alone, or differently by two. */
    CLEARANCE("Both pilots say it alike, each on their own device."),
    /** Brakes grew hot and have not cooled by their table. */
    BRAKES("The time runs out and the brakes are read again."),
    /** Fluid protects the wings for a time. */
    HOLDOVER("The wings are looked at within five minutes before take-off, or it is de-iced again."),
    /** Somebody hung it by hand, with words of their own. */
    BY_HAND("Somebody takes it off."),
    /** Somebody was called away; going on takes it off. */
    INTERRUPTED("Whoever was called away goes on."),
    /** Steps of a procedure are still open when the crew wants to tie off. */
    UNFINISHED("Do the open steps, or say of each why not today.");

    private final String closes;

    Trigger(String closes) {
      this.closes = closes;
    }

    /** What takes such a tag off, in words; of one that a step opened, where no step closes it. */
    public String closes() {
      return closes;
    }
  }

  /** Whether a tag of this trigger can never stay, whatever a pack says. */
  public static boolean neverStays(Trigger trigger) {
    return DEFAULTS.stream().anyMatch(d -> d.hangsOn() == trigger && !d.mayStay());
  }

  /** What holds where a pack is silent, so that no pack can lose these by leaving them out. */
  public static final List<TagKind> DEFAULTS =
      List.of(
          new TagKind(new TagId("find"), "Find without a decision", Trigger.FIND, Stage.CONTROLS, true),
          new TagKind(new TagId("verdict"), "Not fit to go", Trigger.STANDING_VERDICT, Stage.TIE_OFF, false),
          new TagKind(new TagId("disagreement"), "Two answers to one step", Trigger.DISAGREEMENT, Stage.CONTROLS,
          true),
          new TagKind(new TagId("stopped"), "Checklist stopped", Trigger.STOPPED_CHECKLIST, Stage.BEFORE_TAKEOFF,
          true),
          new TagKind(new TagId("controls"), "Control check not passed", Trigger.CONTROLS, Stage.CONTROLS, false),
          new TagKind(new TagId("look-again"), "Look again", Trigger.LOOK_AGAIN, Stage.START, true),
          new TagKind(new TagId("deferral"), "Deferred, but not for this flight", Trigger.DEFERRAL, Stage.POWER_UP,
          false),
          new TagKind(new TagId("other-log"), "Technical log of another aircraft", Trigger.OTHER_LOG, Stage.POWER_UP,
          false),
          new TagKind(new TagId("wait"), "{what}", Trigger.WAIT, Stage.LINE_UP, true),
          new TagKind(new TagId("override"), "Done before its time", Trigger.OVERRIDE, Stage.START, true),
          new TagKind(new TagId("figure"), "{what}", Trigger.FIGURE, Stage.FIGURES, true),
          new TagKind(new TagId("limit"), "{what}", Trigger.LIMIT, Stage.FIGURES, true),
          new TagKind(new TagId("briefing"), "{what}", Trigger.BRIEFING, Stage.BRIEFING, true),
          new TagKind(new TagId("clearance"), "{what}", Trigger.CLEARANCE, Stage.TAXI, true),
          new TagKind(new TagId("brakes"), "{what}", Trigger.BRAKES, Stage.LINE_UP, true),
          new TagKind(new TagId("holdover"), "{what}", Trigger.HOLDOVER, Stage.LINE_UP, true),
          new TagKind(new TagId("by-hand"), "{what}", Trigger.BY_HAND, Stage.LINE_UP, true),
          new TagKind(new TagId("interrupted"), "Called away", Trigger.INTERRUPTED, Stage.LINE_UP, true),
          new TagKind(new TagId("unfinished"), "{open} of {all} steps open", Trigger.UNFINISHED, Stage.TIE_OFF, true));
}
