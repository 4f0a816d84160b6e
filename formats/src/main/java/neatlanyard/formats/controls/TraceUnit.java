package neatlanyard.formats.controls;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.Channels;

/** Units a column of a recording may be in, as they end its head, with the factor into the unit that is kept. */
enum TraceUnit {
  PCT("pct", 1),
  /** -1..1. */
  SHARE("pct", 100),
  DEG("deg", 1),
  RAD("deg", 180 / Math.PI),
  PSI("psi", 1),
  /** NIST SP 811 (2008), appendix B: 1 psi is 6 894.757 Pa. */
  BAR("psi", 100_000 / 6_894.757),
  KPA("psi", 1_000 / 6_894.757),
  KT("kt", 1),
  MPS("kt", 3_600.0 / 1_852),
  KMH("kt", 1_000.0 / 1_852),
  /** 1 so, 0 not. */
  ON("on", 1);

  private final String kept;
  private final double factor;

  TraceUnit(String kept, double factor) {
    this.kept = kept;
    this.factor = factor;
  }

  double factor() {
    return factor;
  }

  String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  boolean fits(Channel channel) {
    return kept.equals(Channels.unit(channel));
  }

  static Optional<TraceUnit> of(String word) {
    return Arrays.stream(values()).filter(u -> u.word().equals(word)).findFirst();
  }

  /** The units a channel may be in. */
  static List<String> of(Channel channel) {
    return Arrays.stream(values()).filter(u -> u.fits(channel)).map(TraceUnit::word).toList();
  }
}
