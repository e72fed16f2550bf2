package app.reglet.web;

import app.reglet.testing.Scratch;
import app.reglet.web.harness.Web;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.sql.DataSource;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * A Reglet of a test's own in this process, with data of its own, that can be stopped and started.
 */
public final class Own implements AutoCloseable {
  /** Else Spring stops it by itself when the test process ends, beside whoever else ends things. */
  static final String STOPPED_BY_THE_TEST = "--spring.main.register-shutdown-hook=false";

  /** Where the web server keeps its working files: a directory that ends with the test process. */
  static String workingIn() {
    return "--server.tomcat.basedir=" + Scratch.directory("tomcat");
  }

  private final Path data;
  private final AutoCloseable atEnd = this::stop;
  private ConfigurableApplicationContext application;

  /** On data that nobody has used; with {@code --reglet.demo=true} the demo's. */
  public Own(String... args) throws IOException {
    this(Templates.forStart(args), args);
  }

  public Own(Path data, String... args) {
    this.data = data;
    Scratch.atEnd(atEnd);
    start(args);
  }

  /** Starts it again on the same data. */
  public Own start(String... args) {
    List<String> all = new ArrayList<>(List.of(args));
    all.add("--server.port=0");
    all.add("--reglet.reading.ahead=false"); // most tests bring no file
    all.add("--reglet.passwords.cost=4"); // tests try many
    all.add(STOPPED_BY_THE_TEST);
    all.add(workingIn());
    application = Reglet.start(data, all.toArray(String[]::new));
    return this;
  }

  public void stop() {
    if (application != null) {
      application.close();
    }
  }

  public Path data() {
    return data;
  }

  public <T> T bean(Class<T> type) {
    return application.getBean(type);
  }

  public String address() {
    return "http://127.0.0.1:" + application.getEnvironment().getProperty("local.server.port");
  }

  public Web web() {
    return new Web(address());
  }

  /** Changes the database behind Reglet's back. */
  public void sql(String... statements) throws SQLException {
    try (Connection c = application.getBean(DataSource.class).getConnection();
        Statement s = c.createStatement()) {
      for (String each : statements) {
        s.execute(each);
      }
    }
  }

  /** Does things at the same moment, each in a thread of its own. */
  public static <T> List<T> atOnce(int times, Callable<T> what) throws Exception {
    ExecutorService threads = Executors.newFixedThreadPool(times);
    CountDownLatch ready = new CountDownLatch(times);
    try {
      List<Future<T>> all = new ArrayList<>();
      for (int i = 0; i < times; i++) {
        all.add(
            threads.submit(
                () -> {
                  ready.countDown();
                  ready.await();
                  return what.call();
                }));
      }
      List<T> out = new ArrayList<>();
      for (Future<T> f : all) {
        out.add(f.get());
      }
      return out;
    } finally {
      threads.shutdown();
    }
  }

  @Override
  public void close() {
    application.close();
    Scratch.ended(atEnd);
  }
}
