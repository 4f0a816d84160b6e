package neatlanyard.server.web;

import jakarta.servlet.DispatcherType;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.server.fleet.SessionCookies;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.csrf.CsrfException;

/** Who may come in: a session cookie that ends when the session is ended, and a token against forged requests. */
@Configuration
class Security {
  @Bean
  SecurityFilterChain chain(HttpSecurity http, SessionCookies sessions, ProblemAnswers answers) throws Exception {
    return http
        .authorizeHttpRequests(r -> r
            // The end of an answer that was allowed to begin, such as a stream whose session ended.
            .dispatcherTypeMatchers(DispatcherType.ASYNC, DispatcherType.ERROR).permitAll()
            .requestMatchers(HttpMethod.POST, "/api/session").permitAll()
            .requestMatchers("/api/session", "/api/about", "/api/record-keys", "/actuator/health/**").permitAll()
            .requestMatchers("/actuator/**").hasRole("ADMINISTRATOR")
            .requestMatchers("/api/**", "/v3/**", "/swagger-ui/**", "/swagger-ui.html").authenticated()
            .anyRequest().permitAll())
        .csrf(c -> c.spa())
        .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .securityContext(c -> c.securityContextRepository(sessions))
        .requestCache(c -> c.disable())
        .exceptionHandling(e -> e
            .authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED))
            .accessDeniedHandler((request, response, denied) -> answers.write(response, denied instanceof CsrfException
                ? Problem.of(HttpStatus.FORBIDDEN, ProblemCode.NO_TOKEN,
                    "The token against forged requests is missing or old.",
                "Load the page again.")
                : Problem.of(HttpStatus.FORBIDDEN, RefusalCode.NOT_YOUR_ROLE, "This is not for your role.",
                "Ask an administrator."))))
        .logout(l -> l.disable())
        .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(
            "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; frame-ancestors "
            + "'none'")))
        .build();
  }

  @Bean
  PasswordEncoder passwordEncoder() {
    return PasswordEncoderFactories.createDelegatingPasswordEncoder();
  }

  /** Passwords are compared at the sign-in desk only. */
  @Bean
  AuthenticationManager authentication() {
    return authentication -> {
      throw new UnsupportedOperationException("Nobody is authenticated here");
    };
  }
}
