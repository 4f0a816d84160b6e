package neatlanyard.formats.text;

/** A cell that is "yes" or "no". */
public final class YesNo {
  private YesNo() {}

  /** @throws IllegalArgumentException when it is neither */
  public static boolean read(String text) {
    return switch (text) {
      case "yes" -> true;
      case "no" -> false;
      default -> throw new IllegalArgumentException("it is yes or no");
    };
  }

  public static String written(boolean is) {
    return is ? "yes" : "no";
  }
}
