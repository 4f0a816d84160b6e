package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** What two pilots have before them when they enter figures: their own papers, from which each types alone. */
record Papers(Map<String, String> figures) {
  /** The demo's first departure, the whole runway covered with frost. */
  static final Papers FROST = of("15290", "2060", "17290", "25", "FULL", "15", "91", "96", "101");

  /** The same on a dry runway. */
  static final Papers DRY = of("15290", "2060", "17290", "25", "FULL", "15", "95", "96", "101");

  /** The demo's third departure, after wet snow. */
  static final Papers SNOW = of("15290", "1600", "16830", "29", "FULL", "15", "88", "95", "100");

  /** The demo's large aircraft, with the sheet that agrees. */
  static final Papers LARGE = of("57640", "10800", "68240", "27R", "FULL", "1", "134", "137", "142")
      .with("assumed-temperature", "42").with("centre", "23.0").with("trim", "4.3");

  private static Papers of(String zeroFuel, String fuel, String takeoff, String runway, String intersection,
      String flap, String v1, String vr, String v2) {
    Map<String, String> all = new LinkedHashMap<>();
    all.put("zero-fuel-weight", zeroFuel);
    all.put("fuel", fuel);
    all.put("takeoff-weight", takeoff);
    all.put("runway", runway);
    all.put("intersection", intersection);
    all.put("initial-level", "5000");
    all.put("transponder", "2613");
    all.put("flap", flap);
    all.put("v1", v1);
    all.put("vr", vr);
    all.put("v2", v2);
    return new Papers(all);
  }

  private Papers with(String figure, String value) {
    Map<String, String> all = new LinkedHashMap<>(figures);
    all.put(figure, value);
    return new Papers(all);
  }

  /** One figure as one pilot types or presses it; it is taken. */
  static void enter(Crew who, String figure, String value) {
    says(who, figure, value);
    assertThat(cell(who, figure)).not().hasAttribute("data-standing", "open");
  }

  /** One figure as one pilot types or presses it, whether it is taken or refused. */
  static void says(Crew who, String figure, String value) {
    cell(who, figure).click();
    Locator field = who.page.locator("main form input");
    // A phone shows no keys.
    Pattern named = Pattern.compile("^%s( alt.*)?$".formatted(value.equals("FULL") ? "Whole runway" : value));
    Locator choice = who.page.locator("main form")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(named));
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

  /** Says what lies on each third, with its code; on snow, 4 mm. */
  static void reported(Crew one, String... thirds) {
    one.key("c");
    one.page.getByLabel("By thirds").check();
    for (int n = 1; n <= thirds.length; n++) {
      String[] lies = thirds[n - 1].split(" ");
      one.page.getByLabel("Third " + n, new Page.GetByLabelOptions().setExact(true)).selectOption(lies[0]);
      one.page.getByLabel("Third %d, code".formatted(n)).fill(lies[1]);
      if (lies[0].equals("wet-snow")) {
        one.page.getByLabel("Third %d, depth in millimetres".formatted(n)).fill("4");
      }
    }
    one.button("So it was reported").click();
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
