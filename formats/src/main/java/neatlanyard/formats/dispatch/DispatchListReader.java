package neatlanyard.formats.dispatch;

import java.util.HashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import neatlanyard.core.dispatch.Category;
import neatlanyard.core.dispatch.DispatchList;
import neatlanyard.core.dispatch.DispatchList.Entry;
import neatlanyard.core.dispatch.DispatchList.Extra;
import neatlanyard.core.dispatch.DispatchList.NotTogether;
import neatlanyard.core.dispatch.EntryId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.StepId;
import neatlanyard.formats.sop.ConditionReader;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;

/** Reads a list of what may be inoperative or missing; see docs/formats/dispatch-list.md. */
public final class DispatchListReader {
  public static final String FORMAT = "neat-lanyard/dispatch-list/1";

  private static final int MOST = 500;

  private final Set<EntryId> seen = new HashSet<>();
  private final ConditionReader conditions = ConditionReader.undeclared();

  private DispatchListReader() {}

  public static Read<DispatchList> read(String text) {
    return Doc.read(text, doc -> new DispatchListReader().list(doc));
  }

  private DispatchList list(Doc doc) {
    doc.format(FORMAT);
    List<Entry> entries = doc.list("entries", this::entry);
    List<NotTogether> pairs = doc.list("not-together", this::pair);
    Set<StepId> added = new HashSet<>();
    entries.stream().flatMap(e -> e.adds().stream()).map(Extra::id).filter(i -> !added.add(i)).forEach(i ->
        doc.fault("entries", "A step '%s' is added twice.".formatted(i)));
    return new DispatchList(doc.of("type", TypeId::new, "x1"), doc.text("title"), doc.text("revision"), entries,
        pairs);
  }

  private Entry entry(Doc doc) {
    EntryId id = doc.of("id", EntryId::new, "x");
    if (!seen.add(id)) {
      doc.fault("id", "An entry '%s' stands twice.".formatted(id));
    }
    Category category = doc.one("category", Category.class);
    int days = doc.has("days") ? doc.whole("days", 0, 365) : 0;
    if (doc.text("category", "").equals("a") != doc.has("days")) {
      doc.fault("days", "Category a states its days, and only that one does.");
    }
    int installed = doc.whole("installed", 1, MOST);
    int required = doc.whole("required", 0, MOST);
    if (required >= installed) {
      doc.fault("required", "%d of %d must work, so none may be out: that is no entry.".formatted(required,
          installed));
    }
    return new Entry(
        id, doc.text("title"), category, days, installed, required, doc.text("operating", ""),
        doc.text("maintenance", ""),
        conditions.read(doc), doc.has("below-ft") ? OptionalInt.of(doc.whole("below-ft", 100, 60_000))
        : OptionalInt.empty(),
        doc.text("placard", ""), doc.values("steps", StepId::new, "x"), doc.list("adds", DispatchListReader::extra));
  }

  private static Extra extra(Doc doc) {
    return new Extra(
        doc.of("id", StepId::new, "x"), doc.of("in", ProcedureId::new, "x"), doc.of("at", PlaceId::new, "x"),
        doc.text("challenge"), doc.text("response"));
  }

  private NotTogether pair(Doc doc) {
    List<EntryId> both = doc.values("entries", EntryId::new, "x");
    both.stream().filter(e -> !seen.contains(e))
        .forEach(e -> doc.fault("entries", "There is no entry '%s'.".formatted(e)));
    if (both.size() != 2 || both.getFirst().equals(both.getLast())) {
      doc.fault("entries", "It wants two different entries, not %s.".formatted(
          both.stream().map(EntryId::value).collect(Collectors.joining(", "))));
      return new NotTogether(new EntryId("x"), new EntryId("y"), "");
    }
    return new NotTogether(both.getFirst(), both.getLast(), doc.text("why"));
  }
}
