package app.reglet.web.harness;

import app.reglet.testing.Patience;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Asks a Reglet as a browser or a script does, with a session of its own. */
public final class Web {
  private static final Duration LONGEST = Patience.LONGEST;

  private final HttpClient client;
  private final String address;
  private String csrf = "";

  public Web(String address) {
    this(
        address,
        HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(new CookieManager())
            .build());
  }

  private Web(String address, HttpClient client) {
    this.address = address;
    this.client = client;
  }

  /** The same session without its token, as another site's page would use it. */
  public Web withoutToken() {
    return new Web(address, client);
  }

  /**
   * An answer.
   *
   * @param millis how long it took
   */
  public record Answer(int status, String body, String location, long millis) {
    /** The first group of a pattern in the body. */
    public String find(String pattern) {
      Matcher m = Pattern.compile(pattern).matcher(body);
      if (!m.find()) {
        throw new IllegalStateException("no " + pattern + " in the answer " + status + ": " + body);
      }
      return m.group(1);
    }

    public boolean has(String pattern) {
      return Pattern.compile(pattern).matcher(body).find();
    }
  }

  public String address() {
    return address;
  }

  boolean answers() {
    try {
      return get("/health").status() > 0;
    } catch (IOException e) {
      return false;
    }
  }

  public Answer get(String path) throws IOException {
    return send(request(path).GET());
  }

  /** A form, as htmx sends it. */
  public Answer post(String path, Map<String, String> form) throws IOException {
    List<Map.Entry<String, String>> fields = new ArrayList<>(form.entrySet());
    return post(path, fields, true);
  }

  /** A form with fields that may stand several times. */
  public Answer post(String path, List<Map.Entry<String, String>> fields, boolean htmx)
      throws IOException {
    StringBuilder body = new StringBuilder();
    for (Map.Entry<String, String> e : fields) {
      body.append(body.isEmpty() ? "" : "&")
          .append(code(e.getKey()))
          .append('=')
          .append(code(e.getValue()));
    }
    HttpRequest.Builder request =
        request(path)
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString(body.toString()));
    if (htmx) {
      request.header("HX-Request", "true");
    }
    return send(request);
  }

  private static String code(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }

  /** A file with fields beside it. */
  public Answer upload(
      String path, Map<String, String> fields, String field, String name, byte[] file)
      throws IOException {
    String boundary = "reglet-harness-7f3a1c";
    ByteArrayOutputStream body = new ByteArrayOutputStream();
    Map<String, String> all = new LinkedHashMap<>(fields);
    for (Map.Entry<String, String> e : all.entrySet()) {
      body.write(
          ("--"
                  + boundary
                  + "\r\nContent-Disposition: form-data; name=\""
                  + e.getKey()
                  + "\"\r\n\r\n"
                  + e.getValue()
                  + "\r\n")
              .getBytes(StandardCharsets.UTF_8));
    }
    body.write(
        ("--"
                + boundary
                + "\r\nContent-Disposition: form-data; name=\""
                + field
                + "\"; filename=\""
                + name
                + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
            .getBytes(StandardCharsets.UTF_8));
    body.write(file);
    body.write(("\r\n--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8));
    return send(
        request(path)
            .header("Content-Type", "multipart/form-data; boundary=" + boundary)
            .header("HX-Request", "true")
            .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray())));
  }

  /** Signs in; gives the answer to the form. */
  public Answer signIn(String name, String password) throws IOException {
    csrf = get("/sign-in").find("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");
    Answer answer =
        post("/sign-in", List.of(Map.entry("name", name), Map.entry("password", password)), false);
    if (answer.status() == 302 && !answer.location().contains("failed")) {
      csrf = get("/titles").find("name=\"csrf\"[^>]*content=\"([^\"]+)\"");
    }
    return answer;
  }

  /** Fetches a file without keeping it; its first bytes must be these, else the answer is kept. */
  public Answer fetch(String path, String first) throws IOException {
    long start = System.nanoTime();
    try {
      HttpResponse<java.io.InputStream> r =
          client.send(
              request(path).timeout(Duration.ofMinutes(10)).GET().build(),
              HttpResponse.BodyHandlers.ofInputStream());
      try (java.io.InputStream in = r.body()) {
        String head = new String(in.readNBytes(first.length()), StandardCharsets.ISO_8859_1);
        boolean right = head.equals(first);
        String rest = right ? "" : new String(in.readNBytes(100_000), StandardCharsets.UTF_8);
        in.transferTo(java.io.OutputStream.nullOutputStream());
        return new Answer(
            right ? r.statusCode() : 422, head + rest, "", (System.nanoTime() - start) / 1_000_000);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  private HttpRequest.Builder request(String path) {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(address + path)).timeout(LONGEST);
    if (!csrf.isEmpty()) {
      request.header("X-CSRF-TOKEN", csrf);
    }
    return request;
  }

  private Answer send(HttpRequest.Builder request) throws IOException {
    long start = System.nanoTime();
    try {
      HttpResponse<String> r =
          client.send(request.build(), HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
      return new Answer(
          r.statusCode(),
          r.body(),
          r.headers().firstValue("Location").orElse(""),
          (System.nanoTime() - start) / 1_000_000);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }
}
