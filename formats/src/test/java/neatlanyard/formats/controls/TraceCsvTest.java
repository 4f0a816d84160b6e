package neatlanyard.formats.controls;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.ControlSpec.Spoiler;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.Trace.Sample;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import org.testng.annotations.Test;

public class TraceCsvTest {
  private static final ControlSpec SPEC = new ControlSpec(
      95, 5, Duration.ZERO, Duration.ZERO, 1, 1, 0.9, Duration.ZERO,
      List.of(new Surface("elevator", "Elevator", Axis.PITCH, 20, -20)),
      List.of(new Spoiler("spoiler", "Spoiler", 1, 30, 2)));

  private static List<String> faults(String text) {
    return TraceCsv.read(text, SPEC) instanceof Read.Bad<Trace> bad ? bad.faults().stream().map(Fault::words).toList()
        : List.of();
  }

  @Test
  public void what_is_written_is_read() {
    String text = TraceCsv.write(
        List.of(new Sample(0, 0, 1, 2, List.of(3.25, 4.0)), new Sample(0.02, -100, 0, 0, List.of(-20.0, 0.0))), SPEC);
    assertThat(text)
        .startsWith("seconds,pitch-pct,roll-pct,yaw-pct,elevator-deg,spoiler-deg\r\n0.000,0.0,1.0,2.0,3.25,4.00\r\n");
    assertThat(TraceCsv.read(text, SPEC).orThrow("").size()).isEqualTo(2);
  }

  @Test
  public void faults_are_named_with_their_line() {
    String head = "seconds,pitch-pct,roll-pct,yaw-pct,elevator-deg,spoiler-deg\n";
    assertThat(faults(head + "0,0,0,0,1,2\n1,x,0,0,1,\n2,0,0\n")).containsExactly(
        "line 3: 'pitch-pct' is 'x', not a number.",
        "line 3: 'spoiler-deg' is '', not a number.",
        "line 4: It has 3 values; the header has 6.");
    assertThat(faults("seconds,pitch-pct,roll-pct,yaw-pct,elevator-deg,flap-deg\n0,0,0,0,0,0\n"))
        .hasSize(2).first().asString().contains("'spoiler-deg' is missing");
    assertThat(faults(head + "0,0,0,0,0,0\n0,0,0,0,0,0\n"))
        .containsExactly("Sample 2 is at 0.0 s, not after the one before it.");
    assertThat(faults(head + "0,0,0,0,NaN,0\n1,0,0,0,0,1e9\n")).hasSize(2);
    assertThat(faults("")).isNotEmpty();
    assertThat(faults("seconds,seconds\n1,2\n")).isNotEmpty();
  }
}
