package neatlanyard.server.web;

import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.fleet.Code;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.device.drawn.DrawnViews;
import neatlanyard.device.kept.KeptViews;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.controls.ControlViews;
import neatlanyard.server.departure.DepartureViews;
import neatlanyard.server.departure.LaterViews;
import neatlanyard.server.departure.ProgressChange;
import neatlanyard.server.departure.TaxiViews;
import neatlanyard.server.dispatch.TechViews;
import neatlanyard.server.drill.DrillViews;
import neatlanyard.server.figures.FiguresViews;
import neatlanyard.server.fleet.FleetViews;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.record.RecordViews;
import neatlanyard.server.recording.RecordingViews;
import neatlanyard.server.sop.CardViews;
import neatlanyard.server.sop.GroundViews;
import neatlanyard.server.sop.SopViews;
import neatlanyard.server.timeline.PlanViews;
import neatlanyard.server.walkaround.PhotoViews;
import neatlanyard.server.weather.WeatherViews;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Says in the OpenAPI description which fields are always there: all but the optional ones. */
@Configuration
class ApiDescription {
  private static final List<Class<?>> VIEWS = List.of(
      CardViews.class, ControlViews.class, DepartureViews.class, DrawnViews.class, DrillViews.class, GroundViews.class,
      FiguresViews.class, FleetViews.class, KeptViews.class, LaterViews.class, PlanViews.class, RecordViews.class,
      RecordingViews.class, SopViews.class, TaxiViews.class, TechViews.class, PhotoViews.class, WeatherViews.class);

  /** Every reason there is, of the rules and of the server. */
  private static final List<String> CODES = Stream.<Code>concat(
      Stream.of(RefusalCode.values()), Stream.of(ProblemCode.values())).map(Code::written).sorted().toList();

  @Bean
  OpenApiCustomizer requiredFields() {
    Map<String, Class<?>> records = VIEWS.stream()
        .flatMap(v -> Stream.of(v.getDeclaredClasses()))
        .filter(Class::isRecord)
        .collect(Collectors.toMap(Class::getSimpleName, c -> c));
    return api -> {
      api.setServers(List.of());
      api.getComponents().getSchemas().forEach((name, schema) ->
          Optional.<Class<?>>ofNullable(records.get(name)).or(() -> ofChange(name))
              .ifPresent(type -> {
                require(schema, type);
                asWritten(schema);
                nameCodes(schema, type);
              }));
    };
  }

  /** A constant of an enum stands in the description as it is told, see {@link WrittenEnums}. */
  private static void asWritten(Schema<?> schema) {
    Stream.of(Optional.ofNullable(schema.getProperties()).map(Map::values).orElse(List.of()).stream(),
            Stream.of(schema.getItems(), schema.getAdditionalProperties()).filter(Schema.class::isInstance)
                .map(Schema.class::cast))
        .flatMap(s -> s).forEach(s -> asWritten((Schema<?>) s));
    if (schema.getEnum() != null) {
      write(schema, schema.getEnum().stream().map(e -> Doc.written(e.toString())).toList());
    }
  }

  private static void nameCodes(Schema<?> schema, Class<?> type) {
    for (RecordComponent c : type.getRecordComponents()) {
      if (c.getType() == Code.class
          && schema.getProperties() instanceof Map<?, ?> all && all.get(c.getName()) instanceof Schema<?> property) {
        write(property, CODES);
      }
    }
  }

  private static <T> void write(Schema<T> schema, List<String> all) {
    @SuppressWarnings("unchecked") // An enum's names are strings, whatever the schema calls its type.
    Schema<String> names = (Schema<String>) schema;
    names.setEnum(all);
  }

  /** A change is described once for each kind of thing that changes, by its name and the thing's. */
  private static Optional<Class<?>> ofChange(String name) {
    return Stream.<Class<?>>of(ProgressChange.class, ProgressChange.ListChange.class, ProgressChange.MapChange.class)
        .filter(c -> name.startsWith(c.getSimpleName())).findFirst();
  }

  private static void require(Schema<?> schema, Class<?> type) {
    schema.setRequired(Arrays.stream(type.getRecordComponents())
        .filter(c -> c.getType() != Optional.class)
        .map(RecordComponent::getName)
        .toList());
  }
}
