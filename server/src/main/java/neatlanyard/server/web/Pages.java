package neatlanyard.server.web;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The addresses of the interface's own pages, all served by its one document. */
@Controller
class Pages {
  @GetMapping({"/", "/sign-in", "/password", "/desk", "/drills", "/drills/**", "/reading", "/recordings", "/access",
      "/plans", "/packs/**", "/tails", "/tails/**", "/departures/**"})
  String page() {
    return "forward:/index.html";
  }

  /** What phones install the interface by; its media type is not among those the server knows by a file's name. */
  @Hidden
  @GetMapping("/manifest.webmanifest")
  ResponseEntity<Resource> manifest() {
    return ResponseEntity.ok().contentType(MediaType.parseMediaType("application/manifest+json"))
        .body(new ClassPathResource("static/manifest.webmanifest"));
  }
}
