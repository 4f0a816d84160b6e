package neatlanyard.server;

import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.HexFormat;
import neatlanyard.core.controls.recording.HeadNames;
import neatlanyard.core.controls.recording.KeptRecordings;
import neatlanyard.core.controls.trend.CheckHistory;
import neatlanyard.core.dispatch.DispatchLists;
import neatlanyard.core.dispatch.Imports;
import neatlanyard.core.dispatch.ReadingHistory;
import neatlanyard.core.dispatch.TechLogs;
import neatlanyard.core.drill.Drills;
import neatlanyard.core.figures.FiguresTexts;
import neatlanyard.core.fleet.AccessLog;
import neatlanyard.core.fleet.Accounts;
import neatlanyard.core.fleet.FleetTexts;
import neatlanyard.core.fleet.Flights;
import neatlanyard.core.fleet.Sessions;
import neatlanyard.core.log.DepartureLog;
import neatlanyard.core.log.HeldLists;
import neatlanyard.core.record.SealKeys;
import neatlanyard.core.sop.FeedbackAnswers;
import neatlanyard.core.sop.Revisions;
import neatlanyard.core.timeline.ahead.GroundEvents;
import neatlanyard.core.timeline.ahead.OtherEnds;
import neatlanyard.core.timeline.learned.ForetoldPlans;
import neatlanyard.core.timeline.learned.TookTimes;
import neatlanyard.core.walkaround.Photos;
import neatlanyard.server.fleet.KnownAccounts;
import neatlanyard.server.settings.Settings;
import neatlanyard.store.controls.StoredHeadNames;
import neatlanyard.store.controls.StoredRecordings;
import neatlanyard.store.db.Database;
import neatlanyard.store.db.OwnSettings;
import neatlanyard.store.departure.StoredDepartureLog;
import neatlanyard.store.departure.StoredHeldLists;
import neatlanyard.store.dispatch.StoredCheckHistory;
import neatlanyard.store.dispatch.StoredDispatchLists;
import neatlanyard.store.dispatch.StoredImports;
import neatlanyard.store.dispatch.StoredReadingHistory;
import neatlanyard.store.dispatch.StoredTechLogs;
import neatlanyard.store.drill.StoredDrills;
import neatlanyard.store.figures.StoredFiguresTexts;
import neatlanyard.store.fleet.StoredAccessLog;
import neatlanyard.store.fleet.StoredAccounts;
import neatlanyard.store.fleet.StoredFleetTexts;
import neatlanyard.store.fleet.StoredFlights;
import neatlanyard.store.fleet.StoredSessions;
import neatlanyard.store.record.StoredSealKeys;
import neatlanyard.store.sop.StoredFeedbackAnswers;
import neatlanyard.store.sop.StoredRevisions;
import neatlanyard.store.timeline.StoredForetold;
import neatlanyard.store.timeline.StoredGroundEvents;
import neatlanyard.store.timeline.StoredOtherEnds;
import neatlanyard.store.timeline.StoredTookTimes;
import neatlanyard.store.walkaround.StoredPhotos;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Gives core's ports their implementations. */
@Configuration
class Wiring {
  @Bean
  InstantSource clock(Settings settings) {
    Instant real = Instant.now();
    Duration shift = settings.beginAt().map(b -> Duration.between(real, b)).orElse(Duration.ZERO);
    return InstantSource.offset(InstantSource.system(), shift);
  }

  @Bean
  Database database(Settings settings) {
    return Database.open(settings.database());
  }

  @Bean
  Accounts accounts(Database db) {
    return new KnownAccounts(new StoredAccounts(db));
  }

  @Bean
  Sessions sessions(Database db) {
    return new StoredSessions(db);
  }

  @Bean
  AccessLog accessLog(Database db) {
    return new StoredAccessLog(db);
  }

  @Bean
  Flights flights(Database db) {
    return new StoredFlights(db);
  }

  @Bean
  FleetTexts fleetTexts(Database db) {
    return new StoredFleetTexts(db);
  }

  @Bean
  Revisions revisions(Database db) {
    return new StoredRevisions(db);
  }

  @Bean
  HeldLists heldLists(Database db) {
    return new StoredHeldLists(db);
  }

  @Bean
  FeedbackAnswers feedbackAnswers(Database db) {
    return new StoredFeedbackAnswers(db);
  }

  @Bean
  DepartureLog departureLog(Database db) {
    return new StoredDepartureLog(db);
  }

  @Bean
  TechLogs techLogs(Database db) {
    return new StoredTechLogs(db);
  }

  @Bean
  Imports imports(Database db) {
    return new StoredImports(db);
  }

  @Bean
  DispatchLists dispatchLists(Database db) {
    return new StoredDispatchLists(db);
  }

  @Bean
  FiguresTexts figuresTexts(Database db) {
    return new StoredFiguresTexts(db);
  }

  @Bean
  ReadingHistory readingHistory(Database db) {
    return new StoredReadingHistory(db);
  }

  @Bean
  CheckHistory checkHistory(Database db) {
    return new StoredCheckHistory(db);
  }

  @Bean
  KeptRecordings keptRecordings(Database db) {
    return new StoredRecordings(db);
  }

  @Bean
  HeadNames headNames(Database db) {
    return new StoredHeadNames(db);
  }

  @Bean
  TookTimes tookTimes(Database db) {
    return new StoredTookTimes(db);
  }

  @Bean
  ForetoldPlans foretoldPlans(Database db) {
    return new StoredForetold(db);
  }

  @Bean
  OtherEnds otherEnds(Database db) {
    return new StoredOtherEnds(db);
  }

  @Bean
  GroundEvents groundEvents(Database db) {
    return new StoredGroundEvents(db);
  }

  @Bean
  Drills drills(Database db) {
    return new StoredDrills(db);
  }

  @Bean
  SealKeys sealKeys(Database db) {
    return new StoredSealKeys(db);
  }

  @Bean
  Photos photos(Database db) {
    return new StoredPhotos(db);
  }

  /** Signs the cookies by which a device is known again. */
  @Bean
  String deviceKey(Database db) {
    return new OwnSettings(db).of("device-key", () -> {
      byte[] key = new byte[32];
      new SecureRandom().nextBytes(key);
      return HexFormat.of().formatHex(key);
    });
  }
}
