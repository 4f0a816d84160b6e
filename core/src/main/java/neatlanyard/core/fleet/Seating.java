package neatlanyard.core.fleet;

import java.util.Locale;

/** How the two seats at the controls stand to each other; it decides what people call them. */
public enum Seating {
  /** Side by side: left and right. */
  ABREAST,
  /** One behind the other: {@link Seat#LEFT} is in front, {@link Seat#RIGHT} behind. */
  TANDEM;

  /** Which seat, before the word "seat": left, right, front, rear, engineer. */
  public String name(Seat seat) {
    return this == TANDEM && seat != Seat.ENGINEER ? (seat == Seat.LEFT ? "front" : "rear")
        : seat.name().toLowerCase(Locale.ROOT);
  }
}
