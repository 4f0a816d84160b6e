package neatlanyard.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * Who may do what: the table of docs/security.md against the running server, an operation of its description a row.
 */
public class RolesTest extends AtTheServer {
  private static final Path TABLE = Given.ROOT.resolve("docs/security.md");
  private static final String BEGIN = "<!-- roles: begin -->";
  private static final String END = "<!-- roles: end -->";

  /**
   * As the table's columns name them, with who stands for each; the first is on the crew of the departure that is
   * asked about.
   */
  private static final Map<String, String> WHO = new LinkedHashMap<>();

  static {
    WHO.put("its crew", "adeyo");
    WHO.put("other captain", "quill");
    WHO.put("standards", "orrin");
    WHO.put("training", "rand");
    WHO.put("maintenance", "varga");
    WHO.put("administrator", "administrator");
    WHO.put("nobody signed in", "");
  }

  /** Refusals that say "not you", whatever is asked; all other answers mean that it may be asked. */
  private static final Set<String> NOT_YOU =
      Set.of("not-your-role", "not-rostered", "no-seat", "maintenance-only", "not-signed-in");

  private static final Map<String, String> NAMES = Map.of(
      "{number}", "999999",      "{departure}", "today-14", "{tail}", "TL-DVA", "{type}", "dovrin-46", "{revision}",
      "2026-12", "{sha256}", "0".repeat(64), "{name}", "recorder", "{phase}", "securing", "{kind}",
      "fuelling");

  private static String path(String template) {
    String path = template
        .replace("/api/departures/{id}", "/api/departures/today-14").replace("/api/packs/{id}", "/api/packs/dovrin-46")
        .replace("/api/accounts/{id}", "/api/accounts/nobody").replace("/api/flights/{id}", "/api/flights/no-such")
        .replace("{id}", "01a2b3c4-0000-7000-8000-000000000000");
    for (Map.Entry<String, String> name : NAMES.entrySet()) {
      path = path.replace(name.getKey(), name.getValue());
    }
    return path + switch (template) {
      case "/api/departures/{departure}/photos/{id}" -> "?sha256=" + "0".repeat(64) + "&total=10&from=0";
      case "/api/packs/{id}/{revision}/changes" -> "?since=2026-11";
      case "/api/departures/{id}/plan/beginning" -> "?what=x.1&at=2027-01-14T07:40:00Z";
      case "/api/recordings", "/api/recordings/rewritten" -> "?type=dovrin-46";
      default -> "?edition=77";
    };
  }

  /** What is asked, so that nothing changes where it may be: an edition, a flight, a find that is not there. */
  private Http.Answer ask(Http http, String method, String template, JsonNode operation) {
    String path = path(template);
    List<String> types = new ArrayList<>(operation.path("requestBody").path("content").propertyNames());
    return switch (method) {
      case "get" -> template.endsWith("/stream") ? http.opened(path) : http.get(path);
      case "delete" -> http.delete(path);
      default -> types.contains("text/plain") ? http.text(path, "x")
          : types.contains("application/octet-stream") ? http.bytes(path, new byte[] {1})
          : http.post(path, body(template));
    };
  }

  private static String body(String template) {
    return switch (template) {
      case "/api/departures/{id}/events" -> event();
      case "/api/departures/{id}/outbox" -> "{\"events\":[%s]}".formatted(event());
      case "/api/departures/{id}/controls" -> "{\"device\":\"d1\",\"behaviour\":\"sound\"}";
      case "/api/departures/{id}/aircraft" -> "{\"device\":\"d1\",\"behaviour\":\"as-said\"}";
      case "/api/card-previews" ->
          "{\"document\":\"x\",\"days\":[{\"tail\":\"TL-DVA\",\"flying\":\"left\",\"from\":\"QTRN\",\"to\":\"QVSK\","
              + "\"report\":\"\","
          + "\"dark\":false,\"circumstances\":[],\"measured\":{}}]}";
      case "/api/tails/{tail}/log" -> "{\"kind\":\"cleared\",\"words\":\"x\"}";
      case "/api/packs/{id}/{revision}/publish" -> "{\"effective\":\"2027-01-14\"}";
      case "/api/session" -> "{\"who\":\"marsk\",\"password\":\"%s\"}".formatted(Given.PASSWORDS.get("marsk"));
      case "/api/packs/{id}/{revision}/next" -> "{\"revision\":\"../x\"}";
      default -> "{}";
    };
  }

  private static String event() {
    return "{\"id\":\"%s\",\"device\":\"d1\",\"kind\":\"does-not-fit\",\"body\":{\"step\":\"x\",\"words\":\"x\"}}"
        .formatted(Http.uuid7());
  }

  private static boolean may(Http.Answer answer) {
    boolean said = answer.text().startsWith("{") && NOT_YOU.contains(answer.code())
        // Each event of an outbox is answered by itself.
        || NOT_YOU.stream().map("[{\"refused\":{\"code\":\"%s\""::formatted).anyMatch(answer.text()::startsWith);
    return answer.status() != 401 && answer.status() != 403 && !said;
  }

  private List<String> rows() {
    Http standards = in("orrin");
    crewIn(in("adeyo"), in("marsk"));
    Map<String, Http> people = new HashMap<>();
    List<String> rows = new ArrayList<>();
    standards.get("/v3/api-docs").json().path("paths").propertyStream()
        .forEach(p -> p.getValue().propertyStream().forEach(o -> {
          String asked = WHO.values().stream()
              .map(who -> may(ask(people.computeIfAbsent(who, this::device), o.getKey(), p.getKey(), o.getValue()))
                  ? "yes" : "–")
              .collect(Collectors.joining(" | "));
          rows.add("| `%s %s` | %s |".formatted(o.getKey().toUpperCase(Locale.ROOT), p.getKey(), asked));
          if (p.getKey().equals("/api/session")) {
            // It signed them in or out.
            people.clear();
          }
        }));
    return rows.stream().sorted().toList();
  }

  private Http device(String who) {
    return who.isEmpty() ? new Http(port) : in(who);
  }

  /** The interface's description is made from the code, so a new operation without a row fails here. */
  @Test
  public void the_table_of_operations_and_roles_holds_against_the_running_server() throws IOException {
    String text = Files.readString(TABLE);
    String head = "\n| operation | %s |\n|---|%s\n".formatted(String.join(" | ", WHO.keySet()),
        "---|".repeat(WHO.size()));
    String table = head + String.join("\n", rows()) + "\n";
    if (System.getProperty("lanyard.refresh") != null) {
      Files.writeString(TABLE, text.substring(0, text.indexOf(BEGIN) + BEGIN.length()) + table
          + text.substring(text.indexOf(END)));
    }
    String written = Files.readString(TABLE);
    assertThat(written.substring(written.indexOf(BEGIN) + BEGIN.length(), written.indexOf(END)).lines().toList())
        .containsExactlyElementsOf(table.lines().toList());
  }
}
