package neatlanyard.core.sop;

import java.util.List;

/**
 * One thing to look at, set or answer.
 *
 * @param challenge what, such as "Static ports, left"
 * @param response the state wanted, such as "cover off, clean, no frost"
 * @param caution shown where the danger is; empty where there is none
 * @param needs steps that must have been done before this one, where they are on today's card
 * @param opens what is left open once this is done
 * @param closes what is closed once this is done
 * @param belowLine whether a checklist item stands below its line
 */
public record Step(
    StepId id,
    PlaceId place,
    String challenge,
    String response,
    Owner owner,
    Condition when,
    String caution,
    List<StepId> needs,
    List<Hook> opens,
    List<Hook> closes,
    boolean belowLine) {
  public Step {
    needs = List.copyOf(needs);
    opens = List.copyOf(opens);
    closes = List.copyOf(closes);
  }

  /**
   * What a step hangs on the cord or takes off it.
   *
   * @param items the single things under one tag, such as four covers; a tag without items has one, its own name
   */
  public record Hook(TagId tag, List<String> items) {
    public Hook {
      items = items.isEmpty() ? List.of(tag.value()) : List.copyOf(items);
    }
  }
}
