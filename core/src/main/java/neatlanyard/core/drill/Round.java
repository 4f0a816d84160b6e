package neatlanyard.core.drill;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Linkage;

/**
 * One check of a drill.
 *
 * @param hand how it is moved where the one who trains does not move it
 * @param built what stands between each control and its surface, by surface: a sound aircraft as they come
 * @param hidden what is wrong; empty where nothing is
 */
public record Round(Hand hand, Map<String, Linkage> built, Optional<Hidden> hidden) {
  public Round {
    built = Collections.unmodifiableMap(new TreeMap<>(built));
  }
}
