package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.ColorScheme;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A departure of the demo day, from the door to the runway by the crew that the aircraft has. */
abstract class Flown extends AtTheDemo {
  Crew sits(String name, String flight, String seat, ColorScheme light) {
    return Crew.in(browser, app, name, light).takeSeat(seat, flight);
  }

  static void figures(List<Crew> pilots, Map<String, String> figures) {
    pilots.forEach(c -> c.stage("Figures"));
    figures.forEach((figure, value) -> {
      for (Crew c : pilots) {
        if (!"agreed".equals(Papers.cell(c, figure).getAttribute("data-standing"))) {
          Papers.enter(c, figure, value);
        }
      }
      pilots.forEach(c -> Papers.stands(c, figure, "agreed"));
    });
  }

  static Map<String, String> papers(String... namesAndValues) {
    Map<String, String> all = new LinkedHashMap<>();
    for (int i = 0; i < namesAndValues.length; i += 2) {
      all.put(namesAndValues[i], namesAndValues[i + 1]);
    }
    return all;
  }

  /** The check by the simulated aircraft, then what surrounds it. */
  static void checked(List<Crew> crew, String press, String until) {
    Crew flying = crew.getFirst();
    flying.stage("Control check");
    flying.page.locator("main nav button").filter(new Locator.FilterOptions().setHasText("The check")).click();
    flying.button(press).click();
    assertThat(flying.heading("Control check passed")).isVisible();
    Crew.together(crew, "Control check", until);
  }

  static void rolls(List<Crew> crew) {
    Crew.together(crew, "Taxi", "");
    Crew.together(crew, "Before take-off", "");
    Crew.together(crew, "Line-up", "Line-up checklist");
  }
}
