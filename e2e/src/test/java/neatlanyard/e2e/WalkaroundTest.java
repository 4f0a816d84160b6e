package neatlanyard.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonParser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** On the ramp with a phone: without a network, with photos, over a bad link; and back at maintenance control. */
@SuppressWarnings("NullAway.Init") // The set-up fills the fields.
public class WalkaroundTest extends AtTheDemo {
  private static final Pattern STEPS = Pattern.compile("\"words\":\"([^:\"]+): ");
  private static final Pattern PHOTO = Pattern.compile("\"photos\":\\[([^]]+)]");
  private static final double PATIENCE_MS = 40_000;

  private Crew wren;
  private Crew ida;

  @BeforeMethod
  void crew() {
    wren = Crew.keeping(browser, app, "Wren Adeyo", ColorScheme.DARK).takeSeat("right").cutCard();
    ida = Crew.in(browser, app, "Ida Marsk", ColorScheme.LIGHT).takeSeat("left");
    for (String step : List.of("pu-pumps-off", "pu-brake")) {
      wren.send("today-14", Crew.eventId(), "d-test", "step-done", Map.of("step", step));
    }
    wren.page.setViewportSize(390, 844);
    wren.page.navigate(app.url() + "/departures/today-14?stage=walkaround");
    assertThat(wren.heading("Red covers and plugs")).isVisible();
  }

  /** Walks on by whole stations, entering what has to be read, until a step is at hand. */
  private void walkTo(String heading) {
    Locator h1 = wren.page.locator("main h1");
    for (int i = 0; i < 60 && !h1.textContent().contains(heading); i++) {
      wren.press("Shift+Space");
    }
    assertThat(h1).containsText(heading);
  }

  private static Path picture(int seed) throws IOException {
    BufferedImage image = new BufferedImage(480, 360, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(seed);
    for (int i = 0; i < 60_000; i++) {
      image.setRGB(random.nextInt(480), random.nextInt(360), random.nextInt());
    }
    Path file = Files.createTempFile("photo", ".png");
    ImageIO.write(image, "png", file.toFile());
    return file;
  }

  private void raise(String note, Path... photos) {
    wren.button("Find").click();
    wren.page.getByLabel("What is not as it should be?").fill(note);
    if (photos.length > 0) {
      wren.page.getByLabel("Photo", new Page.GetByLabelOptions().setExact(true)).setInputFiles(photos);
      assertThat(wren.page.locator("form img"))
          .hasCount(photos.length, new com.microsoft.playwright.assertions.LocatorAssertions.HasCountOptions()
          .setTimeout(PATIENCE_MS));
    }
    wren.button("Raise the find").click();
    assertThat(wren.page.getByLabel("What is not as it should be?")).not().isVisible();
  }

  private String log() {
    return ida.get("/api/departures/today-14/log");
  }

  /**
   * What was said of the walk's steps, in the order of the log; what the server writes of the technical log is not.
   */
  private List<String> said() {
    return STEPS.matcher(log()).results().map(r -> r.group(1))
        .filter(s -> !s.startsWith("Technical log") && !s.startsWith("Card cut")).toList();
  }

  private List<String> photos() {
    return PHOTO.matcher(ida.get("/api/departures/today-14")).results()
        .flatMap(r -> Pattern.compile("[0-9a-f-]{36}").matcher(r.group(1)).results())
        .map(r -> r.group()).distinct().toList();
  }

  private void arrived(int all) {
    ida.until(2 * PATIENCE_MS, () -> photos().size() == all);
    for (String photo : photos()) {
      ida.until(2 * PATIENCE_MS, () -> ida.page.request().get(app.url() + "/api/photos/" + photo).status() == 200);
    }
  }

  @Test
  public void a_walk_without_a_network_survives_a_reload_and_arrives_once_and_in_order() throws Exception {
    wren.page.waitForFunction(
        "() => navigator.serviceWorker.controller !== null || navigator.serviceWorker.ready.then(() => true)");
    wren.page.reload();
    wren.page.waitForFunction("() => navigator.serviceWorker.controller !== null");
    assertThat(wren.heading("Red covers and plugs")).isVisible();
    walkTo("Static ports, left");
    wren.page.context().setOffline(true);
    walkTo("Right engine inlet");
    wren.key("Space");
    assertThat(wren.heading("Right propeller")).isVisible();
    raise("Nick in one blade", picture(1));
    wren.page.reload();
    assertThat(wren.page.getByText("Not connected")).isVisible();
    assertThat(wren.heading("De-ice mats, right propeller")).isVisible();
    wren.cordLine().click();
    assertThat(wren.cordUnfolded().getByText("1 of 6 covers and plugs still on")).isVisible();
    wren.cordLine().click();
    walkTo("Boots, right wing");
    // Meanwhile the other seat sees something at a step that was answered out there.
    ida.send("today-14", Crew.eventId(), "d-ida", "find-raised",
        Map.of("find", Crew.eventId().toString(), "step", "wa-static-r", "note", "Tape seen from the window"));
    wren.page.context().setOffline(false);
    assertThat(wren.page.getByText("Not connected")).not()
        .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
        .setTimeout(PATIENCE_MS));
    assertThat(ida.tag("Two answers to one step"))
        .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
        .setTimeout(PATIENCE_MS));
    arrived(1);
    assertThat(said()).doesNotHaveDuplicates().containsSubsequence(
        "Red covers and plugs", "Static ports, left", "Nose gear", "Right engine inlet", "Find at Right propeller",
        "Right cowl latches");
  }

  /** What is counted here is worked out a second time; the server's own count is the judge of it. */
  @Test
  public void what_a_phone_counts_without_a_network_is_what_the_server_tells_afterwards() {
    wren.page.context().setOffline(true);
    walkTo("Right main gear");
    wren.key("z");
    wren.press("Space");
    wren.key("a");
    wren.page.keyboard().type("chock in the way");
    wren.key("Control+Enter");
    wren.pressUntil("ArrowUp", "Position light, right", 40);
    wren.enter("1");
    assertThat(wren.page.locator("main").getByText("Read 1; right today: none.").first()).isVisible();
    wren.cordLine().click();
    List<String> here = wren.cordUnfolded().locator("[data-tag] span:first-child").allTextContents();
    assertThat(here).contains("Look again", "Find without a decision")
        .anyMatch(t -> t.endsWith("covers and plugs still on")).anyMatch(t -> t.endsWith("gear pins still in"));
    wren.cordUnfolded().getByText("Find without a decision").first().click();
    assertThat(wren.heading("Kept on this device")).isVisible();
    assertThat(wren.page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Kept on this device")))
        .containsText("Read 1; right today: none");
    wren.page.context().setOffline(false);
    assertThat(wren.page.getByText("Not connected")).not()
        .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
        .setTimeout(PATIENCE_MS));
    wren.until(PATIENCE_MS, () -> told().equals(Set.copyOf(here)));
  }

  private Set<String> told() {
    return JsonParser.parseString(ida.get("/api/departures/today-14")).getAsJsonObject().getAsJsonObject("progress")
        .getAsJsonArray("tags").asList().stream()
        .map(t -> t.getAsJsonObject().get("title").getAsString()).collect(Collectors.toSet());
  }

  @Test
  @Killed
  public void a_server_killed_in_the_middle_of_it_gets_the_rest_once() throws Exception {
    walkTo("Static ports, left");
    wren.page.context().setOffline(true);
    walkTo("Boots, right wing");
    AtomicInteger sent = new AtomicInteger();
    wren.page.route("**/outbox", route -> {
      if (sent.incrementAndGet() > 1) {
        route.resume();
        return;
      }
      // It takes the first half of them, and dies before it has answered.
      JsonArray events = JsonParser.parseString(route.request().postData()).getAsJsonObject().getAsJsonArray("events");
      assertThat(events.size()).as("the walk comes in one request").isGreaterThan(16);
      while (events.size() > 8) {
        events.remove(events.size() - 1);
      }
      route.fetch(new Route.FetchOptions().setPostData("{\"events\":%s}".formatted(events)));
      app.kill();
      route.abort();
    });
    wren.page.context().setOffline(false);
    wren.page.waitForCondition(() -> sent.get() >= 1, new Page.WaitForConditionOptions().setTimeout(PATIENCE_MS));
    app.startAgain();
    assertThat(wren.page.getByText("Not connected")).not()
        .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
        .setTimeout(PATIENCE_MS));
    wren.until(PATIENCE_MS, () -> said().contains("Right exhaust"));
    assertThat(said()).doesNotHaveDuplicates().contains("Static ports, left", "Nose gear pin", "Right engine inlet");
  }

  @Test
  public void twelve_photos_arrive_whole_over_a_link_that_drops() throws Exception {
    AtomicInteger tries = new AtomicInteger();
    wren.page.route("**/photos/**", route -> {
      if (tries.incrementAndGet() % 3 == 0) {
        route.abort();
      } else {
        route.resume();
      }
    });
    for (int find = 0; find < 3; find++) {
      int from = find * 4;
      Path[] four = IntStream.range(from, from + 4).mapToObj(i -> {
        try {
          return picture(i);
        } catch (IOException e) {
          throw new AssertionError(e);
        }
      }).toArray(Path[]::new);
      raise("Find %d".formatted(find), four);
    }
    arrived(12);
    for (String photo : photos()) {
      BufferedImage image = ImageIO.read(
          new java.io.ByteArrayInputStream(ida.page.request().get(app.url() + "/api/photos/" + photo).body()));
      assertThat(image.getWidth()).isEqualTo(480);
      assertThat(image.getHeight()).isEqualTo(360);
    }
    assertThat(wren.page.getByText("Sending")).not().isVisible();
  }

  @Test
  public void bad_input_is_answered_clearly_and_nothing_is_lost() throws Exception {
    Path words = Files.writeString(Files.createTempFile("photo", ".jpg"), "no picture");
    wren.button("Find").click();
    wren.page.getByLabel("What is not as it should be?").fill("Streamer missing");
    wren.page.getByLabel("Photo", new Page.GetByLabelOptions().setExact(true)).setInputFiles(words);
    assertThat(wren.page.getByText("is not a picture this device can read")).isVisible();
    wren.readable();
    assertThat(wren.page.getByLabel("What is not as it should be?")).hasValue("Streamer missing");
    wren.button("Raise the find").click();
    walkTo("Wear pins, right brakes");
    wren.enter("1000000000");
    assertThat(wren.page.getByText("is not a value anybody reads")).isVisible();
    wren.button("Read").click();
    wren.enter("four");
    assertThat(wren.page.getByText("\"four\" is not a number.")).isVisible();
    wren.enter("4,2");
    assertThat(wren.page.getByText("4.2 mm stands out")).isVisible();
    assertThat(wren.page.getByText("landings left")).isVisible();
  }

  @Test
  public void what_is_put_aside_is_called_for_before_the_doors_close() {
    walkTo("Baggage door");
    wren.key("a");
    wren.page.keyboard().type("loaders in the way");
    wren.key("Control+Enter");
    assertThat(ida.tag("Look again")).isVisible();
    wren.page.setViewportSize(1280, 800);
    wren.tag("Look again").click();
    assertThat(wren.heading("Baggage door")).isVisible();
    wren.key("Space");
    assertThat(ida.tag("Look again")).not().isVisible();
    assertThat(ida.tag("Baggage door open for loading")).isVisible();
  }

  @Test
  public void a_find_goes_to_maintenance_control_and_comes_back_cleared() {
    walkTo("Right main gear");
    wren.button("Find").click();
    wren.readable();
    wren.button("Back").click();
    raise("Leak at the brake line");
    ida.tag("Find without a decision").click();
    assertThat(ida.page.getByText("The list says: maintenance first")).isVisible();
    assertThat(ida.button("Fly with an entry")).isDisabled();
    ida.key("e");
    ida.page.keyboard().type("Union is wet");
    ida.key("Control+Enter");
    assertThat(ida.tag("Not fit to go")).isVisible();
    Crew varga = Crew.at(browser, app, ColorScheme.LIGHT);
    varga.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Lio Varga")).click();
    varga.page.getByText("Technical logs").click();
    varga.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("TL-DVA")).click();
    assertThat(varga.page.getByText("Leak at the brake line").first()).isVisible();
    varga.picture("technical-log-day");
    varga.readable();
    varga.button("Clear").click();
    varga.page.getByLabel("What was done?").fill("Union tightened, no leak at 3 000 psi");
    varga.button("Clear it").click();
    assertThat(varga.page.getByText("Nothing is open.")).isVisible();
    assertThat(ida.tag("Not fit to go")).not().isVisible();
  }

  /** The device's clock is an hour ahead: by its own time the flight would have left. */
  @Test
  public void a_device_with_a_wrong_clock_is_told_and_shows_the_right_time() {
    try (Application now = Application.demoNow()) {
      Crew late = Crew.at(browser, now, ColorScheme.LIGHT);
      late.page.context().addInitScript("const real = Date.now.bind(Date); Date.now = () => real() + 3600000;");
      late.page.reload();
      late.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Wren Adeyo")).click();
      assertThat(late.page.getByText("Ternholm – Vesk")).isVisible();
      late.takeSeat("right");
      assertThat(late.page.getByText("Device clock wrong")).isVisible();
      assertThat(late.page.locator("header").getByText("to go")).isVisible();
    }
  }
}
