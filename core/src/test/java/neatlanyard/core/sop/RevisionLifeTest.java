package neatlanyard.core.sop;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.Role;
import org.testng.annotations.Test;

public class RevisionLifeTest {
  private static final CrewId ORRIN = new CrewId("orrin");
  private static final CrewId RAND = new CrewId("rand");
  private static final LocalDate TODAY = LocalDate.of(2027, 1, 14);

  private static Revision.Signed by(CrewId who) {
    return new Revision.Signed(who, Instant.EPOCH);
  }

  private static Revision draft(String name) {
    return Revision.draft(new PackId("pack"), name, "text", "sha", by(ORRIN));
  }

  private static Revision published(String name, LocalDate from) {
    return draft(name).checked(by(RAND)).published(by(ORRIN), from);
  }

  private static String code(Optional<Refusal> refusal) {
    return refusal.map(r -> r.code().written()).orElse("");
  }

  @Test
  public void a_draft_is_checked_by_a_second_person_and_published_by_standards_alone() {
    Revision draft = draft("1");
    assertThat(code(RevisionLife.checking(draft, ORRIN, Role.STANDARDS, 0))).isEqualTo("second-person");
    assertThat(code(RevisionLife.checking(draft, RAND, Role.FIRST_OFFICER, 0))).isEqualTo("not-your-role");
    assertThat(code(RevisionLife.checking(draft, RAND, Role.TRAINING, 2))).isEqualTo("unwaived-faults");
    assertThat(code(RevisionLife.checking(draft, RAND, Role.TRAINING, 0))).isEmpty();
    assertThat(code(RevisionLife.publishing(draft, Role.STANDARDS, 0, TODAY, TODAY))).isEqualTo("not-checked");
    Revision checked = draft.checked(by(RAND));
    for (Role role : Role.values()) {
      assertThat(code(RevisionLife.publishing(checked, role, 0, TODAY, TODAY)))
          .isEqualTo(role == Role.STANDARDS ? "" : "not-your-role");
    }
    assertThat(code(RevisionLife.publishing(checked, Role.STANDARDS, 0, TODAY.minusDays(1), TODAY))).isEqualTo("past");
    assertThat(code(RevisionLife.publishing(checked, Role.STANDARDS, 1, TODAY, TODAY))).isEqualTo("unwaived-faults");
  }

  @Test
  public void what_is_published_is_never_edited_and_an_edited_draft_is_checked_again() {
    assertThat(code(RevisionLife.saving(Optional.of(published("1", TODAY)), Role.STANDARDS))).isEqualTo("published");
    assertThat(code(RevisionLife.saving(Optional.empty(), Role.CAPTAIN))).isEqualTo("not-your-role");
    Revision again = draft("1").checked(by(RAND)).saved("other", "sha2", by(ORRIN));
    assertThat(again.life()).isEqualTo(Revision.Life.DRAFT);
    assertThat(again.edition()).isEqualTo(2);
  }

  @Test
  public void the_last_effective_one_holds_and_the_ones_before_are_superseded() {
    List<Revision> all = List.of(
        published("3", TODAY.plusDays(7)), published("2", TODAY), draft("4"), published("1", TODAY.minusDays(30)));
    assertThat(RevisionLife.inForce(all, new PackId("pack"), TODAY)).get().extracting(Revision::name).isEqualTo("2");
    assertThat(RevisionLife.inForce(all, new PackId("pack"), TODAY.minusDays(1))).get().extracting(Revision::name)
        .isEqualTo("1");
    assertThat(RevisionLife.inForce(all, new PackId("pack"), TODAY.minusDays(31))).isEmpty();
    assertThat(all).extracting(r -> RevisionLife.words(r, all, TODAY))
        .containsExactly("published", "in force", "draft", "superseded");
  }
}
