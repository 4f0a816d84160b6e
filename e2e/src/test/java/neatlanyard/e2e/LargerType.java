package neatlanyard.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.Map;

/** A flight of the demo's larger type, brought in at the desk, with two people in their seats and the card cut. */
final class LargerType {
  static final String DEPARTURE = "larger";

  private static final String FLIGHT = """
      format: neat-lanyard/flights/1
      flights:
        - {id: larger, number: Flight 90, tail: TL-HYA, from: QTRN, to: QBRN, departs-in: PT1H,
           crew: [{who: marsk, seat: left, commander: true, flying: true}, {who: adeyo, seat: right}]}
      """;

  private LargerType() {}

  /** @param circumstances of the day, as the record names them */
  static void open(Browser browser, Application app, Crew ida, Crew wren, List<String> circumstances) {
    Crew.in(browser, app, "Administrator", ColorScheme.LIGHT).post("/api/flights", "text/plain", FLIGHT);
    ida.post("/api/departures/larger/open", "application/json", "{}");
    says(ida, "seat-taken", Map.of("seat", "left"));
    says(wren, "seat-taken", Map.of("seat", "right"));
    says(wren, "day-set", Map.of(
        "report", "METAR QTRN 140720Z 24012KT 9000 -SN FEW012 BKN025 M02/M04 Q1003", "simulated", false,
        "circumstances", circumstances));
  }

  static void says(Crew crew, String kind, Map<String, Object> body) {
    crew.send(DEPARTURE, Crew.eventId(), "d-test", kind, body);
  }
}
