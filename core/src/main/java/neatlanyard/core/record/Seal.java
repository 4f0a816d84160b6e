package neatlanyard.core.record;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.Signature;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.time.Instant;
import java.util.Base64;

/**
 * An installation's signature under a record: Ed25519 (RFC 8032) over the head of its chain, as the 64 characters it
 * is written in. The chain shows a change inside a record; this shows a record that was replaced as a whole, to
 * whoever knows the installation's key.
 *
 * @param publicKey the key it is checked with: SubjectPublicKeyInfo (RFC 8410), in base64
 * @param signature 64 bytes, in base64
 */
public record Seal(String publicKey, String signature) {
  private static final String ALGORITHM = "Ed25519";

  /** An installation's key. @param privateKey PKCS #8 (RFC 8410), in base64 */
  public record Key(Instant made, String publicKey, String privateKey) {}

  /** A new key. @param now when it is made */
  public static Key newKey(Instant now) {
    try {
      KeyPair pair = KeyPairGenerator.getInstance(ALGORITHM).generateKeyPair();
      return new Key(now, base64(pair.getPublic().getEncoded()), base64(pair.getPrivate().getEncoded()));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("Every Java platform has Ed25519", e);
    }
  }

  public static Seal of(String head, Key key) {
    try {
      PrivateKey secret = KeyFactory.getInstance(ALGORITHM)
          .generatePrivate(new PKCS8EncodedKeySpec(bytes(key.privateKey)));
      Signature signs = Signature.getInstance(ALGORITHM);
      signs.initSign(secret);
      signs.update(head.getBytes(StandardCharsets.US_ASCII));
      return new Seal(key.publicKey, base64(signs.sign()));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("The installation's key cannot sign", e);
    }
  }

  /** Whether it was made over this head with the private part of its key. */
  public boolean holds(String head) {
    try {
      PublicKey key = KeyFactory.getInstance(ALGORITHM).generatePublic(new X509EncodedKeySpec(bytes(publicKey)));
      Signature checks = Signature.getInstance(ALGORITHM);
      checks.initVerify(key);
      checks.update(head.getBytes(StandardCharsets.US_ASCII));
      return checks.verify(bytes(signature));
    } catch (GeneralSecurityException | IllegalArgumentException e) {
      return false;
    }
  }

  /** SHA-256 of the public key, by which people compare it. */
  public String fingerprint() {
    return fingerprint(publicKey);
  }

  /** @throws IllegalArgumentException if it is not base64 */
  public static String fingerprint(String publicKey) {
    return Chain.sha256(bytes(publicKey));
  }

  /** A public key as PEM (RFC 7468), for other tools. */
  public static String pem(String publicKey) {
    return "-----BEGIN PUBLIC KEY-----\n%s\n-----END PUBLIC KEY-----\n".formatted(publicKey);
  }

  private static String base64(byte[] bytes) {
    return Base64.getEncoder().encodeToString(bytes);
  }

  private static byte[] bytes(String base64) {
    byte[] bytes = Base64.getDecoder().decode(base64);
    // The decoder passes over bits that stand for nothing; one signature has one way to be written.
    if (!base64(bytes).equals(base64)) {
      throw new IllegalArgumentException("It is not written as base64 is");
    }
    return bytes;
  }
}
