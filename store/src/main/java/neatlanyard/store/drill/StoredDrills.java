package neatlanyard.store.drill;

import static neatlanyard.store.generated.Tables.DRILL;
import static neatlanyard.store.generated.Tables.DRILL_ANSWER;
import static neatlanyard.store.generated.Tables.DRILL_TRIAL;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import neatlanyard.core.controls.simulated.Fault.Kind;
import neatlanyard.core.drill.Answer;
import neatlanyard.core.drill.Drills;
import neatlanyard.core.drill.Hidden;
import neatlanyard.core.drill.Staircase;
import neatlanyard.core.drill.Task;
import neatlanyard.core.drill.Trial;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.DrillAnswerRecord;
import neatlanyard.store.generated.tables.records.DrillRecord;
import neatlanyard.store.generated.tables.records.DrillTrialRecord;
import org.jooq.Condition;
import org.jooq.DSLContext;

/** Drills in the database. */
public final class StoredDrills implements Drills {
  /** More than anybody looks back at; what is older than these goes. */
  private static final int MOST_ANSWERED = 200;

  /** Begun and left: one is at hand, and few may be on other devices. */
  private static final int MOST_BEGUN = 20;

  private final Database db;

  public StoredDrills(Database db) {
    this.db = db;
  }

  @Override
  public void begin(Begun drill, String plan) {
    db.write(sql -> {
      List<String> old = new ArrayList<>(after(sql, drill.who(), DRILL.ANSWERED_AT.isNotNull(), MOST_ANSWERED));
      old.addAll(after(sql, drill.who(), DRILL.ANSWERED_AT.isNull(), MOST_BEGUN - 1));
      sql.deleteFrom(DRILL_TRIAL).where(DRILL_TRIAL.DRILL.in(old)).execute();
      sql.deleteFrom(DRILL_ANSWER).where(DRILL_ANSWER.DRILL.in(old)).execute();
      sql.deleteFrom(DRILL).where(DRILL.ID.in(old)).execute();
      sql.insertInto(DRILL, DRILL.ID, DRILL.WHO, DRILL.TYPE, DRILL.TASK, DRILL.SEED, DRILL.PLAN, DRILL.BEGUN_AT)
          .values(drill.id().toString(), drill.who().value(), drill.type().value(), drill.task().name(), drill.seed(),
              plan, drill.at().toEpochMilli())
          .execute();
    });
  }

  private static List<String> after(DSLContext sql, CrewId who, Condition which, int most) {
    return sql.select(DRILL.ID).from(DRILL).where(DRILL.WHO.eq(who.value()), which)
        .orderBy(DRILL.BEGUN_AT.desc(), DRILL.ID).offset(most).fetch(DRILL.ID);
  }

  @Override
  public Optional<Begun> find(UUID id) {
    return db.rows(sql -> sql.selectFrom(DRILL).where(DRILL.ID.eq(id.toString())), StoredDrills::begun).stream()
        .findFirst();
  }

  @Override
  public Optional<String> plan(UUID id) {
    return db.read(sql -> sql.select(DRILL.PLAN).from(DRILL).where(DRILL.ID.eq(id.toString()))
        .fetchOptional(DRILL.PLAN));
  }

  @Override
  public boolean answer(Answered drill) {
    boolean[] kept = {false};
    String id = drill.begun().id().toString();
    db.write(sql -> {
      kept[0] = sql.update(DRILL).set(DRILL.ANSWERED_AT, drill.at().toEpochMilli())
          .set(DRILL.LIMITS, drill.after().limits()).set(DRILL.FOUND, drill.after().found())
          .where(DRILL.ID.eq(id), DRILL.ANSWERED_AT.isNull()).execute() == 1;
      if (kept[0]) {
        keep(sql, id, drill);
      }
    });
    return kept[0];
  }

  private static void keep(DSLContext sql, String id, Answered drill) {
    List<DrillAnswerRecord> answers = new ArrayList<>();
    for (Answer a : drill.answers()) {
      answers.add(new DrillAnswerRecord(id, answers.size(), a.stoppedS().orElse(null), a.shownS().orElse(null),
          a.passed(), a.callsRight(), a.callsWrong(), a.complete() ? 1 : 0, a.tookS()));
    }
    List<DrillTrialRecord> trials = new ArrayList<>();
    for (Trial t : drill.trials()) {
      trials.add(new DrillTrialRecord(id, trials.size(), t.round(), t.hidden().map(h -> h.kind().name()).orElse(null),
          t.hidden().map(Hidden::surface).orElse(null), t.size(), t.limits(), t.outcome().name(),
          t.reactionS().orElse(null)));
    }
    sql.batchInsert(answers).execute();
    sql.batchInsert(trials).execute();
  }

  @Override
  public List<Answered> of(CrewId who) {
    Map<String, List<Answer>> answers = db.rows(sql -> sql.select(DRILL_ANSWER.fields()).from(DRILL_ANSWER)
        .join(DRILL).on(DRILL.ID.eq(DRILL_ANSWER.DRILL)).where(DRILL.WHO.eq(who.value()))
        .orderBy(DRILL_ANSWER.ROUND), r -> r.into(DRILL_ANSWER)).stream()
        .collect(Collectors.groupingBy(DrillAnswerRecord::getDrill,
            Collectors.mapping(StoredDrills::answer, Collectors.toList())));
    Map<String, List<Trial>> trials = db.rows(sql -> sql.select(DRILL_TRIAL.fields()).from(DRILL_TRIAL)
        .join(DRILL).on(DRILL.ID.eq(DRILL_TRIAL.DRILL)).where(DRILL.WHO.eq(who.value()))
        .orderBy(DRILL_TRIAL.NUMBER), r -> r.into(DRILL_TRIAL)).stream()
        .collect(Collectors.groupingBy(DrillTrialRecord::getDrill,
            Collectors.mapping(StoredDrills::trial, Collectors.toList())));
    // Not what was drawn: it is long, and a list of drills does not ask for it.
    return db.rows(sql -> sql.select(DRILL.ID, DRILL.WHO, DRILL.TYPE, DRILL.TASK, DRILL.SEED, DRILL.BEGUN_AT,
        DRILL.ANSWERED_AT, DRILL.LIMITS, DRILL.FOUND).from(DRILL)
        .where(DRILL.WHO.eq(who.value()), DRILL.ANSWERED_AT.isNotNull())
        .orderBy(DRILL.BEGUN_AT.desc(), DRILL.ID), r -> r.into(DRILL)).stream().map(r -> new Answered(
        begun(r), Instant.ofEpochMilli(r.getAnsweredAt()), answers.getOrDefault(r.getId(), List.of()),
        trials.getOrDefault(r.getId(), List.of()), new Staircase(r.getLimits(), r.getFound()))).toList();
  }

  private static Begun begun(DrillRecord r) {
    return new Begun(UUID.fromString(r.getId()), new CrewId(r.getWho()), new TypeId(r.getType()),
        Task.valueOf(r.getTask()), r.getSeed(), Instant.ofEpochMilli(r.getBegunAt()));
  }

  private static Answer answer(DrillAnswerRecord r) {
    return new Answer(Optional.ofNullable(r.getStoppedS()), Optional.ofNullable(r.getShownS()), r.getPassed(),
        r.getCallsRight(), r.getCallsWrong(), r.getComplete() == 1, r.getTookS());
  }

  private static Trial trial(DrillTrialRecord r) {
    Optional<Hidden> hidden = Optional.ofNullable(r.getKind()).map(k -> new Hidden(Kind.valueOf(k), r.getSurface()));
    return new Trial(r.getRound(), hidden, r.getSize(), r.getLimits(), Trial.Outcome.valueOf(r.getOutcome()),
        Optional.ofNullable(r.getReactionS()));
  }
}
