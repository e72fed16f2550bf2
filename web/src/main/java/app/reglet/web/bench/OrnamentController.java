package app.reglet.web.bench;

import app.reglet.press.ornament.Ornaments;
import app.reglet.press.svg.OrnamentSvg;
import app.reglet.web.shell.Gone;
import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The pictures that ornaments are chosen by. */
@RestController
public class OrnamentController {
  @GetMapping("/ornaments/{id}.svg")
  ResponseEntity<String> picture(@PathVariable String id) {
    return Ornaments.shipped()
        .find(id)
        .map(
            o ->
                ResponseEntity.ok()
                    .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
                    .contentType(MediaType.valueOf("image/svg+xml"))
                    .body(OrnamentSvg.document(o)))
        .orElseThrow(() -> new Gone("There is no such ornament here."));
  }
}
