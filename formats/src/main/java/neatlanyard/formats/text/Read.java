package neatlanyard.formats.text;

import java.util.List;
import java.util.stream.Collectors;

/** What came of reading an input: a value, or every fault found. */
public sealed interface Read<T> {
  /** The input was good. */
  record Good<T>(T value) implements Read<T> {}

  /** The input was not; nothing of it may be used. @param faults at least one, in the order of the input */
  record Bad<T>(List<Fault> faults) implements Read<T> {
    public Bad {
      faults = List.copyOf(faults);
    }
  }

  /** The value. @throws IllegalArgumentException naming every fault, where there is none */
  default T orThrow(String name) {
    return switch (this) {
      case Good<T> good -> good.value();
      case Bad<T> bad -> throw new IllegalArgumentException(
          name + ":\n" + bad.faults().stream().map(f -> "  " + f.words()).collect(Collectors.joining("\n")));
    };
  }
}
