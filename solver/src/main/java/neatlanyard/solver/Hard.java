package neatlanyard.solver;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Apart;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.PersonId;
import neatlanyard.core.timeline.Wait;

/** A demand that can be left out, to see whether the others hold together without it. */
sealed interface Hard {
  /** An activity is over by the end of its window. */
  record Until(ActivityId id) implements Hard {}

  record Waits(Wait of) implements Hard {}

  record KeptApart(Apart of) implements Hard {}

  record OneThingAtOnce(PersonId who) implements Hard {}

  /** All there are. */
  static List<Hard> of(Demands d) {
    List<Hard> all = new ArrayList<>();
    d.people().forEach(p -> all.add(new OneThingAtOnce(p.id())));
    d.apart().forEach(a -> all.add(new KeptApart(a)));
    d.waits().forEach(w -> all.add(new Waits(w)));
    d.activities().stream().filter(a -> a.until().isPresent()).forEach(a -> all.add(new Until(a.id())));
    return all;
  }

  /** One sentence. */
  default String words(Demands d) {
    return switch (this) {
      case Until u -> "%s is over by minute %s.".formatted(d.activity(u.id).what(),
          minutes(d.activity(u.id).until().orElseThrow()));
      case Waits w -> "%s begins %s after %s%s.".formatted(d.activity(w.of.before()).what(),
          w.of.most().map(m -> "%s to %s min".formatted(minutes(w.of.least()), minutes(m)))
          .orElseGet(() -> "at least %s min".formatted(minutes(w.of.least()))),
          d.activity(w.of.after()).what(), w.of.because().isEmpty() ? "" : ": " + w.of.because());
      case KeptApart a -> "%s are not done at once: %s.".formatted(String.join(", ", a.of.activities().stream()
          .map(id -> d.activity(id).what()).sorted().toList()), a.of.because());
      case OneThingAtOnce o -> "%s does one thing at a time.".formatted(d.name(o.who));
    };
  }

  private static String minutes(Duration d) {
    return d.toSecondsPart() == 0 ? Long.toString(d.toMinutes())
        : "%d:%02d".formatted(d.toMinutes(), d.toSecondsPart());
  }
}
