package neatlanyard.core.drill;

import java.util.Optional;

/**
 * What somebody did in one round.
 *
 * @param stoppedS when they stopped it, seconds into it; empty where they let it pass
 * @param shownS when what is hidden showed; empty where nothing did
 * @param passed how many axes were moved and at rest again before anything showed or was stopped
 * @param callsRight calls that were right
 * @param callsWrong calls that were not, such as of full travel before a surface was there
 * @param complete whether all of the check was shown, as the judge has it
 * @param tookS how long the round took, seconds
 */
public record Answer(
    Optional<Double> stoppedS, Optional<Double> shownS, int passed, int callsRight, int callsWrong, boolean complete,
    double tookS) {}
