package app.reglet.web;

import app.reglet.web.cli.RegletCommand;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Map;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** Starts Reglet: the web application, or one command of the command line. */
@SpringBootApplication
public class Reglet {
  public static void main(String[] args) {
    System.setProperty("java.awt.headless", "true");
    if (args.length > 0 && !args[0].startsWith("-")) {
      System.exit(RegletCommand.run(args));
    }
    try {
      start(dataDirectory(), args);
    } catch (IOException e) {
      System.err.println("The data directory can't be used: " + e.getMessage());
      System.exit(2);
    }
  }

  private static Path dataDirectory() {
    String named = System.getenv("REGLET_DATA");
    return Path.of(named == null || named.isBlank() ? "data" : named);
  }

  /**
   * Starts the web application on a data directory.
   *
   * @throws IOException when the directory can't be made or written
   */
  public static ConfigurableApplicationContext start(Path data, String... args) throws IOException {
    Path directory = data.toAbsolutePath().normalize();
    Files.createDirectories(directory);
    if (!Files.isWritable(directory)) {
      throw new IOException(directory + " is not writable");
    }
    SpringApplication application = new SpringApplication(Reglet.class);
    application.setDefaultProperties(Map.of("reglet.directory", directory.toString()));
    return application.run(Arrays.copyOf(args, args.length));
  }
}
