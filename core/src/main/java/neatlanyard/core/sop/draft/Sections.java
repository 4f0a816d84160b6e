package neatlanyard.core.sop.draft;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import neatlanyard.core.sop.Procedure.Kind;
import neatlanyard.core.sop.Stage;

/** What a printed heading stands for. The words are common practice, no source. */
final class Sections {
  /** @param words any of which the heading holds */
  private record Heading(Stage stage, Kind kind, List<String> words) {}

  private static final List<String> LATER = List.of("after take", "climb", "cruise", "descent", "approach", "landing",
      "shutdown", "shut down", "securing", "parking");

  /** The first that fits: "before take-off" stands before "take-off", "after start" before "start". */
  private static final List<Heading> HEADINGS = List.of(
      new Heading(Stage.LINE_UP, Kind.CHECKLIST, List.of("line up", "line-up", "lineup", "on the runway")),
      new Heading(Stage.BEFORE_TAKEOFF, Kind.CHECKLIST, List.of("take-off", "takeoff", "take off", "departure")),
      new Heading(Stage.CONTROLS, Kind.CONTROL_CHECK, List.of("control check")),
      new Heading(Stage.TAXI, Kind.CHECKLIST, List.of("taxi")),
      new Heading(Stage.WALKAROUND, Kind.WALKAROUND, List.of("walk", "exterior", "outside", "external")),
      new Heading(Stage.FLOWS, Kind.TEST, List.of("test")),
      new Heading(Stage.FLOWS, Kind.FLOW, List.of("flow", "scan", "cockpit", "flight deck", "interior", "set-up")),
      new Heading(Stage.POWER_UP, Kind.POWER_UP, List.of("power", "safe", "preliminary")),
      new Heading(Stage.BRIEFING, Kind.BRIEFING, List.of("brief")),
      new Heading(Stage.START, Kind.CHECKLIST, List.of("start")));

  private Sections() {}

  /** @param known whether the heading said it */
  record Section(Stage stage, Kind kind, boolean known) {}

  /** Whether it is of a time after the line-up, which a departure does not hold. */
  static boolean later(String heading) {
    return LATER.stream().anyMatch(plain(heading)::contains);
  }

  /** @param before the stage of the list before it, where a heading that says nothing is put */
  static Section of(String heading, Stage before) {
    String plain = plain(heading);
    Optional<Heading> first = HEADINGS.stream().filter(h -> h.words.stream().anyMatch(plain::contains)).findFirst();
    return first.map(h -> new Section(h.stage, h.kind, true))
        .orElse(new Section(before, Kind.CHECKLIST, false));
  }

  private static String plain(String heading) {
    return heading.toLowerCase(Locale.ROOT);
  }
}
