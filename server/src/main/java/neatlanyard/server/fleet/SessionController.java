package neatlanyard.server.fleet;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.InstantSource;
import java.util.Optional;
import neatlanyard.core.fleet.AccessLog.Act;
import neatlanyard.core.fleet.Accounts.Account;
import neatlanyard.core.fleet.Role;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.settings.Settings;
import neatlanyard.server.fleet.FleetViews.About;
import neatlanyard.server.fleet.FleetViews.Me;
import neatlanyard.server.fleet.FleetViews.NewPassword;
import neatlanyard.server.fleet.FleetViews.SignIn;
import neatlanyard.server.problem.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
class SessionController {
  private final Settings settings;
  private final SignIns signIns;
  private final SessionDesk sessions;
  private final SessionCookies cookies;
  private final FleetDesk fleet;
  private final DemoSignIns demo;
  private final InstantSource clock;

  SessionController(
      SignIns signIns, SessionDesk sessions, SessionCookies cookies, FleetDesk fleet, DemoSignIns demo,
      InstantSource clock, Settings settings) {
    this.settings = settings;
    this.signIns = signIns;
    this.sessions = sessions;
    this.cookies = cookies;
    this.fleet = fleet;
    this.demo = demo;
    this.clock = clock;
  }

  @GetMapping("/api/about")
  About about() {
    return new About(fleet.fleet().operator(), demo.on(), clock.instant(), settings.beginAt().isPresent(),
        demo.shown());
  }

  @GetMapping("/api/session")
  Me me(@AuthenticationPrincipal @Nullable SignedIn who) {
    return Optional.ofNullable(who).map(SessionController::view).orElseThrow(() ->
        Problem.of(HttpStatus.UNAUTHORIZED, ProblemCode.NOT_SIGNED_IN, "You are not signed in.", "Sign in."));
  }

  @PostMapping("/api/session")
  Me signIn(@RequestBody SignIn form, HttpServletRequest request, HttpServletResponse response) {
    DeviceCookie device = cookies.device(request);
    Account account = signIns.in(form.who().orElse("").strip(), form.password().orElse(""), cookies.caller(request),
        device);
    return enter(account, device, request, response);
  }

  private Me enter(Account account, DeviceCookie device, HttpServletRequest request, HttpServletResponse response) {
    cookies.session(request).map(SignedIn::session).ifPresent(sessions::end);
    cookies.begin(sessions.begin(account.id(), cookies.caller(request).address()), device.with(account.id()), request,
        response);
    return view(SignedIn.of(account, ""));
  }

  @PostMapping("/api/session/password")
  Me change(@AuthenticationPrincipal SignedIn who, @RequestBody NewPassword form, HttpServletRequest request,
      HttpServletResponse response) {
    Account changed = signIns.change(who, form.now().orElse(""), form.next().orElse(""), cookies.caller(request));
    return enter(changed, cookies.device(request), request, response);
  }

  @DeleteMapping("/api/session")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(@AuthenticationPrincipal @Nullable SignedIn who, HttpServletRequest request,
      HttpServletResponse response) {
    if (who != null) {
      sessions.end(who.session());
      signIns.write(who.id(), Act.SIGNED_OUT, who.id().value(), "from " + cookies.caller(request).address());
    }
    cookies.end(request, response);
  }

  private static Me view(SignedIn s) {
    return new Me(
        s.id().value(), s.name(), SignIns.words(s.role()), s.mustChange(), s.role() == Role.ADMINISTRATOR, s.role()
        .flies(), s.role().draws(),
        s.role().checksPacks());
  }
}
