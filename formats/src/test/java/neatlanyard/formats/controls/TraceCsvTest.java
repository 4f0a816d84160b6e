package neatlanyard.formats.controls;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.SplittableRandom;
import java.util.zip.GZIPOutputStream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Call;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.ControlSpec.Following;
import neatlanyard.core.controls.ControlSpec.Spoiler;
import neatlanyard.core.controls.ControlSpec.Supply;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.simulated.Ground;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Recorder;
import neatlanyard.core.controls.simulated.SimulatedCheck;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import org.testng.annotations.Test;

public class TraceCsvTest {
  private static final ControlSpec SPEC = new ControlSpec(
      95, 5, Duration.ZERO, Duration.ZERO, 1, 1, 0.9, Duration.ZERO, Following.usual(1, 1, 5, Duration.ZERO),
      List.of(new Surface("elevator", "Elevator", Axis.PITCH, 20, -20, 1, List.of(), List.of())),
      List.of(new Spoiler("spoiler", "Spoiler", 1, 30, 2, List.of(), 5)), List.of(),
      List.of(new Supply("main", "Hydraulics", 2_000)));
  private static final String HEAD = "seconds,pitch-pct,roll-pct,yaw-pct,elevator-deg,spoiler-deg\n";

  private static List<String> faults(Read<?> read) {
    return read instanceof Read.Bad<?> bad ? bad.faults().stream().map(Fault::words).toList() : List.of();
  }

  private static List<String> faults(String text) {
    return faults(TraceCsv.read(text, SPEC));
  }

  /** Property: whatever a simulated aircraft tells is read as it was written, to the digits that are written. */
  @Test
  public void what_is_written_is_read() {
    for (int seed = 0; seed < 10; seed++) {
      SplittableRandom chance = new SplittableRandom(seed);
      Trace told = SimulatedCheck.drawn(SPEC, Hand.somebody(SPEC, chance).onSticks(seed % 2 == 0), List.of(),
          Ground.STANDING, Recorder.stated(chance), chance);
      Trace read = TraceCsv.read(TraceCsv.write(told), SPEC).orThrow("trace");
      assertThat(read.channels()).isEqualTo(told.channels());
      for (Channel channel : told.channels()) {
        assertThat(read.values(channel)).containsExactly(told.values(channel), within(0.51));
      }
      assertThat(TraceCsv.write(read)).isEqualTo(TraceCsv.write(told));
    }
  }

  @Test
  public void other_units_what_was_not_recorded_and_calls() {
    Trace trace = TraceCsv.read("""
        milliseconds,pitch-share,roll-pct,yaw-pct,elevator-rad,spoiler-deg,pressure-main-bar,ground-speed-mps,call
        0,0.5,0,0,0.1,,200,10,
        20,-1,0,0,-0.2,3,200,10,roll-right
        """, SPEC).orThrow("trace");
    assertThat(trace.seconds(1)).isEqualTo(0.02);
    assertThat(trace.values(Channel.input(Axis.PITCH))).containsExactly(50, -100);
    assertThat(trace.values(Channel.position("elevator"))).containsExactly(new double[] {5.729_58, -11.459_16},
        within(1e-4));
    assertThat(trace.values(Channel.position("spoiler"))).containsExactly(Double.NaN, 3);
    // NIST SP 811 (2008), appendix B.9: 1 bar is 14.503 77 psi, 1 m/s is 1.943 844 kn.
    assertThat(trace.values(new Channel.Pressure("main"))[0]).isCloseTo(2_900.755, within(0.01));
    assertThat(trace.values(Channel.Aside.GROUND_SPEED)[0]).isCloseTo(19.438_44, within(1e-4));
    assertThat(trace.calls()).containsExactly(new Call(0.02, Axis.ROLL, 1));
    assertThat(TraceCsv.write(trace)).endsWith(",roll-right\r\n");
  }

  @Test
  public void faults_are_named_with_their_line_and_column() {
    assertThat(faults(HEAD + "0,0,0,0,1,2\n1,x,0,0,1,NaN\n2,0,0\n,0,0,0,0,0\n")).containsExactly(
        "line 3, column 2: 'pitch-pct' is 'x', not a number.",
        "line 3, column 6: 'spoiler-deg' is 'NaN', not a number.",
        "line 4: It has 3 values; the header has 6.",
        "line 5, column 1: 'seconds' is '', not a number.");
    assertThat(faults("seconds,pitch-pct,roll-pct,yaw-pct,elevator-deg,flap-deg\n0,0,0,0,0,0\n"))
        .hasSize(2).anyMatch(f -> f.contains("'spoiler-deg' is missing"))
        .anyMatch(f -> f.startsWith("line 1, column 6: 'flap-deg' is not a column"));
    assertThat(faults(HEAD.replace("elevator-deg", "elevator-psi")))
        .contains("line 1, column 5: 'elevator-psi': 'psi' is not a unit of it; known are: deg, rad.");
    assertThat(faults(HEAD.strip() + ",elevator-rad,seconds\n0,0,0,0,0,0,0,0\n")).containsExactly(
        "line 1, column 7: 'elevator-rad' is of the same as 'elevator-deg'.",
        "line 1, column 8: 'seconds' stands twice.");
    assertThat(faults(HEAD + "0,0,0,0,0,0\n0,0,0,0,0,0\n"))
        .containsExactly("line 3: It is at 0.0 s, not after the one before it.");
    assertThat(faults(HEAD + "0,0,0,0,Infinity,0\n1,0,0,0,0,1e9\n")).hasSize(1);
    assertThat(faults(HEAD + "0,0,0,0,0,0\n1,0,0,0,0,1e9\n"))
        .containsExactly("line 3: spoiler is 1.0E9, not within ±180.");
    assertThat(faults(HEAD.strip() + ",call\n0,0,0,0,0,0,roll\n")).singleElement().asString()
        .startsWith("line 2, column 7: 'roll' is not a call");
    assertThat(faults("")).containsExactly("It is empty; a trace has a head and at least two samples.");
    assertThat(faults(HEAD)).containsExactly("A trace needs at least two samples; this one has 0.");
    assertThat(faults(HEAD + "x,0,0,0,0,0\n".repeat(80))).hasSize(51);
    StringBuilder many = new StringBuilder(HEAD);
    for (int i = 0; i <= Trace.MOST_SAMPLES; i++) {
      many.append(i).append(",0,0,0,0,0\n");
    }
    assertThat(faults(many.toString())).containsExactly("line 60002: A trace has at most 60000 samples.");
  }

  @Test
  public void other_peoples_heads_are_read_by_their_names() {
    TraceNames names = TraceNames.read("""
        format: neat-lanyard/trace-names/1
        ignore-others: true
        columns:
          - {theirs: TIME, ours: seconds}
          - {theirs: COL POS, ours: pitch-share, times: -1}
          - {theirs: ELEV, ours: elevator-deg, plus: 2}
        """).orThrow("names");
    Trace trace = TraceCsv.read("TIME,COL POS,roll-pct,yaw-pct,ELEV,spoiler-deg,OIL\n0,0.5,0,0,3,0,x\n1,0,0,0,0,0,\n",
        SPEC, names).orThrow("trace");
    assertThat(trace.values(Channel.input(Axis.PITCH))).containsExactly(-50, 0);
    assertThat(trace.values(Channel.position("elevator"))).containsExactly(5, 2);
    assertThat(faults(TraceNames.read("format: neat-lanyard/trace-names/1\ncolumns: [{theirs: a, ours: b}, {theirs: a,"
        + " ours: c, times: x}]\n"))).hasSize(2);
  }

  @Test
  public void packed_files_are_read_and_a_file_that_would_fill_the_house_is_not() throws IOException {
    String text = HEAD + "0,0,0,0,0,0\n1,0,0,0,0,0\n";
    assertThat(TraceFile.read(packed(text.getBytes(StandardCharsets.UTF_8)), SPEC, TraceNames.OURS).orThrow("trace")
        .size()).isEqualTo(2);
    assertThat(TraceFile.read(text.getBytes(StandardCharsets.UTF_8), SPEC, TraceNames.OURS).orThrow("trace").size())
        .isEqualTo(2);
    assertThat(faults(TraceFile.read(packed(new byte[TraceFile.MOST_BYTES + 1]), SPEC, TraceNames.OURS)))
        .containsExactly("It holds more than 40 MB; a trace is smaller.");
    assertThat(faults(TraceFile.read(new byte[] {0x1f, (byte) 0x8b, 8, 0}, SPEC, TraceNames.OURS)).getFirst())
        .startsWith("It begins like gzip and cannot be unpacked");
    assertThat(faults(TraceFile.read(new byte[] {(byte) 0xff, 0, 1}, SPEC, TraceNames.OURS)))
        .containsExactly("It is not text in UTF-8.");
  }

  private static byte[] packed(byte[] text) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
      gzip.write(text);
    }
    return out.toByteArray();
  }
}
