package neatlanyard.server.web;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The addresses of the interface's own pages, all served by its one document. */
@Controller
class Pages {
  @GetMapping({"/", "/sign-in", "/password", "/desk", "/reading", "/access", "/packs/**", "/tails", "/tails/**", "/departures/**"})
  String page() {
    return "forward:/index.html";
  }
}
