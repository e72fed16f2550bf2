package app.reglet.web.harness;

import app.reglet.web.harness.Web.Answer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;

/** Requests as no HTTP client would send them: other Host headers, addresses that are none. */
public final class RawHttp {
  private RawHttp() {}

  /** Sends one request on a connection of its own; {@code headers} may name another Host. */
  public static Answer send(
      String server, String method, String target, Map<String, String> headers, byte[] body)
      throws IOException {
    URI uri = URI.create(server);
    Map<String, String> all = new LinkedHashMap<>();
    all.put("Host", uri.getAuthority());
    all.put("Connection", "close");
    if (method.equals("POST")) {
      all.put("Content-Length", String.valueOf(body.length));
    }
    all.putAll(headers);
    StringBuilder head = new StringBuilder(method + " " + target + " HTTP/1.1\r\n");
    all.forEach((k, v) -> head.append(k).append(": ").append(v).append("\r\n"));
    long start = System.nanoTime();
    try (Socket socket = new Socket(uri.getHost(), uri.getPort())) {
      socket.setSoTimeout(60_000);
      socket.getOutputStream().write((head + "\r\n").getBytes(StandardCharsets.UTF_8));
      socket.getOutputStream().write(body);
      socket.getOutputStream().flush();
      ByteArrayOutputStream answer = new ByteArrayOutputStream();
      InputStream in = socket.getInputStream();
      in.transferTo(answer);
      String text = answer.toString(StandardCharsets.UTF_8);
      int status = text.startsWith("HTTP/1.1 ") ? Integer.parseInt(text.substring(9, 12)) : 0;
      return new Answer(status, text, "", (System.nanoTime() - start) / 1_000_000);
    }
  }
}
