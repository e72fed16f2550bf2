package app.reglet.web.control;

import app.reglet.web.Reglet;
import app.reglet.web.store.StartTrouble;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Gives orders to the Reglet that runs on a data directory, or carries them out when none does. */
public final class Control {
  private static final JsonMapper JSON = JsonMapper.shared();

  private Control() {}

  /**
   * Carries out an order on a data directory.
   *
   * @throws StartTrouble when neither way can be gone
   */
  public static Orders.Told order(Path data, List<String> words) {
    Path file = data.toAbsolutePath().normalize().resolve(Running.FILE);
    if (Files.exists(file)) {
      try {
        return ask(JSON.readValue(file.toFile(), Running.Place.class), words);
      } catch (IOException | JacksonException e) {
        // a file that a kill left: nothing answers there
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new StartTrouble("Interrupted before Reglet answered.");
      }
    }
    try (var reglet = Reglet.startWithoutPages(data)) {
      return reglet.getBean(Orders.class).run(words);
    }
  }

  private static Orders.Told ask(Running.Place place, List<String> words)
      throws IOException, InterruptedException {
    String host = place.address().contains(":") ? "[" + place.address() + "]" : place.address();
    HttpResponse<String> answer =
        HttpClient.newBuilder()
            .connectTimeout(Duration.ofSeconds(5))
            .build()
            .send(
                HttpRequest.newBuilder(
                        URI.create("http://" + host + ":" + place.port() + "/control/orders"))
                    .header("Content-Type", "application/json")
                    .header(ControlController.TOKEN, place.token())
                    .POST(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(words)))
                    .build(),
                HttpResponse.BodyHandlers.ofString());
    if (answer.statusCode() != 200) {
      throw new IOException("answered " + answer.statusCode());
    }
    return JSON.readValue(answer.body(), Orders.Told.class);
  }
}
