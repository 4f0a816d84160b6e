package neatlanyard.bench;

import java.io.InputStream;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;

/** A device over HTTP, with its cookies and its token against forged requests. */
final class Device {
  private final CookieManager cookies = new CookieManager();
  private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).version(HttpClient.Version.HTTP_1_1)
      .build();
  private final String url;

  /** Nobody signed in. */
  Device(String url) throws Exception {
    this.url = url;
    get("/api/about");
  }

  Device(String url, String who, String password) throws Exception {
    this(url);
    json("/api/session", "{\"who\":\"%s\",\"password\":\"%s\"}".formatted(who, password));
  }

  private HttpResponse<String> send(HttpRequest request) throws Exception {
    return http.send(request, HttpResponse.BodyHandlers.ofString());
  }

  String get(String path) throws Exception {
    return send(HttpRequest.newBuilder(URI.create(url + path)).build()).body();
  }

  /** @return the status, whatever it is */
  int post(String path, String type, byte[] body) throws Exception {
    return answer(path, type, body).statusCode();
  }

  /** @throws IllegalStateException unless it is answered as wanted */
  String json(String path, String json) throws Exception {
    HttpResponse<String> answer = answer(path, "application/json",
        json.getBytes(java.nio.charset.StandardCharsets.UTF_8));
    if (answer.statusCode() != 200) {
      throw new IllegalStateException(answer.statusCode() + " " + answer.body());
    }
    return answer.body();
  }

  private HttpResponse<String> answer(String path, String type, byte[] body) throws Exception {
    String token = cookies.getCookieStore().getCookies().stream()
        .filter(c -> c.getName().equals("XSRF-TOKEN")).map(HttpCookie::getValue).findFirst().orElse("");
    return send(HttpRequest.newBuilder(URI.create(url + path))
        .header("Content-Type", type).header("X-XSRF-TOKEN", token).POST(HttpRequest.BodyPublishers.ofByteArray(body))
        .build());
  }

  /** As it comes over the line, compressed as browsers ask for it. */
  InputStream stream(String path) throws Exception {
    HttpRequest request = HttpRequest.newBuilder(URI.create(url + path)).header("Accept-Encoding", "gzip").build();
    return http.send(request, HttpResponse.BodyHandlers.ofInputStream())
        .body();
  }
}
