package neatlanyard.formats.figures;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import neatlanyard.core.figures.Icing;
import neatlanyard.core.figures.Loading;
import neatlanyard.core.figures.Loading.Chord;
import neatlanyard.core.figures.Loading.Corner;
import neatlanyard.core.figures.Loading.Most;
import neatlanyard.core.figures.Loading.Place;
import neatlanyard.core.figures.Loading.Trim;
import neatlanyard.core.figures.Loading.Weighing;
import neatlanyard.core.figures.RunwayState;
import neatlanyard.core.figures.TakeoffTables;
import neatlanyard.core.figures.TakeoffType;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.figures.WindLimits;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.formats.figures.TakeoffTablesReader.Tables;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;

/** Reads what the figures of a type rest on, besides its tables; see docs/formats/type-figures.md. */
public final class TypeFiguresReader {
  public static final String FORMAT = "neat-lanyard/type-figures/1";
  private static final int MOST_KG = 700_000;
  private static final double MOST_ARM_M = 100;
  private static final int MOST_KT = 300;

  private static final TakeoffTables NOTHING = new TakeoffTables(Map.of());

  private final Function<TypeId, Optional<Tables>> tables;

  private TypeFiguresReader(Function<TypeId, Optional<Tables>> tables) {
    this.tables = tables;
  }

  /** @param tables the take-off tables of a type, where there are any */
  public static Read<TypeFigures> read(String text, Function<TypeId, Optional<Tables>> tables) {
    return Doc.read(text, new TypeFiguresReader(tables)::type);
  }

  private TypeFigures type(Doc doc) {
    doc.format(FORMAT);
    TypeId type = doc.of("type", TypeId::new, "x1");
    Optional<TakeoffTables> found = tables.apply(type).map(Tables::tables);
    if (found.isEmpty()) {
      doc.fault("type", "There are no take-off tables of the %s yet; they come first.".formatted(type));
    }
    TakeoffTables its = found.orElse(NOTHING);
    doc.text("note", "");
    String edition = doc.text("edition");
    Loading loading = doc.inner("loading", TypeFiguresReader::loading).orElse(NO_LOADING);
    List<WindLimits> winds = doc.list("winds", TypeFiguresReader::winds);
    if (winds.isEmpty()) {
      doc.fault("winds", "At least the type's own wind limits are wanted.");
    }
    Icing icing = doc.inner("icing", d -> new Icing(d.whole("at-or-below-c", -20, 20),
        d.whole("visibility-under-m", 0, 10_000))).orElse(new Icing(0, 0));
    double agrees = doc.number("agrees-within-kg", 0, 5_000);
    TakeoffType takeoff = doc.inner("take-off", d -> takeoff(d, its)).orElseGet(() -> new TakeoffType(
        its, 2, 0, 0, 0, 0, 0, false, List.of(), 0, false, OptionalInt.empty(), 0));
    Optional<String> landing = doc.has("landing-flap") ? Optional.of(doc.text("landing-flap")) : Optional.empty();
    landing.filter(flap -> !its.lands(flap, RunwayState.DRY) || !its.lands(flap, RunwayState.WET)).ifPresent(flap ->
        doc.fault("landing-flap", "There are no landing tables of flap %s for dry and for wet.".formatted(flap)));
    return new TypeFigures(type, edition, loading, winds, icing, agrees, takeoff, landing);
  }

  private static final Loading NO_LOADING = new Loading(Map.of(), new Chord(0, 1), new Most(0, 0, 0, 0), List.of(),
      List.of(), List.of(), 0, List.of(), List.of(), Optional.empty());

  private static Loading loading(Doc doc) {
    Map<TailId, Weighing> weighings = new HashMap<>();
    doc.list("weighings", d -> weighings.put(d.of("tail", TailId::new, "XX"),
        new Weighing(d.number("kg", 100, MOST_KG), d.number("arm-m", -MOST_ARM_M, MOST_ARM_M))) == null);
    Chord chord = doc.inner("chord", d -> new Chord(d.number("leading-edge-m", -MOST_ARM_M, MOST_ARM_M),
        d.number("length-m", 0.1, 30))).orElse(new Chord(0, 1));
    Most most = doc.inner("most", d -> new Most(d.whole("zero-fuel-kg", 100, MOST_KG),
        d.whole("taxi-kg", 100, MOST_KG), d.whole("take-off-kg", 100, MOST_KG),
        d.whole("landing-kg", 100, MOST_KG))).orElse(new Most(0, 0, 0, 0));
    List<Corner> envelope = doc.list("envelope", d -> new Corner(d.number("percent", -100, 200),
        d.number("kg", 0, MOST_KG)));
    if (envelope.size() < 3) {
      doc.fault("envelope", "An envelope has at least three corners.");
    }
    return new Loading(weighings, chord, most, places(doc, "cabins"), places(doc, "holds"), places(doc, "tanks"),
        doc.whole("passenger-kg", 30, 200), envelope, trim(doc), doc.has("by-hand") ? doc.inner("by-hand",
        d -> new Loading.ByHand(d.whole("passengers", 0, 99), d.whole("kg", 0, 9_999))) : Optional.empty());
  }

  private static List<Place> places(Doc doc, String field) {
    List<Place> places = doc.list(field, d -> new Place(d.text("id"), d.text("name"),
        d.number("arm-m", -MOST_ARM_M, MOST_ARM_M), d.whole("most-kg", 1, MOST_KG)));
    if (places.stream().map(Place::id).distinct().count() < places.size()) {
      doc.fault(field, "A name stands twice.");
    }
    return places;
  }

  private static List<Trim> trim(Doc doc) {
    List<Trim> rows = doc.list("trim", d -> new Trim(d.number("percent", -100, 200), d.number("setting", -50, 50),
        d.number("least", -50, 50), d.number("most", -50, 50)));
    for (int i = 0; i < rows.size(); i++) {
      Trim row = rows.get(i);
      if (i > 0 && row.percent() <= rows.get(i - 1).percent()) {
        doc.fault("trim", "The rows do not rise at row %d.".formatted(i + 1));
      }
      if (row.setting() < row.least() || row.setting() > row.most()) {
        doc.fault("trim", "The setting of row %d is outside its band.".formatted(i + 1));
      }
    }
    return rows;
  }

  private static WindLimits winds(Doc doc) {
    Map<RunwayState, Integer> cross = new EnumMap<>(RunwayState.class);
    doc.inner("cross-kt", d -> {
      for (RunwayState state : RunwayState.values()) {
        if (d.has(Doc.written(state))) {
          cross.put(state, d.whole(Doc.written(state), 0, MOST_KT));
        }
      }
      return cross;
    });
    return new WindLimits(cross, doc.whole("tail-kt", 0, MOST_KT), doc.text("whose"));
  }

  private static TakeoffType takeoff(Doc doc, TakeoffTables its) {
    int engines = doc.whole("engines", 1, 4);
    boolean one = engines == 1;
    return new TakeoffType(its, engines, one ? 0 : doc.whole("least-v1-kt", 1, MOST_KT),
        one ? 0 : doc.whole("vmc-kt", 1, MOST_KT), doc.whole("tyre-kt", 1, MOST_KT),
        doc.number("anti-ice-c", 0, 30, 0),
        doc.number("air-conditioning-c", 0, 30, 0), doc.yes("assumes-temperature", false),
        doc.values("steps-percent", Integer::parseInt, "100"), doc.whole("least-thrust-percent", 50, 100),
        doc.yes("reduced-on-contaminated", false),
        doc.has("gravel-percent") ? OptionalInt.of(doc.whole("gravel-percent", 0, 100)) : OptionalInt.empty(),
        doc.has("short-strip-m") ? doc.whole("short-strip-m", 0, 6_000) : 0);
  }
}
