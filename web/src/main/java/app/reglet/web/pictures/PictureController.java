package app.reglet.web.pictures;

import java.time.Duration;
import org.springframework.http.CacheControl;
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
  ResponseEntity<byte[]> screen(@PathVariable String sha) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(Duration.ofDays(365)).immutable())
        .body(store.screen(sha));
  }
}
