package neatlanyard.server.health;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.binder.MeterBinder;
import neatlanyard.server.departure.Streams;
import neatlanyard.server.work.HeavyWork;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Figures of its own beside the usual ones: what waits, and who listens. Presses are timed where they are taken. */
@Configuration
class Figures {
  @Bean
  MeterBinder queues(HeavyWork heavy, Streams streams) {
    return registry -> {
      Gauge.builder("lanyard.heavy.waiting", heavy, HeavyWork::waiting)
          .description("Long work that waits for a worker").register(registry);
      Gauge.builder("lanyard.streams", streams, Streams::size).description("Devices that listen to a departure")
          .register(registry);
    };
  }
}
