package app.reglet.web.shell;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Answers that a browser saves as a file. */
public final class Downloads {
  private Downloads() {}

  /** A file under a name, of any script. */
  public static ResponseEntity<byte[]> file(String name, MediaType type, byte[] content) {
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString())
        .contentType(type)
        .body(content);
  }
}
