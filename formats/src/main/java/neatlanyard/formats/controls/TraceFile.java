package neatlanyard.formats.controls;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.ByteBuffer;
import java.util.List;
import java.util.zip.GZIPInputStream;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Trace;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;

/** Control traces as files: CSV in UTF-8, by itself or packed with gzip (RFC 1952). */
public final class TraceFile {
  /** Most that a file may hold once unpacked: the longest trace with thirty columns, twice. */
  public static final int MOST_BYTES = 40_000_000;

  private TraceFile() {}

  /** Reads a trace of a type; one that would unpack to more than {@link #MOST_BYTES} is left as soon as it shows. */
  public static Read<Trace> read(byte[] file, ControlSpec spec, TraceNames names) {
    byte[] text;
    try {
      text = packed(file) ? unpacked(file) : file;
    } catch (IOException e) {
      return bad("It begins like gzip and cannot be unpacked: %s".formatted(e.getMessage()));
    }
    if (text.length > MOST_BYTES) {
      return bad("It holds more than %d MB; a trace is smaller.".formatted(MOST_BYTES / 1_000_000));
    }
    try {
      return TraceCsv.read(StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(text)).toString(), spec, names);
    } catch (CharacterCodingException e) {
      return bad("It is not text in UTF-8.");
    }
  }

  private static boolean packed(byte[] file) {
    return file.length > 2 && (file[0] & 0xff) == 0x1f && (file[1] & 0xff) == 0x8b;
  }

  private static byte[] unpacked(byte[] file) throws IOException {
    try (InputStream in = new GZIPInputStream(new ByteArrayInputStream(file))) {
      return in.readNBytes(MOST_BYTES + 1);
    }
  }

  private static Read<Trace> bad(String what) {
    return new Read.Bad<>(List.of(new Fault(0, 0, what)));
  }
}
