package neatlanyard.cli;

import java.io.IOException;
import java.nio.charset.MalformedInputException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;

/** Files that a command reads, and what it says of those that it cannot. */
final class InputFile {
  private InputFile() {}

  /** What cannot be read, and why, a line each. */
  static final class Unreadable extends Exception {
    private static final long serialVersionUID = 1;
    private final transient List<String> lines;

    Unreadable(List<String> lines) {
      this.lines = lines;
    }

    List<String> lines() {
      return lines;
    }
  }

  static <T> T good(Path file, Read<T> read) throws Unreadable {
    return switch (read) {
      case Read.Good<T> good -> good.value();
      case Read.Bad<T> bad -> throw new Unreadable(
          bad.faults().stream().map(Fault::words).map(f -> "%s: %s".formatted(file, f)).toList());
    };
  }

  static String text(Path file) throws Unreadable {
    try {
      // A character takes at most four bytes; what is longer is refused without being read.
      if (Files.size(file) <= 4L * Doc.MOST_CHARACTERS) {
        return Files.readString(file);
      }
      throw unreadable(file, "it has %d bytes".formatted(Files.size(file)));
    } catch (MalformedInputException e) {
      throw unreadable(file, "it is not text in UTF-8");
    } catch (IOException e) {
      throw unreadable(file, Files.exists(file) ? "it cannot be opened" : "there is none");
    }
  }

  private static Unreadable unreadable(Path file, String why) {
    return new Unreadable(List.of("%s cannot be read: %s.".formatted(file, why)));
  }
}
