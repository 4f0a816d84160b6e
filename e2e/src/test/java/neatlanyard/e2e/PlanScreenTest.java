package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** The plan of the time before a departure: strips a seat, what others say, what cannot all be so, what buys time. */
public class PlanScreenTest extends AtTheDemo {
  private static Locator plan(Crew who) {
    who.page.keyboard().press("Shift+P");
    Locator plan = who.page.getByLabel("The plan", new Page.GetByLabelOptions()
        .setExact(true));
    assertThat(plan.locator("h1").first()).isVisible();
    return plan;
  }

  /** Opened once; what is said in it stands when it is answered. */
  private static void others(Locator plan, String what, int in, int takes) {
    Locator form = plan.getByLabel("Say when others are due");
    if (!form.isVisible()) {
      plan.getByText("What others do").click();
    }
    form.getByLabel("What", new Locator.GetByLabelOptions().setExact(true)).selectOption(what);
    form.getByLabel("In minutes").fill(Integer.toString(in));
    if (form.getByLabel("Takes, minutes").isVisible()) {
      form.getByLabel("Takes, minutes").fill(Integer.toString(takes));
    }
    form.getByText("Say so").click();
    assertThat(plan.locator("li").filter(new Locator.FilterOptions().setHasText(what))
        .filter(new Locator.FilterOptions().setHasText("Adeyo"))).isVisible();
  }

  @Test
  public void it_shows_who_does_what_when_and_follows_what_is_said() {
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.LIGHT).takeSeat("left");
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.DARK).takeSeat("right");
    ida.cut();
    Locator idas = plan(ida);
    assertThat(idas.locator("h1").first()).containsText("on time");
    assertThat(idas.locator("h2")).hasText(new String[] {"Ida Marskleft seat", "Wren Adeyoright seat",
        "Others, and times to wait"});
    assertThat(idas.getByText("Walkaround").first()).isVisible();
    ida.readable();
    ida.picture("plan-day");

    Locator wrens = plan(wren);
    others(wrens, "Load sheet", 60, 0);
    assertThat(wrens.locator("h1").first()).containsText(Pattern.compile("Departs .*, [0-9]+ min late"));
    assertThat(wrens.getByText("if late, then mostly by Load sheet")).isVisible();
    others(wrens, "Slot", -5, 10);
    assertThat(wrens.locator("h1").first()).hasText("These cannot all be so");
    assertThat(wrens.getByText("Departure within its slot is over by")).isVisible();
    wrens.getByText("Take slot back").click();
    assertThat(wrens.locator("h1").first()).containsText("min late");
    wren.readable();
  }

  private static Locator task(Locator plan, String name) {
    return plan.locator("button").filter(new Locator.FilterOptions().setHasText(Pattern.compile("^" + name))).first();
  }

  @Test
  public void a_task_is_tried_at_another_time_and_waiting_weighed() {
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.LIGHT).takeSeat("left");
    ida.cut();
    Locator plan = plan(ida);
    assertThat(plan.getByText("Lands in Vesk at")).containsText("later than the plan; after that");
    plan.getByText("The other end: Vesk").click();
    plan.getByLabel("Forecast of Vesk").fill("TAF QVSK nonsense");
    Locator form = plan.getByLabel("Say what the other end wants");
    form.getByText("Say so").click();
    assertThat(form.getByText("The forecast cannot be read.")).isVisible();
    form.getByLabel("Wanted later by").fill("-60");
    plan.getByLabel("Forecast of Vesk").fill("");
    form.getByText("Say so").click();
    assertThat(plan.getByText("Lands in Vesk at"))
        .containsText("min after it is wanted. Each minute more is one more.");

    // What is typed over goes before the service, until it is taken back.
    plan.getByLabel("Forecast of Vesk").fill("TAF QVSK 140700Z 1407/1507 24012KT 0300 FG VV001");
    form.getByText("Say so").click();
    assertThat(plan.getByText("Forecast there then: ceiling 100 ft")).isVisible();
    form.getByText("Take the forecast and the time back").click();
    assertThat(plan.getByText("Lands in Vesk at")).containsText("later than the plan; after that");

    Locator walk = task(plan, "Walkaround");
    walk.click();
    Locator tried = plan.getByLabel("What if");
    assertThat(tried).containsText(Pattern.compile("If Walkaround begins .*: departs .*, on time"));
    for (int i = 0; i < 8; i++) {
      tried.getByText("5 min later").click();
    }
    assertThat(tried).containsText(Pattern.compile("departs .*, [0-9]+ min late, on time in [0-9]+ of 100"));
    assertThat(task(plan, "Walkaround")).containsText("was ");
    ida.readable();
    tried.getByText("Back to the plan").click();
    assertThat(tried).not().isVisible();

    // Dragged down among the strips it is tried at the time that stands there.
    Locator flow = task(plan, "Left flow");
    flow.scrollIntoViewIfNeeded();
    BoundingBox box = flow.boundingBox();
    ida.page.mouse().move(box.x + 20, box.y + 10);
    ida.page.mouse().down();
    ida.page.mouse().move(box.x + 20, box.y + 40);
    ida.page.mouse().move(box.x + 20, box.y + 70);
    ida.page.mouse().up();
    assertThat(tried).containsText(Pattern.compile("If Left flow begins .*(departs|it cannot)"));
    tried.getByText("Back to the plan").click();

    plan.getByText("how plans came true").click();
    assertThat(ida.page.locator("h1")).hasText("How plans came true");
    assertThat(ida.page.getByText("On average plans said that")).isVisible();
    assertThat(ida.page.getByLabel("What was said, and how often it came true").locator("canvas")).isVisible();
    ida.readable();
  }

  @Test
  public void what_would_buy_time_is_tried_and_said_by_whose_word_it_is() {
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.LIGHT).takeSeat("left");
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.DARK).takeSeat("right");
    ida.cut();
    Locator plan = plan(wren);
    assertThat(plan.getByText("The pilot monitoring is done with")).not().isVisible();
    // Nobody else is waited for: the crew's own work is what the departure hangs on.
    for (String what : new String[] {"Load sheet", "Clearance", "Fuelling", "Boarding"}) {
      others(plan, what, -30, 5);
    }
    Locator ask = plan.getByText("What would buy time?");
    if (ask.isVisible()) {
      ask.click();
    }
    Locator buys = plan.getByLabel("What would buy time, each alone tried");
    Locator mine = buys.getByText("Wren Adeyo gives").first();
    assertThat(mine).isVisible();
    String words = mine.innerText();
    mine.click();
    // It stands in the record, and is not offered again.
    assertThat(plan.getByText(words)).not().isVisible();
    wren.until(20_000, () -> !wren.page.request().get(app.url() + "/api/departures/today-14").text()
        .contains("\"handedOver\":[]"));
    assertThat(wren.get("/api/departures/today-14/log")).containsPattern("To gain [0-9]+ min: Wren Adeyo gives");
  }

  @Test
  public void a_phone_shows_now_and_next() {
    Crew wren = Crew.in(browser, app, "Wren Adeyo", ColorScheme.LIGHT).takeSeat("right");
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.LIGHT).takeSeat("left");
    ida.cut();
    wren.page.setViewportSize(390, 844);
    Locator plan = plan(wren);
    assertThat(plan.locator("dt")).hasText(new String[] {"Now", "Next"});
    assertThat(plan.getByText("left").first()).isVisible();
    assertThat(plan.locator("h2").first()).not().isVisible();
    wren.readable();
    assertThat((boolean) wren.page.evaluate("document.documentElement.scrollWidth <= 390")).isTrue();
  }
}
