package neatlanyard.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Playwright;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;

/** The demo started anew for each test, and a browser beside it. */
@SuppressWarnings("NullAway.Init") // The set-up fills the fields.
abstract class AtTheDemo {
  Application app;
  Browser browser;
  private Playwright playwright;

  @BeforeMethod
  final void open() {
    app = Application.demo();
    playwright = Playwright.create();
    browser = Crew.browser(playwright);
  }

  @AfterMethod(alwaysRun = true)
  final void close() throws InterruptedException {
    playwright.close();
    app.close();
  }
}
