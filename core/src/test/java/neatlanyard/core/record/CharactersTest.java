package neatlanyard.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.Test;

public class CharactersTest {
  /**
   * Second opinion: what XML 1.0 (2.2 Char) allows, written out; less the controls of 7F to 9F and what turns a text's
   * direction.
   */
  @Test
  public void carries_what_xml_carries_and_says_where_something_else_is() {
    for (int c = 0; c <= Character.MAX_CODE_POINT; c++) {
      boolean xml = c == 9 || c == 10 || c == 13 || c >= 0x20 && c <= 0xd7ff || c >= 0xe000 && c <= 0xfffd
          || c >= 0x10000;
      String text = "ab" + Character.toString(c);
      if (!xml) {
        assertThat(Characters.fault(text)).as("U+%04X", c).isPresent();
      }
    }
    assertThat(Characters.fault("Böen, 25 °C, 雪, 𝕏, e\u0301, \ttab\r\nline")).isEmpty();
    assertThat(Characters.fault("a\u0007b"))
        .contains("It has a character that no document can carry, U+0007, after 1 others.");
    assertThat(Characters.fault("\u202eevil")).isPresent();
    assertThat(Characters.shown("a\u0007b\ud800")).isEqualTo("a[U+0007]b[U+D800]");
    assertThat(Characters.fault(Characters.shown("\u0000\ufffe\u009f"))).isEmpty();
  }
}
