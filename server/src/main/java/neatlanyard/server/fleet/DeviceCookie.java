package neatlanyard.server.fleet;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import neatlanyard.core.fleet.CrewId;

/**
 * What a device carries to show who was signed in on it before: its own name and theirs, signed (HMAC-SHA-256, RFC
 * 2104). It lets nobody in; it only keeps guessers elsewhere from using up the tries of whoever sits at it.
 *
 * @param device empty for one that nobody was signed in on
 * @param people the latest, who was signed in last at the end
 */
record DeviceCookie(String device, List<String> people) {
  static final DeviceCookie NONE = new DeviceCookie("", List.of());

  private static final int MOST_PEOPLE = 12;
  private static final int NAME_BYTES = 12;

  static DeviceCookie read(String value, String key) {
    int dot = value.lastIndexOf('.');
    if (dot < 0 || !MessageDigest.isEqual(bytes(value.substring(dot + 1)),
        bytes(sign(value.substring(0, dot), key)))) {
      return NONE;
    }
    String[] said = new String(Base64.getUrlDecoder().decode(value.substring(0, dot)), StandardCharsets.UTF_8)
        .split(" ");
    return new DeviceCookie(said[0], Arrays.asList(said).subList(1, said.length));
  }

  String written(String key) {
    String said = String.join(" ", device, String.join(" ", people)).strip();
    String body = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes(said));
    return body + "." + sign(body, key);
  }

  boolean knows(String who) {
    return people.contains(who);
  }

  DeviceCookie with(CrewId who) {
    List<String> now = new ArrayList<>(people);
    now.remove(who.value());
    now.add(who.value());
    return new DeviceCookie(device.isEmpty() ? named() : device,
        List.copyOf(now.subList(Math.max(0, now.size() - MOST_PEOPLE), now.size())));
  }

  private static String named() {
    byte[] name = new byte[NAME_BYTES];
    new SecureRandom().nextBytes(name);
    return HexFormat.of().formatHex(name);
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private static String sign(String text, String key) {
    try {
      Mac mac = Mac.getInstance("HmacSHA256");
      mac.init(new SecretKeySpec(bytes(key), "HmacSHA256"));
      return HexFormat.of().formatHex(mac.doFinal(bytes(text)));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }
}
