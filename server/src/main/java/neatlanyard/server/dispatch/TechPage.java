package neatlanyard.server.dispatch;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.stream.Collectors;
import neatlanyard.server.dispatch.TechViews.DefectView;
import neatlanyard.server.dispatch.TechViews.TechLogView;
import org.springframework.web.util.HtmlUtils;

/** A technical log as a page to print. */
final class TechPage {
  private static final String STYLE = """
      @page { size: A4; margin: 16mm; @bottom-right { content: counter(page) ' of ' counter(pages); font-size: 8pt; } }
      body { font-family: sans-serif; font-size: 10pt; } h1 { font-size: 16pt; margin: 0 } h2 { font-size: 12pt; border-bottom: 1pt solid #1E2328; }
      table { width: 100%; border-collapse: collapse; } td, th { text-align: left; vertical-align: top; padding: 2mm; border-bottom: 0.5pt solid #888; }
      .late { font-weight: bold; }""";

  private TechPage() {}

  static byte[] pdf(TechLogView log, Instant at, ZoneId zone) {
    String html = "<html><head><title>%s</title><style>%s</style></head><body><h1>%s, technical log</h1><p>%s. %s. Licensed maintenance releases; this page does not.</p>%s%s%s</body></html>".formatted(
        text(log.tail()), STYLE, text(log.tail()), text(log.list()), time(at, zone),
        part("Open, not deferred", log.open(), zone), part("Deferred", log.deferred(), zone), part("Cleared", log.cleared(), zone));
    try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      new PdfRendererBuilder().withHtmlContent(html, null).withProducer("Neat Lanyard").toStream(out).run();
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String part(String title, List<DefectView> defects, ZoneId zone) {
    String rows = defects.stream().map(d -> "<tr><td>%s<br/>%s</td><td>%s</td><td>%s</td></tr>".formatted(
        time(d.raisedAt(), zone), text(d.raisedBy()),
        d.lines().stream().map(l -> text(l.words())).collect(Collectors.joining("<br/>")),
        d.terms().map(t -> "<span class=\"%s\">%s %s<br/>until the end of %s, %s</span>".formatted(
            t.runOut() ? "late" : "", text(t.entry()), text(t.title()), t.lastDay(), t.left())).orElse(""))).collect(Collectors.joining());
    return "<h2>%s</h2>%s".formatted(
        title, defects.isEmpty() ? "<p>None.</p>" : "<table><tr><th>Found</th><th>What</th><th>Terms</th></tr>%s</table>".formatted(rows));
  }

  private static String time(Instant at, ZoneId zone) {
    return DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm").format(at.atZone(zone));
  }

  private static String text(String words) {
    return HtmlUtils.htmlEscape(words, "UTF-8");
  }
}
