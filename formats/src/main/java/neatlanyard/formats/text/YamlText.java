package neatlanyard.formats.text;

import org.snakeyaml.engine.v2.api.Dump;
import org.snakeyaml.engine.v2.api.DumpSettings;
import org.snakeyaml.engine.v2.common.FlowStyle;

/** Writes maps, lists and single values as YAML. */
public final class YamlText {
  private static final int WIDTH = 140;

  private YamlText() {}

  /** Fields in the order of the maps; a collection of single values on one line. */
  public static String write(Object tree) {
    DumpSettings settings = DumpSettings.builder()
        .setDefaultFlowStyle(FlowStyle.AUTO)
        .setWidth(WIDTH)
        .setDereferenceAliases(true)
        .build();
    return new Dump(settings).dumpToString(tree);
  }
}
