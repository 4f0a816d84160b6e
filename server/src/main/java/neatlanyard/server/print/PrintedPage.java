package neatlanyard.server.print;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Objects;
import neatlanyard.core.record.Characters;

/**
 * A page to print, from a template under {@code print} (Mustache) that is XHTML. Whatever is put into one is escaped,
 * and what was kept before such characters were refused shows by its code.
 */
public final class PrintedPage {
  private static final Mustache.Compiler TEMPLATES = Mustache.compiler()
      .emptyStringIsFalse(true).zeroIsFalse(true)
      .withFormatter(value -> Characters.shown(value.toString()))
      .withLoader(PrintedPage::open);

  private final Template template;

  private PrintedPage(Template template) {
    this.template = template;
  }

  /** @throws NullPointerException if there is no such template */
  public static PrintedPage named(String name) {
    try (Reader text = open(name)) {
      return new PrintedPage(TEMPLATES.compile(text));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Reader open(String name) {
    return new InputStreamReader(Objects.requireNonNull(
        PrintedPage.class.getResourceAsStream("/print/%s.mustache".formatted(name)), name), StandardCharsets.UTF_8);
  }

  /** @param content a record with what the template names @return a PDF */
  public byte[] pdf(Object content) {
    try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      new PdfRendererBuilder().withHtmlContent(template.execute(content), null).withProducer("Neat Lanyard")
          .toStream(out).run();
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public static String time(Instant at, ZoneId zone) {
    return DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm").format(at.atZone(zone));
  }
}
