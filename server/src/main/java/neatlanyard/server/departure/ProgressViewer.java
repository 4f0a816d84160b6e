package neatlanyard.server.departure;

import java.util.List;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.departure.Picture;
import neatlanyard.core.lanyard.ControlsAgain;
import neatlanyard.core.log.Event;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Recorded;
import neatlanyard.server.controls.JudgementWords;
import neatlanyard.server.departure.DepartureViews.AcceptedView;
import neatlanyard.server.departure.DepartureViews.ControlsView;
import neatlanyard.server.departure.DepartureViews.Progress;
import neatlanyard.server.departure.DepartureViews.TiedOffView;
import neatlanyard.server.dispatch.TechDesk;
import org.springframework.stereotype.Component;

/** Puts a departure's state into what the screens show. */
@Component
class ProgressViewer {
  private final TechDesk tech;

  ProgressViewer(TechDesk tech) {
    this.tech = tech;
  }

  Progress progress(Departure departure) {
    DepartureState d = departure.state();
    Picture picture = departure.picture();
    StageReader stages = new StageReader(d, picture);
    StepReader steps = new StepReader(d, picture);
    TagReader tags = new TagReader(d, picture);
    FindReader finds = new FindReader(d, tech);
    return new Progress(
        d.lastNumber(), d.cardNumber(), stages.beads(), steps.steps(), stages.parts(), tags.tags(), tags.unfinished(),
        stages.seats(), finds.finds(), finds.tech(), steps.gates(), steps.passed(), steps.waits(), steps.values(),
        steps.allowed(), steps.takeoff(), new FigureReader(d).figures(),
        d.figuresNumber(), new BriefingReader(d, picture).lines(), steps.aircraft(),
        d.controls().map(c -> controls(d, c)), new TaxiReader(d, picture).view(), d.tiedOff().map(t -> tiedOff(d, t)));
  }

  private static ControlsView controls(DepartureState d, Recorded<Event.ControlsChecked> c) {
    return new ControlsView(
        c.event().source(), c.at(), Names.family(d, c.by()), c.event().traceSha256(),
        ControlsAgain.of(d).map(ControlsAgain::words),
        d.given().deIced().isPresent() ? JudgementWords.stiffness(c.event().judgement()) : List.of(),
        JudgementWords.view(c.event().judgement()));
  }

  private static TiedOffView tiedOff(DepartureState d, Recorded<Event.TiedOff> t) {
    return new TiedOffView(t.at(), Names.whole(d, t.by()), t.event().accepted().stream()
        .map(a -> new AcceptedView(a.what(), a.reason())).toList());
  }
}
