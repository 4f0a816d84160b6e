package neatlanyard.server.files;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A file of text to be kept. */
public final class TextFile {
  public static final String CSV = "text/csv";

  private TextFile() {}

  public static ResponseEntity<String> csv(String name, String text) {
    return of(CSV, name, text);
  }

  public static ResponseEntity<String> of(String type, String name, String text) {
    return ResponseEntity.ok().contentType(new MediaType(MediaType.parseMediaType(type), StandardCharsets.UTF_8))
        .header(HttpHeaders.CONTENT_DISPOSITION, ContentDisposition.attachment().filename(name).build().toString())
        .body(text);
  }
}
