package neatlanyard.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Every line of the pack author's guide, in the order in which it is read. */
public class PackGuideTest {
  private static final Path GUIDE = Path.of(System.getProperty("lanyard.root", ".."), "docs/pack-guide.md");
  private static final Pattern BLOCK = Pattern.compile("```(yaml|text)\\n(.*?)```", Pattern.DOTALL);

  @Test
  public void the_pieces_make_a_pack_and_the_check_says_of_them_what_the_guide_says() throws IOException {
    Path pack = Files.createTempDirectory("guide").resolve("paddle-2.yaml");
    StringBuilder text = new StringBuilder();
    int asked = 0;
    for (var block : BLOCK.matcher(Files.readString(GUIDE)).results().toList()) {
      if (block.group(1).equals("yaml")) {
        text.append(block.group(2));
        continue;
      }
      asked++;
      Files.writeString(pack, text);
      StringWriter said = new StringWriter();
      Lanyard.commands().setOut(new PrintWriter(said)).execute("check", pack.toString());
      List<String> lines = said.toString().replace(pack.toString(), "paddle-2.yaml").lines().toList();
      assertThat(lines).as("after %d pieces", asked).containsAll(block.group(2).lines().toList());
    }
    assertThat(asked).isEqualTo(2);
  }
}
