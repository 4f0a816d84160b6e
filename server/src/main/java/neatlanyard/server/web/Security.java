package neatlanyard.server.web;

import neatlanyard.core.fleet.Accounts;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.server.fleet.SignedIn;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.authentication.rememberme.TokenBasedRememberMeServices;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;

/** Who may come in: a session cookie, a cookie that outlives a restart, and a token against forged requests. */
@Configuration
class Security {
  private static final int ONE_DUTY_SECONDS = 14 * 3_600;

  @Bean
  SecurityFilterChain chain(HttpSecurity http, TokenBasedRememberMeServices remember, SecurityContextRepository contexts)
      throws Exception {
    return http
        .authorizeHttpRequests(r -> r
            .requestMatchers(HttpMethod.POST, "/api/session").permitAll()
            .requestMatchers("/api/session", "/api/about").permitAll()
            .requestMatchers("/api/**", "/v3/**").authenticated()
            .anyRequest().permitAll())
        .csrf(c -> c.spa())
        .securityContext(c -> c.securityContextRepository(contexts))
        .rememberMe(r -> r.rememberMeServices(remember).key(remember.getKey()))
        .exceptionHandling(e -> e.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
        .logout(l -> l.disable())
        .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(
            "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; frame-ancestors 'none'")))
        .build();
  }

  @Bean
  PasswordEncoder passwordEncoder() {
    return PasswordEncoderFactories.createDelegatingPasswordEncoder();
  }

  @Bean
  UserDetailsService users(Accounts accounts) {
    return name -> {
      try {
        return accounts.find(new CrewId(name)).map(SignedIn::of).orElseThrow(() -> new UsernameNotFoundException(name));
      } catch (IllegalArgumentException e) {
        throw new UsernameNotFoundException(name, e);
      }
    };
  }

  @Bean
  AuthenticationManager authentication(UserDetailsService users, PasswordEncoder encoder) {
    DaoAuthenticationProvider provider = new DaoAuthenticationProvider(users);
    provider.setPasswordEncoder(encoder);
    return new ProviderManager(provider);
  }

  @Bean
  SecurityContextRepository contexts() {
    return new HttpSessionSecurityContextRepository();
  }

  @Bean
  TokenBasedRememberMeServices rememberMe(String rememberKey, UserDetailsService users) {
    TokenBasedRememberMeServices services = new TokenBasedRememberMeServices(rememberKey, users);
    services.setAlwaysRemember(true);
    services.setTokenValiditySeconds(ONE_DUTY_SECONDS);
    return services;
  }
}
