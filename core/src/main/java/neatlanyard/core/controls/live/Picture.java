package neatlanyard.core.controls.live;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.Axis;

/**
 * How a check stands.
 *
 * @param travels every wanted movement, in the order in which they are asked
 * @param axes in the order of {@link Axis}
 * @param moving the movement under way
 * @param words what is under way, or to be moved next; empty once nothing is
 */
public record Picture(List<Travel> travels, List<AxisStands> axes, Optional<Travel> moving, String words) {
  public Picture {
    travels = List.copyOf(travels);
    axes = List.copyOf(axes);
  }

  /** What is known of an axis. */
  public enum Standing {
    /** Something is still to be moved. */
    TO_MOVE,
    /** All of it was moved; it is judged once the controls rest. */
    MOVED,
    /** Nothing is wrong, up to when the controls rested last. */
    RIGHT,
    /** Something is not as it should be. */
    NOT_RIGHT
  }

  /** @param words what is not as it should be; empty otherwise */
  public record AxisStands(Axis axis, Standing standing, List<String> words) {
    public AxisStands {
      words = List.copyOf(words);
    }
  }

  /** Axes of which something is still to be moved. */
  public List<Axis> left() {
    return travels.stream().filter(t -> !t.shown()).map(t -> t.wanted().axis()).distinct().toList();
  }
}
