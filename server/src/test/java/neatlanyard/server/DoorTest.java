package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.testng.annotations.Test;

/** What is refused at the door, so that it can poison nothing further in. */
public class DoorTest extends AtTheServer {
  @Test
  public void what_no_document_can_carry_is_refused_and_the_pages_still_print() {
    Http varga = in("varga");
    Http.Answer bad = varga.post("/api/tails/TL-DVA/log", "{\"kind\":\"raised\",\"words\":\"bell \\u0007\"}");
    assertThat(bad.code()).isEqualTo("bad-character");
    assertThat(bad.text()).contains("U+0007");
    Http wren = in("adeyo");
    crewIn(wren, in("marsk"));
    assertThat(wren.event("step-later", "{\"step\":\"wa-door\",\"why\":\"\\ud800\"}").code())
        .isEqualTo("bad-character");
    assertThat(in("orrin").text("/api/packs/reading", "format: \"\\u0001\"").text()).contains("U+0001");
    assertThat(varga.get("/api/tails/TL-DVA/log.pdf").status()).isEqualTo(200);
  }

  @Test
  public void days_that_nobody_means_are_refused_and_a_device_with_a_wrong_clock_is_not() {
    Http varga = in("varga");
    String far =
        ("{\"kind\":\"deferred\",\"defect\":\"%s\",\"entry\":\"33-1\",\"lastDay\":\"+999999999-12-31\","
        + "\"words\":\"x\"}").formatted(UUID.randomUUID());
    assertThat(varga.post("/api/tails/TL-DVA/log", far).status()).isIn(400, 422);
    Http admin = in("administrator");
    String flights =
        "format: neat-lanyard/flights/1\nflights:\n  - {id: far, number: Far, tail: TL-DVA, from: QTRN, to: QVSK, "
        + "departs-in: P40000000000D, crew: ["
        + "{who: marsk, seat: left, commander: true, flying: true}, {who: adeyo, seat: right}]}\n";
    assertThat(admin.text("/api/flights", flights).status()).isEqualTo(422);
    Http wren = in("adeyo");
    crewIn(wren, in("marsk"));
    assertThat(wren.post("/api/departures/today-14/events",
        ("{\"id\":\"%s\",\"deviceAt\":\"+1000000000-01-01T00:00:00Z\",\"device\":\"d1\",\"kind\":\"step-done\","
        + "\"body\":{\"step\":\"wa-static-l\"}}").formatted(Http.uuid7())).status())
        .isEqualTo(200);
    assertThat(wren.get("/api/departures/today-14/log").text()).doesNotContain("+1000000000");
  }

  @Test
  public void a_flight_is_withdrawn_before_it_is_used_and_not_after() {
    Http admin = in("administrator");
    crewIn(in("adeyo"), in("marsk"));
    String flight =
        "format: neat-lanyard/flights/1\nflights:\n  - {id: slip, number: Slip, tail: TL-DVA, from: QTRN, to: QVSK, "
        + "departs-in: PT9H, crew: ["
        + "{who: marsk, seat: left, commander: true, flying: true}, {who: adeyo, seat: right}]}\n";
    assertThat(admin.text("/api/flights", flight).status()).isEqualTo(200);
    assertThat(admin.delete("/api/flights/slip").status()).isEqualTo(200);
    assertThat(admin.delete("/api/flights/slip").status()).isEqualTo(404);
    assertThat(admin.delete("/api/flights/today-14").code()).isEqualTo("in-use");
  }

  @Test
  public void a_find_names_photos_of_its_own_departure_only() {
    Http wren = in("adeyo");
    Http ida = in("marsk");
    crewIn(wren, ida);
    UUID photo = Http.uuid7();
    String part = "?sha256=" + "0".repeat(64) + "&total=10&from=0";
    assertThat(wren.bytes("/api/departures/today-14/photos/" + photo + part, new byte[] {1}).status()).isEqualTo(200);
    wren.post("/api/departures/today-15/open", "{}");
    String find =
        "{\"id\":\"%s\",\"device\":\"d1\",\"kind\":\"find-raised\",\"body\":{\"find\":\"%s\",\"step\":\"wa-door\","
        + "\"note\":\"x\",\"what\":"
        + "{\"severity\":\"defect\",\"count\":1,\"entry\":null,\"spot\":null,\"photos\":[\"%s\"]}}}";
    assertThat(wren.post("/api/departures/today-15/events", find.formatted(Http.uuid7(), Http.uuid7(), photo)).code())
        .isEqualTo("photo-other");
    assertThat(wren.bytes("/api/departures/today-15/photos/" + photo + part, new byte[] {1}).code())
        .isEqualTo("photo-other");
    UUID named = Http.uuid7();
    wren.post("/api/departures/today-14/events", find.formatted(Http.uuid7(), Http.uuid7(), named));
    assertThat(wren.bytes("/api/departures/today-15/photos/" + named + part, new byte[] {1}).code())
        .as("a key that another departure's find has named").isEqualTo("photo-other");
  }

  /** Somebody who listens in too many places loses the oldest, and nobody else loses any. */
  @Test
  public void streams_have_a_limit_for_each_person() throws IOException {
    Http wren = in("adeyo");
    Http ida = in("marsk");
    crewIn(wren, ida);
    List<InputStream> open = new ArrayList<>();
    try (InputStream other = ida.stream("/api/departures/today-14/stream")) {
      assertThat(other.read()).isPositive();
      for (int i = 0; i < 13; i++) {
        open.add(wren.stream("/api/departures/today-14/stream"));
        assertThat(open.getLast().read()).isPositive();
      }
      open.getFirst().readAllBytes();
      wren.event("step-done", "{\"step\":\"wa-vane-l\"}");
      assertThat(other.read()).isPositive();
    } finally {
      for (InputStream in : open) {
        in.close();
      }
    }
  }

  /**
   * A request that says how long it is and then says nothing is let go, without an answer that would look like one.
   */
  @Test
  public void a_body_that_does_not_come_is_let_go() throws IOException {
    try (Socket socket = new Socket("localhost", port)) {
      socket.setSoTimeout(60_000);
      socket.getOutputStream()
          .write(("POST /api/session HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: "
          + "100\r\n\r\n{").getBytes(StandardCharsets.US_ASCII));
      String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.US_ASCII);
      assertThat(answer).doesNotContain("HTTP/1.1 200", "HTTP/1.1 5");
    }
  }
}
