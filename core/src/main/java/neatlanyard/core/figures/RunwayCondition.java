package neatlanyard.core.figures;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;

/**
 * A runway's condition by thirds, as a crew gets it in the sense of landing or take-off.
 *
 * @param thirds one for the whole runway, or three
 * @param braking what a pilot reported; it can only make it worse
 */
public record RunwayCondition(List<Third> thirds, Optional<BrakingAction> braking) {
  private static final int DRY_CODE = 6;
  private static final int COUNTS_PERCENT = 25;

  /** @throws IllegalArgumentException unless there are one or three thirds */
  public RunwayCondition {
    thirds = List.copyOf(thirds);
    if (thirds.size() != 1 && thirds.size() != 3) {
      throw new IllegalArgumentException("A condition is given for the whole runway or for three thirds, not %d"
          .formatted(thirds.size()));
    }
  }

  /**
   * One third.
   *
   * @param code as it was reported, 6 to 0; empty where only the contaminant was
   * @param coveragePercent of its surface; a quarter or less leaves it as if bare; empty counts as all
   */
  public record Third(OptionalInt code, Contaminant contaminant, OptionalInt depthMm, OptionalInt coveragePercent) {
    private boolean counts() {
      return coveragePercent.isEmpty() || coveragePercent.getAsInt() > COUNTS_PERCENT;
    }

    private int matrix(OptionalInt temperatureC) {
      return counts() ? contaminant.code(depthMm, temperatureC) : DRY_CODE;
    }

    public String words() {
      String depth = depthMm.isPresent() && contaminant.deep() ? " %d mm".formatted(depthMm.getAsInt()) : "";
      String coverage = coveragePercent.isPresent() ? ", " + Worked.percent(coveragePercent.getAsInt(), 0) : "";
      return contaminant.words() + depth + coverage;
    }
  }

  /**
   * What holds for the whole runway.
   *
   * @param code of the worst third, 6 to 0
   * @param arithmetic how it came about, a line a third
   */
  public record Holding(int code, RunwayState state, List<String> arithmetic) {
    public Holding {
      arithmetic = List.copyOf(arithmetic);
    }
  }

  /** Such as "5/5/3", or what lies there where no codes were reported. */
  public String codes() {
    return thirds.stream().map(t -> t.code.isPresent() ? Integer.toString(t.code.getAsInt()) : t.contaminant.words())
        .collect(Collectors.joining("/"));
  }

  /** All of it, as it was reported. */
  public String words() {
    return "%s (%s)%s".formatted(codes(), thirds.stream().map(Third::words).collect(Collectors.joining("; ")),
        braking.map(b -> ", braking reported " + b.words()).orElse(""));
  }

  /** The worst third decides; a report that is better than what lies there is not believed. */
  public Holding holding(OptionalInt temperatureC) {
    List<String> lines = new ArrayList<>();
    int worst = DRY_CODE;
    for (int i = 0; i < thirds.size(); i++) {
      Third third = thirds.get(i);
      int matrix = third.matrix(temperatureC);
      int code = Math.min(matrix, third.code().orElse(matrix));
      String where = thirds.size() == 1 ? "Whole runway" : "Third %d".formatted(i + 1);
      String reported = third.code().isPresent() && third.code().getAsInt() != matrix
          ? "; %d was reported, the lower one counts".formatted(third.code().getAsInt()) : "";
      lines.add("%s: %s is code %d%s".formatted(where, third.words(), matrix, reported));
      worst = Math.min(worst, code);
    }
    if (braking.isPresent() && braking.get().code() < worst) {
      lines.add("A pilot reported braking %s: code %d in place of %d".formatted(
          braking.get().words(), braking.get().code(), worst));
      worst = braking.get().code();
    }
    RunwayState state = state(worst, temperatureC);
    lines.add("Code %d holds for the whole: %s".formatted(worst, state.words()));
    return new Holding(worst, state, lines);
  }

  /** The worse of what the code says and what lies there: water over 3 mm stays water, whatever the brakes did. */
  private RunwayState state(int worst, OptionalInt temperatureC) {
    RunwayState lying = thirds.stream().map(t -> RunwayState.ofCode(t.matrix(temperatureC)))
        .max(Comparator.naturalOrder()).orElseThrow();
    RunwayState said = RunwayState.ofCode(worst);
    return said.compareTo(lying) > 0 ? said : lying;
  }
}
