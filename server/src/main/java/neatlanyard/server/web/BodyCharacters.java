package neatlanyard.server.web;

import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.record.Characters;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;
import tools.jackson.databind.JsonNode;

/** Refuses at the door, for every text of every body, what no document could carry out again. */
@RestControllerAdvice
class BodyCharacters extends RequestBodyAdviceAdapter {
  /** The parts of each kind of body, found once: a press is one too. */
  private static final ClassValue<List<Method>> PARTS = new ClassValue<>() {
    @Override
    protected List<Method> computeValue(Class<?> type) {
      List<Method> parts = Stream.of(type.getRecordComponents()).map(RecordComponent::getAccessor).toList();
      parts.forEach(p -> p.setAccessible(true));
      return parts;
    }
  };

  @Override
  public boolean supports(MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
    return true;
  }

  @Override
  public Object afterBodyRead(
      Object body, HttpInputMessage message, MethodParameter parameter, Type type,
      Class<? extends HttpMessageConverter<?>> converter) {
    fault(body).ifPresent(why -> {
      throw Problem.bad(ProblemCode.BAD_CHARACTER, why);
    });
    return body;
  }

  private static Optional<String> fault(@Nullable Object value) {
    return switch (value) {
      case null -> Optional.empty();
      case String text -> Characters.fault(text);
      case Optional<?> maybe -> maybe.flatMap(BodyCharacters::fault);
      case Collection<?> several -> several.stream().flatMap(v -> fault(v).stream()).findFirst();
      case Map<?, ?> map -> fault(map.keySet()).or(() -> fault(map.values()));
      case JsonNode node -> fault(node);
      case Record record -> fault(record);
      default -> Optional.empty();
    };
  }

  private static Optional<String> fault(JsonNode node) {
    if (node.isString()) {
      return Characters.fault(node.stringValue());
    }
    return node.propertyStream().flatMap(p -> Characters.fault(p.getKey()).or(() -> fault(p.getValue())).stream())
        .findFirst().or(() -> node.isArray() ? node.valueStream().flatMap(v -> fault(v).stream()).findFirst()
        : Optional.empty());
  }

  private static Optional<String> fault(Record record) {
    for (Method part : PARTS.get(record.getClass())) {
      try {
        Optional<String> why = fault(part.invoke(record));
        if (why.isPresent()) {
          return why;
        }
      } catch (ReflectiveOperationException e) {
        throw new IllegalStateException(e);
      }
    }
    return Optional.empty();
  }
}
