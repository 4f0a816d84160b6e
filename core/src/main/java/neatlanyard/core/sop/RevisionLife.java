package neatlanyard.core.sop;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Role;

/** Who may take a revision how far, and which one holds on a day. */
public final class RevisionLife {
  private static final int LATEST_YEARS = 2;

  private RevisionLife() {}

  /** Why a draft may not be saved; empty when it may. @param there the revision of that name, where there is one */
  public static Optional<Refusal> saving(Optional<Revision> there, Role role) {
    if (!role.draws()) {
      return no(RefusalCode.NOT_YOUR_ROLE, "Only fleet standards draw up packs.",
          "Ask fleet standards, or say on a step that it does not fit.");
    }
    return there.filter(r -> r.life() == Revision.Life.PUBLISHED).flatMap(r ->
        no(RefusalCode.PUBLISHED, "Revision %s of %s is published and is never edited.".formatted(r.name(), r.pack()),
            "Begin a new revision from it."));
  }

  /** Why somebody may not check a revision; empty when they may. @param stops how many faults nobody waived */
  public static Optional<Refusal> checking(Revision r, CrewId who, Role role, long stops) {
    if (!role.checksPacks()) {
      return no(RefusalCode.NOT_YOUR_ROLE,
          "A pack is checked by fleet standards, training or a captain.", "Ask one of them.");
    }
    if (r.life() != Revision.Life.DRAFT) {
      return no(RefusalCode.NOT_A_DRAFT, "Revision %s is %s already.".formatted(r.name(), r.life().name()
          .toLowerCase(java.util.Locale.ROOT)), "There is nothing to check.");
    }
    if (r.authors().contains(who)) {
      return no(RefusalCode.SECOND_PERSON,
          "You saved an edition of this draft; somebody checks it who wrote none of it.",
          "Ask a colleague.");
    }
    return faults(stops);
  }

  /** Why somebody may not publish a revision; empty when they may. */
  public static Optional<Refusal> publishing(Revision r, Role role, long stops, LocalDate effective, LocalDate today) {
    if (role != Role.STANDARDS) {
      return no(RefusalCode.NOT_YOUR_ROLE, "Only fleet standards publish packs.", "Ask fleet standards.");
    }
    if (r.life() != Revision.Life.CHECKED) {
      return r.life() == Revision.Life.DRAFT
          ? no(RefusalCode.NOT_CHECKED, "Nobody has checked revision %s yet.".formatted(r.name()),
          "A second person checks it first.")
          : no(RefusalCode.PUBLISHED,
              "Revision %s is published already.".formatted(r.name()), "Begin a new revision from it.");
    }
    if (effective.isBefore(today)) {
      return no(RefusalCode.PAST, "%s is past.".formatted(effective), "Give today or a later day.");
    }
    if (effective.isAfter(today.plusYears(LATEST_YEARS))) {
      return no(RefusalCode.TOO_FAR, "%s is more than %d years away.".formatted(effective, LATEST_YEARS),
          "Give an earlier day.");
    }
    return faults(stops);
  }

  private static Optional<Refusal> faults(long stops) {
    return stops == 0 ? Optional.empty()
        : no(RefusalCode.UNWAIVED_FAULTS, "The pack check finds %d faults in it that nobody waived.".formatted(stops),
        "Mend them, or waive each with a reason.");
  }

  private static Optional<Refusal> no(RefusalCode code, String what, String tryThis) {
    return Optional.of(new Refusal(code, what, tryThis));
  }

  /** The published revisions of a pack, in the order in which they come into force. */
  public static List<Revision> published(Collection<Revision> all, PackId pack) {
    return all.stream()
        .filter(r -> r.pack().equals(pack) && r.life() == Revision.Life.PUBLISHED)
        .sorted(Comparator.comparing((Revision r) -> r.effective().orElseThrow())
        .thenComparing(r -> r.published().orElseThrow().at()))
        .toList();
  }

  /** The revision that holds on a day: the last one effective by then. */
  public static Optional<Revision> inForce(Collection<Revision> all, PackId pack, LocalDate day) {
    return published(all, pack).stream().filter(r -> !r.effective().orElseThrow().isAfter(day)).reduce((a, b) -> b);
  }

  /** In words, how a revision stands on a day. */
  public static String words(Revision r, Collection<Revision> all, LocalDate day) {
    return switch (r.life()) {
      case DRAFT -> "draft";
      case CHECKED -> "checked";
      case PUBLISHED -> r.effective().orElseThrow().isAfter(day)
          ? "published"
          : inForce(all, r.pack(), day).filter(now -> now.name().equals(r.name())).isPresent() ? "in force"
          : "superseded";
    };
  }
}
