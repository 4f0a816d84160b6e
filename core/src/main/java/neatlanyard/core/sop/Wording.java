package neatlanyard.core.sop;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What is said in a briefing, with places for what today gives: "Up to {v1} we stop for fire". */
public final class Wording {
  private static final Pattern PLACE = Pattern.compile("\\{([^{}]*)}");
  private static final Pattern NAMED = Pattern.compile("([a-z0-9-]+)(?: ([0-9]{1,5}))?");

  private final String text;
  private final List<Part> parts;

  private Wording(String text, List<Part> parts) {
    this.text = text;
    this.parts = List.copyOf(parts);
  }

  /** A piece of it. */
  public sealed interface Part {
    /** Words that are the same each day. */
    record Plain(String words) implements Part {}

    /** @param heightFt above the airfield, in feet; there exactly where the value is of a height */
    record Today(BriefingValue value, OptionalInt heightFt) implements Part {}
  }

  /** @throws IllegalArgumentException where a place names nothing that is known, in words */
  public static Wording of(String text) {
    List<Part> parts = new ArrayList<>();
    Matcher place = PLACE.matcher(text);
    int from = 0;
    while (place.find()) {
      plain(parts, text.substring(from, place.start()));
      parts.add(today(place.group(1)));
      from = place.end();
    }
    plain(parts, text.substring(from));
    return new Wording(text, parts);
  }

  private static void plain(List<Part> parts, String words) {
    if (words.indexOf('{') >= 0 || words.indexOf('}') >= 0) {
      throw new IllegalArgumentException("a brace stands alone in '%s'".formatted(words.strip()));
    }
    if (!words.isEmpty()) {
      parts.add(new Part.Plain(words));
    }
  }

  private static Part today(String place) {
    Matcher named = NAMED.matcher(place);
    BriefingValue value = Arrays.stream(BriefingValue.values())
        .filter(v -> named.matches() && written(v).equals(named.group(1))).findFirst()
        .orElseThrow(() -> new IllegalArgumentException("there is no '{%s}'; known are %s".formatted(place, known())));
    if (value.ofHeight() != (named.group(2) != null)) {
      throw new IllegalArgumentException(value.ofHeight()
          ? "'{%s}' wants a height in feet: {%s 1000}".formatted(place, written(value))
          : "'{%s}' takes no height".formatted(place));
    }
    return new Part.Today(value,
        value.ofHeight() ? OptionalInt.of(Integer.parseInt(named.group(2))) : OptionalInt.empty());
  }

  private static String known() {
    return Arrays.stream(BriefingValue.values()).map(v -> "{%s}".formatted(v.ofHeight() ? written(v) + " 1000"
        : written(v))).collect(Collectors.joining(", "));
  }

  private static String written(BriefingValue value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  public List<Part> parts() {
    return parts;
  }

  /** As it was written. */
  @Override
  public String toString() {
    return text;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Wording w && w.text.equals(text);
  }

  @Override
  public int hashCode() {
    return text.hashCode();
  }
}
