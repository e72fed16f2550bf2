package app.reglet.web.shell;

import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Answers that a browser saves as a file. */
public final class Downloads {
  private Downloads() {}

  /** Begins an answer that is a file of so many bytes. */
  public static void begin(HttpServletResponse response, String name, MediaType type, long bytes) {
    response.setHeader(HttpHeaders.CONTENT_DISPOSITION, disposition(name));
    response.setContentType(type.toString());
    response.setContentLengthLong(bytes);
  }

  /** Begins an answer that is a file of a size not known yet. */
  public static void begin(HttpServletResponse response, String name, MediaType type) {
    response.setHeader(HttpHeaders.CONTENT_DISPOSITION, disposition(name));
    response.setContentType(type.toString());
  }

  private static String disposition(String name) {
    return ContentDisposition.attachment()
        .filename(name, StandardCharsets.UTF_8)
        .build()
        .toString();
  }

  /** A file under a name, of any script. */
  public static ResponseEntity<byte[]> file(String name, MediaType type, byte[] content) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, disposition(name))
        .contentType(type)
        .body(content);
  }
}
