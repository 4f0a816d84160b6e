package neatlanyard.core.departure;

import static neatlanyard.core.departure.Attempt.no;
import static neatlanyard.core.departure.Attempt.words;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.log.Event;

/** What is asked of the tie-off. */
final class TieOffAdmission {
  private final Attempt attempt;

  TieOffAdmission(Attempt attempt) {
    this.attempt = attempt;
  }

  Optional<Refusal> tieOff(Event.TiedOff e) {
    Optional<Refusal> other = attempt.commander("ties off");
    if (other.isPresent()) {
      return other;
    }
    if (attempt.now().card().isEmpty()) {
      return no(RefusalCode.NO_CARD, "The card has not been cut yet.",
          "Enter the station report and the state of the day first.");
    }
    Map<String, String> reasons = e.accepted().stream()
        .collect(Collectors.toMap(Event.Acceptance::tag, Event.Acceptance::reason, (first, second) -> second));
    List<Tag> inTheWay = attempt.picture().inTheWay();
    List<Tag> never = inTheWay.stream().filter(t -> !t.kind().mayStay()).toList();
    if (!never.isEmpty()) {
      return no(RefusalCode.MAY_NOT_STAY, "This may not stay, whatever the reason: %s.".formatted(titles(never)),
          "Close it, or leave the aircraft to maintenance.");
    }
    List<Tag> without = inTheWay.stream()
        .filter(t -> Objects.requireNonNullElse(reasons.get(t.key()), "").isBlank()).toList();
    if (!without.isEmpty()) {
      return no(RefusalCode.NOT_BARE, "The cord is not bare: %s.".formatted(titles(without)),
          "Close each, or give the commander's reason why it may stay.");
    }
    return reasons.values().stream().flatMap(r -> words("reason", r).stream()).findFirst();
  }

  private static String titles(List<Tag> tags) {
    return tags.stream().map(Tag::words).collect(Collectors.joining("; "));
  }
}
