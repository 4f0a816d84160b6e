package neatlanyard.core.dispatch;

/**
 * Number of an entry in a dispatch list, such as 33-3.
 *
 * @param value letters, digits, full stops or hyphens, at most 20
 */
public record EntryId(String value) {
  public EntryId {
    if (!value.matches("[A-Za-z0-9][A-Za-z0-9.-]{0,19}")) {
      throw new IllegalArgumentException(
          "'%s' is not an entry's number: letters, digits, full stops or hyphens, at most 20".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
