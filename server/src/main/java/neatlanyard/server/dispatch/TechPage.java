package neatlanyard.server.dispatch;

import static neatlanyard.server.print.PrintedPage.text;
import static neatlanyard.server.print.PrintedPage.time;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Collectors;
import neatlanyard.server.dispatch.TechViews.DefectView;
import neatlanyard.server.dispatch.TechViews.TechLogView;
import neatlanyard.server.print.PrintedPage;

/** A technical log as a page to print. */
final class TechPage {
  private TechPage() {}

  static byte[] pdf(TechLogView log, Instant at, ZoneId zone) {
    return PrintedPage.pdf(log.tail(),
        "<h1>%s, technical log</h1><p>%s. %s. Licensed maintenance releases; this page does not.</p>%s%s%s".formatted(
        text(log.tail()), text(log.list()), time(at, zone),
        part("Open, not deferred", log.open(), zone), part("Deferred", log.deferred(), zone),
        part("Cleared", log.cleared(), zone)));
  }

  private static String part(String title, List<DefectView> defects, ZoneId zone) {
    String rows = defects.stream().map(d -> "<tr><td>%s<br/>%s</td><td>%s</td><td>%s</td></tr>".formatted(
        time(d.raisedAt(), zone), text(d.raisedBy()),
        d.lines().stream().map(l -> text(l.words())).collect(Collectors.joining("<br/>")),
        d.terms().map(t -> "<span class=\"%s\">%s %s<br/>until the end of %s, %s</span>".formatted(
            t.runOut() ? "late" : "", text(t.entry()), text(t.title()), t.lastDay(), t.left())).orElse("")))
            .collect(Collectors.joining());
    return "<h2>%s</h2>%s".formatted(
        title, defects.isEmpty() ? "<p>None.</p>"
        : "<table><tr><th>Found</th><th>What</th><th>Terms</th></tr>%s</table>".formatted(rows));
  }
}
