package neatlanyard.core.controls;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import neatlanyard.core.controls.Channel.Aside;
import neatlanyard.core.controls.Channel.Inceptor;
import neatlanyard.core.controls.Channel.Input;
import neatlanyard.core.controls.Channel.Position;
import neatlanyard.core.controls.Channel.Pressure;

/** The names of channels, as they head a column: what it is of, without its unit. */
public final class Channels {
  private Channels() {}

  /** Such as {@code left-roll}, {@code aileron-left}, {@code pressure-blue} or {@code ground-speed}. */
  public static String name(Channel channel) {
    return switch (channel) {
      case Input i -> (i.inceptor() == Inceptor.ANY ? "" : lower(i.inceptor()) + "-") + lower(i.axis());
      case Position p -> p.id();
      case Pressure p -> "pressure-" + p.system();
      case Aside a -> lower(a);
    };
  }

  /** The unit its values are kept in, as it ends the head of a column. */
  public static String unit(Channel channel) {
    return switch (channel) {
      case Input i -> "pct";
      case Position p -> "deg";
      case Pressure p -> "psi";
      case Aside a -> a.switched() ? "on" : a == Aside.GROUND_SPEED ? "kt" : "deg";
    };
  }

  /** All that a recording of a type may have, by name. */
  public static Map<String, Channel> known(ControlSpec spec) {
    List<Channel> channels = new ArrayList<>(List.of(Aside.values()));
    for (Inceptor inceptor : Inceptor.values()) {
      for (Axis axis : Axis.values()) {
        channels.add(new Input(inceptor, axis));
      }
    }
    spec.supplies().forEach(s -> channels.add(new Pressure(s.system())));
    spec.channels().forEach(id -> channels.add(Channel.position(id)));
    Map<String, Channel> known = new HashMap<>();
    channels.forEach(c -> known.put(name(c), c));
    return known;
  }

  private static String lower(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
