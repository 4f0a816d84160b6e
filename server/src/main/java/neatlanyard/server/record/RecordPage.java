package neatlanyard.server.record;

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
import java.util.Optional;
import java.util.stream.Collectors;
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
import org.jspecify.annotations.Nullable;

/**
 * The record in short, to be filed: times, who was called away, what was not as the card has it, and the chain's head.
 */
final class RecordPage {
  private static final PrintedPage PAGE = PrintedPage.named("record");

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

  private record Content(
      String title, String from, String to, String departs, String crew, String pack, String revision, String tiedOff,
      List<StageLine> stages, @Nullable Away away, @Nullable Deviations deviations, String head, String code) {}

  /** @param difference from what was planned, in words @param late whether that is late */
  private record StageLine(String name, String planned, String finished, boolean late, String difference) {}

  private record Away(List<AwayLine> times, String often, String together) {}

  private record AwayLine(String from, String who, String length) {}

  /** @param more how many the page has no room for */
  private record Deviations(List<DeviationLine> lines, int more) {}

  private record DeviationLine(String at, String who, String what) {}

  /** @param log the whole log @param head the hash of its last entry */
  byte[] pdf(List<Entry> log, String head) {
    Flight flight = d.opened().flight();
    String crew = flight.crew().stream().map(r -> "%s, %s%s".formatted(
        name(r.who()), Doc.written(r.seat()), r.commander() ? ", commander" : ""))
        .collect(Collectors.joining("; "));
    String tiedOff = d.tiedOff().map(t -> "Tied off by %s at %s, %d entries.".formatted(
        name(t.by()), clock(t.at()), log.size())).orElse("");
    return PAGE.pdf(new Content(
        "%s, %s".formatted(flight.number(), d.opened().tail().id()), flight.from().value(), flight.to().value(),
        PrintedPage.time(flight.departs(), zone), crew, d.opened().pack().value(), d.opened().revision(), tiedOff,
        account.stages().stream().map(this::stage).toList(), away().orElse(null), deviations(log).orElse(null), head,
        Base64.getEncoder().encodeToString(code(head))));
  }

  private StageLine stage(Account.StageTime s) {
    return new StageLine(
        s.stage().title(), s.planned().map(this::clock).orElse(""), s.real().map(this::clock).orElse("not finished"),
        s.late().filter(Duration::isPositive).isPresent(), s.late().map(RecordPage::late).orElse(""));
  }

  private static String late(Duration late) {
    return "%d min %s".formatted(late.abs().toMinutes(), late.isNegative() ? "early" : "late");
  }

  private Optional<Away> away() {
    List<AwayLine> times = account.interruptions().stream().map(i -> new AwayLine(
        clock(i.from()), name(i.by()), i.length().map(RecordPage::length).orElse("did not go on"))).toList();
    return times.isEmpty() ? Optional.empty()
        : Optional.of(new Away(times, times.size() == 1 ? "Once" : times.size() + " times", length(account.away())));
  }

  private static String length(Duration d) {
    return "%d:%02d".formatted(d.toMinutes(), d.toSecondsPart());
  }

  private Optional<Deviations> deviations(List<Entry> log) {
    EntryWords words = new EntryWords(d.pack(), e -> false);
    List<Entry> all = log.stream().filter(e -> Account.deviates(e.event())).toList();
    return all.isEmpty() ? Optional.empty() : Optional.of(new Deviations(
        all.stream().limit(MOST_DEVIATIONS)
            .map(e -> new DeviationLine(clock(e.happened()), name(e.by()), words.of(e))).toList(),
        Math.max(0, all.size() - MOST_DEVIATIONS)));
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
