package neatlanyard.core.units;

/** Words as they stand in a sentence. */
public final class Words {
  private Words() {}

  /** As a sentence begins. @param words at least one letter */
  public static String first(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  /** As they stand within a sentence. @param words at least one letter, and no name at the beginning */
  public static String within(String words) {
    return Character.toLowerCase(words.charAt(0)) + words.substring(1);
  }
}
