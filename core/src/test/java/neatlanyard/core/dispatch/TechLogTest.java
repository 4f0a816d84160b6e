package neatlanyard.core.dispatch;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.UUID;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.Condition;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Properties of a technical log, over many made at random through the same admission as maintenance control's. */
public class TechLogTest {
  private static final TailId TAIL = new TailId("TL-XXX");
  private static final ZoneId ZONE = ZoneOffset.ofHours(13);
  private static final Instant BEGIN = Instant.parse("2027-01-14T12:00:00Z");
  private static final DispatchList LIST = new DispatchList(
      new TypeId("type"), "List", "1",
      List.of(entry("a", Category.A, 4), entry("b", Category.B, 0), entry("c", Category.C, 0),
      entry("d", Category.D, 0)), List.of());

  private static DispatchList.Entry entry(String id, Category category, int days) {
    return new DispatchList.Entry(
        new EntryId(id), "thing " + id, category, days, 3, 1, "", "", new Condition.Always(), OptionalInt.empty(), "",
        List.of(), List.of());
  }

  private record Made(List<TechEntry> lines, Instant now) {}

  /** A log of what was admitted, out of many things tried at random over some weeks. */
  private static Made random(long seed) {
    Random random = new Random(seed);
    List<TechEntry> lines = new ArrayList<>();
    Instant now = BEGIN;
    for (int i = 0; i < 120; i++) {
      now = now.plusSeconds(random.nextInt(36_000));
      UUID defect = new UUID(1, random.nextInt(6));
      LocalDate day = LocalDate.ofInstant(now, ZONE).plusDays(random.nextInt(30) - 5L);
      TechAct act = switch (random.nextInt(4)) {
        case 0 -> new TechAct.Raised(defect, Optional.empty(), Optional.empty(), Optional.empty(), "something");
        case 1 -> new TechAct.Deferred(defect, LIST.entries().get(random.nextInt(4)).id(), 1 + random.nextInt(3), day,
            "why");
        case 2 -> new TechAct.Extended(defect, day, "why longer");
        default -> new TechAct.Cleared(defect, "mended");
      };
      if (TechLog.of(lines).refusal(act, Role.MAINTENANCE, LIST, now, ZONE).isEmpty()) {
        lines.add(new TechEntry(TAIL, now, new CrewId("varga"), "Lio Varga", act));
      }
    }
    return new Made(lines, now);
  }

  @DataProvider
  static Object[][] seeds() {
    return new Random(17).longs(60).mapToObj(s -> new Object[] {s}).toArray(Object[][]::new);
  }

  @Test(dataProvider = "seeds")
  public void whatever_is_admitted_no_deferral_outlives_its_category(long seed) {
    Made made = random(seed);
    TechLog log = TechLog.of(made.lines());
    for (Defect d : log.all()) {
      assertThat(d.lines().getFirst().act()).isInstanceOf(TechAct.Raised.class);
      assertThat(d.cleared() && d.deferred().isPresent()).as("cleared or deferred, not both").isFalse();
      assertThat(d.lines().stream().filter(l -> l.act() instanceof TechAct.Cleared).count()).isLessThanOrEqualTo(1);
      d.deferred().ifPresent(t -> {
        DispatchList.Entry e = LIST.entry(t.entry()).orElseThrow();
        LocalDate last = e.category().lastDay(e.days(), d.first().at(), ZONE);
        LocalDate farthest = e.category().mayBeExtended() ? last.plusDays(e.category().days()) : last;
        assertThat(t.lastDay()).isBeforeOrEqualTo(farthest);
        assertThat(t.count()).isBetween(1, e.installed() - e.required());
        assertThat(t.extended()).isLessThanOrEqualTo(1);
      });
    }
    assertThat(log.deferrals(LIST, ZONE))
        .hasSize((int) log.all().stream().filter(d -> d.deferred().isPresent()).count());
  }

  @Test(dataProvider = "seeds")
  public void a_log_read_twice_says_the_same_and_one_more_line_changes_one_defect(long seed) {
    Made made = random(seed);
    TechLog whole = TechLog.of(made.lines());
    assertThat(TechLog.of(made.lines()).all()).isEqualTo(whole.all());
    TechLog before = TechLog.of(made.lines().subList(0, made.lines().size() - 1));
    UUID last = made.lines().getLast().act().defect();
    assertThat(whole.all().stream().filter(d -> !d.id().equals(last)).toList())
        .isEqualTo(before.all().stream().filter(d -> !d.id().equals(last)).toList());
    assertThat(whole.defect(last)).get().extracting(d -> d.lines().getLast()).isEqualTo(made.lines().getLast());
  }

  @Test(dataProvider = "seeds")
  public void nobody_but_maintenance_control_writes(long seed) {
    Made made = random(seed);
    for (Role role : Role.values()) {
      TechAct act = new TechAct.Raised(new UUID(2, 2), Optional.empty(), Optional.empty(), Optional.empty(), "x");
      boolean refused = TechLog.of(made.lines()).refusal(act, role, LIST, made.now(), ZONE).isPresent();
      assertThat(refused).as("%s", role).isEqualTo(role != Role.MAINTENANCE);
    }
  }

  /** The day of discovery is the operator's: 12:00 UTC on the 14th is already the 15th there. */
  @Test
  public void days_left_are_counted_in_the_operators_zone() {
    UUID id = new UUID(3, 3);
    List<TechEntry> lines = List.of(
        new TechEntry(TAIL, BEGIN, new CrewId("varga"), "Lio Varga",
        new TechAct.Raised(id, Optional.empty(), Optional.empty(), Optional.empty(), "x")),
        new TechEntry(TAIL, BEGIN, new CrewId("varga"), "Lio Varga",
        new TechAct.Deferred(id, new EntryId("b"), 1, LocalDate.of(2027, 1, 18), "x")));
    Deferral d = TechLog.of(lines).deferrals(LIST, ZONE).getFirst();
    assertThat(d.daysLeft(BEGIN)).isEqualTo(3);
    assertThat(d.runOut(Instant.parse("2027-01-18T10:59:00Z"))).as("still the 18th").isFalse();
    assertThat(d.runOut(Instant.parse("2027-01-18T11:00:00Z"))).as("the 19th there").isTrue();
  }

  @Test
  public void a_line_about_a_defect_that_was_never_raised_is_passed_over() {
    TechEntry orphan = new TechEntry(TAIL, BEGIN, new CrewId("varga"), "Lio Varga",
        new TechAct.Cleared(new UUID(4, 4), "x"));
    assertThat(TechLog.of(List.of(orphan)).all()).isEmpty();
  }

  @Test
  public void what_happened_and_what_is_left_read_as_a_crew_says_them() {
    UUID id = new UUID(5, 5);
    LocalDate day = LocalDate.of(2027, 1, 18);
    assertThat(List.of(
        new TechAct.Raised(id, Optional.empty(), Optional.empty(), Optional.empty(), "bulb out"),
        new TechAct.Deferred(id, new EntryId("b"), 1, day, "none in stock"),
        new TechAct.Extended(id, day, "on order"), new TechAct.Cleared(id, "changed")).stream().map(TechAct::told))
        .containsExactly(
            "bulb out", "Deferred under b until the end of 2027-01-18: none in stock",
            "Extended until the end of 2027-01-18: on order", "Cleared: changed");
    assertThat(List.of(-1L, 0L, 1L, 9L).stream().map(Deferral::left))
        .containsExactly("run out", "last day", "1 day left", "9 days left");
  }
}
