package neatlanyard.server.health;

import java.util.Optional;
import neatlanyard.store.db.Database;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** Whether what crews say can be kept: not while the last writing failed. */
@Component
class DatabaseHealthIndicator implements HealthIndicator {
  private final Database db;

  DatabaseHealthIndicator(Database db) {
    this.db = db;
  }

  @Override
  public Health health() {
    Optional<String> trouble = db.trouble();
    Health.Builder health = trouble.map(t -> Health.outOfService().withDetail("why", t)).orElse(Health.up());
    if (!db.unreadable().isEmpty()) {
      health.withDetail("rows that cannot be read", db.unreadable());
    }
    return health.build();
  }
}
