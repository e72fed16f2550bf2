package app.reglet.web.reading;

import app.reglet.core.Refusal;
import app.reglet.press.font.FontFacts;
import app.reglet.press.inspect.BlockFacts;
import app.reglet.press.inspect.FileFacts;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.press.inspect.PdfPage;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.press.reading.ReadingDesk;
import app.reglet.web.shell.Busy;
import app.reglet.web.store.DataDirectory;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Deque;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Where files that people bring are read: a few processes beside this one, each with its own
 * memory. A file gets its time and no more; then the process that reads it is ended, and the next
 * file gets a fresh one. So no page waits on a hostile file, and no stop hangs on one.
 */
@Component
public class ReadingRoom implements DisposableBean {
  private static final Logger LOG = LoggerFactory.getLogger(ReadingRoom.class);
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** Files read at once. */
  private static final int DESKS = 2;

  /** How long a file waits for those before it: some of the largest take half a minute each. */
  private static final Duration WAIT = Duration.ofMinutes(2);

  /** Files that wait at once; each holds a request. */
  private static final int MOST_WAITING = 20;

  /**
   * A process watches its own time; this many times it is waited for one that no longer does,
   * however busy the machine is.
   */
  private static final int PATIENCE = 4;

  private final DataDirectory data;
  private final Path java;
  private final Duration start;
  private final Semaphore seats = new Semaphore(DESKS, true);
  private final Deque<ReadingProcess> idle = new ConcurrentLinkedDeque<>();
  private final Set<ReadingProcess> all = ConcurrentHashMap.newKeySet();
  private volatile boolean closed;

  @Autowired
  public ReadingRoom(DataDirectory data) {
    this(data, ReadingProcess.java(), ReadingProcess.START);
  }

  ReadingRoom(DataDirectory data, Path java, Duration start) {
    this.data = data;
    this.java = java;
    this.start = start;
  }

  /** Starts a process ahead, so that the first file does not wait for one. */
  public void prepare() {
    Thread ahead =
        new Thread(
            () -> {
              try {
                idle.push(start());
              } catch (IOException e) {
                if (!closed) {
                  LOG.warn("no process to read files could be started: {}", e.getMessage());
                }
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
              }
            },
            "reading-room");
    ahead.setDaemon(true);
    ahead.start();
  }

  /**
   * What a PDF says of itself.
   *
   * @throws Refusal when it can't be read, or costs more than it may
   * @throws Busy when too many files are being read
   */
  public PdfFacts pdf(Path file) {
    return JSON.treeToValue(ask(file, Map.of("kind", "pdf")).get("pdf"), PdfFacts.class);
  }

  /**
   * What the PDF of a book block says, and what of its pages is looked at.
   *
   * @throws Refusal when it can't be read, or costs more than it may
   * @throws Busy when too many files are being read
   */
  public BlockFacts block(Path file) {
    return JSON.treeToValue(ask(file, Map.of("kind", "block")).get("block"), BlockFacts.class);
  }

  /**
   * Everything that is found in a file; what its pages look like and their inks are written too.
   *
   * @param into the directory they go to
   * @throws Refusal when it can't be read, or costs more than it may
   * @throws Busy when too many files are being read
   */
  public FileFacts inspect(Path file, Path into) {
    return JSON.treeToValue(
        ask(file, Map.of("kind", "inspect", "into", into.toString())).get("inspect"),
        FileFacts.class);
  }

  /**
   * What a picture is; a JPEG of it for the screen is written too.
   *
   * @param screen where the JPEG goes
   * @param longest its longer side at most, pixels
   * @throws Refusal when it can't be used, or costs more than it may
   * @throws Busy when too many files are being read
   */
  public ReadingDesk.PictureFacts picture(Path file, Path screen, int longest) {
    JsonNode answer =
        ask(file, Map.of("kind", "picture", "screen", screen.toString(), "longest", longest));
    return JSON.treeToValue(answer.get("picture"), ReadingDesk.PictureFacts.class);
  }

  /**
   * What a page of a PDF is; a PNG of it for the screen and its inks are written too.
   *
   * @param number from 1
   * @param inks where its inks are put
   * @throws Refusal when it can't be used, or costs more than it may
   * @throws Busy when too many files are being read
   */
  public PdfPage page(Path file, int number, Path screen, Path inks, int longest) {
    JsonNode answer =
        ask(
            file,
            Map.of(
                "kind",
                "page",
                "page",
                number,
                "screen",
                screen.toString(),
                "inks",
                inks.toString(),
                "longest",
                longest));
    return JSON.treeToValue(answer.get("page"), PdfPage.class);
  }

  /**
   * Reads an SVG.
   *
   * @param kept where what was read is written anew
   * @throws Refusal when it can't be used, or costs more than it may
   * @throws Busy when too many files are being read
   */
  public ReadingDesk.DrawingFacts drawing(Path file, Path kept) {
    JsonNode answer = ask(file, Map.of("kind", "drawing", "screen", kept.toString()));
    return JSON.treeToValue(answer.get("drawing"), ReadingDesk.DrawingFacts.class);
  }

  /**
   * Looks at an ICC profile of a press.
   *
   * @throws Refusal when it can't be used, with why
   * @throws Busy when too many files are being read
   */
  public void profile(Path file) {
    ask(file, Map.of("kind", "profile"));
  }

  /**
   * Reads a font and writes its faces.
   *
   * @param name what its file is called
   * @param into the directory they go to, each under its SHA-256
   * @throws Refusal when it can't or may not be used, or costs more than it may
   * @throws Busy when too many files are being read
   */
  public FontFacts font(Path file, String name, Path into) {
    JsonNode answer = ask(file, Map.of("kind", "font", "name", name, "into", into.toString()));
    return JSON.treeToValue(answer.get("font"), FontFacts.class);
  }

  /**
   * Writes one more face of a variable font.
   *
   * @param place on its axes by their tags
   * @throws Refusal when there is none, or it costs more than it may
   * @throws Busy when too many files are being read
   */
  public FontFacts.Face cut(Path file, String name, Map<String, Double> place, Path into) {
    JsonNode answer =
        ask(file, Map.of("kind", "cut", "name", name, "place", place, "into", into.toString()));
    return JSON.treeToValue(answer.get("cut"), FontFacts.Face.class);
  }

  private static int parts(String kind) {
    return switch (kind) {
      case "font" -> ReadingDesk.FONT_PARTS;
      case "block" -> ReadingDesk.BLOCK_PARTS;
      case "inspect", "page" -> ReadingDesk.DRAWN_PARTS;
      default -> 1;
    };
  }

  private JsonNode ask(Path file, Map<String, Object> order) {
    Map<String, Object> whole = new java.util.HashMap<>(order);
    whole.put("file", file.toString());
    String line = JSON.writeValueAsString(whole);
    Duration time =
        Budget.timeFor(FileBytes.of(file).length())
            .multipliedBy(PATIENCE)
            .multipliedBy(parts(order.get("kind").toString()));
    if (seats.getQueueLength() >= MOST_WAITING) {
      throw new Busy(
          MOST_WAITING + " other files wait to be read: send this one again a little later.");
    }
    try {
      if (!seats.tryAcquire(WAIT.toMillis(), TimeUnit.MILLISECONDS)) {
        throw new Busy(
            "Other files are being read, and this one would have waited more than "
                + WAIT.toSeconds()
                + " seconds: send it again a little later.");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Busy("Reglet is being stopped: send the file again when it is up.");
    }
    try {
      return answer(line, time);
    } finally {
      seats.release();
    }
  }

  private JsonNode answer(String line, Duration time) {
    ReadingProcess process = null;
    try {
      process = next();
      JsonNode answer = JSON.readTree(process.ask(line, time));
      if (answer.get("ended") == null) {
        idle.push(process);
        process = null;
      }
      JsonNode refused = answer.get("refused");
      if (refused != null) {
        LOG.info("a file was refused by its reader");
        throw new Refusal(
            answer.get("field") == null ? "file" : answer.get("field").stringValue(),
            refused.stringValue());
      }
      return answer;
    } catch (TimeoutException e) {
      LOG.info("a file was refused: it took more than {} ms to read", time.toMillis());
      throw Budget.tooLong(time);
    } catch (ReadingProcess.NotStarted e) {
      if (closed) {
        throw new Busy("Reglet is being stopped: send the file again when it is up.");
      }
      LOG.warn("no process to read files could be started: {}", e.getMessage());
      throw new Busy(
          "Reglet could not start the process that reads files: this machine has no memory or no process left for it. Close what is not needed on it and send the file again; the log says more.");
    } catch (IOException e) {
      if (closed) {
        throw new Busy("Reglet is being stopped: send the file again when it is up.");
      }
      LOG.info("a file was refused: it ended the process that read it");
      throw new Refusal(
          "file",
          "This file takes more memory to read than one of its size may: make it anew and try again.");
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Busy("Reglet is being stopped: send the file again when it is up.");
    } finally {
      if (process != null) {
        all.remove(process);
        process.end();
        prepareAgain();
      }
    }
  }

  private void prepareAgain() {
    if (!closed) {
      prepare();
    }
  }

  private ReadingProcess next() throws IOException, TimeoutException, InterruptedException {
    for (ReadingProcess p = idle.poll(); p != null; p = idle.poll()) {
      if (p.isAlive()) {
        return p;
      }
      all.remove(p);
      p.end();
    }
    return start();
  }

  private ReadingProcess start() throws IOException, InterruptedException {
    Files.createDirectories(data.uploads());
    Path aside = Files.createTempDirectory(data.uploads(), "reading");
    ReadingProcess process;
    synchronized (all) { // known before it is ready: who closes the room ends it, too
      if (closed) {
        DataDirectory.deleteAll(aside);
        throw new IOException("stopping");
      }
      process = ReadingProcess.begin(java, aside);
      all.add(process);
    }
    try {
      process.expectReady(start);
    } catch (IOException | InterruptedException e) {
      all.remove(process);
      throw e;
    }
    while (idle.size() >= DESKS) {
      ReadingProcess spare = idle.poll();
      if (spare != null) {
        all.remove(spare);
        spare.end();
      }
    }
    return process;
  }

  /** Ends every process, busy or not. */
  @Override
  public void destroy() {
    synchronized (all) {
      closed = true;
    }
    all.forEach(ReadingProcess::end);
    all.clear();
  }
}
