package neatlanyard.server.fleet;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.DeferredSecurityContext;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/**
 * The two cookies: the session's secret, and which people were signed in on the device. Both stay from scripts and
 * other sites.
 */
@Component
public final class SessionCookies implements SecurityContextRepository {
  private static final String SESSION = "lanyard-session";
  private static final String DEVICE = "lanyard-device";
  private static final Duration DEVICE_KEPT = Duration.ofDays(365);

  private final SessionDesk sessions;
  private final String deviceKey;

  SessionCookies(SessionDesk sessions, String deviceKey) {
    this.sessions = sessions;
    this.deviceKey = deviceKey;
  }

  private static Optional<String> value(HttpServletRequest request, String name) {
    return Optional.ofNullable(request.getCookies()).stream().flatMap(Stream::of)
        .filter(c -> c.getName().equals(name)).map(Cookie::getValue).findFirst();
  }

  Optional<SignedIn> session(HttpServletRequest request) {
    return value(request, SESSION).flatMap(sessions::find);
  }

  DeviceCookie device(HttpServletRequest request) {
    try {
      return value(request, DEVICE).map(v -> DeviceCookie.read(v, deviceKey)).orElse(DeviceCookie.NONE);
    } catch (IllegalArgumentException e) {
      return DeviceCookie.NONE; // Not even base64: made by somebody else.
    }
  }

  /**
   * Whose share a request counts against: the person's, or where nobody is signed in the device's on which somebody
   * was before, or the address's. Whoever floods an address from a strange device keeps no crew there from signing in.
   */
  public String asker(HttpServletRequest request) {
    Authentication in = SecurityContextHolder.getContext().getAuthentication();
    if (in != null && in.getPrincipal() instanceof SignedIn who) {
      return who.id().value();
    }
    Caller caller = caller(request);
    return caller.device().isEmpty() ? "address " + caller.address() : "device " + caller.device();
  }

  Caller caller(HttpServletRequest request) {
    return new Caller(Caller.address(request.getRemoteAddr()), device(request).device());
  }

  void begin(String secret, DeviceCookie device, HttpServletRequest request, HttpServletResponse response) {
    add(SESSION, secret, SessionDesk.LONGEST, request, response);
    add(DEVICE, device.written(deviceKey), DEVICE_KEPT, request, response);
  }

  void end(HttpServletRequest request, HttpServletResponse response) {
    add(SESSION, "", Duration.ZERO, request, response);
  }

  private static void add(String name, String value, Duration kept, HttpServletRequest request,
      HttpServletResponse response) {
    response.addHeader(HttpHeaders.SET_COOKIE, ResponseCookie.from(name, value)
        .path("/").httpOnly(true).secure(request.isSecure()).sameSite("Strict").maxAge(kept).build().toString());
  }

  private SecurityContext context(HttpServletRequest request) {
    SecurityContext context = new SecurityContextImpl();
    session(request).ifPresent(who -> context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
        who, null, AuthorityUtils.createAuthorityList("ROLE_" + who.role().name()))));
    return context;
  }

  @Override
  public DeferredSecurityContext loadDeferredContext(HttpServletRequest request) {
    return new DeferredSecurityContext() {
      private Optional<SecurityContext> known = Optional.empty();

      @Override
      public SecurityContext get() {
        SecurityContext context = known.orElseGet(() -> context(request));
        known = Optional.of(context);
        return context;
      }

      @Override
      public boolean isGenerated() {
        return get().getAuthentication() == null;
      }
    };
  }

  @Override
  @Deprecated
  public SecurityContext loadContext(HttpRequestResponseHolder holder) {
    return context(holder.getRequest());
  }

  /** Sessions begin and end at the desk only. */
  @Override
  public void saveContext(SecurityContext context, HttpServletRequest request, HttpServletResponse response) {
    SecurityContextHolder.setContext(context);
  }

  @Override
  public boolean containsContext(HttpServletRequest request) {
    return session(request).isPresent();
  }
}
