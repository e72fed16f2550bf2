package app.reglet.web;

import app.reglet.web.cli.RegletCommand;
import app.reglet.web.people.Access;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.DatabaseFile;
import app.reglet.web.store.StartTrouble;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.UnknownHostException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.core.env.MapPropertySource;
import org.springframework.core.env.PropertySource;
import org.springframework.core.env.SimpleCommandLinePropertySource;

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
    } catch (StartTrouble e) {
      System.err.println(e.getMessage());
      System.exit(2);
    }
  }

  /** The directory that the environment names. */
  public static Path dataDirectory() {
    String named = System.getenv("REGLET_DATA");
    return Path.of(named == null || named.isBlank() ? "data" : named);
  }

  /**
   * Starts the web application on a data directory.
   *
   * @throws StartTrouble when directory, database, address or port can't be used
   */
  public static ConfigurableApplicationContext start(Path data, String... args) {
    return start(data, WebApplicationType.SERVLET, args);
  }

  /** Starts everything but the web server, for a command that works on the data. */
  public static ConfigurableApplicationContext startWithoutPages(Path data) {
    return start(data, WebApplicationType.NONE);
  }

  private static ConfigurableApplicationContext start(
      Path data, WebApplicationType type, String... args) {
    DataDirectory directory = DataDirectory.claim(data);
    // the connection keeps the database open between this look at it and its first use
    try (Connection looked = DatabaseFile.open(directory)) {
      Settings settings = new Settings(args);
      if (type == WebApplicationType.SERVLET) {
        Access.expectPeopleFor(settings.address(), looked);
        expectFree(settings.address(), settings.port());
      }
      SpringApplication application = new SpringApplication(Reglet.class);
      application.setWebApplicationType(type);
      application.setLogStartupInfo(false);
      application.setDefaultProperties(
          Map.of(
              "reglet.directory",
              directory.root().toString(),
              "spring.servlet.multipart.location",
              directory.uploads().toString()));
      application.addInitializers(
          context -> {
            ((GenericApplicationContext) context)
                .registerBean(DataDirectory.class, () -> directory);
            // what was checked is what is listened at, whatever else names an address
            context.getEnvironment().getPropertySources().addFirst(settings.decided());
          });
      return application.run(Arrays.copyOf(args, args.length));
    } catch (SQLException | RuntimeException | LinkageError | OutOfMemoryError e) {
      directory.destroy();
      throw FailedStart.trouble(e, directory.root());
    }
  }

  /** Where to listen, as arguments or environment say; what is blank says nothing. */
  private record Settings(PropertySource<?> arguments) {
    Settings(String... args) {
      this(new SimpleCommandLinePropertySource(args));
    }

    String address() {
      return named("server.address", "REGLET_ADDRESS", "127.0.0.1");
    }

    int port() {
      String port = named("server.port", "REGLET_PORT", "8080");
      if (!port.matches("\\d{1,5}") || Integer.parseInt(port) > 65_535) {
        throw new StartTrouble(
            "REGLET_PORT is “" + port + "”, which is no port: a number from 1 to 65535.");
      }
      return Integer.parseInt(port);
    }

    /** The same for the web server. */
    PropertySource<?> decided() {
      return new MapPropertySource(
          "reglet-listens", Map.of("server.address", address(), "server.port", port()));
    }

    private String named(String argument, String variable, String otherwise) {
      Object given = arguments.getProperty(argument);
      return Stream.of(given == null ? "" : given.toString(), env(variable))
          .map(String::strip)
          .filter(s -> !s.isEmpty())
          .findFirst()
          .orElse(otherwise);
    }

    private static String env(String variable) {
      return Objects.requireNonNullElse(System.getenv(variable), "");
    }
  }

  private static void expectFree(String address, int port) {
    if (port == 0) {
      return;
    }
    try (ServerSocket socket = new ServerSocket()) {
      socket.setReuseAddress(true);
      socket.bind(new InetSocketAddress(InetAddress.getByName(address), port));
    } catch (UnknownHostException e) {
      throw new StartTrouble(
          "REGLET_ADDRESS is “" + address + "”, which is no address of this machine.");
    } catch (IOException e) {
      throw new StartTrouble(
          "Port "
              + port
              + " at "
              + address
              + " can't be used ("
              + e.getMessage()
              + "): end the program that has it, or choose another with REGLET_PORT.");
    }
  }
}
