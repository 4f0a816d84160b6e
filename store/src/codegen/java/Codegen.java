import java.nio.file.Files;
import java.nio.file.Path;
import org.flywaydb.core.Flyway;
import org.jooq.codegen.GenerationTool;
import org.jooq.meta.jaxb.Configuration;
import org.jooq.meta.jaxb.Database;
import org.jooq.meta.jaxb.Generate;
import org.jooq.meta.jaxb.Generator;
import org.jooq.meta.jaxb.Jdbc;
import org.jooq.meta.jaxb.Logging;
import org.jooq.meta.jaxb.Target;

/** Migrates a fresh database and generates the typed tables from it. Arguments: migrations, build directory. */
final class Codegen {
  public static void main(String[] args) throws Exception {
    Path build = Path.of(args[1]);
    Files.createDirectories(build);
    Path file = build.resolve("codegen.db");
    Files.deleteIfExists(file);
    String url = "jdbc:sqlite:" + file;
    Flyway.configure().dataSource(url, "", "").locations("filesystem:" + args[0]).load().migrate();
    GenerationTool.generate(new Configuration()
        .withLogging(Logging.WARN)
        .withJdbc(new Jdbc().withDriver("org.sqlite.JDBC").withUrl(url))
        .withGenerator(new Generator()
            .withDatabase(new Database().withExcludes("flyway_.*|sqlite_.*").withIncludeCheckConstraints(false))
            .withGenerate(new Generate().withRecords(true).withGeneratedAnnotation(false))
            .withTarget(new Target()
                .withPackageName("neatlanyard.store.generated")
                .withDirectory(build.resolve("generated-sources/jooq").toString()))));
  }
}
