package neatlanyard.core.sop;

import java.util.List;

/**
 * One of several is used, in turn.
 *
 * @param choices such as left and right
 * @param memory the name under which the last use is remembered for the tail; empty where it is not, which the pack
 *     check finds
 */
public record Alternation(List<String> choices, String memory) {
  public Alternation {
    choices = List.copyOf(choices);
  }
}
