package neatlanyard.server.departure;

import java.util.List;
import neatlanyard.core.briefing.Line;
import neatlanyard.core.departure.Picture;
import neatlanyard.core.state.DepartureState;
import neatlanyard.server.departure.DepartureViews.BriefingLineView;
import neatlanyard.server.departure.DepartureViews.ReadView;

/** Puts the briefing into what the screens show. */
final class BriefingReader {
  private static final double TENTHS = 10;

  private final DepartureState d;
  private final Picture picture;

  BriefingReader(DepartureState state, Picture picture) {
    this.d = state;
    this.picture = picture;
  }

  List<BriefingLineView> lines() {
    return picture.briefing().stream().map(this::line).toList();
  }

  private BriefingLineView line(Line line) {
    return new BriefingLineView(line.step().value(), line.title(), line.words(), line.kind(), line.why(), line.from(),
        line.missing(), line.ownWords(), line.before(), Math.round(line.seconds() * TENTHS) / TENTHS,
        d.briefing().read(line.step())
            .map(r -> new ReadView(r.words(), Names.family(d, r.by()), r.by().value(), r.at())));
  }
}
