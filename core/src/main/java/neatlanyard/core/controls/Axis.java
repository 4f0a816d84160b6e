package neatlanyard.core.controls;

import java.util.Locale;

/** An axis of the controls; positive is nose up, right wing down, nose right. */
public enum Axis {
  PITCH("Pitch", "nose up", "nose down"),
  ROLL("Roll", "right", "left"),
  YAW("Yaw", "right", "left");

  private final String title;
  private final String positive;
  private final String negative;

  Axis(String title, String positive, String negative) {
    this.title = title;
    this.positive = positive;
    this.negative = negative;
  }

  public String title() {
    return title;
  }

  /** As it stands within a sentence. */
  public String words() {
    return title.toLowerCase(Locale.ROOT);
  }

  /** The direction of an input of this sign, in words. */
  public String toward(double sign) {
    return sign > 0 ? positive : negative;
  }
}
