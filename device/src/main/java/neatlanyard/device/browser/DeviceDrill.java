package neatlanyard.device.browser;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Channels;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.drill.Answer;
import neatlanyard.core.drill.Drill;
import neatlanyard.core.drill.Flight;
import neatlanyard.core.drill.RoundTold;
import neatlanyard.formats.drill.DrillReader;
import neatlanyard.formats.sop.ControlSpecReader;
import neatlanyard.formats.text.Doc;

/** A drill as it is flown where somebody trains: nothing of it waits for a network. */
final class DeviceDrill {
  private final ControlSpec spec;
  private final List<Axis> order;
  private final Drill drill;
  private final List<Answer> answers = new ArrayList<>();
  private Flight flight;

  /** @param basis JSON: spec as in a pack, order, drill @throws IllegalStateException naming every fault of it */
  DeviceDrill(String basis) {
    Begun begun = Doc.read(basis, DeviceDrill::begun).orThrow("the drill");
    this.spec = begun.spec;
    this.order = begun.order;
    this.drill = begun.drill;
    this.flight = next();
  }

  private record Begun(ControlSpec spec, List<Axis> order, Drill drill) {}

  private static Begun begun(Doc doc) {
    return new Begun(doc.inner("spec", ControlSpecReader::read).orElseThrow(),
        doc.values("order", written -> Doc.named(Axis.class, written), "pitch"),
        doc.inner("drill", DrillReader::drill).orElseThrow());
  }

  private Flight next() {
    int round = answers.size();
    Optional<Fault> fault = drill.fault(spec, answers);
    return new Flight(spec, order, drill.task(), drill.rounds().get(round), fault);
  }

  List<String> channels() {
    return Flight.channels(spec).stream().map(Channels::name).toList();
  }

  /** @param moved by axis, per cent @return its time, then what the channels show */
  double[] on(double seconds, double[] moved) {
    flight.on(seconds, moved);
    double[] sample = flight.sample();
    double[] row = new double[sample.length + 1];
    row[0] = flight.seconds();
    System.arraycopy(sample, 0, row, 1, sample.length);
    return row;
  }

  boolean over() {
    return flight.over();
  }

  void call(String axis, int sign) {
    flight.call(Doc.named(Axis.class, axis), sign);
  }

  Map<String, Object> picture() {
    return DeviceControls.tree(flight.picture());
  }

  /** Ends the round, and begins the next one where there is one. @param stopped whether something seemed wrong */
  Map<String, Object> answer(boolean stopped) {
    Answer a = flight.answer(stopped);
    List<String> missing = flight.missing();
    answers.add(a);
    RoundTold told = RoundTold.of(drill, spec, answers).getLast();
    boolean more = answers.size() < drill.rounds().size();
    if (more) {
      flight = next();
    }
    return Tree.fields(
        "answer", Tree.fields(
            "stoppedS", a.stoppedS(), "shownS", a.shownS(), "passed", a.passed(), "callsRight", a.callsRight(),
            "callsWrong", a.callsWrong(), "complete", a.complete(), "tookS", a.tookS()),
        "right", told.right(), "words", told.words(), "missing", missing, "more", more,
        "limits", drill.staircase(spec, answers).limits());
  }
}
