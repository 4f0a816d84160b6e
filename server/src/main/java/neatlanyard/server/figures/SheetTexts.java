package neatlanyard.server.figures;

import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.log.Event;
import neatlanyard.formats.figures.PapersReader;
import neatlanyard.formats.text.Read;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.work.HeavyWork;
import org.springframework.stereotype.Component;

/** Reads load sheets that a crew brings in by their text. */
@Component
public class SheetTexts {
  private final HeavyWork heavy;

  SheetTexts(HeavyWork heavy) {
    this.heavy = heavy;
  }

  /** @throws Problem naming every fault */
  public Event.LoadSheetTaken read(String text, CrewId by) {
    PapersReader.Papers papers = heavy.run(by.value(), HeavyWork.Kind.IMPORT, stop ->
        switch (PapersReader.either(text)) {
      case Read.Good<PapersReader.Papers> good -> good.value();
      case Read.Bad<PapersReader.Papers> bad -> throw Problem.faulty("The load sheet has faults.", bad.faults());
    });
    return new Event.LoadSheetTaken(papers.sheet(), papers.fuel(), papers.aircraftKg(), "brought in by the crew");
  }
}
