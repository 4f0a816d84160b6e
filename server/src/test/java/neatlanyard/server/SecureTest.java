package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.Key;
import java.security.KeyStore;
import java.security.cert.Certificate;
import java.util.Base64;
import java.util.List;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.testng.annotations.Test;

/** TLS by the two settings that the README names, with a certificate made for the test. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@SuppressWarnings("NullAway.Init") // The framework fills the port.
public class SecureTest extends AbstractTestNGSpringContextTests {
  private static final char[] SECRET = "certificate-of-a-test".toCharArray();

  @LocalServerPort private int port;
  private static KeyStore made;

  @DynamicPropertySource
  static void settings(DynamicPropertyRegistry registry) throws Exception {
    Given.demo(registry, true);
    made = certificate();
    Path folder = Files.createTempDirectory("lanyard-tls");
    Key key = made.getKey("test", SECRET);
    Path certificate = pem(folder.resolve("certificate.pem"), "CERTIFICATE", made.getCertificate("test").getEncoded());
    Path secret = pem(folder.resolve("key.pem"), "PRIVATE KEY", key.getEncoded());
    registry.add("server.ssl.certificate", certificate::toString);
    registry.add("server.ssl.certificate-private-key", secret::toString);
  }

  private static KeyStore certificate() throws Exception {
    Path file = Files.createTempDirectory("lanyard-tls").resolve("store.p12");
    String keytool = Path.of(System.getProperty("java.home"), "bin", "keytool").toString();
    int ended = new ProcessBuilder(keytool, "-genkeypair", "-alias", "test", "-keyalg", "EC", "-dname",
        "CN=localhost", "-ext", "san=dns:localhost",
        "-keystore", file.toString(), "-storetype", "PKCS12", "-storepass", new String(SECRET)).inheritIO().start()
        .waitFor();
    assertThat(ended).isZero();
    KeyStore store = KeyStore.getInstance("PKCS12");
    try (InputStream in = Files.newInputStream(file)) {
      store.load(in, SECRET);
    }
    return store;
  }

  private static Path pem(Path file, String what, byte[] bytes) throws IOException {
    return Files.writeString(file,
        "-----BEGIN %s-----\n%s\n-----END %s-----\n".formatted(what, Base64.getMimeEncoder().encodeToString(bytes),
        what));
  }

  private static SSLContext trusting(Certificate certificate) throws Exception {
    KeyStore trusted = KeyStore.getInstance("PKCS12");
    trusted.load(null, null);
    trusted.setCertificateEntry("test", certificate);
    TrustManagerFactory factory = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
    factory.init(trusted);
    SSLContext context = SSLContext.getInstance("TLS");
    context.init(null, factory.getTrustManagers(), null);
    return context;
  }

  @Test
  public void cookies_are_secure_and_browsers_are_told_to_come_this_way_only() throws Exception {
    CookieManager cookies = new CookieManager();
    HttpClient http = HttpClient.newBuilder().sslContext(trusting(made.getCertificate("test"))).cookieHandler(cookies)
        .build();
    URI base = URI.create("https://localhost:" + port);
    HttpResponse<String> about = http.send(HttpRequest.newBuilder(base.resolve("/api/about")).build(),
        HttpResponse.BodyHandlers.ofString());
    assertThat(about.headers().firstValue("Strict-Transport-Security")).isPresent();
    String token = cookies.getCookieStore().getCookies().stream().filter(c -> c.getName().equals("XSRF-TOKEN"))
        .findFirst().orElseThrow().getValue();
    HttpResponse<String> in = http.send(HttpRequest.newBuilder(base.resolve("/api/session"))
        .header("Content-Type", "application/json")
        .header("X-XSRF-TOKEN", token).POST(HttpRequest.BodyPublishers.ofString(
            "{\"who\":\"marsk\",\"password\":\"%s\"}".formatted(Given.PASSWORDS.get("marsk")))).build(),
            HttpResponse.BodyHandlers.ofString());
    assertThat(in.statusCode()).isEqualTo(200);
    List<String> set = in.headers().allValues("Set-Cookie");
    assertThat(set).filteredOn(c -> c.startsWith("lanyard-")).hasSize(2)
        .allMatch(c -> c.contains("Secure") && c.contains("SameSite=Strict"));
  }
}
