package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What two pilots have before them when they enter figures: their own papers, from which each types alone. */
record Papers(Map<String, String> figures) {
  /** The demo's first departure, the whole runway covered with frost. */
  static final Papers FROST = of("15290", "2060", "17290", "25", "FULL", "15", "91", "96", "101");

  /** The same on a dry runway. */
  static final Papers DRY = of("15290", "2060", "17290", "25", "FULL", "15", "95", "96", "101");

  private static Papers of(String zeroFuel, String fuel, String takeoff, String runway, String intersection,
      String flap, String v1, String vr, String v2) {
    Map<String, String> all = new LinkedHashMap<>();
    all.put("zero-fuel-weight", zeroFuel);
    all.put("fuel", fuel);
    all.put("takeoff-weight", takeoff);
    all.put("runway", runway);
    all.put("intersection", intersection);
    all.put("flap", flap);
    all.put("v1", v1);
    all.put("vr", vr);
    all.put("v2", v2);
    return new Papers(all);
  }

  /** One figure as one pilot types or presses it. */
  static void enter(Crew who, String figure, String value) {
    cell(who, figure).click();
    Locator field = who.page.locator("main form input");
    Locator choice = who.page.locator("main form").getByRole(AriaRole.BUTTON,
        new Locator.GetByRoleOptions().setName(value.equals("FULL") ? "Whole runway" : value + " alt"));
    // What differs, or was entered already, is entered again by one key; the notice of it comes a moment later.
    who.until(25_000, () -> {
      if (field.count() + choice.count() == 0) {
        who.key("x");
      }
      return field.count() + choice.count() > 0;
    });
    if (field.count() > 0) {
      field.fill(value);
      who.key("Enter");
    } else {
      choice.first().click();
    }
    assertThat(cell(who, figure)).not().hasAttribute("data-standing", "open");
  }

  static Locator cell(Crew who, String figure) {
    return who.page.locator("main [data-figure='%s']".formatted(figure));
  }

  /** How a figure stands on somebody's screen. */
  static void stands(Crew who, String figure, String standing) {
    assertThat(cell(who, figure)).hasAttribute("data-standing", standing);
  }

  /** Says that the runway is dry, and takes the load sheet. */
  static void give(Crew one) {
    assertThat(one.button("How is the runway?")).isVisible();
    one.key("c");
    one.button("Dry").click();
    assertThat(one.button("Runway dry")).isVisible();
    one.key("s");
    one.button("Take it from the simulated load sheet service").click();
    assertThat(one.button("Sheet 1")).isVisible();
  }

  /** Both enter all that is not agreed yet; every figure is then. */
  void agreed(Crew a, Crew b) {
    figures.forEach((figure, value) -> {
      if (!"agreed".equals(cell(a, figure).getAttribute("data-standing"))) {
        List.of(a, b).forEach(c -> enter(c, figure, value));
      }
    });
    figures.keySet().forEach(f -> stands(a, f, "agreed"));
  }
}
