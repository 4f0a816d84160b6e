package neatlanyard.server.fleet;

import com.nulabinc.zxcvbn.StandardDictionaries;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.util.HashSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.work.HeavyWork;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Passwords: made, judged by length and a list of the common ones (NIST SP 800-63B 5.1.1.2), hashed and compared. */
@Component
final class Passwords {
  static final int LEAST_CHARACTERS = 10;
  /** bcrypt looks at no more bytes than these. */
  private static final int MOST_BYTES = 72;
  private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";

  private final PasswordEncoder encoder;
  private final HeavyWork heavy;
  private final SecureRandom random = new SecureRandom();
  private final Set<String> common;

  Passwords(PasswordEncoder encoder, HeavyWork heavy) {
    this.encoder = encoder;
    this.heavy = heavy;
    try {
      this.common = new HashSet<>(StandardDictionaries.PASSWORDS_LOADER.load().getFrequencies());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A password for one use. */
  String oneTime() {
    StringBuilder password = new StringBuilder();
    for (int i = 0; i < 14; i++) {
      password.append(i % 5 == 4 ? '-' : LETTERS.charAt(random.nextInt(LETTERS.length())));
    }
    return password.toString();
  }

  /** @throws Problem saying why it is too weak */
  void mustBeStrong(CrewId who, String old, String next) {
    weakness(who, old, next).ifPresent(why -> {
      throw Problem.bad(ProblemCode.WEAK_PASSWORD, why);
    });
  }

  private Optional<String> weakness(CrewId who, String old, String next) {
    String plain = next.toLowerCase(Locale.ROOT);
    // What is put before and after a common word is the first that is tried.
    String core = plain.replaceAll("^[^a-z]+|[^a-z]+$", "");
    if (next.length() < LEAST_CHARACTERS || tooLong(next) || next.equals(old)) {
      return Optional.of(
          "A new password has %d characters or more, at most %d bytes, and differs from the old one.".formatted(
          LEAST_CHARACTERS, MOST_BYTES));
    }
    if (common.contains(plain) || common.contains(core) || core.isEmpty() || core.equals(who.value()) || plain.chars()
        .distinct().count() < 4) {
      return Optional.of(
          "That password is among the first that are tried: a common word, a row of digits, or your own name. Three "
          + "words of your own are better.");
    }
    return Optional.empty();
  }

  private static boolean tooLong(String password) {
    return password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES;
  }

  /** @param asker whose share of the heavy work it is */
  String hash(String asker, String password) {
    return heavy.run(asker, HeavyWork.Kind.SIGN_IN, stop -> hashHere(password));
  }

  /** Where nobody waits for anything yet: at the start. */
  String hashHere(String password) {
    String hash = encoder.encode(password);
    if (hash == null) {
      throw new IllegalStateException("The encoder gave no hash");
    }
    return hash;
  }

  /** Whether a password is the one that was hashed; without a hash it takes as long and is not. */
  boolean matches(String asker, String password, Optional<String> hash) {
    return heavy.run(asker, HeavyWork.Kind.SIGN_IN, stop -> matches(password, hash));
  }

  private boolean matches(String password, Optional<String> hash) {
    boolean fits = !tooLong(password);
    boolean same = encoder.matches(fits ? password : "", hash.orElseGet(this::nobodys));
    return fits && same && hash.isPresent();
  }

  private volatile Optional<String> nobody = Optional.empty();

  private String nobodys() {
    String hash = nobody.orElseGet(() -> hashHere(oneTime()));
    nobody = Optional.of(hash);
    return hash;
  }
}
