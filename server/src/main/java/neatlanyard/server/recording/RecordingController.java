package neatlanyard.server.recording;

import java.nio.charset.StandardCharsets;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.Channels;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.recording.HeadNames;
import neatlanyard.core.controls.recording.KeptRecordings;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.Pack;
import neatlanyard.formats.controls.TraceCsv;
import neatlanyard.formats.controls.TraceFile;
import neatlanyard.formats.controls.TraceNames;
import neatlanyard.formats.text.Read;
import neatlanyard.server.controls.CheckUnderWay;
import neatlanyard.server.controls.CheckWords;
import neatlanyard.server.controls.JudgementWords;
import neatlanyard.server.dispatch.TechDesk;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.recording.RecordingViews.HeadNamesView;
import neatlanyard.server.recording.RecordingViews.KeptView;
import neatlanyard.server.recording.RecordingViews.RecordedTailView;
import neatlanyard.server.recording.RecordingViews.RecordedTypeView;
import neatlanyard.server.recording.RecordingViews.RecordingView;
import neatlanyard.server.recording.RecordingViews.RecordingsView;
import neatlanyard.server.recording.RecordingViews.RewrittenView;
import neatlanyard.server.sop.PackDesk;
import neatlanyard.server.work.HeavyWork;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Recordings at a desk over HTTP: judged and shown to all, names of heads kept by maintenance and standards. */
@RestController
class RecordingController {
  /** A plot of a recording shows no more. */
  private static final int MOST_ROWS = 3_000;

  /** Of one tail. */
  private static final int MOST_KEPT = 30;

  private static final Pattern NAME = Pattern.compile("[A-Za-z0-9][A-Za-z0-9 ._-]{0,39}");
  private static final int MOST_NAMES = 100;
  private static final int MOST_CHARACTERS = 100_000;

  private final KeptRecordings recordings;
  private final HeadNames heads;
  private final PackDesk packs;
  private final TechDesk tech;
  private final HeavyWork heavy;
  private final InstantSource clock;

  RecordingController(
      KeptRecordings recordings, HeadNames heads, PackDesk packs, TechDesk tech, HeavyWork heavy,
      InstantSource clock) {
    this.recordings = recordings;
    this.heads = heads;
    this.packs = packs;
    this.tech = tech;
    this.heavy = heavy;
    this.clock = clock;
  }

  @GetMapping("/api/recordings")
  RecordingsView all(@AuthenticationPrincipal SignedIn who) {
    Map<TailId, List<KeptRecordings.Kept>> kept = recordings.byTail(MOST_KEPT);
    return new RecordingsView(
        packs.withControls().stream().map(p -> new RecordedTypeView(p.type().value(), p.title())).toList(),
        tech.tails().stream().map(t -> new RecordedTailView(t.id().value(), t.type().value(),
            kept.getOrDefault(t.id(), List.of()).stream().map(k -> new KeptView(
            k.departure().value(), k.flight(), k.departs(), k.sha256())).toList())).toList(),
        heads.all().stream().map(h -> new HeadNamesView(h.name(), tech.name(h.by()), h.at())).toList(), keeps(who));
  }

  /** Judges a recording that is brought in, packed or not. Nothing of it is kept. */
  @PostMapping(
      path = "/api/recordings",
      consumes = {MediaType.APPLICATION_OCTET_STREAM_VALUE, MediaType.TEXT_PLAIN_VALUE})
  RecordingView judged(
      @AuthenticationPrincipal SignedIn who, @RequestParam String type, @RequestParam Optional<String> names,
      @RequestBody byte[] file) {
    Pack pack = packs.withControls(type);
    return heavy.run(who.id().value(), HeavyWork.Kind.IMPORT, stop -> view(pack, read(pack, names, file)));
  }

  /** The same recording with the heads and units of the open format. */
  @PostMapping(
      path = "/api/recordings/rewritten",
      consumes = {MediaType.APPLICATION_OCTET_STREAM_VALUE, MediaType.TEXT_PLAIN_VALUE})
  RewrittenView rewritten(
      @AuthenticationPrincipal SignedIn who, @RequestParam String type, @RequestParam Optional<String> names,
      @RequestBody byte[] file) {
    Pack pack = packs.withControls(type);
    return heavy.run(who.id().value(), HeavyWork.Kind.IMPORT, stop ->
        new RewrittenView(TraceCsv.write(read(pack, names, file))));
  }

  private Trace read(Pack pack, Optional<String> names, byte[] file) {
    TraceNames called = names.filter(n -> !n.isEmpty()).map(n -> TraceNames.read(kept(n).text()).orThrow(n))
        .orElse(TraceNames.OURS);
    return switch (TraceFile.read(file, pack.flightControls(), called)) {
      case Read.Good<Trace> good -> good.value();
      case Read.Bad<Trace> bad -> throw Problem.faulty("The trace has faults.", bad.faults());
    };
  }

  /** A recording that a departure kept, judged by the limits in force today. */
  @GetMapping("/api/tails/{tail}/recordings/{departure}/{sha256}")
  RecordingView kept(
      @AuthenticationPrincipal SignedIn who, @PathVariable String tail, @PathVariable String departure,
      @PathVariable String sha256) {
    Pack pack = packs.withControls(tech.tail(tail).type().value());
    String csv = flight(departure).flatMap(f -> recordings.csv(f, sha256))
        .orElseThrow(() -> Problem.notFound("There is no such recording."));
    return heavy.run(who.id().value(), HeavyWork.Kind.IMPORT,
        stop -> view(pack, read(pack, Optional.empty(), csv.getBytes(StandardCharsets.UTF_8))));
  }

  private static Optional<FlightId> flight(String departure) {
    try {
      return Optional.of(new FlightId(departure));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private static RecordingView view(Pack pack, Trace trace) {
    List<Channel> channels = CheckUnderWay.channels(trace);
    int stride = Math.max(1, (trace.size() + MOST_ROWS - 1) / MOST_ROWS);
    List<List<Double>> rows = new ArrayList<>();
    for (int i = 0; i < trace.size(); i += stride) {
      int at = i;
      rows.add(Stream.concat(Stream.of(trace.seconds(at)), channels.stream().map(c -> trace.values(c)[at]))
          .map(v -> Double.isNaN(v) ? null : v).toList());
    }
    return new RecordingView(
        JudgementWords.view(ControlCheck.judge(pack.flightControls(), pack.policy().controlCheck(), trace)),
        CheckWords.of(pack.flightControls(), pack.policy().controlCheck()), trace.size(),
        channels.stream().map(Channels::name).toList(), rows);
  }

  private static boolean keeps(SignedIn who) {
    return who.role() == Role.MAINTENANCE || who.role() == Role.STANDARDS;
  }

  private static void mustKeep(SignedIn who) {
    if (!keeps(who)) {
      throw Problem.of(HttpStatus.FORBIDDEN, RefusalCode.NOT_YOUR_ROLE,
          "Only maintenance control and fleet standards keep names of heads.", "Ask one of them.");
    }
  }

  /** Keeps what a recorder calls its columns, by a name, in the place of what had that name. */
  @PostMapping(path = "/api/head-names/{name}", consumes = MediaType.TEXT_PLAIN_VALUE)
  void keep(@AuthenticationPrincipal SignedIn who, @PathVariable String name, @RequestBody String text) {
    mustKeep(who);
    if (!NAME.matcher(name).matches()) {
      throw Problem.bad(ProblemCode.BAD_NAME, "A name is 1 to 40 letters, digits, spaces, dots, or hyphens.");
    }
    if (text.length() > MOST_CHARACTERS || heads.all().size() >= MOST_NAMES && heads.find(name).isEmpty()) {
      throw Problem.bad(ProblemCode.TOO_LARGE, "At most %d such files are kept, of at most %d characters each."
          .formatted(MOST_NAMES, MOST_CHARACTERS));
    }
    switch (TraceNames.read(text)) {
      case Read.Good<TraceNames> good -> heads.keep(new HeadNames.Kept(name, text, who.id(), clock.instant()));
      case Read.Bad<TraceNames> bad -> throw Problem.faulty("The names of heads have faults.", bad.faults());
    }
  }

  @GetMapping("/api/head-names/{name}")
  ResponseEntity<String> names(@PathVariable String name) {
    return ResponseEntity.ok().contentType(new MediaType(MediaType.TEXT_PLAIN, StandardCharsets.UTF_8))
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"heads.yaml\"").body(kept(name).text());
  }

  @DeleteMapping("/api/head-names/{name}")
  void drop(@AuthenticationPrincipal SignedIn who, @PathVariable String name) {
    mustKeep(who);
    if (!heads.drop(name)) {
      throw Problem.notFound("No heads are kept by that name.");
    }
  }

  private HeadNames.Kept kept(String name) {
    return heads.find(name).orElseThrow(() -> Problem.notFound("No heads are kept by that name."));
  }
}
