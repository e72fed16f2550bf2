package app.reglet.web.control;

import app.reglet.web.people.People;
import app.reglet.web.shell.Version;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.StoredFiles;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.HexFormat;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Says that Reglet is up, in the log and in a file of the data directory that only its owner can
 * read. By that file the command line finds the running Reglet and proves that it may give orders.
 */
@Component
@ConditionalOnWebApplication
class Running implements DisposableBean {
  private static final Logger LOG = LoggerFactory.getLogger(Running.class);
  static final String FILE = "reglet.running";

  private final Path file;
  private final People people;
  private final DataDirectory data;
  private final Warming warming;
  private final String address;
  private final String token;
  private boolean up;

  Running(
      DataDirectory data,
      People people,
      Warming warming,
      @Value("${server.address:127.0.0.1}") String address) {
    this.warming = warming;
    this.data = data;
    this.people = people;
    this.address = address;
    this.file = data.root().resolve(FILE);
    byte[] random = new byte[32];
    new SecureRandom().nextBytes(random);
    this.token = HexFormat.of().formatHex(random);
  }

  /** Where a running Reglet is reached, and the word that proves the data directory's owner. */
  record Place(String address, int port, String token) {}

  @EventListener
  void ready(ApplicationReadyEvent event) throws IOException {
    if (!(event.getApplicationContext() instanceof WebServerApplicationContext web)
        || web.getWebServer() == null) {
      return;
    }
    int port = web.getWebServer().getPort();
    warming.warm(port);
    String asked = address.equals("0.0.0.0") || address.equals("::") ? "127.0.0.1" : address;
    String place = JsonMapper.shared().writeValueAsString(new Place(asked, port, token));
    StoredFiles.write(file, out -> out.write(place.getBytes(StandardCharsets.UTF_8)));
    up = true;
    keepToOwner();
    LOG.info(
        "Reglet {} is up at {} port {}, data in {}, {}",
        Version.NUMBER,
        address,
        port,
        data.root(),
        people.any()
            ? people.count() + (people.count() == 1 ? " person signs in" : " people sign in")
            : "open to this machine, nobody signs in");
  }

  /**
   * Lets only the owner read the word. The file itself is asked: its mount can't be looked up in a
   * changed root.
   */
  private void keepToOwner() {
    PosixFileAttributeView rights = Files.getFileAttributeView(file, PosixFileAttributeView.class);
    try {
      if (rights != null) {
        rights.setPermissions(PosixFilePermissions.fromString("rw-------"));
      }
    } catch (IOException e) {
      LOG.warn(
          "The disk under {} keeps no rights of files ({}): whoever can read {} can give Reglet orders.",
          data.root(),
          e.getMessage(),
          file);
    }
  }

  boolean isToken(String given) {
    return given != null
        && MessageDigest.isEqual(
            token.getBytes(StandardCharsets.US_ASCII), given.getBytes(StandardCharsets.UTF_8));
  }

  @Override
  public void destroy() throws IOException {
    if (up) {
      Files.deleteIfExists(file);
      LOG.info("Reglet is stopping");
    }
  }
}
