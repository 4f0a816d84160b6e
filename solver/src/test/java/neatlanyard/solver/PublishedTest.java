package neatlanyard.solver;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Length;
import neatlanyard.core.timeline.Person;
import neatlanyard.core.timeline.PersonId;
import neatlanyard.core.timeline.Planner.Outcome;
import neatlanyard.core.timeline.Wait;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Published job shops: a machine is somebody, a job an order of activities, a unit of time a second. */
public class PublishedTest {
  private static final Duration WITHIN = Duration.ofSeconds(60);

  /** Machine and time, machine and time, a job a line; both instances, and the optimum of the second, from memory. */
  @DataProvider
  public Object[][] shops() {
    return new Object[][] {
      {"ft06, 6 by 6, optimum 55: Fisher and Thompson, Industrial Scheduling, 1963", 55, """
        2 1 0 3 1 6 3 7 5 3 4 6
        1 8 2 5 4 10 5 10 0 10 3 4
        2 5 3 4 5 8 0 9 1 1 4 7
        1 5 0 5 2 5 3 3 4 8 5 9
        2 9 1 3 4 5 5 4 0 3 3 1
        1 3 3 3 5 9 0 10 4 4 2 1"""},
      {"la01, 10 by 5, optimum 666: Lawrence, Resource constrained project scheduling, 1984", 666, """
        1 21 0 53 4 95 3 55 2 34
        0 21 3 52 4 16 2 26 1 71
        3 39 4 98 1 42 2 31 0 12
        1 77 0 55 4 79 2 66 3 77
        0 83 3 34 2 64 1 19 4 37
        1 54 2 43 4 79 0 92 3 62
        3 69 4 77 1 87 2 87 0 93
        2 38 0 60 1 41 3 24 4 83
        3 17 1 49 4 25 0 44 2 98
        4 77 3 79 2 43 1 75 0 96"""}};
  }

  @Test(dataProvider = "shops")
  public void the_published_optimum_is_found_and_shown(String source, int optimum, String jobs) {
    Demands d = shop(jobs);
    Outcome.Planned p = (Outcome.Planned) new ConstraintPlanner(1).plan(d, Optional.empty(), WITHIN);
    assertThat(d.broken(p.timeline())).isEmpty();
    assertThat(p.timeline().departs(d).toSeconds()).as("%s", source).isEqualTo(optimum);
    assertThat(p.earliest()).isTrue();
  }

  /** For the smaller: the other one is not through with the larger in a minute. */
  @Test
  public void another_solver_finds_the_same() {
    Object[] smaller = shops()[0];
    SecondOpinionTest.Opinion other = SecondOpinionTest.opinion(shop((String) smaller[2]));
    assertThat(other.certain()).isTrue();
    assertThat(other.departs()).contains((Integer) smaller[1]);
  }

  private static Demands shop(String text) {
    List<Activity> all = new ArrayList<>();
    List<Wait> waits = new ArrayList<>();
    int machines = 0;
    for (String line : text.strip().split("\n")) {
      int[] job = List.of(line.strip().split(" ")).stream().mapToInt(Integer::parseInt).toArray();
      for (int i = 0; i < job.length; i += 2) {
        machines = Math.max(machines, job[i] + 1);
        all.add(new Activity(Instances.id(all.size()), "job", List.of(Set.of(machine(job[i]))),
            Length.always(Duration.ofSeconds(job[i + 1])), Optional.empty(), Duration.ZERO, Optional.empty()));
        if (i > 0) {
          waits.add(new Wait(Instances.id(all.size() - 2), Instances.id(all.size() - 1), Duration.ZERO,
              Optional.empty(), ""));
        }
      }
    }
    return new Demands(IntStream.range(0, machines).mapToObj(m -> new Person(machine(m), "Machine " + m)).toList(),
        all, waits, List.of(), List.of(), List.of(), Duration.ZERO, Optional.empty());
  }

  private static PersonId machine(int number) {
    return new PersonId("m" + number);
  }
}
