package app.reglet.web.pictures;

import app.reglet.press.picture.Treating;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.springframework.core.io.ByteArrayResource;
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
import org.springframework.web.bind.annotation.ResponseBody;

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
      @RequestParam(defaultValue = "") String as,
      @RequestParam(defaultValue = "false") boolean quick,
      HttpServletResponse response)
      throws IOException {
    if (!as.isEmpty()) {
      byte[] treated = store.treated(sha, Treating.parse(as), quick);
      forEver(response);
      return ResponseEntity.ok()
          .contentType(type(treated[0] & 0xff))
          .body(new ByteArrayResource(treated));
    }
    Path file = page == null ? store.preview(sha) : placed.screen(sha, page);
    forEver(response);
    return ResponseEntity.ok().contentType(type(file)).body(new FileSystemResource(file));
  }

  /** How often each tone is in a picture, drawn. */
  @GetMapping(path = "/pictures/{sha}/tones.svg", produces = "image/svg+xml")
  @ResponseBody
  String tones(@PathVariable String sha, HttpServletResponse response) {
    String drawn = store.tones(sha).svg();
    forEver(response);
    return drawn;
  }

  private static void forEver(HttpServletResponse response) {
    response.setHeader(
        HttpHeaders.CACHE_CONTROL,
        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable().getHeaderValue());
  }

  private static MediaType type(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      return type(in.read());
    }
  }

  /** A PNG begins with 0x89 (ISO/IEC 15948, 5.2), a JPEG with 0xFF. */
  private static MediaType type(int first) {
    return first == 0x89 ? MediaType.IMAGE_PNG : MediaType.IMAGE_JPEG;
  }
}
