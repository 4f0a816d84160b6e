package neatlanyard.server.departure;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import neatlanyard.core.departure.FindCases;
import neatlanyard.core.dispatch.Deferral;
import neatlanyard.core.dispatch.DispatchCase;
import neatlanyard.core.dispatch.EntryId;
import neatlanyard.core.dispatch.Verdict;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Find;
import neatlanyard.server.departure.DepartureViews.CaseView;
import neatlanyard.server.departure.DepartureViews.DeferralView;
import neatlanyard.server.departure.DepartureViews.FindView;
import neatlanyard.server.departure.DepartureViews.FoundBeforeView;
import neatlanyard.server.departure.DepartureViews.SpotView;
import neatlanyard.server.departure.DepartureViews.TechView;
import neatlanyard.server.dispatch.TechDesk;

/** Puts the finds of a departure, and what its tail's technical log says, into what the screens show. */
final class FindReader {
  private final DepartureState d;
  private final TechDesk tech;

  FindReader(DepartureState state, TechDesk tech) {
    this.d = state;
    this.tech = tech;
  }

  List<FindView> finds() {
    return d.finds().stream().map(this::find).toList();
  }

  TechView tech() {
    Instant departs = d.opened().flight().departs();
    return new TechView(
        d.tech().deferrals().stream().map(x -> new DeferralView(
            x.defect().toString(), x.entry().value(), x.title(), x.note(), x.place().map(PlaceId::value).orElse(""),
            x.lastDay(),
            Deferral.left(x.daysLeft(departs)), x.runOut(departs), x.operating(), x.placard(), x.bars())).toList(),
        d.tech().finds().stream().map(f -> new FoundBeforeView(
            f.find().toString(), f.place().map(PlaceId::value).orElse(""), f.step().map(StepId::value).orElse(""),
            f.what(), f.by(), f.at(),
            f.verdict(), f.photos().stream().map(UUID::toString).toList())).toList(),
        d.log().map(l -> l.event().tail().value()).orElse(""));
  }

  private FindView find(Find f) {
    Optional<Item> item = d.item(f.step());
    String challenge = item.map(i -> i.step().challenge()).orElse(f.step().value());
    Optional<DispatchCase> proposed = f.decision().flatMap(Find.Decision::proposed)
        .filter(c -> d.tech().settled().stream().noneMatch(s -> s.find().equals(f.id())))
        .or(() -> FindCases.of(d, f, tech.list(d.opened().tail().type()), f.at(), tech.zone()));
    return new FindView(
        f.id().toString(), f.step().value(), item.map(i -> i.step().place().value()).orElse(""), challenge, f.note(),
        f.what().severity().words(), f.what().count(), f.what().entry().map(EntryId::value).orElse(""),
        f.what().spot().map(s -> new SpotView(s.x(), s.y())), f.what().photos().stream().map(UUID::toString).toList(),
        f.measured(),
        Names.family(d, f.by()), f.at(), f.decision().map(v -> v.verdict().words()).orElse(""),
        f.decision().map(Find.Decision::words).orElse(""), f.decision().map(v -> Names.family(d, v.by())).orElse(""),
        proposed.map(FindReader::proposed));
  }

  private static CaseView proposed(DispatchCase c) {
    return new CaseView(
        c.verdict().words(),
        Stream.of(Verdict.values()).filter(v -> !v.milderThan(c.verdict())).toList(),
        c.entry().map(EntryId::value).orElse(""), c.because(), c.lastDay(), c.todo(), c.list());
  }
}
