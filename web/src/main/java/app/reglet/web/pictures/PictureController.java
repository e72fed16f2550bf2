package app.reglet.web.pictures;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Pictures as the screen wants them. */
@Controller
public class PictureController {
  private final PictureStore store;

  public PictureController(PictureStore store) {
    this.store = store;
  }

  @GetMapping("/pictures/{sha}/screen")
  ResponseEntity<Resource> screen(@PathVariable String sha, HttpServletResponse response) {
    Resource jpeg = new FileSystemResource(store.screen(sha));
    response.setHeader(
        HttpHeaders.CACHE_CONTROL,
        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable().getHeaderValue());
    return ResponseEntity.ok().contentType(MediaType.IMAGE_JPEG).body(jpeg);
  }
}
