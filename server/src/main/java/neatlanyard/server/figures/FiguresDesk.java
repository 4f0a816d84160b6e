package neatlanyard.server.figures;

import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.locks.ReentrantLock;
import java.util.stream.Stream;
import neatlanyard.core.figures.FiguresTexts;
import neatlanyard.core.figures.FiguresTexts.Kind;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.record.Chain;
import neatlanyard.formats.figures.HoldoverReader;
import neatlanyard.formats.figures.TakeoffTablesReader;
import neatlanyard.formats.figures.TypeFiguresReader;
import neatlanyard.formats.text.Read;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.work.HeavyWork;
import org.springframework.stereotype.Service;

/** What figures rest on, brought in as texts: a type's figures, its take-off tables, the operator's holdover times. */
@Service
public class FiguresDesk {
  private final FiguresTexts texts;
  private final InstantSource clock;
  private final HeavyWork heavy;
  private final Map<TypeId, Held> held = new ConcurrentHashMap<>();
  private final List<Runnable> listeners = new CopyOnWriteArrayList<>();
  private final ReentrantLock one = new ReentrantLock();

  FiguresDesk(FiguresTexts texts, InstantSource clock, HeavyWork heavy) {
    this.texts = texts;
    this.clock = clock;
    this.heavy = heavy;
  }

  /** Is told when another text holds. */
  public void onChange(Runnable listener) {
    listeners.add(listener);
  }

  /**
   * What a type's figures rest on.
   *
   * @param type empty until its tables and its figures were brought in
   * @param holdover the operator's; without rows where none were brought in
   * @param inForce the texts it was read from
   */
  public record Held(Optional<TypeFigures> type, Holdover holdover, List<FiguresTexts.Text> inForce) {
    /** SHA-256 of the texts. */
    public List<String> texts() {
      return inForce.stream().map(FiguresTexts.Text::sha256).toList();
    }
  }

  public Held held(TypeId type) {
    return held.computeIfAbsent(type, this::read);
  }

  private Held read(TypeId type) {
    Optional<FiguresTexts.Text> figures = texts.inForce(Kind.TYPE_FIGURES, Optional.of(type));
    Optional<FiguresTexts.Text> tables = texts.inForce(Kind.TAKEOFF_TABLES, Optional.of(type));
    Optional<FiguresTexts.Text> times = texts.inForce(Kind.HOLDOVER, Optional.empty());
    return new Held(figures.map(t -> TypeFiguresReader.read(t.content(), of -> tables.map(FiguresDesk::tables))
        .orThrow("the figures of the type " + type)),
        times.map(t -> HoldoverReader.read(t.content()).orThrow("the holdover times")).orElse(Holdover.NONE),
        Stream.of(figures, tables, times).flatMap(Optional::stream).toList());
  }

  private static TakeoffTablesReader.Tables tables(FiguresTexts.Text text) {
    return TakeoffTablesReader.read(text.content()).orThrow("take-off tables");
  }

  /** A text as it was brought in, also one that holds no more. @throws Problem if there is none of that hash */
  FiguresTexts.Text text(String sha256) {
    return texts.find(sha256).orElseThrow(() -> Problem.notFound("No such text was brought in."));
  }

  /** The texts in force. */
  List<FiguresTexts.Text> all() {
    return texts.all();
  }

  public boolean none() {
    return texts.all().isEmpty();
  }

  /**
   * Brings in take-off tables. Where figures of their type are here already, these must fit them.
   *
   * @throws Problem naming every fault
   */
  public TakeoffTablesReader.Tables bringInTables(String text, CrewId by) {
    return heavy.run(by.value(), HeavyWork.Kind.IMPORT, stop -> {
      TakeoffTablesReader.Tables read = good("The take-off tables have faults.", TakeoffTablesReader.read(text));
      texts.inForce(Kind.TYPE_FIGURES, Optional.of(read.type())).ifPresent(t ->
          good("The figures of the type do not fit these tables.", TypeFiguresReader.read(t.content(), read::of)));
      keep(new FiguresTexts.Text(Kind.TAKEOFF_TABLES, Optional.of(read.type()), read.edition(),
          Chain.sha256(text), text, by, clock.instant()));
      return read;
    });
  }

  /** Brings in the figures of a type, whose tables are here. @throws Problem naming every fault */
  public TypeFigures bringInType(String text, CrewId by) {
    return heavy.run(by.value(), HeavyWork.Kind.IMPORT, stop -> {
      TypeFigures read = good("The figures have faults.", TypeFiguresReader.read(text, type ->
          texts.inForce(Kind.TAKEOFF_TABLES, Optional.of(type)).map(FiguresDesk::tables)));
      keep(new FiguresTexts.Text(Kind.TYPE_FIGURES, Optional.of(read.type()), read.edition(), Chain.sha256(text),
          text, by, clock.instant()));
      return read;
    });
  }

  /** Brings in the operator's holdover times. @throws Problem naming every fault */
  public Holdover bringInHoldover(String text, CrewId by) {
    return heavy.run(by.value(), HeavyWork.Kind.IMPORT, stop -> {
      Holdover read = good("The holdover times have faults.", HoldoverReader.read(text));
      keep(new FiguresTexts.Text(Kind.HOLDOVER, Optional.empty(), read.edition(), Chain.sha256(text), text, by,
          clock.instant()));
      return read;
    });
  }

  private static <T> T good(String what, Read<T> read) {
    return switch (read) {
      case Read.Good<T> good -> good.value();
      case Read.Bad<T> bad -> throw Problem.faulty(what, bad.faults());
    };
  }

  private void keep(FiguresTexts.Text text) {
    one.lock();
    try {
      texts.add(text);
      held.clear();
    } finally {
      one.unlock();
    }
    listeners.forEach(Runnable::run);
  }
}
