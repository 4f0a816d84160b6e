package neatlanyard.core.record;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;

/** Each entry of a record carries the SHA-256 (FIPS 180-4) of itself, in which stands that of the one before it. */
public final class Chain {
  /** What stands before the first entry. */
  public static final String GENESIS = "0".repeat(64);

  /**
   * One entry as found in a record.
   *
   * @param number its number, counted from 1
   * @param previous the hash it says stands before it
   * @param claimed the hash it says it has
   * @param computed the hash its content has
   */
  public record Link(long number, String previous, String claimed, String computed) {}

  /** Where a chain is broken. */
  public record Break(long number, String what) {}

  private Chain() {}

  /** SHA-256 in lower-case hexadecimal. */
  public static String sha256(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("Every Java platform has SHA-256", e);
    }
  }

  /** SHA-256 of a text in UTF-8. */
  public static String sha256(String text) {
    return sha256(text.getBytes(StandardCharsets.UTF_8));
  }

  /** The first place at which the links do not hang together, ending in {@code head}; empty when they do. */
  public static Optional<Break> firstBreak(List<Link> links, String head) {
    String previous = GENESIS;
    long expected = 1;
    for (Link link : links) {
      if (link.number() != expected) {
        return Optional.of(
            new Break(expected, "entry %d is missing; entry %d stands in its place".formatted(expected,
            link.number())));
      }
      if (!link.previous().equals(previous)) {
        return Optional.of(new Break(expected, "it does not follow from the entry before it"));
      }
      if (!link.claimed().equals(link.computed())) {
        return Optional.of(new Break(expected, "its content is not what was hashed when it was written"));
      }
      previous = link.claimed();
      expected++;
    }
    return previous.equals(head)
        ? Optional.empty()
        : Optional.of(
        new Break(expected, "the chain ends in another hash than the record's head; entries are missing at the end"));
  }
}
