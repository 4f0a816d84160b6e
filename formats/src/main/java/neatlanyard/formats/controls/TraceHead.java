package neatlanyard.formats.controls;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.Channels;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.formats.text.Fault;

/** What each column of a recording is of. */
final class TraceHead {
  static final String CALL = "call";
  private static final Map<String, Double> TIMES = Map.of("seconds", 1.0, "milliseconds", 0.001);

  /**
   * One column that is read.
   *
   * @param number in the file, from 0
   * @param head as the file has it
   * @param factor and
   * @param plus make the value that is kept of the one that stands there
   */
  record Column(int number, String head, double factor, double plus) {}

  private final Map<String, Channel> known;
  private final List<Fault> faults;
  private final Map<Channel, Column> columns = new LinkedHashMap<>();
  private Column time = new Column(-1, "seconds", 1, 0);
  private int call = -1;

  private TraceHead(ControlSpec spec, List<Fault> faults) {
    this.known = Channels.known(spec);
    this.faults = faults;
  }

  /** Reads a head; what is wrong with it goes to {@code faults}. */
  static TraceHead read(List<String> heads, ControlSpec spec, TraceNames names, List<Fault> faults) {
    TraceHead head = new TraceHead(spec, faults);
    for (int i = 0; i < heads.size(); i++) {
      head.column(i, heads.get(i).strip(), names);
    }
    if (head.time.number() < 0) {
      faults.add(new Fault(1, 0, "The column 'seconds' is missing."));
    }
    head.lacking(spec);
    return head;
  }

  Map<Channel, Column> columns() {
    return columns;
  }

  Column time() {
    return time;
  }

  /** The number of the column of calls; -1 where there is none. */
  int call() {
    return call;
  }

  private void column(int number, String theirs, TraceNames names) {
    TraceNames.Theirs renamed = names.columns().getOrDefault(theirs, new TraceNames.Theirs(theirs, 1, 0));
    String ours = renamed.ours();
    if (TIMES.containsKey(ours)) {
      double factor = TIMES.getOrDefault(ours, 1.0);
      if (time.number() >= 0) {
        twice(number, theirs, time.head());
      }
      time = new Column(number, theirs, factor * renamed.times(), factor * renamed.plus());
      return;
    }
    if (ours.equals(CALL)) {
      if (call >= 0) {
        twice(number, theirs, CALL);
      }
      call = number;
      return;
    }
    int cut = ours.lastIndexOf('-');
    Channel channel = cut < 0 ? null : known.get(ours.substring(0, cut));
    if (channel == null) {
      if (!names.ignoreOthers() || names.columns().containsKey(theirs)) {
        faults.add(new Fault(1, number + 1,
            "'%s' is not a column of this type's traces; they are: %s, each with its unit."
                .formatted(ours, String.join(", ", known.keySet().stream().sorted().toList()))));
      }
      return;
    }
    TraceUnit unit = TraceUnit.of(ours.substring(cut + 1)).filter(u -> u.fits(channel)).orElse(null);
    if (unit == null) {
      faults.add(new Fault(1, number + 1, "'%s': '%s' is not a unit of it; known are: %s."
          .formatted(theirs, ours.substring(cut + 1), String.join(", ", TraceUnit.of(channel)))));
      return;
    }
    Column column =
        new Column(number, theirs, unit.factor() * renamed.times(), unit.factor() * renamed.plus());
    Column before = columns.put(channel, column);
    if (before != null) {
      twice(number, theirs, before.head());
    }
  }

  private void twice(int number, String head, String before) {
    faults.add(new Fault(1, number + 1, head.equals(before) ? "'%s' stands twice.".formatted(head)
        : "'%s' is of the same as '%s'.".formatted(head, before)));
  }

  private void lacking(ControlSpec spec) {
    for (Axis axis : Axis.values()) {
      boolean has = columns.keySet().stream().anyMatch(c -> c instanceof Channel.Input i && i.axis() == axis);
      if (!has) {
        missing(Channel.input(axis));
      }
    }
    spec.channels().stream().map(Channel::position).filter(c -> !columns.containsKey(c)).forEach(this::missing);
  }

  private void missing(Channel channel) {
    faults.add(new Fault(1, 0, "The column '%s-%s' is missing.".formatted(Channels.name(channel),
        Channels.unit(channel))));
  }
}
