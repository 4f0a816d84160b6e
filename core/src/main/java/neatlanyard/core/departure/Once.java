package neatlanyard.core.departure;

import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Works a value out when it is first asked for, and keeps it. Two threads that ask at once may both work it out. */
final class Once<T> implements Supplier<T> {
  private final Supplier<T> work;
  private volatile @Nullable T value;

  private Once(Supplier<T> work) {
    this.work = work;
  }

  static <T> Once<T> of(Supplier<T> work) {
    return new Once<>(work);
  }

  /** What is known from the start. */
  static <T> Once<T> known(T value) {
    Once<T> once = new Once<>(() -> value);
    once.value = value;
    return once;
  }

  /** What was worked out already; empty before anybody asked. */
  Optional<T> known() {
    return Optional.ofNullable(value);
  }

  @Override
  public T get() {
    T known = value;
    if (known == null) {
      known = work.get();
      value = known;
    }
    return known;
  }
}
