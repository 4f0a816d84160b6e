package neatlanyard.server.web;

import jakarta.servlet.http.HttpServletRequest;
import neatlanyard.formats.text.Doc;
import org.springframework.http.MediaType;

/** What a request carries, by its type and address, and how large that may be. */
enum Body {
  /** A press, a sign-in, an answer. */
  WORD(256 * 1024),
  /** A part of a photo. */
  PART(1024 * 1024),
  /** A pack or a table; characters may take up to four bytes each, and a draft may stand in JSON. */
  DOCUMENT(4L * Doc.MOST_CHARACTERS);

  private static final String DRAFTS = "/api/card-previews";

  final long mostBytes;

  Body(long mostBytes) {
    this.mostBytes = mostBytes;
  }

  static Body of(HttpServletRequest request) {
    String type = String.valueOf(request.getContentType());
    if (type.startsWith(MediaType.TEXT_PLAIN_VALUE) || request.getRequestURI().equals(DRAFTS)) {
      return DOCUMENT;
    }
    return type.startsWith(MediaType.APPLICATION_OCTET_STREAM_VALUE) ? PART : WORD;
  }
}
