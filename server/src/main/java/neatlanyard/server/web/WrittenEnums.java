package neatlanyard.server.web;

import neatlanyard.formats.text.Doc;
import org.springframework.stereotype.Component;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/**
 * A constant of an enum is told as documents write it, in lower case with hyphens; so the views name the rules' own
 * types, and neither they nor the description say in words what those can be.
 */
@Component
class WrittenEnums extends SimpleModule {
  private static final long serialVersionUID = 1L;

  WrittenEnums() {
    super("written enums");
    addSerializer(new Writer());
  }

  private static final class Writer extends StdSerializer<Enum<?>> {
    Writer() {
      super(Enum.class, false);
    }

    @Override
    public void serialize(Enum<?> value, JsonGenerator to, SerializationContext context) {
      to.writeString(Doc.written(value));
    }
  }
}
