package neatlanyard.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.testng.annotations.Test;

/** How the house is built: see docs/architecture.md. */
public class HouseTest {
  private static final JavaClasses HOUSE =
      new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests())
          // What makes strange inputs comes as a jar of another module's tests.
          .withImportOption(location -> !location.contains("-tests.jar")).importPackages("neatlanyard");

  @Test
  public void the_core_stands_alone() {
    noClasses().that().resideInAPackage("neatlanyard.core..")
        .should().dependOnClassesThat()
        .resideOutsideOfPackages("neatlanyard.core..", "java..", "org.jspecify..", "org.logicng..", "org.hipparchus..",
        "org.pcollections..")
        .check(HOUSE);
    // The libraries of the core, each only where it is needed.
    noClasses().that().resideInAPackage("neatlanyard.core..").and().resideOutsideOfPackage("neatlanyard.core.state..")
        .should().dependOnClassesThat().resideInAPackage("org.pcollections..")
        .check(HOUSE);
    noClasses().that().resideInAPackage("neatlanyard.core..").and().resideOutsideOfPackage("neatlanyard.core.proof..")
        .should().dependOnClassesThat().resideInAPackage("org.logicng..")
        .check(HOUSE);
    noClasses().that().resideInAPackage("neatlanyard.core..")
        .and().resideOutsideOfPackages("neatlanyard.core.trend..", "neatlanyard.core.drill..")
        .should().dependOnClassesThat().resideInAPackage("org.hipparchus..")
        .check(HOUSE);
    noClasses().that().resideInAPackage("neatlanyard.core..")
        .should().dependOnClassesThat().resideInAnyPackage("java.io..", "java.nio.file..", "java.sql..", "java.net..")
        .check(HOUSE);
  }

  /** Time and chance are passed in. */
  @Test
  public void the_core_has_no_clock_and_no_dice() {
    noClasses().that().resideInAPackage("neatlanyard.core..")
        .should().callMethod(java.time.Instant.class, "now")
        .orShould().callMethod(System.class, "currentTimeMillis")
        .orShould().callMethod(System.class, "nanoTime")
        .orShould().callMethod(java.util.UUID.class, "randomUUID")
        .orShould().dependOnClassesThat().belongToAnyOf(java.util.Random.class, java.time.Clock.class)
        .check(HOUSE);
  }

  @Test
  public void formats_and_store_know_only_the_core() {
    noClasses().that().resideInAPackage("neatlanyard.formats..")
        .should().dependOnClassesThat()
        .resideInAnyPackage("neatlanyard.device..", "neatlanyard.store..", "neatlanyard.server..",
        "neatlanyard.solver..", "org.springframework..", "org.jooq..")
        .check(HOUSE);
    noClasses().that().resideInAPackage("neatlanyard.device..")
        .should().dependOnClassesThat()
        .resideInAnyPackage("neatlanyard.store..", "neatlanyard.server..", "org.springframework..", "org.jooq..")
        .check(HOUSE);
    noClasses().that().resideInAPackage("neatlanyard.store..")
        .should().dependOnClassesThat()
        .resideInAnyPackage("neatlanyard.formats..", "neatlanyard.server..", "org.springframework..")
        .check(HOUSE);
    noClasses().that().resideInAPackage("neatlanyard.server..")
        .should().dependOnClassesThat().resideInAnyPackage("org.jooq..", "java.sql..", "neatlanyard.store.generated..")
        .check(HOUSE);
  }

  @Test
  public void no_rooms_run_in_a_circle() {
    slices().matching("neatlanyard.core.(*)..").should().beFreeOfCycles().check(HOUSE);
    slices().matching("neatlanyard.formats.(*)..").should().beFreeOfCycles().check(HOUSE);
    slices().matching("neatlanyard.device.(*)..").should().beFreeOfCycles().check(HOUSE);
    slices().matching("neatlanyard.server.(*)..").should().beFreeOfCycles().check(HOUSE);
    slices().matching("neatlanyard.store.(*)..").should().beFreeOfCycles().check(HOUSE);
  }

  /** What happened, how it stands, what each part of the job makes of that, and at the top what may come next. */
  @Test
  public void the_rooms_of_a_departure_stand_one_on_the_other() {
    List<String> rooms = List.of("log", "state", "flow", "checklist", "lanyard", "record", "departure");
    for (int i = 0; i < rooms.size() - 1; i++) {
      noClasses().that().resideInAPackage("neatlanyard.core.%s..".formatted(rooms.get(i)))
          .should().dependOnClassesThat().resideInAnyPackage(
          rooms.subList(i + 1, rooms.size()).stream().map("neatlanyard.core.%s.."::formatted).toArray(String[]::new))
          .check(HOUSE);
    }
  }

  @Test
  public void lines_end_before_120_characters() throws IOException {
    Predicate<Path> written = f -> f.toString().matches(".*/src/.*\\.(java|ts|tsx|css|mustache)")
        && !f.toString().matches(".*(/node_modules/|/target/|api\\.gen\\.ts).*");
    try (Stream<Path> files = Files.walk(Given.ROOT)) {
      List<Path> sources = files.filter(written).toList();
      assertThat(sources).hasSizeGreaterThan(300).anyMatch(f -> f.endsWith("theme/global.css"));
      for (Path file : sources) {
        assertThat(Files.readAllLines(file)).as(file.toString())
            .allMatch(line -> line.codePointCount(0, line.length()) < 120);
      }
    }
  }
}
