package neatlanyard.formats.record;

import java.io.IOException;
import org.erdtman.jcs.JsonCanonicalizer;

/** Canonical JSON (RFC 8785). */
public final class Canonical {
  private Canonical() {}

  /** The canonical form of a JSON text. @throws IllegalArgumentException if it is not JSON */
  public static String of(String json) {
    try {
      return new JsonCanonicalizer(json).getEncodedString();
    } catch (IOException | RuntimeException e) {
      throw new IllegalArgumentException("It is not JSON: " + e.getMessage(), e);
    }
  }
}
