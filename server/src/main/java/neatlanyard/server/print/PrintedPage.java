package neatlanyard.server.print;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import neatlanyard.core.record.Characters;
import org.springframework.web.util.HtmlUtils;

/** A page to print, in one look. */
public final class PrintedPage {
  private static final String STYLE = """
      @page { size: A4; margin: 16mm;
        @bottom-right { content: counter(page) ' of ' counter(pages); font-family: sans-serif; font-size: 8pt; } }
      body { font-family: sans-serif; font-size: 10pt; }
      h1 { font-size: 16pt; margin: 0 }
      h2 { font-size: 12pt; border-bottom: 1pt solid #1E2328; }
      table { width: 100%; border-collapse: collapse; }
      td, th { text-align: left; vertical-align: top; padding: 1.2mm 2mm; border-bottom: 0.5pt solid #888; }
      td:first-child, .who { white-space: nowrap; }
      .whole { page-break-inside: avoid; }
      .late { font-weight: bold; }
      .head { font-family: monospace; font-size: 9pt; }
      img { width: 34mm; height: 34mm; }
      """;

  private PrintedPage() {}

  /** @param body XHTML; every text in it went through {@link #text} */
  public static byte[] pdf(String title, String body) {
    String html = "<html><head><title>%s</title><style>%s</style></head><body>%s</body></html>".formatted(text(title),
        STYLE, body);
    try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      new PdfRendererBuilder().withHtmlContent(html, null).withProducer("Neat Lanyard").toStream(out).run();
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public static String time(Instant at, ZoneId zone) {
    return DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm").format(at.atZone(zone));
  }

  /** A text as it can stand in a page; what was kept before such characters were refused shows by its code. */
  public static String text(String words) {
    return HtmlUtils.htmlEscape(Characters.shown(words), "UTF-8");
  }
}
