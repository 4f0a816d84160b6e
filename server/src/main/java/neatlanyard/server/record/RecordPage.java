package neatlanyard.server.record;

import static neatlanyard.server.print.PrintedPage.text;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.log.Entry;
import neatlanyard.core.record.Account;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Interruption;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.print.PrintedPage;

/**
 * The record in short, to be filed: times, who was called away, what was not as the card has it, and the chain's head.
 */
final class RecordPage {
  /** More would make it longer than two pages; the rest stands in the record itself. */
  private static final int MOST_DEVIATIONS = 45;

  /** Pixels a module of the code, so that a printer keeps its edges. */
  private static final int SCALE = 6;

  private final DepartureState d;
  private final Account account;
  private final ZoneId zone;
  private final Map<CrewId, String> names;

  RecordPage(Departure departure, ZoneId zone) {
    this.d = departure.state();
    this.account = Account.of(d, departure.picture().beads());
    this.zone = zone;
    this.names = d.opened().crew().stream().collect(Collectors.toMap(CrewMember::id, CrewMember::name));
  }

  /** @param log the whole log @param head the hash of its last entry */
  byte[] pdf(List<Entry> log, String head) {
    Flight flight = d.opened().flight();
    String title = "%s, %s".formatted(flight.number(), d.opened().tail().id());
    String crew = flight.crew().stream().map(r -> "%s, %s%s".formatted(
        names.getOrDefault(r.who(), r.who().value()), Doc.written(r.seat()), r.commander() ? ", commander" : ""))
        .collect(Collectors.joining("; "));
    String facts = "<h1>%s</h1><p>%s to %s, planned %s. %s.<br/>Procedures: %s revision %s. %s</p>".formatted(
        text(title), text(flight.from().value()), text(flight.to().value()), PrintedPage.time(flight.departs(), zone),
        text(crew),
        text(d.opened().pack().value()), text(d.opened().revision()),
        d.tiedOff().map(t -> "Tied off by %s at %s, %d entries.".formatted(text(name(t.by())), clock(t.at()),
        log.size())).orElse(""));
    return PrintedPage.pdf(title, facts + stages() + away() + deviations(log) + chain(head));
  }

  private String stages() {
    String rows = account.stages().stream()
        .map(s -> "<tr><td>%s</td><td>%s</td><td>%s</td><td%s>%s</td></tr>".formatted(
        s.stage().title(), s.planned().map(this::clock).orElse(""), s.real().map(this::clock).orElse("not finished"),
        s.late().filter(Duration::isPositive).isPresent() ? " class=\"late\"" : "", s.late().map(RecordPage::late)
        .orElse(""))).collect(Collectors.joining());
    return ("<h2>Times</h2><table><tr><th>Stage</th><th>Planned "
        + "by</th><th>Finished</th><th></th></tr>%s</table>").formatted(rows);
  }

  private static String late(Duration late) {
    return "%d min %s".formatted(late.abs().toMinutes(), late.isNegative() ? "early" : "late");
  }

  private String away() {
    List<Interruption> all = account.interruptions();
    String rows = all.stream().map(i -> "<tr><td>%s</td><td>%s</td><td>%s</td></tr>".formatted(
        clock(i.from()), text(name(i.by())), i.length().map(RecordPage::length).orElse("did not go on")))
        .collect(Collectors.joining());
    return "<h2>Called away</h2>" + (all.isEmpty() ? "<p>Never.</p>"
        : "<table>%s</table><p>%s, %s together.</p>".formatted(rows, all.size() == 1 ? "Once" : all.size() + " times",
        length(account.away())));
  }

  private static String length(Duration d) {
    return "%d:%02d".formatted(d.toMinutes(), d.toSecondsPart());
  }

  private String deviations(List<Entry> log) {
    EntryWords words = new EntryWords(d.pack());
    List<Entry> all = log.stream().filter(e -> Account.deviates(e.event())).toList();
    Stream<Entry> shown = all.stream().limit(MOST_DEVIATIONS);
    String rows = shown.map(e -> "<tr><td>%s</td><td class=\"who\">%s</td><td>%s</td></tr>".formatted(
        clock(e.happened()), text(name(e.by())), text(words.of(e)))).collect(Collectors.joining());
    String rest = all.size() > MOST_DEVIATIONS
        ? "<p>And %d more, in the record.</p>".formatted(all.size() - MOST_DEVIATIONS) : "";
    return "<h2>Not as the card has it</h2>"
        + (all.isEmpty() ? "<p>Nothing.</p>" : "<table>%s</table>%s".formatted(rows, rest));
  }

  private static String chain(String head) {
    return ("<div class=\"whole\"><h2>The record</h2><p>Head of its chain, to be given to the check of the "
        + "record:</p><p class=\"head\">%s</p><p><img src=\"data:image/png;base64,%s\" alt=\"\"/></p></div>")
        .formatted(text(head), Base64.getEncoder().encodeToString(code(head)));
  }

  /** A QR code (ISO/IEC 18004) as PNG. */
  static byte[] code(String words) {
    try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      BitMatrix modules = new QRCodeWriter()
          .encode(words, BarcodeFormat.QR_CODE, 0, 0, Map.of(EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.M));
      BufferedImage image = new BufferedImage(modules.getWidth() * SCALE, modules.getHeight() * SCALE,
          BufferedImage.TYPE_BYTE_BINARY);
      for (int y = 0; y < image.getHeight(); y++) {
        for (int x = 0; x < image.getWidth(); x++) {
          image.setRGB(x, y, modules.get(x / SCALE, y / SCALE) ? 0 : 0xFFFFFF);
        }
      }
      ImageIO.write(image, "png", out);
      return out.toByteArray();
    } catch (WriterException e) {
      throw new IllegalStateException("A head does not fit a code: " + words, e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private String name(CrewId who) {
    return names.getOrDefault(who, who.value());
  }

  private String clock(Instant at) {
    return DateTimeFormatter.ofPattern("HH:mm").format(at.atZone(zone));
  }
}
