package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** One browser with several tabs, closed, reloaded and killed: what was said there arrives, once. */
public class TabsTest extends AtTheDemo {
  private static final Pattern STEPS = Pattern.compile("\"words\":\"([^:\"]+): ");
  private static final List<String> FIRST = List.of(
      "Technical log", "Deferred defects", "Hydraulic electric pumps", "Boots and mats", "Probe heat", "Wipers",
      "Gear lever", "Weather radar");

  /**
   * A tab that is loaded again is online for a moment, whatever its browser was told, and what goes past a service
   * worker is not held up by the test's own routes: so the page itself asks whether there is a network.
   */
  private static final String CUT = """
      const cut = () => localStorage.getItem('cut') !== null
      const asked = window.fetch
      window.fetch = (...all) => cut() ? Promise.reject(new TypeError('no network')) : asked(...all)
      const Stream = window.EventSource
      window.EventSource = class extends Stream {
        constructor(url) { super(cut() ? '/nowhere' : url) }
      }
      """;

  /** The steps that were said; how the tail's technical log stands is said in the log too, by the server. */
  private static List<String> said(Crew crew) {
    return STEPS.matcher(crew.get("/api/departures/today-14/log")).results().map(r -> r.group(1))
        .filter(FIRST::contains).skip(1).toList();
  }

  private static void kept(Page page) {
    page.waitForFunction("() => navigator.serviceWorker.ready.then(() => true)");
    page.reload();
    page.waitForFunction("() => navigator.serviceWorker.controller !== null");
  }

  /** A press shows a moment before it is on the disk. */
  private static void onTheDisk(Page page, int words) {
    page.waitForFunction("""
        wanted => new Promise(done => {
          const open = indexedDB.open('neat-lanyard-words')
          open.onsuccess = () => {
            const all = open.result.transaction('words').objectStore('words').getAll()
            all.onsuccess = () => {
              open.result.close()
              done(all.result.filter(w => w.standing === 'waiting').length === wanted)
            }
          }
        })""", words);
  }

  @Test
  public void five_tabs_without_a_network_lose_nothing_and_say_nothing_twice() throws Exception {
    Crew wren = Crew.keeping(browser, app, "Wren Adeyo", ColorScheme.LIGHT).takeSeat("right").cutCard();
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.DARK).takeSeat("left");
    wren.stage("Safe, then power");
    assertThat(wren.heading(FIRST.getFirst())).isVisible();
    // Every tab asks, or one that does not sends all while another is loaded again.
    wren.page.context().addInitScript(CUT);
    kept(wren.page);
    List<Page> tabs = new ArrayList<>(List.of(wren.page));
    while (tabs.size() < 5) {
      Page tab = wren.page.context().newPage();
      tab.navigate(wren.page.url());
      assertThat(heading(tab, FIRST.getFirst())).isVisible();
      tabs.add(tab);
    }
    wren.page.context().setOffline(true);
    wren.page.evaluate("() => localStorage.setItem('cut', 'yes')");
    for (int i = 0; i < 6; i++) {
      Page tab = tabs.get(i % tabs.size());
      tab.bringToFront();
      assertThat(heading(tab, FIRST.get(i))).isVisible();
      tab.keyboard().press("Space");
      assertThat(heading(tab, FIRST.get(i + 1))).isVisible();
      // Every tab knows of every word.
      assertThat(heading(tabs.get((i + 1) % tabs.size()), FIRST.get(i + 1))).isVisible();
    }
    // The tab that spoke first is closed, another is loaded again without a network.
    tabs.get(0).close();
    tabs.get(1).reload();
    assertThat(heading(tabs.get(1), FIRST.get(6))).isVisible();
    assertThat(tabs.get(1).getByText("Not connected, 6 kept here")).isVisible();
    assertThat(said(ida)).isEmpty();
    tabs.get(1).evaluate("() => localStorage.removeItem('cut')");
    tabs.get(1).context().setOffline(false);
    assertThat(ida.page.locator("nav ol").getByText("6 of 36")).isVisible();
    for (Page tab : tabs.subList(1, 5)) {
      assertThat(tab.getByText("Not connected")).not().isVisible();
      assertThat(tab.locator("nav ol").getByText("6 of 36")).isVisible();
    }
    assertThat(said(ida)).containsExactlyElementsOf(FIRST.subList(0, 6));
  }

  private static Locator heading(Page page, String text) {
    return page.getByRole(com.microsoft.playwright.options.AriaRole.HEADING, new Page.GetByRoleOptions()
        .setName(text));
  }

  @Test
  public void a_killed_browser_still_sends_what_was_said_in_it() throws Exception {
    Path profile = Files.createTempDirectory("lanyard-profile");
    Crew ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.DARK);
    try (Crew.Own own = Crew.own(profile, app)) {
      Crew wren = own.signIn("Wren Adeyo").takeSeat("right").cutCard();
      wren.stage("Safe, then power");
      assertThat(wren.heading(FIRST.getFirst())).isVisible();
      kept(wren.page);
      assertThat(wren.heading(FIRST.getFirst())).isVisible();
      wren.page.context().setOffline(true);
      for (int i = 0; i < 4; i++) {
        assertThat(wren.heading(FIRST.get(i))).isVisible();
        wren.press("Space");
      }
      onTheDisk(wren.page, 4);
      own.kill();
    }
    ida.key("1");
    assertThat(said(ida)).isEmpty();
    // The token against forged requests went with the browser, and its sign-in may have: neither gives a word up.
    try (Crew.Own own = Crew.own(profile, app)) {
      own.signIn("Wren Adeyo");
      assertThat(ida.page.locator("nav ol").getByText("4 of 36")).isVisible();
    }
    assertThat(said(ida)).containsExactlyElementsOf(FIRST.subList(0, 4));
  }

  /** Whatever a new version does not take over of the old one, the words are not among it. */
  @Test
  @Killed
  public void a_new_version_in_mid_walk_sends_what_was_said_to_the_old_one() throws Exception {
    Crew wren = Crew.keeping(browser, app, "Wren Adeyo", ColorScheme.LIGHT).takeSeat("right").cutCard();
    wren.stage("Safe, then power");
    assertThat(wren.heading(FIRST.getFirst())).isVisible();
    kept(wren.page);
    assertThat(wren.heading(FIRST.getFirst())).isVisible();
    wren.page.context().setOffline(true);
    for (int i = 0; i < 3; i++) {
      assertThat(wren.heading(FIRST.get(i))).isVisible();
      wren.press("Space");
    }
    assertThat(wren.heading(FIRST.get(3))).isVisible();
    app.kill();
    assertThat(wren.page.getByText("Not connected, 3 kept here")).isVisible();
    wren.page.evaluate("""
        async () => {
          for (const key of await caches.keys()) await caches.delete(key)
          for (const worker of await navigator.serviceWorker.getRegistrations()) await worker.unregister()
          const old = (await indexedDB.databases()).filter(({ name }) => name.startsWith('neat-lanyard-kept/'))
          for (const { name } of old) indexedDB.deleteDatabase(name)
        }""");
    app.startAgain();
    wren.page.context().setOffline(false);
    wren.page.reload();
    assertThat(wren.page.locator("nav ol").getByText("3 of 36")).isVisible();
    assertThat(wren.page.getByText("Not connected")).not().isVisible();
    assertThat(said(wren)).containsExactlyElementsOf(FIRST.subList(0, 3));
  }

  @Test
  public void a_refused_word_stays_until_it_is_read_and_can_be_said_again() throws Exception {
    Crew wren = Crew.keeping(browser, app, "Wren Adeyo", ColorScheme.LIGHT).takeSeat("right").cutCard();
    wren.stage("Safe, then power");
    AtomicInteger refused = new AtomicInteger();
    wren.page.route("**/outbox", route -> {
      if (refused.getAndIncrement() == 0) {
        route.fulfill(new com.microsoft.playwright.Route.FulfillOptions().setContentType("application/json")
            .setBody("[{\"refused\":{\"code\":\"needs\",\"what\":\"Before it comes another.\","
            + "\"tryThis\":\"Do that first.\",\"faults\":[]}}]"));
      } else {
        route.resume();
      }
    });
    assertThat(wren.heading(FIRST.getFirst())).isVisible();
    wren.key("Space");
    assertThat(wren.page.getByText("Before it comes another.")).isVisible();
    wren.page.reload();
    assertThat(wren.page.getByText("Before it comes another.")).isVisible();
    wren.button("Say it again").click();
    assertThat(wren.page.getByText("Before it comes another.")).not().isVisible();
    assertThat(wren.page.locator("nav ol").getByText("1 of 36")).isVisible();
    assertThat(said(wren)).containsExactly(FIRST.getFirst());
  }

  @Test
  public void a_browser_that_keeps_nothing_says_so_at_once_and_sends_all_the_same() throws Exception {
    Crew wren = Crew.at(browser, app, ColorScheme.LIGHT);
    wren.page.context()
        .addInitScript("IDBFactory.prototype.open = () => { throw new DOMException('full', 'QuotaExceededError') }");
    wren.page.reload();
    wren.button("Wren Adeyo").click();
    assertThat(wren.page.getByText("Ternholm – Vesk")).isVisible();
    wren.takeSeat("right").cutCard();
    wren.stage("Safe, then power");
    assertThat(wren.heading(FIRST.getFirst())).isVisible();
    wren.page.context().setOffline(true);
    wren.key("Space");
    assertThat(wren.page.getByText("This browser keeps nothing")).isVisible();
    wren.page.context().setOffline(false);
    assertThat(wren.page.getByText("This browser keeps nothing")).not().isVisible();
    assertThat(said(wren)).containsExactly(FIRST.getFirst());
  }
}
