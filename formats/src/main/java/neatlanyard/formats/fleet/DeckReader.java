package neatlanyard.formats.fleet;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import neatlanyard.core.fleet.Deck.Area;
import neatlanyard.core.fleet.Deck.Corner;
import neatlanyard.core.fleet.Deck;
import neatlanyard.formats.text.Doc;

/** Reads the deck of a ship; see docs/formats/fleet.md. */
final class DeckReader {
  private static final int MOST_CORNERS = 60;
  private static final int MOST_AREAS = 100;
  private static final String METRES = "-?\\d{1,3}(\\.\\d)?";

  private DeckReader() {}

  static Deck deck(Doc doc) {
    List<Corner> outline = corners(doc, "outline");
    if (outline.size() < 3) {
      doc.fault("outline", "A deck has at least three corners.");
    }
    List<Area> areas = doc.list("areas", DeckReader::area);
    Deck deck = new Deck(outline, areas);
    if (areas.size() > MOST_AREAS) {
      doc.fault("areas", "A deck has at most %d areas.".formatted(MOST_AREAS));
    }
    Set<String> names = new HashSet<>();
    for (Area a : areas) {
      if (!names.add(a.name())) {
        doc.fault("areas", "'%s' stands twice.".formatted(a.name()));
      }
      if (outline.size() >= 3 && !a.corners().stream().allMatch(deck::has)) {
        doc.fault("areas", "'%s' reaches over the edge of the deck.".formatted(a.name()));
      }
    }
    return deck;
  }

  private static Area area(Doc doc) {
    Area.Kind kind = doc.one("kind", Area.Kind.class);
    Area area = new Area(doc.text("name"), kind, corners(doc, "corners"), doc.text("remark", ""));
    if (doc.has("corners") && area.corners().size() < kind.least()) {
      doc.fault("corners", "A %s has at least %d.".formatted(kind.written(), kind.least()));
    }
    if (kind.hurts() && area.remark().isEmpty()) {
      doc.fault("remark", "A %s says in words what can hurt there.".formatted(kind.written()));
    }
    return area;
  }

  /** Pairs of metres with commas between them: to the right of the middle line, and ahead of the stern. */
  private static List<Corner> corners(Doc doc, String field) {
    String text = doc.text(field);
    if (text.isEmpty()) {
      return List.of();
    }
    String[] pairs = text.strip().split("\\s*,\\s*");
    if (pairs.length > MOST_CORNERS || !Stream.of(pairs).allMatch(p -> p.matches(METRES + " +" + METRES))) {
      doc.fault(field, "Wanted are at most %d pairs such as \"-12 0, 12 0, 0 250\": metres right and metres ahead."
          .formatted(MOST_CORNERS));
      return List.of();
    }
    return Stream.of(pairs).map(p -> p.split(" +"))
        .map(p -> new Corner(Double.parseDouble(p[0]), Double.parseDouble(p[1]))).toList();
  }
}
