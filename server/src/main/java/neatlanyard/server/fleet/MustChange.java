package neatlanyard.server.fleet;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Somebody with a password for one use can only change it. */
@Configuration
class MustChange implements WebMvcConfigurer, HandlerInterceptor {
  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(this).addPathPatterns("/api/**").excludePathPatterns("/api/session/**", "/api/about");
  }

  @Override
  public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
    Authentication in = SecurityContextHolder.getContext().getAuthentication();
    if (in != null && in.getPrincipal() instanceof SignedIn s && s.mustChange()) {
      throw Problem.of(HttpStatus.FORBIDDEN, ProblemCode.MUST_CHANGE, "This password was for one use.",
          "Choose your own first.");
    }
    return true;
  }
}
