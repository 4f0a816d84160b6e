package neatlanyard.core.departure;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.dispatch.Deferral;
import neatlanyard.core.dispatch.DispatchCase;
import neatlanyard.core.dispatch.DispatchList;
import neatlanyard.core.dispatch.Verdict;
import neatlanyard.core.gauge.Missing;
import neatlanyard.core.log.TechState;
import neatlanyard.core.sop.Step;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Find;

/** The case for each find of a departure. */
public final class FindCases {
  private FindCases() {}

  /** What the list says of a find as the departure stands; empty before the day is set. @param zone the operator's */
  public static Optional<DispatchCase> of(DepartureState d, Find find, DispatchList list, Instant at, ZoneId zone) {
    Optional<TechState.Settled> settled = d.tech().settled(find.id());
    if (settled.isPresent()) {
      TechState.Settled s = settled.get();
      return Optional.of(new DispatchCase(
          s.cleared() ? Verdict.NOTHING_TO_ENTER : Verdict.FLY_WITH_ENTRY,
          Optional.empty(), List.of("Maintenance control: %s".formatted(s.words())),
          Optional.empty(), List.of(), list.words()));
    }
    List<Deferral> others = d.tech().deferrals().stream().filter(x -> !x.defect().equals(find.id())).toList();
    boolean critical = d.step(find.step()).filter(Step::critical).isPresent();
    boolean counted = find.measured() && d.step(find.step()).flatMap(Step::measures)
        .flatMap(m -> m.quantity().gauge())
        .filter(g -> g instanceof Missing).isPresent();
    DispatchCase.FindFacts found = new DispatchCase.FindFacts(find.step(), find.what().entry(), find.what().count(),
        find.what().severity(),
        critical, counted);
    return d.situation().map(now -> DispatchCase.of(found, list, d.pack().policy(), now, others, at, zone));
  }
}
