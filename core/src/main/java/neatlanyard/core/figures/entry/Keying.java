package neatlanyard.core.figures.entry;

import java.util.ArrayList;
import java.util.List;

/** What slips of the fingers and of the eye make of a figure, each with how likely it is of its kind. */
final class Keying {
  /** Keys that touch, on pads with 1 2 3 on top and on those with 7 8 9 on top. */
  private static final String[] BESIDE = {"128", "0245", "01356", "256", "1578", "24689", "3589", "48", "0579", "68"};

  private Keying() {}

  /** @param figure as it would stand there @param share of all that this slip could make of it */
  record Made(Slip slip, String figure, double share) {}

  /** All that one slip can make of a figure as it is written. */
  static List<Made> of(String figure) {
    List<Made> all = ofFingers(figure);
    misread(figure, all);
    return all;
  }

  /** The same without a misread digit, which can make nearly anything of anything when something else comes first. */
  static List<Made> ofFingers(String figure) {
    List<Made> all = new ArrayList<>();
    swapped(figure, all);
    lost(figure, all);
    doubled(figure, all);
    beside(figure, all);
    point(figure, all);
    if (figure.startsWith("-")) {
      all.add(new Made(Slip.SIGN_LOST, figure.substring(1), 1));
    }
    return all;
  }

  private static void evenly(Slip slip, List<String> figures, List<Made> all) {
    for (String figure : figures) {
      all.add(new Made(slip, figure, 1.0 / figures.size()));
    }
  }

  private static boolean digit(String figure, int at) {
    return figure.charAt(at) >= '0' && figure.charAt(at) <= '9';
  }

  private static String with(String figure, int at, char c) {
    char[] all = figure.toCharArray();
    all[at] = c;
    return new String(all);
  }

  /** Neighbours, also over a decimal point. */
  private static void swapped(String figure, List<Made> all) {
    List<String> made = new ArrayList<>();
    int left = -1;
    for (int i = 0; i < figure.length(); i++) {
      if (digit(figure, i)) {
        if (left >= 0 && figure.charAt(left) != figure.charAt(i)) {
          made.add(with(with(figure, left, figure.charAt(i)), i, figure.charAt(left)));
        }
        left = i;
      }
    }
    evenly(Slip.DIGITS_SWAPPED, made, all);
  }

  private static void lost(String figure, List<Made> all) {
    List<String> made = new ArrayList<>();
    for (int i = 0; i < figure.length(); i++) {
      if (digit(figure, i)) {
        made.add(figure.substring(0, i).concat(figure.substring(i + 1)));
      }
    }
    if (made.size() > 1) {
      evenly(Slip.DIGIT_LOST, made, all);
    }
  }

  private static void doubled(String figure, List<Made> all) {
    List<String> made = new ArrayList<>();
    for (int i = 0; i < figure.length(); i++) {
      if (digit(figure, i)) {
        made.add(figure.substring(0, i + 1).concat(figure.substring(i)));
      }
    }
    evenly(Slip.DIGIT_DOUBLED, made, all);
  }

  private static void beside(String figure, List<Made> all) {
    List<String> made = new ArrayList<>();
    for (int i = 0; i < figure.length(); i++) {
      String keys = digit(figure, i) ? BESIDE[figure.charAt(i) - '0'] : "";
      for (int k = 0; k < keys.length(); k++) {
        made.add(with(figure, i, keys.charAt(k)));
      }
    }
    evenly(Slip.NEIGHBOURING_KEY, made, all);
  }

  private static void misread(String figure, List<Made> all) {
    List<String> made = new ArrayList<>();
    for (int i = 0; i < figure.length(); i++) {
      for (char c = '0'; c <= '9' && digit(figure, i); c++) {
        if (c != figure.charAt(i)) {
          made.add(with(figure, i, c));
        }
      }
    }
    evenly(Slip.MISREAD, made, all);
  }

  /** Only where there is a point: who writes none cannot move it. */
  private static void point(String figure, List<Made> all) {
    int at = figure.indexOf('.');
    if (at < 0) {
      return;
    }
    String bare = figure.substring(0, at).concat(figure.substring(at + 1));
    List<String> made = new ArrayList<>(List.of(bare));
    for (int to : new int[] {at - 1, at + 1}) {
      if (to > 0 && to < bare.length()) {
        made.add(bare.substring(0, to) + '.' + bare.substring(to));
      }
    }
    evenly(Slip.DECIMAL_POINT, made, all);
  }
}
