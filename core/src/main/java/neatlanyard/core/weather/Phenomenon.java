package neatlanyard.core.weather;

import java.util.List;

/**
 * One present-weather group, such as light snow.
 *
 * @param intensity light, moderate or heavy
 * @param vicinity near the airfield, not at it
 * @param descriptor such as freezing or blowing; {@link Descriptor#NONE} where there is none
 * @param kinds what is falling or in the air; a bare thunderstorm has none
 */
public record Phenomenon(Intensity intensity, boolean vicinity, Descriptor descriptor, List<Kind> kinds) {
  /** Strength of a precipitation. */
  public enum Intensity { LIGHT, MODERATE, HEAVY }

  /** Descriptors of WMO No. 306 code table 4678. */
  public enum Descriptor {
    NONE(""), MI("shallow"), PR("partial"), BC("patches of"), DR("drifting"), BL("blowing"), SH("showers of"),
    TS("thunderstorm with"), FZ("freezing");
    final String words;

    Descriptor(String words) {
      this.words = words;
    }
  }

  /** Phenomena of WMO No. 306 code table 4678. */
  public enum Kind {
    DZ("drizzle"), RA("rain"), SN("snow"), SG("snow grains"), IC("ice crystals"), PL("ice pellets"), GR("hail"),
    GS("small hail"), UP("unknown precipitation"), BR("mist"), FG("fog"), FU("smoke"), VA("volcanic ash"),
    DU("dust"), SA("sand"), HZ("haze"), PO("dust whirls"), SQ("squalls"), FC("funnel cloud"), SS("sandstorm"),
    DS("duststorm");
    final String words;

    Kind(String words) {
      this.words = words;
    }

    /** Whether it falls and wets or covers a surface. */
    public boolean precipitation() {
      return compareTo(UP) <= 0;
    }
  }

  public Phenomenon {
    kinds = List.copyOf(kinds);
  }

  public boolean precipitation() {
    return !vicinity && kinds.stream().anyMatch(Kind::precipitation);
  }

  /** Whether it is one of these, at the airfield itself. */
  public boolean of(Kind... some) {
    return !vicinity && kinds.stream().anyMatch(List.of(some)::contains);
  }

  /** Whether it freezes on what it touches, at the airfield itself. */
  public boolean freezing() {
    return !vicinity && descriptor == Descriptor.FZ;
  }

  /** A thunderstorm, at the airfield or near it. */
  public boolean thunderstorm() {
    return descriptor == Descriptor.TS;
  }

  /** In words, such as "light snow" or "heavy showers of rain". */
  public String words() {
    String strength = switch (intensity) {
      case LIGHT -> "light ";
      case HEAVY -> "heavy ";
      case MODERATE -> "";
    };
    String what = String.join(" and ", kinds.stream().map(k -> k.words).toList());
    String how = descriptor == Descriptor.NONE ? "" : descriptor.words + " ";
    String bare = descriptor == Descriptor.TS ? "thunderstorm" : "showers";
    String all = what.isEmpty() ? strength + bare : strength + how + what;
    return vicinity ? all + " nearby" : all;
  }
}
