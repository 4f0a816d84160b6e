package neatlanyard.formats.sop;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import neatlanyard.core.record.Characters;
import neatlanyard.core.sop.draft.PrintedItem;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.text.Rows;

/** Reads an operator's printed checklist, as a table or as plain text; see docs/pack-draft.md. */
public final class PrintedListReader {
  private static final List<String> NEEDED = List.of("list", "item", "response");
  private static final List<String> ALSO = List.of("who", "where");
  /** What stands between an item and its response: a tab, dots, a colon, a dash with blanks, many blanks. */
  private static final Pattern ITEM = Pattern.compile(
      "^\\s*(\\S.*?)(?:\\t+|\\s*\\.{2,}\\s*|:\\s+|\\s+[-–—]\\s+|\\s{3,})(\\S.*?)\\s*$");
  private static final int MOST_ITEMS = 2_000;
  private static final int LONGEST = 200;

  private PrintedListReader() {}

  /** A table where its first line names the columns, else text. */
  public static Read<List<PrintedItem>> read(String text) {
    String head = text.lines().findFirst().orElse("");
    List<String> columns = Stream.of(head.split(",", -1)).map(String::strip).toList();
    Read<List<PrintedItem>> read = columns.containsAll(NEEDED) ? table(text, columns) : text(text);
    return switch (read) {
      case Read.Good<List<PrintedItem>> good when good.value().isEmpty() -> new Read.Bad<>(List.of(new Fault(0, 0,
          "It has no items: a table has the columns list, item, response; a text an item and its response a line.")));
      default -> read;
    };
  }

  private static Read<List<PrintedItem>> table(String text, List<String> columns) {
    List<String> all = Stream.concat(NEEDED.stream(), ALSO.stream().filter(columns::contains)).toList();
    return Rows.read(text, all, MOST_ITEMS, r -> {
      PrintedItem item = new PrintedItem(r.line(), r.text("list"), r.text("item"), r.text("response"),
          all.contains("who") ? r.text("who") : "", all.contains("where") ? r.text("where") : "");
      if (Stream.of(item.list(), item.challenge(), item.response())
          .anyMatch(s -> s.isBlank() || s.length() > LONGEST)) {
        r.fault("List, item and response have 1 to %d letters.".formatted(LONGEST));
      }
      return item;
    });
  }

  private static Read<List<PrintedItem>> text(String text) {
    List<Fault> faults = new ArrayList<>();
    List<PrintedItem> items = new ArrayList<>();
    String list = "";
    int line = 0;
    for (String written : text.lines().toList()) {
      line++;
      if (written.isBlank()) {
        continue;
      }
      int at = line;
      Characters.fault(written).ifPresent(why -> faults.add(new Fault(at, 0, why)));
      Matcher item = written.length() > 2 * LONGEST ? ITEM.matcher("") : ITEM.matcher(written);
      if (!item.matches()) {
        list = written.strip().replaceAll("[:.]+$", "");
      } else if (list.isEmpty()) {
        faults.add(new Fault(line, 0, "An item stands under no heading."));
      } else {
        items.add(new PrintedItem(line, list, item.group(1).strip(), item.group(2).strip(), "", ""));
      }
      if (list.length() > LONGEST || items.size() > MOST_ITEMS) {
        faults.add(new Fault(line, 0, "A heading has %d letters and a list %d items at most.".formatted(LONGEST,
            MOST_ITEMS)));
        break;
      }
    }
    return faults.isEmpty() ? new Read.Good<>(items) : new Read.Bad<>(faults);
  }
}
