package neatlanyard.server.figures;

import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.locks.ReentrantLock;
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
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.work.HeavyWork;
import org.springframework.stereotype.Service;

/** What figures rest on, brought in as texts: a type's figures, its take-off tables, the operator's holdover times. */
@Service
public class FiguresDesk {
  private final FiguresTexts texts;
  private final InstantSource clock;
  private final HeavyWork heavy;
  private final Map<TypeId, Optional<TypeFigures>> types = new ConcurrentHashMap<>();
  private final Map<Kind, Holdover> holdover = new ConcurrentHashMap<>();
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

  /** The figures of a type with its tables; empty until both were brought in. */
  public Optional<TypeFigures> type(TypeId type) {
    return types.computeIfAbsent(type, t -> tables(t).flatMap(tables ->
        texts.inForce(Kind.TYPE_FIGURES, Optional.of(t)).map(x ->
        TypeFiguresReader.read(x.content(), tables).orThrow("the figures of the type " + t))));
  }

  private Optional<TakeoffTablesReader.Tables> tables(TypeId type) {
    return texts.inForce(Kind.TAKEOFF_TABLES, Optional.of(type)).map(t ->
        TakeoffTablesReader.read(t.content()).orThrow("the take-off tables of " + type));
  }

  /** The operator's holdover times; without rows where none were brought in. */
  public Holdover holdover() {
    return holdover.computeIfAbsent(Kind.HOLDOVER, k -> texts.inForce(k, Optional.empty())
        .map(t -> HoldoverReader.read(t.content()).orThrow("the holdover times")).orElse(Holdover.NONE));
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
          good("The figures of the type do not fit these tables.", TypeFiguresReader.read(t.content(), read)));
      keep(new FiguresTexts.Text(Kind.TAKEOFF_TABLES, Optional.of(read.type()), read.edition(),
          Chain.sha256(text), text, by, clock.instant()));
      return read;
    });
  }

  /** Brings in the figures of a type. @throws Problem naming every fault, or where its tables are not here yet */
  public TypeFigures bringInType(String text, CrewId by) {
    return heavy.run(by.value(), HeavyWork.Kind.IMPORT, stop -> {
      TypeId type = TypeFiguresReader.type(text).orElseThrow(() -> Problem.bad(ProblemCode.FAULTY,
          "It does not say which type it is of, in the field 'type'."));
      TakeoffTablesReader.Tables tables = tables(type).orElseThrow(() -> Problem.bad(ProblemCode.FAULTY,
          "The take-off tables of the %s are not here yet; bring them in first.".formatted(type)));
      TypeFigures read = good("The figures have faults.", TypeFiguresReader.read(text, tables));
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
      types.clear();
      holdover.clear();
    } finally {
      one.unlock();
    }
    listeners.forEach(Runnable::run);
  }
}
