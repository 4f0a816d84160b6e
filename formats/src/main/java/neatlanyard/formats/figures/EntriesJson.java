package neatlanyard.formats.figures;

import java.util.List;
import neatlanyard.core.figures.entry.Cause;
import neatlanyard.formats.figures.EntriesCsv.EnteredFigure;
import neatlanyard.formats.text.Doc;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes how entered figures came about; see docs/formats/entries.md. */
public final class EntriesJson {
  private static final JsonMapper MAPPER = new JsonMapper();
  private static final double THOUSAND = 1_000;

  private EntriesJson() {}

  /** @param causes of each entry, none where it is right */
  public static String of(List<EnteredFigure> entries, List<List<Cause>> causes) {
    ArrayNode all = MAPPER.createArrayNode();
    for (int i = 0; i < entries.size(); i++) {
      EnteredFigure e = entries.get(i);
      ObjectNode node = all.addObject();
      node.put("figure", Doc.written(e.figure())).put("unit", e.unit()).put("expected", e.expected())
          .put("entered", e.entered()).put("right", causes.get(i).isEmpty());
      ArrayNode of = node.putArray("causes");
      causes.get(i).forEach(c -> of.addObject().put("slip", Doc.written(c.slip())).put("words", c.words())
          .put("likelihood", Math.round(c.likelihood() * THOUSAND) / THOUSAND));
    }
    return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(all);
  }
}
