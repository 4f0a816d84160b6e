package neatlanyard.core.figures.entry;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** What slips of the fingers and of the eye make of a figure, each with how likely it is of its kind. */
final class Keying {
  /** Keys that touch, on pads with 1 2 3 on top and on those with 7 8 9 on top. */
  private static final String[] BESIDE = {"128", "0245", "01356", "256", "1578", "24689", "3589", "48", "0579", "68"};

  private Keying() {}

  /** @param figure as it would stand there @param share of all that this slip could make of it */
  record Made(Slip slip, String figure, double share) {}

  /** All that one slip can make of a figure as it is written. */
  static Stream<Made> of(String figure) {
    return Stream.of(swapped(figure), lost(figure), doubled(figure), beside(figure), misread(figure), point(figure),
        sign(figure)).flatMap(List::stream).filter(m -> !m.figure.equals(figure));
  }

  /** The same without a misread digit, which can make nearly anything of anything when something else comes first. */
  static Stream<Made> ofFingers(String figure) {
    return of(figure).filter(m -> m.slip != Slip.MISREAD);
  }

  private static List<Made> evenly(Slip slip, List<String> figures) {
    return figures.stream().map(f -> new Made(slip, f, 1.0 / figures.size())).toList();
  }

  private static boolean digit(char c) {
    return c >= '0' && c <= '9';
  }

  private static List<Integer> digits(String figure) {
    List<Integer> at = new ArrayList<>();
    for (int i = 0; i < figure.length(); i++) {
      if (digit(figure.charAt(i))) {
        at.add(i);
      }
    }
    return at;
  }

  private static String with(String figure, int at, char c) {
    return figure.substring(0, at) + c + figure.substring(at + 1);
  }

  /** Neighbours, also over a decimal point. */
  private static List<Made> swapped(String figure) {
    List<Integer> at = digits(figure);
    List<String> made = new ArrayList<>();
    for (int i = 1; i < at.size(); i++) {
      char left = figure.charAt(at.get(i - 1));
      char right = figure.charAt(at.get(i));
      if (left != right) {
        made.add(with(with(figure, at.get(i - 1), right), at.get(i), left));
      }
    }
    return evenly(Slip.DIGITS_SWAPPED, made);
  }

  private static List<Made> lost(String figure) {
    List<Integer> at = digits(figure);
    return at.size() < 2 ? List.of() : evenly(Slip.DIGIT_LOST,
        at.stream().map(i -> figure.substring(0, i) + figure.substring(i + 1)).toList());
  }

  private static List<Made> doubled(String figure) {
    return evenly(Slip.DIGIT_DOUBLED, digits(figure).stream()
        .map(i -> figure.substring(0, i + 1) + figure.substring(i)).toList());
  }

  private static List<Made> beside(String figure) {
    return evenly(Slip.NEIGHBOURING_KEY, digits(figure).stream().flatMap(i ->
        BESIDE[figure.charAt(i) - '0'].chars().mapToObj(c -> with(figure, i, (char) c))).toList());
  }

  private static List<Made> misread(String figure) {
    return evenly(Slip.MISREAD, digits(figure).stream().flatMap(i ->
        "0123456789".chars().filter(c -> c != figure.charAt(i)).mapToObj(c -> with(figure, i, (char) c))).toList());
  }

  /** Only where there is a point: who writes none cannot move it. */
  private static List<Made> point(String figure) {
    int at = figure.indexOf('.');
    if (at < 0) {
      return List.of();
    }
    String bare = figure.substring(0, at) + figure.substring(at + 1);
    List<String> made = new ArrayList<>(List.of(bare));
    for (int to : new int[] {at - 1, at + 1}) {
      if (to > 0 && to < bare.length()) {
        made.add(bare.substring(0, to) + '.' + bare.substring(to));
      }
    }
    return evenly(Slip.DECIMAL_POINT, made);
  }

  private static List<Made> sign(String figure) {
    return figure.startsWith("-") ? evenly(Slip.SIGN_LOST, List.of(figure.substring(1))) : List.of();
  }
}
