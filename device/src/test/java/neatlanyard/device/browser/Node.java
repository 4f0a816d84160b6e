package neatlanyard.device.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Runs what was compiled for a browser in an engine that a browser has. */
final class Node {
  static final Path ROOT = Path.of(System.getProperty("lanyard.root", ".."));

  private Node() {}

  /** @param module as in {@code device/target/browser} @param script as in {@code device/src/test/js} */
  static List<JsonNode> run(String script, String module, String asked) throws IOException, InterruptedException {
    Path device = ROOT.resolve("device");
    Path folder = Files.createTempDirectory("device");
    Path in = folder.resolve("asked.json");
    Path out = folder.resolve("answered.json");
    Files.writeString(in, asked);
    Process node = new ProcessBuilder("node", device.resolve("src/test/js/" + script).toString(),
        device.resolve("target/browser/" + module).toString(), in.toString(), out.toString())
        .redirectErrorStream(true).start();
    String said = new String(node.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(node.waitFor()).as(said).isZero();
    List<JsonNode> answers = new ArrayList<>();
    new JsonMapper().readTree(Files.readString(out)).forEach(answers::add);
    return answers;
  }
}
