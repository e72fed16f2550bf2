package app.reglet.web.pictures;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
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
import org.springframework.web.bind.annotation.RequestParam;

/** Pictures and placed pages as the screen wants them. */
@Controller
public class PictureController {
  private final PictureStore store;
  private final PlacedFiles placed;

  public PictureController(PictureStore store, PlacedFiles placed) {
    this.store = store;
    this.placed = placed;
  }

  @GetMapping("/pictures/{sha}/preview")
  ResponseEntity<Resource> preview(
      @PathVariable String sha,
      @RequestParam(required = false) Integer page,
      HttpServletResponse response)
      throws IOException {
    Path file = page == null ? store.preview(sha) : placed.screen(sha, page);
    response.setHeader(
        HttpHeaders.CACHE_CONTROL,
        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable().getHeaderValue());
    return ResponseEntity.ok().contentType(type(file)).body(new FileSystemResource(file));
  }

  /** A PNG begins with 0x89 (ISO/IEC 15948, 5.2), a JPEG with 0xFF. */
  private static MediaType type(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      return in.read() == 0x89 ? MediaType.IMAGE_PNG : MediaType.IMAGE_JPEG;
    }
  }
}
