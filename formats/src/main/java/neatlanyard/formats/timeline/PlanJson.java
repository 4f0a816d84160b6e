package neatlanyard.formats.timeline;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.Map;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Likelihood;
import neatlanyard.core.timeline.Order;
import neatlanyard.core.timeline.Planner.Outcome;
import neatlanyard.core.timeline.Timeline;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes a plan; see docs/formats/plan.md. */
public final class PlanJson {
  private static final JsonMapper MAPPER = new JsonMapper();
  private static final double PARTS = 10_000;

  private PlanJson() {}

  public static String of(PlanReader.Asked asked, Outcome.Planned planned, Likelihood likelihood) {
    Demands demands = asked.demands();
    Timeline timeline = planned.timeline();
    ObjectNode all = MAPPER.createObjectNode();
    Instant begins = asked.begins();
    all.put("departs", at(begins, timeline.departs(demands)));
    all.put("wanted", at(begins, demands.due()));
    all.put("on-time", timeline.departs(demands).equals(demands.due()));
    all.put("earliest", planned.earliest());
    all.put("best", planned.best());
    all.put("not-before", at(begins, planned.bound()));
    Order order = Order.of(demands, timeline);
    Map<ActivityId, Order.Room> rooms = order.rooms();
    ArrayNode activities = all.putArray("activities");
    timeline.slots().entrySet().stream().sorted(Comparator.comparing(
        (Map.Entry<ActivityId, Timeline.Slot> e) -> e.getValue().begins()).thenComparing(e -> e.getKey().value()))
        .forEach(e -> {
          ObjectNode one = activities.addObject().put("id", e.getKey().value());
          one.put("begins", at(begins, e.getValue().begins())).put("ends", at(begins, e.getValue().ends()));
          ArrayNode by = one.putArray("by");
          e.getValue().who().stream().map(Object::toString).sorted().forEach(by::add);
          Order.Room room = rooms.get(e.getKey());
          if (room != null) {
            one.put("latest", at(begins, room.latest()));
          }
        });
    ArrayNode chain = all.putArray("critical-chain");
    order.criticalChain().forEach(l -> chain.addObject().put("id", l.activity().value())
        .put("because", l.because()));
    ObjectNode likely = all.putObject("likelihood");
    likely.put("runs", likelihood.runs()).put("on-time", parts(likelihood.onTime()));
    likely.put("half-by", at(begins, likelihood.departs())).put("nine-of-ten-by", at(begins, likelihood.late()));
    ArrayNode decides = likely.putArray("decides");
    likelihood.decides().forEach(d -> decides.addObject().put("id", d.activity().value())
        .put("share", parts(d.share())));
    return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(all);
  }

  /** What cannot hold together. */
  public static String clash(Outcome.Clash found) {
    ObjectNode all = MAPPER.createObjectNode();
    ArrayNode clash = all.putArray("clash");
    found.demands().forEach(clash::add);
    all.put("smallest", found.smallest());
    return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(all);
  }

  /** Nothing was found in the time there was, and nothing shown to be impossible. */
  public static String nothing(double seconds) {
    return MAPPER.createObjectNode().put("nothing-found-in-s", seconds).toString();
  }

  private static double parts(double share) {
    return Math.round(share * PARTS) / PARTS;
  }

  private static String at(Instant begins, Duration since) {
    return begins.plus(since).truncatedTo(java.time.temporal.ChronoUnit.SECONDS).toString();
  }
}
