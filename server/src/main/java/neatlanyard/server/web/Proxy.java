package neatlanyard.server.web;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import neatlanyard.server.settings.Settings;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Behind a proxy that is named, where a request comes from and whether it came over HTTPS is what that proxy says.
 * From anybody else such headers are what a guesser would send, and are passed over.
 */
@Component
class Proxy implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  private final List<String> named;

  Proxy(Settings settings) {
    named = settings.proxy();
  }

  @Override
  public void customize(TomcatServletWebServerFactory factory) {
    if (named.isEmpty()) {
      return;
    }
    RemoteIpValve valve = new RemoteIpValve();
    valve.setInternalProxies(named.stream().map(Pattern::quote).collect(Collectors.joining("|")));
    valve.setRemoteIpHeader("X-Forwarded-For");
    valve.setProtocolHeader("X-Forwarded-Proto");
    factory.addEngineValves(valve);
  }
}
