package neatlanyard.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.Judgement.Finding;
import neatlanyard.core.controls.Judgement.Outcome;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.sop.Pack;
import neatlanyard.formats.controls.TraceFile;
import neatlanyard.formats.controls.TraceNames;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import tools.jackson.databind.json.JsonMapper;

/**
 * Judges one trace file and puts it into words or JSON.
 *
 * @param all whether also what was as it should be is told
 */
record TraceJudge(Pack pack, TraceNames names, boolean all, boolean json) {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** What is printed of one file, with the exit code it stands for, and its judgement where there is one. */
  record Judged(Path file, String text, int exit, Optional<Judgement> judgement) {}

  Judged judge(Path file) {
    byte[] bytes;
    try {
      if (Files.size(file) > TraceFile.MOST_BYTES) {
        return unreadable(file, List.of("It holds more than %d MB.".formatted(TraceFile.MOST_BYTES / 1_000_000)));
      }
      bytes = Files.readAllBytes(file);
    } catch (IOException e) {
      return unreadable(file, List.of("It cannot be read: %s".formatted(e.getMessage())));
    }
    return switch (TraceFile.read(bytes, pack.flightControls(), names)) {
      case Read.Bad<Trace> bad -> unreadable(file, bad.faults().stream().map(Fault::words).toList());
      case Read.Good<Trace> good -> judged(file, ControlCheck.judge(
          pack.flightControls(), pack.policy().controlCheck(), good.value()));
    };
  }

  private Judged unreadable(Path file, List<String> faults) {
    StringBuilder text = new StringBuilder();
    if (json) {
      text.append(JSON.writeValueAsString(Map.of("file", file.toString(), "faults", faults))).append('\n');
    } else {
      faults.forEach(f -> text.append(file).append(": ").append(f).append('\n'));
    }
    return new Judged(file, text.toString(), Lanyard.UNREADABLE, Optional.empty());
  }

  private Judged judged(Path file, Judgement judgement) {
    int exit = judgement.passed() ? Lanyard.GOOD : Lanyard.NOT_GOOD;
    List<Finding> told = judgement.findings().stream().filter(f -> all || !f.passed()).toList();
    if (json) {
      return new Judged(
          file, JSON.writeValueAsString(tree(file, judgement, told)) + "\n", exit, Optional.of(judgement));
    }
    StringBuilder text = new StringBuilder();
    told.forEach(f -> text.append(words(f.outcome())).append(": ").append(f.words()).append('\n'));
    judgement.missing().forEach(m -> text.append("still to show: ").append(m).append('\n'));
    judgement.suggestions().forEach(s -> text.append("looks like: ").append(s.words()).append('\n'));
    text.append(file).append(": ").append(switch (judgement.verdict()) {
      case PASSED -> "passed. " + judgement.summary();
      case INCOMPLETE -> "incomplete. " + judgement.summary();
      case NOT_PASSED -> "%d not as it should be.".formatted(judgement.failed().size());
    }).append('\n');
    return new Judged(file, text.toString(), exit, Optional.of(judgement));
  }

  private static String words(Outcome outcome) {
    return outcome.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private static Map<String, Object> tree(Path file, Judgement judgement, List<Finding> told) {
    Map<String, Object> tree = new LinkedHashMap<>();
    tree.put("file", file.toString());
    tree.put("verdict", kebab(judgement.verdict()));
    tree.put("summary", judgement.summary());
    tree.put("missing", judgement.missing());
    tree.put("suggestions", judgement.suggestions().stream().map(s -> Map.of(
        "cause", kebab(s.cause()), "words", s.words())).toList());
    tree.put("findings", told.stream().map(f -> {
      Map<String, Object> finding = new LinkedHashMap<>();
      f.axis().ifPresent(a -> finding.put("axis", kebab(a)));
      finding.put("subject", f.subject());
      finding.put("criterion", kebab(f.criterion()));
      finding.put("movement", f.movement());
      finding.put("outcome", kebab(f.outcome()));
      finding.put("measured", f.measured());
      finding.put("limit", f.limit());
      finding.put("uncertainty", f.uncertainty());
      finding.put("unit", f.unit());
      finding.put("words", f.words());
      return finding;
    }).toList());
    return tree;
  }

  private static String kebab(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
