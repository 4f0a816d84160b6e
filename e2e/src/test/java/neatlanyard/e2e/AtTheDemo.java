package neatlanyard.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.lang.reflect.Method;
import java.util.List;
import org.testng.ITestResult;
import org.testng.annotations.AfterClass;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;

/** The demo started anew for each test, and a browser beside it, of which each test has contexts of its own. */
@SuppressWarnings("NullAway.Init") // The set-up fills the fields.
abstract class AtTheDemo {
  Application app;
  Browser browser;
  private Playwright playwright;

  @BeforeClass
  final void browse() {
    playwright = Playwright.create();
    browser = Crew.browser(playwright);
  }

  @BeforeMethod
  final void open(Method test) {
    app = test.isAnnotationPresent(Killed.class) ? Application.packaged() : Application.demo();
  }

  @AfterMethod(alwaysRun = true)
  final void close(ITestResult result) {
    try {
      if (!result.isSuccess()) {
        browser.contexts().stream().flatMap(c -> c.pages().stream()).forEach(AtTheDemo::tell);
      }
    } finally {
      List.copyOf(browser.contexts()).forEach(BrowserContext::close);
      app.close();
    }
  }

  /** What a page showed when a test failed: where it is slower than here, nobody can look. */
  private static void tell(Page page) {
    System.err.printf("%s%n%s%n", page.url(), page.locator("body").innerText().replaceAll("\\s*\n", "\n"));
  }

  @AfterClass(alwaysRun = true)
  final void browsed() {
    playwright.close();
  }
}
