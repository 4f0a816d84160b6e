package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** The briefing: read by one, heard by the other, and what comes back when the day changes. */
public class BriefingTest extends AtTheDemo {
  private static final String ID = "today-15";

  /** One reads all of it, the other hears it. */
  static void briefed(Crew reads, Crew hears) {
    reads.stage("Briefing");
    hears.stage("Briefing");
    reads.key("r");
    assertThat(hears.button("I heard it")).isVisible();
    hears.key("e");
    assertThat(reads.page.getByText(", and heard.")).isVisible();
  }

  private static Locator line(Crew who, String step) {
    return who.page.locator("main li[data-step='%s']".formatted(step));
  }

  private static void taken(APIResponse answer) {
    assertThat(answer.ok()).as(answer.text()).isTrue();
  }

  private static void say(Crew who, String kind, Map<String, Object> body) {
    taken(who.send(ID, Crew.eventId(), "d1", kind, body));
  }

  private static void condition(Crew who, String... contaminants) {
    Map<String, Object> condition = new HashMap<>();
    condition.put("thirds", Arrays.stream(contaminants).map(c -> {
      Map<String, Object> third = new HashMap<>(Map.of("contaminant", c));
      third.put("code", null);
      third.put("depth-mm", c.equals("wet_snow") ? 4 : null);
      third.put("coverage-percent", null);
      return third;
    }).toList());
    condition.put("braking", null);
    say(who, "runway-reported", Map.of("condition", condition));
  }

  private static void figures(List<Crew> crew, Map<String, String> figures) {
    figures.forEach((f, v) -> crew.forEach(c -> say(c, "figure-entered", Map.of("figure", f, "value", v))));
  }

  @Test
  public void is_put_together_from_the_day_and_comes_back_alone_where_it_became_untrue() {
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.LIGHT).takeSeat("left", "Vesk \u2013 Ternholm");
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.DARK).takeSeat("right", "Vesk \u2013 Ternholm");
    ida.cut();
    condition(wren, "frost");
    wren.post("/api/departures/%s/load-sheet".formatted(ID), "application/json", "{\"device\": \"d\"}");
    figures(List.of(ida, wren), Map.of("runway", "29", "intersection", "FULL", "flap", "15", "v1", "90"));
    ida.stage("Briefing");
    assertThat(line(ida, "br-return")).containsText(
        "not back here, ceiling 1 400 ft, landing wants 1 500; to Ternholm");
    assertThat(line(ida, "br-turn")).containsText("Left at 900 ft to 250.");
    assertThat(line(ida, "br-turn")).containsText("for the cold (ICAO Doc 8168)");
    assertThat(ida.page.getByText("Not known yet: take-off weight, VR, V2, initial level.")).isVisible();
    briefed(ida, wren);
    ida.readable();

    condition(wren, "frost", "frost", "wet_snow");
    assertThat(ida.tag("Brief again")).isVisible();
    assertThat(line(ida, "br-runway")).containsText("Read was: Runway 29, wet");
    Locator again = ida.page.getByLabel("Read again");
    assertThat(again.locator("li").first()).isVisible();
    assertThat(again).not().containsText("If we come back");
    ida.page.evaluate("document.querySelector('main').scrollTo(0, 0)");
    ida.picture("briefing-day");
    ida.button("aloud").click();
    wren.button("I heard").click();
    assertThat(ida.tag("Brief again")).not().isVisible();
    ownWords(ida, wren);
    byte[] page = ida.page.request().get(app.url() + "/api/departures/%s/briefing.pdf".formatted(ID)).body();
    assertThat(new String(page, 0, 5, StandardCharsets.ISO_8859_1)).isEqualTo("%PDF-");
  }

  private static void ownWords(Crew ida, Crew wren) {
    Locator today = line(ida, "br-today");
    today.getByText("Other words").click();
    ida.page.getByLabel("This aircraft, in your own words").fill("Mind the service door");
    ida.key("Control+Enter");
    assertThat(line(wren, "br-today")).containsText("Mind the service door");
    assertThat(line(wren, "br-today")).containsText("the crew's own words");
    assertThat(wren.tag("Brief again: This aircraft")).isVisible();
    line(wren, "br-today").getByText("As put together").click();
    assertThat(ida.tag("Brief again")).not().isVisible();
  }
}
