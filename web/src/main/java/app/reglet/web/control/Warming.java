package app.reglet.web.control;

import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Asks for the pages that people open first, before Reglet says that it is up: the first of them is
 * then no slower than the tenth. Where people sign in, what they see behind it stays cold.
 */
@Component
class Warming {
  private static final Logger LOG = LoggerFactory.getLogger(Warming.class);
  private static final int ROUNDS = 25;
  private static final Duration MOST = Duration.ofSeconds(10);

  private final Editions editions;
  private final boolean wanted;

  Warming(Editions editions, @Value("${reglet.warm:false}") boolean wanted) {
    this.editions = editions;
    this.wanted = wanted;
  }

  /** Asks at this port of this machine; what fails is no matter. */
  void warm(int port) {
    if (!wanted) {
      return;
    }
    long end = System.nanoTime() + MOST.toNanos();
    List<String> once = new ArrayList<>();
    List<String> pages = new ArrayList<>(List.of("/titles", "/houses", "/inspect"));
    editions.findAllByOrderByIdAsc().stream()
        .limit(2)
        .map(EditionEntity::getId)
        .forEach(
            id -> {
              for (String place :
                  List.of("/bench", "/bench?chosen=title", "/docket", "/dispatch", "/front")) {
                pages.add("/editions/" + id + place);
              }
            });
    // every typeface is read once
    editions.findAllByOrderByIdAsc().stream()
        .findFirst()
        .ifPresent(e -> once.add("/editions/" + e.getId() + "/bench/faces"));
    HttpClient client = HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
    try {
      for (int round = 0; round < ROUNDS; round++) {
        for (String page :
            round == 0 ? Stream.concat(pages.stream(), once.stream()).toList() : pages) {
          if (System.nanoTime() > end) {
            return;
          }
          client.send(
              HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + page))
                  .timeout(MOST)
                  .build(),
              HttpResponse.BodyHandlers.discarding());
        }
      }
    } catch (IOException | IllegalArgumentException e) {
      LOG.debug("not warmed", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
