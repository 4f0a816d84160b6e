package neatlanyard.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import neatlanyard.core.record.Chain.Link;
import org.testng.annotations.Test;

public class ChainTest {
  private static final List<Link> WHOLE = List.of(
      new Link(1, Chain.GENESIS, "a", "a"), new Link(2, "a", "b", "b"), new Link(3, "b", "c", "c"));

  /** FIPS 180-4 example values: "abc", the empty message and the two-block message. */
  @Test
  public void published_vectors_of_sha256() {
    assertThat(Chain.sha256("abc")).isEqualTo("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
    assertThat(Chain.sha256("")).isEqualTo("e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855");
    assertThat(Chain.sha256("abcdbcdecdefdefgefghfghighijhijkijkljklmklmnlmnomnopnopq"))
        .isEqualTo("248d6a61d20638b8e5c026930c3e6039a33ce45964ff2167f6ecedd419db06c1");
  }

  @Test
  public void a_whole_chain_has_no_break() {
    assertThat(Chain.firstBreak(WHOLE, "c")).isEmpty();
  }

  @Test
  public void a_break_is_named_where_it_is() {
    assertThat(Chain.firstBreak(List.of(WHOLE.get(0), WHOLE.get(2)), "c").orElseThrow().number()).isEqualTo(2);
    Link altered = new Link(2, "a", "b", "x");
    assertThat(Chain.firstBreak(List.of(WHOLE.get(0), altered, WHOLE.get(2)), "c").orElseThrow().number())
        .isEqualTo(2);
    Link rewritten = new Link(2, "a", "x", "x");
    assertThat(Chain.firstBreak(List.of(WHOLE.get(0), rewritten, WHOLE.get(2)), "c").orElseThrow().number())
        .isEqualTo(3);
    assertThat(Chain.firstBreak(WHOLE.subList(0, 2), "c").orElseThrow().number()).isEqualTo(3);
  }
}
