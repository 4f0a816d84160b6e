package neatlanyard.core.departure;

import static neatlanyard.core.departure.Attempt.no;
import static neatlanyard.core.departure.Attempt.words;

import java.util.Locale;
import java.util.Optional;
import neatlanyard.core.dispatch.Verdict;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.FindDetail;

/** What is asked of finds and of the decisions on them. */
final class FindAdmission {
  private static final int MOST_COUNT = 100;

  private final Attempt attempt;

  FindAdmission(Attempt attempt) {
    this.attempt = attempt;
  }

  Optional<Refusal> raised(Event.FindRaised e) {
    return attempt.onCard(e.step()).or(() -> words("note", e.note())).or(() -> fresh(e)).or(() -> sound(e.what()));
  }

  private Optional<Refusal> fresh(Event.FindRaised e) {
    return attempt.now().find(e.find()).isPresent()
        ? no(RefusalCode.FIND_EXISTS, "That find is already raised.", "Raise another for another thing.")
        : Optional.empty();
  }

  private static Optional<Refusal> sound(FindDetail what) {
    if (what.count() < 1 || what.count() > MOST_COUNT) {
      return no(RefusalCode.NOT_A_COUNT, "%d is not a number of things anybody counts here.".formatted(what.count()),
          "Give how many, from 1 to %d.".formatted(MOST_COUNT));
    }
    if (what.photos().size() > FindDetail.MOST_PHOTOS) {
      return no(RefusalCode.TOO_MANY_PHOTOS, "%d photos; %d is the most of one find.".formatted(what.photos().size(),
          FindDetail.MOST_PHOTOS), "Raise another find for the rest.");
    }
    boolean off = what.spot().filter(s -> !(Math.abs(s.x()) <= 100 && Math.abs(s.y()) <= 200)).isPresent();
    return off ? no(RefusalCode.OFF_THE_DRAWING, "That place is not on the drawing.", "Point at the aircraft.")
        : Optional.empty();
  }

  Optional<Refusal> verdict(Event.VerdictTaken e) {
    return attempt.commander("decides on finds")
        .or(() -> attempt.now().find(e.find()).isEmpty()
            ? no(RefusalCode.NO_SUCH_FIND, "There is no such find.", "Reload the departure.")
            : Optional.empty())
        .or(() -> e.proposed().filter(c -> e.verdict().milderThan(c.verdict())).flatMap(c -> no(RefusalCode.MILDER,
            "The list does not support '%s': %s".formatted(e.verdict().words().toLowerCase(Locale.ROOT),
            String.join(" ", c.because())),
            "Take '%s' or a stricter one.".formatted(c.verdict().words().toLowerCase(Locale.ROOT)))))
        .or(() -> e.verdict() == Verdict.NOTHING_TO_ENTER && e.words().isBlank()
            ? Optional.empty()
            : words("reason", e.words()));
  }
}
