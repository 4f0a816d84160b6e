package neatlanyard.server;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A device as the server sees it: cookies, the token against forged requests, JSON. */
final class Http {
  private static final JsonMapper JSON = new JsonMapper();

  /** What came back. */
  record Answer(int status, String text) {
    JsonNode json() {
      return JSON.readTree(text);
    }

    String code() {
      return json().path("code").asString("");
    }
  }

  private final CookieManager cookies = new CookieManager();
  private final HttpClient client = HttpClient.newBuilder().cookieHandler(cookies).build();
  private final String base;

  Http(int port) {
    base = "http://localhost:" + port;
    get("/api/about");
  }

  static Http in(int port, String who, String password) {
    Http http = new Http(port);
    Answer answer = http.post("/api/session", "{\"who\":\"%s\",\"password\":\"%s\"}".formatted(who, password));
    if (answer.status != 200) {
      throw new AssertionError("Sign-in of %s: %s".formatted(who, answer));
    }
    http.get("/api/about");
    return http;
  }

  /** Another device with the same cookies, as after a theft. */
  Http copy() {
    Http copy = new Http(URI.create(base).getPort());
    cookies.getCookieStore().getCookies().forEach(c -> copy.cookie(c.getName(), c.getValue()));
    return copy;
  }

  void cookie(String name, String value) {
    HttpCookie cookie = new HttpCookie(name, value);
    cookie.setPath("/");
    cookie.setVersion(0);
    cookies.getCookieStore().add(URI.create(base), cookie);
  }

  Answer get(String path) {
    return send(HttpRequest.newBuilder(URI.create(base + path)).GET().build());
  }

  Answer delete(String path) {
    return send(HttpRequest.newBuilder(URI.create(base + path)).header("X-XSRF-TOKEN", token()).DELETE().build());
  }

  Answer post(String path, String json) {
    return post(path, json, "application/json", token());
  }

  Answer text(String path, String text) {
    return post(path, text, "text/plain", token());
  }

  Answer post(String path, String body, String type, String token) {
    return send(HttpRequest.newBuilder(URI.create(base + path))
        .header("Content-Type", type)
        .header("X-XSRF-TOKEN", token)
        .POST(HttpRequest.BodyPublishers.ofString(body))
        .build());
  }

  Answer bytes(String path, byte[] body) {
    return send(HttpRequest.newBuilder(URI.create(base + path))
        .header("Content-Type", "application/octet-stream").header("X-XSRF-TOKEN", token())
        .POST(HttpRequest.BodyPublishers.ofByteArray(body)).build());
  }

  byte[] getBytes(String path) {
    try {
      return client.send(HttpRequest.newBuilder(URI.create(base + path)).GET().build(),
          HttpResponse.BodyHandlers.ofByteArray()).body();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new AssertionError(e);
    }
  }

  /** A server-sent stream, open until it is closed. */
  InputStream stream(String path) {
    try {
      return client.send(HttpRequest.newBuilder(URI.create(base + path)).GET().build(),
          HttpResponse.BodyHandlers.ofInputStream()).body();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new AssertionError(e);
    }
  }

  /** How a stream is answered; it is closed again. */
  Answer opened(String path) {
    try (InputStream in = stream(path)) {
      int first = in.read();
      boolean streams = first == 'e' || first == 'd' || first == ':' || first == 'i';
      return new Answer(streams ? 200 : 401, "");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  Answer event(UUID id, String kind, String body) {
    return post("/api/departures/today-14/events",
        "{\"id\":\"%s\",\"device\":\"d1\",\"kind\":\"%s\",\"body\":%s}".formatted(id, kind, body));
  }

  Answer event(String kind, String body) {
    return event(uuid7(), kind, body);
  }

  private String token() {
    return cookies.getCookieStore().getCookies().stream()
        .filter(c -> c.getName().equals("XSRF-TOKEN")).map(HttpCookie::getValue).findFirst().orElse("-");
  }

  private Answer send(HttpRequest request) {
    try {
      HttpResponse<String> response = client.send(request, HttpResponse.BodyHandlers.ofString());
      return new Answer(response.statusCode(), response.body());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new AssertionError(e);
    }
  }

  /** A UUID of version 7 (RFC 9562). */
  static UUID uuid7() {
    ThreadLocalRandom random = ThreadLocalRandom.current();
    long high = System.currentTimeMillis() << 16 | 0x7000L | random.nextInt(1 << 12);
    return new UUID(high, random.nextLong() & 0x3fffffffffffffffL | 0x8000000000000000L);
  }
}
