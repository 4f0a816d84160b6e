package neatlanyard.server.controls;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Call;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.Channels;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Practice;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.live.LiveCheck;
import neatlanyard.formats.sop.ControlSpecWriter;
import neatlanyard.server.controls.ControlViews.CallView;
import neatlanyard.server.controls.ControlViews.CheckStands;
import neatlanyard.server.controls.ControlViews.CheckUnderWayView;
import neatlanyard.server.controls.ControlViews.PracticeView;
import neatlanyard.server.controls.ControlViews.Samples;

/** One check of one departure, from its first sample until it is judged: what came, and what was called. */
public final class CheckUnderWay {
  /** Nobody calls more in one check. */
  private static final int MOST_CALLS = 200;

  /** A new part begins so long after the last sample of the one before, seconds: a silence, not one more step. */
  private static final double APART_S = 1;

  private final long number;
  private final ControlSpec spec;
  private final Practice practice;
  private final List<Channel> channels;
  private final List<List<Double>> rows = new ArrayList<>();
  private final List<CallView> calls = new ArrayList<>();
  private LiveCheck check;
  private CheckStands stands = CheckStands.UNDER_WAY;
  private double later;

  public CheckUnderWay(long number, ControlSpec spec, Practice practice, List<Channel> channels) {
    this.number = number;
    this.spec = spec;
    this.practice = practice;
    this.channels = List.copyOf(channels);
    this.check = new LiveCheck(spec, practice, channels);
  }

  public long number() {
    return number;
  }

  public ControlSpec spec() {
    return spec;
  }

  public Practice practice() {
    return practice;
  }

  /** Takes one sample of a recording in; those that were taken together are told with {@link #told}. */
  public synchronized void add(Trace trace, int i) {
    List<Double> row = new ArrayList<>();
    row.add(thousandth(trace.seconds(i) + later));
    double[] values = new double[channels.size()];
    for (int c = 0; c < values.length; c++) {
      double v = trace.values(channels.get(c))[i];
      values[c] = Double.isNaN(v) ? v : thousandth(v);
      row.add(Double.isNaN(v) ? null : values[c]);
    }
    int before = check.size();
    check.add(row.getFirst(), values);
    if (check.size() > before) {
      rows.add(row);
    }
  }

  /** Finer than any channel is recorded, and short enough to be sent. */
  private static double thousandth(double v) {
    return Math.round(v * 1_000) / 1_000.0;
  }

  public synchronized int size() {
    return rows.size();
  }

  /** The samples from a number on. */
  public synchronized Samples told(int from) {
    return new Samples(number, from, List.copyOf(rows.subList(from, rows.size())));
  }

  /**
   * Takes a call in.
   *
   * @param seconds on the recording's clock, as the device that called has it
   * @return empty where the check is over, the time is not within it, or too much was called
   */
  public synchronized Optional<CallView> call(double seconds, Axis axis, int sign, String by) {
    double last = rows.isEmpty() ? 0 : rows.getLast().getFirst();
    double first = rows.isEmpty() ? 0 : rows.getFirst().getFirst();
    // Calls stand in their order: what a slow device called earlier counts from when it was heard.
    double from = calls.isEmpty() ? first : Math.max(first, calls.getLast().seconds());
    if (stands != CheckStands.UNDER_WAY || !(seconds <= last + 1) || seconds < first || calls.size() == MOST_CALLS) {
      return Optional.empty();
    }
    CallView call = new CallView(number, thousandth(Math.clamp(seconds, from, Math.max(from, last))), axis, sign, by);
    calls.add(call);
    check.call(new Call(call.seconds(), axis, sign));
    return Optional.of(call);
  }

  public synchronized CheckStands stands() {
    return stands;
  }

  /** The link broke off: a movement that was not over is forgotten, and to be made again. */
  public synchronized void brokeOff() {
    double broken = rows.isEmpty() ? 0 : rows.getLast().getFirst();
    rows.subList(check.rested(), rows.size()).clear();
    double last = rows.isEmpty() ? 0 : rows.getLast().getFirst();
    calls.removeIf(c -> c.seconds() > last);
    LiveCheck kept = new LiveCheck(spec, practice, channels);
    rows.forEach(r -> kept.add(r.getFirst(),
        r.stream().skip(1).mapToDouble(v -> v == null ? Double.NaN : v).toArray()));
    calls.forEach(c -> kept.call(new Call(c.seconds(), c.axis(), c.sign())));
    check = kept;
    later = broken + APART_S;
    stands = CheckStands.BROKEN_OFF;
  }

  public synchronized void ended() {
    stands = CheckStands.ENDED;
  }

  /** Axes of which something was not shown. */
  public synchronized List<Axis> left() {
    return check.picture().left();
  }

  /** Whether it goes on; only one that broke off does. */
  public synchronized boolean goOn() {
    boolean broken = stands == CheckStands.BROKEN_OFF;
    stands = broken ? CheckStands.UNDER_WAY : stands;
    return broken;
  }

  /** All that came, with its calls; empty where that is too little. */
  public synchronized Optional<Trace> trace() {
    return check.trace();
  }

  public synchronized CheckUnderWayView view() {
    return new CheckUnderWayView(
        number, stands, channels.stream().map(Channels::name).toList(), ControlSpecWriter.json(spec),
        PracticeView.of(practice), List.copyOf(rows), List.copyOf(calls));
  }

  /** The channels of a recording, in the order in which samples have them. */
  public static List<Channel> channels(Trace trace) {
    return Stream.<Channel>concat(trace.channels().stream().filter(Channel.Input.class::isInstance),
        trace.channels().stream().filter(c -> !(c instanceof Channel.Input))).toList();
  }
}
