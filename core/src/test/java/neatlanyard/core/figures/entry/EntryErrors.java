package neatlanyard.core.figures.entry;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;

/**
 * Makes departures, the figures entered for them, and slips in those, apart from all that recognises slips: its own
 * key pads, its own shares, its own arithmetic. See docs/figures.md.
 */
final class EntryErrors {
  /** Of a thousand slips; drawn again where a figure cannot have that one. */
  private static final Map<Slip, Integer> SHARES = new EnumMap<>(Map.ofEntries(
      Map.entry(Slip.DIGITS_SWAPPED, 170), Map.entry(Slip.DIGIT_LOST, 110), Map.entry(Slip.DIGIT_DOUBLED, 80),
      Map.entry(Slip.NEIGHBOURING_KEY, 140), Map.entry(Slip.MISREAD, 20), Map.entry(Slip.DECIMAL_POINT, 60),
      Map.entry(Slip.SIGN_LOST, 30), Map.entry(Slip.OTHER_FIELD, 120), Map.entry(Slip.OTHER_UNIT, 60),
      Map.entry(Slip.LAST_FLIGHT, 110), Map.entry(Slip.OTHER_ROW, 50), Map.entry(Slip.RECIPROCAL_RUNWAY, 40),
      Map.entry(Slip.PARALLEL_RUNWAY, 40), Map.entry(Slip.FULL_LENGTH, 40), Map.entry(Slip.TWO_SLIPS, 30)));
  private static final String[] PHONE = {"123", "456", "789", " 0 "};
  private static final String[] CALCULATOR = {"789", "456", "123", "0  "};

  private final Random random;

  EntryErrors(long seed) {
    this.random = new Random(seed);
  }

  /** @param slip empty where the figure was entered right */
  record Case(CriticalFigure figure, String right, String entered, EntryContext context, Optional<Slip> slip) {}

  /** A figure that was entered right, in one of the ways in which people write. */
  Case right() {
    Departure d = new Departure();
    CriticalFigure figure = d.any();
    String value = d.now(figure);
    String written = switch (random.nextInt(6)) {
      case 0 -> value.replace('.', ',');
      case 1 -> value.length() > 4 && figure.weight() ? value.substring(0, value.length() - 3) + "\u2009"
          + value.substring(value.length() - 3) : value;
      case 2 -> figure.weight() ? Long.toString(Math.round(Double.parseDouble(value)) + random.nextInt(-4, 5)) : value;
      case 3 -> " " + value.replace('-', '\u2212') + " ";
      case 4 -> figure == CriticalFigure.CENTRE || figure == CriticalFigure.TRIM ? value + "0" : value;
      default -> value;
    };
    return new Case(figure, value, written, d.context(figure), Optional.empty());
  }

  /** A figure with one slip in it, or two at once. */
  Case wrong() {
    while (true) {
      Departure d = new Departure();
      CriticalFigure figure = d.any();
      Slip slip = slip();
      String right = d.now(figure);
      Optional<String> entered = slip == Slip.TWO_SLIPS ? twice(d, figure, right) : once(slip, d, figure, right);
      if (entered.isPresent() && !entered.get().isEmpty() && differs(figure, right, entered.get())) {
        return new Case(figure, right, entered.get(), d.context(figure), Optional.of(slip));
      }
    }
  }

  private static boolean differs(CriticalFigure figure, String right, String entered) {
    if (right.equalsIgnoreCase(entered)) {
      return false;
    }
    try {
      double apart = Math.abs(Double.parseDouble(right) - Double.parseDouble(entered));
      return switch (figure) {
        case TRANSPONDER, RUNWAY, INTERSECTION, FLAP -> true;
        case CENTRE, TRIM -> apart > 0.06;
        default -> apart > (figure.weight() ? 6 : 0.6);
      };
    } catch (NumberFormatException e) {
      return true;
    }
  }

  private Slip slip() {
    int at = random.nextInt(SHARES.values().stream().mapToInt(Integer::intValue).sum());
    for (Map.Entry<Slip, Integer> share : SHARES.entrySet()) {
      at -= share.getValue();
      if (at < 0) {
        return share.getKey();
      }
    }
    throw new AssertionError();
  }

  private Optional<String> twice(Departure d, CriticalFigure figure, String right) {
    Slip[] first = {Slip.DIGITS_SWAPPED, Slip.DIGIT_LOST, Slip.DIGIT_DOUBLED, Slip.NEIGHBOURING_KEY, Slip.LAST_FLIGHT,
        Slip.OTHER_FIELD};
    Slip[] second = {Slip.DIGITS_SWAPPED, Slip.DIGIT_LOST, Slip.DIGIT_DOUBLED, Slip.NEIGHBOURING_KEY};
    return once(first[random.nextInt(first.length)], d, figure, right)
        .flatMap(once -> once(second[random.nextInt(second.length)], d, figure, once));
  }

  private Optional<String> once(Slip slip, Departure d, CriticalFigure figure, String right) {
    return switch (slip) {
      case DIGITS_SWAPPED -> swapped(right);
      case DIGIT_LOST -> digit(right).map(i -> right.substring(0, i) + right.substring(i + 1));
      case DIGIT_DOUBLED -> digit(right).map(i -> right.substring(0, i) + right.charAt(i) + right.substring(i));
      case NEIGHBOURING_KEY -> digit(right).map(i -> put(right, i, beside(right.charAt(i))));
      case MISREAD -> digit(right).map(i -> put(right, i, (char) ('0' + random.nextInt(10))));
      case DECIMAL_POINT -> point(right);
      case SIGN_LOST -> right.startsWith("-") ? Optional.of(right.substring(1)) : Optional.empty();
      case OTHER_FIELD -> other(d, figure);
      case OTHER_UNIT -> unit(figure, right);
      case LAST_FLIGHT -> Optional.ofNullable(d.last.get(figure));
      case OTHER_ROW -> figure.speed() ? Optional.of(d.rows(figure).get(random.nextInt(2)).value()) : Optional.empty();
      case RECIPROCAL_RUNWAY -> figure == CriticalFigure.RUNWAY ? Optional.of(otherEnd(right)) : Optional.empty();
      case PARALLEL_RUNWAY -> figure == CriticalFigure.RUNWAY && right.length() == 3
          ? Optional.of(right.replace('L', 'x').replace('R', 'L').replace('x', 'R')) : Optional.empty();
      case FULL_LENGTH -> figure == CriticalFigure.INTERSECTION ? Optional.of("full") : Optional.empty();
      case TWO_SLIPS, UNEXPLAINED -> Optional.empty();
    };
  }

  private Optional<Integer> digit(String text) {
    List<Integer> at = new ArrayList<>();
    for (int i = 0; i < text.length(); i++) {
      if (Character.isDigit(text.charAt(i))) {
        at.add(i);
      }
    }
    return at.isEmpty() || text.length() < 2 ? Optional.empty() : Optional.of(at.get(random.nextInt(at.size())));
  }

  private static String put(String text, int at, char c) {
    return text.substring(0, at) + c + text.substring(at + 1);
  }

  private Optional<String> swapped(String text) {
    return digit(text).flatMap(i -> {
      int next = i + 1 < text.length() && text.charAt(i + 1) == '.' ? i + 2 : i + 1;
      return next < text.length() && Character.isDigit(text.charAt(next))
          ? Optional.of(put(put(text, i, text.charAt(next)), next, text.charAt(i))) : Optional.<String>empty();
    });
  }

  private char beside(char key) {
    String[] pad = random.nextBoolean() ? PHONE : CALCULATOR;
    List<Character> near = new ArrayList<>();
    for (int row = 0; row < pad.length; row++) {
      int column = pad[row].indexOf(key);
      if (column >= 0) {
        for (int[] step : new int[][] {{0, 1}, {0, -1}, {1, 0}, {-1, 0}}) {
          int r = row + step[0];
          int c = column + step[1];
          if (r >= 0 && r < pad.length && c >= 0 && c < pad[r].length() && pad[r].charAt(c) != ' ') {
            near.add(pad[r].charAt(c));
          }
        }
      }
    }
    return near.get(random.nextInt(near.size()));
  }

  private Optional<String> point(String text) {
    int at = text.indexOf('.');
    if (at < 0) {
      return Optional.empty();
    }
    String bare = text.replace(".", "");
    int to = at + random.nextInt(-1, 2);
    return to <= 0 ? Optional.empty() : Optional.of(to == at || to >= bare.length() ? bare
        : bare.substring(0, to) + "." + bare.substring(to));
  }

  private Optional<String> other(Departure d, CriticalFigure figure) {
    List<CriticalFigure> alike = d.now.keySet().stream().filter(f -> f != figure)
        .filter(f -> f.weight() && figure.weight() || f.speed() && figure.speed()).toList();
    return alike.isEmpty() ? Optional.empty() : Optional.of(d.now(alike.get(random.nextInt(alike.size()))));
  }

  private Optional<String> unit(CriticalFigure figure, String right) {
    if (figure == CriticalFigure.PRESSURE_SETTING) {
      return Optional.of(String.format(Locale.ROOT, "%.2f", Double.parseDouble(right) / 33.8639));
    }
    return figure.weight() ? Optional.of(Long.toString(Math.round(Double.parseDouble(right)
        * (random.nextBoolean() ? 2.2046226 : 1 / 2.2046226)))) : Optional.empty();
  }

  private static String otherEnd(String runway) {
    int tens = (Integer.parseInt(runway.substring(0, 2)) + 18) % 36;
    String side = runway.substring(2).replace('L', 'x').replace('R', 'L').replace('x', 'R');
    return "%02d%s".formatted(tens == 0 ? 36 : tens, side);
  }

  /** One departure of a twin of either size, and the one before it of the same tail. */
  private final class Departure {
    private final boolean large = random.nextBoolean();
    private final Map<CriticalFigure, String> now = figures();
    private final Map<CriticalFigure, String> last = figures();

    private Map<CriticalFigure, String> figures() {
      Map<CriticalFigure, String> f = new EnumMap<>(CriticalFigure.class);
      int zero = large ? between(48_000, 60_000) : between(13_000, 16_500);
      int fuel = large ? between(6_000, 13_000) : between(1_300, 3_200);
      int taxi = large ? 200 : 60;
      f.put(CriticalFigure.ZERO_FUEL_WEIGHT, Integer.toString(zero));
      f.put(CriticalFigure.FUEL, Integer.toString(fuel));
      f.put(CriticalFigure.GROSS_WEIGHT, Integer.toString(zero + fuel));
      f.put(CriticalFigure.TAKEOFF_WEIGHT, Integer.toString(zero + fuel - taxi));
      f.put(CriticalFigure.CENTRE, tenth(random.nextDouble(18, 34)));
      f.put(CriticalFigure.TRIM, tenth(random.nextDouble(-3, 6)));
      f.put(CriticalFigure.ASSUMED_TEMPERATURE, Integer.toString(random.nextInt(-9, 60)));
      int v1 = large ? random.nextInt(118, 146) : random.nextInt(86, 104);
      int vr = v1 + random.nextInt(1, 8);
      f.put(CriticalFigure.V1, Integer.toString(v1));
      f.put(CriticalFigure.VR, Integer.toString(vr));
      f.put(CriticalFigure.V2, Integer.toString(vr + random.nextInt(4, 9)));
      f.put(CriticalFigure.TRANSPONDER, "%04o".formatted(random.nextInt(4_096)));
      int tens = random.nextInt(1, 37);
      f.put(CriticalFigure.RUNWAY, "%02d%s".formatted(tens, new String[] {"", "L", "R"}[random.nextInt(3)]));
      f.put(CriticalFigure.RUNWAY_HEADING, "%03d".formatted(Math.floorMod(tens * 10 + random.nextInt(-4, 5), 360)));
      f.put(CriticalFigure.INTERSECTION, new String[] {"A", "B", "C", "N2"}[random.nextInt(4)]);
      f.put(CriticalFigure.PRESSURE_SETTING, Integer.toString(random.nextInt(970, 1_046)));
      return f;
    }

    private int between(int least, int most) {
      return random.nextInt(least / 10, most / 10) * 10;
    }

    private static String tenth(double value) {
      return String.format(Locale.ROOT, "%.1f", value);
    }

    String now(CriticalFigure figure) {
      return Objects.requireNonNull(now.get(figure));
    }

    CriticalFigure any() {
      List<CriticalFigure> all = List.copyOf(now.keySet());
      return all.get(random.nextInt(all.size()));
    }

    private List<EntryContext.Row> rows(CriticalFigure figure) {
      int value = Integer.parseInt(now(figure));
      return List.of(new EntryContext.Row("the other flap", Integer.toString(value - 6)),
          new EntryContext.Row("the next weight", Integer.toString(value + 3)));
    }

    EntryContext context(CriticalFigure figure) {
      Map<CriticalFigure, String> others = new EnumMap<>(now);
      others.remove(figure);
      return new EntryContext(others, Optional.ofNullable(last.get(figure)),
          figure.speed() ? rows(figure) : List.of());
    }
  }
}
