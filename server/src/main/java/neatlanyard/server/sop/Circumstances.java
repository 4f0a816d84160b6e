package neatlanyard.server.sop;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import org.jspecify.annotations.Nullable;

/** Reads what a form says of the day. */
public final class Circumstances {
  private Circumstances() {}

  /** By name; none where nothing is given. @throws Problem naming one that is not known */
  public static Set<Circumstance> of(@Nullable List<String> names) {
    Set<Circumstance> circumstances = new HashSet<>();
    for (String name : names == null ? List.<String>of() : names) {
      circumstances.add(Stream.of(Circumstance.values()).filter(c -> Doc.written(c).equals(name)).findFirst()
          .orElseThrow(() ->
          Problem.bad(ProblemCode.NO_SUCH_CIRCUMSTANCE, "'%s' is not something a day is asked for.".formatted(name))));
    }
    return circumstances;
  }
}
