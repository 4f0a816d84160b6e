package neatlanyard.server.fleet;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.InstantSource;
import java.util.Optional;
import neatlanyard.core.fleet.Accounts.Account;
import neatlanyard.server.fleet.FleetViews.About;
import neatlanyard.server.fleet.FleetViews.Me;
import neatlanyard.server.fleet.FleetViews.NewPassword;
import neatlanyard.server.fleet.FleetViews.SignIn;
import neatlanyard.server.Settings;
import neatlanyard.server.problem.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.logout.SecurityContextLogoutHandler;
import org.springframework.security.web.authentication.rememberme.TokenBasedRememberMeServices;
import org.springframework.security.web.context.SecurityContextRepository;
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
  private final AuthenticationManager authentication;
  private final SecurityContextRepository contexts;
  private final TokenBasedRememberMeServices remember;
  private final SignIns signIns;
  private final FleetDesk fleet;
  private final DemoSignIns demo;
  private final InstantSource clock;

  SessionController(
      AuthenticationManager authentication, SecurityContextRepository contexts, TokenBasedRememberMeServices remember,
      SignIns signIns, FleetDesk fleet, DemoSignIns demo, InstantSource clock, Settings settings) {
    this.settings = settings;
    this.authentication = authentication;
    this.contexts = contexts;
    this.remember = remember;
    this.signIns = signIns;
    this.fleet = fleet;
    this.demo = demo;
    this.clock = clock;
  }

  @GetMapping("/api/about")
  About about() {
    return new About(fleet.fleet().operator(), demo.on(), clock.instant(), settings.beginAt().isPresent(), demo.shown());
  }

  @GetMapping("/api/session")
  Me me(@AuthenticationPrincipal @org.jspecify.annotations.Nullable SignedIn who) {
    return Optional.ofNullable(who).map(SessionController::view).orElseThrow(() ->
        Problem.of(HttpStatus.UNAUTHORIZED, "not-signed-in", "You are not signed in.", "Sign in."));
  }

  @PostMapping("/api/session")
  Me signIn(@RequestBody SignIn form, HttpServletRequest request, HttpServletResponse response) {
    String who = form.who().orElse("").strip();
    signIns.mayTry(who);
    try {
      Authentication in = authentication.authenticate(
          UsernamePasswordAuthenticationToken.unauthenticated(who, form.password().orElse("")));
      signIns.succeeded(who);
      return enter(in, request, response);
    } catch (AuthenticationException e) {
      signIns.failed(who);
      throw Problem.of(HttpStatus.UNAUTHORIZED, "wrong-sign-in", "Name or password is not right.",
          "Try again, or ask an administrator for a new one-time password.");
    }
  }

  private Me enter(Authentication in, HttpServletRequest request, HttpServletResponse response) {
    HttpSession old = request.getSession(false);
    if (old != null) {
      old.invalidate();
    }
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(in);
    SecurityContextHolder.setContext(context);
    contexts.saveContext(context, request, response);
    remember.loginSuccess(request, response, in);
    if (in.getPrincipal() instanceof SignedIn s) {
      return view(s);
    }
    throw new IllegalStateException("Signed in as something else");
  }

  @PostMapping("/api/session/password")
  Me change(
      @AuthenticationPrincipal SignedIn who, @RequestBody NewPassword form,
      HttpServletRequest request, HttpServletResponse response) {
    Account changed = signIns.change(who.id(), form.now().orElse(""), form.next().orElse(""));
    SignedIn again = SignedIn.of(changed);
    return enter(UsernamePasswordAuthenticationToken.authenticated(again, null, again.getAuthorities()), request, response);
  }

  @DeleteMapping("/api/session")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(HttpServletRequest request, HttpServletResponse response, @org.jspecify.annotations.Nullable Authentication in) {
    remember.logout(request, response, in);
    new SecurityContextLogoutHandler().logout(request, response, in);
  }

  private static Me view(SignedIn s) {
    return new Me(
        s.id().value(), s.name(), s.role().name().toLowerCase(java.util.Locale.ROOT).replace('_', ' '), s.mustChange(),
        s.role().bringsIn(), s.role() == neatlanyard.core.fleet.Role.ADMINISTRATOR, s.role().flies(), s.role().draws(),
        s.role().checksPacks());
  }
}
