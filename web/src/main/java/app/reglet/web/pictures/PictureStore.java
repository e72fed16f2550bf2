package app.reglet.web.pictures;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.press.art.Pixels;
import app.reglet.press.picture.Clusters;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureLimits;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.ScreenPicture;
import app.reglet.press.picture.Tones;
import app.reglet.press.picture.Treating;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.press.reading.ReadingDesk.PictureFacts;
import app.reglet.web.reading.ReadingRoom;
import app.reglet.web.shell.Gone;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.Room;
import app.reglet.web.store.StoredFiles;
import app.reglet.web.store.Uploads;
import jakarta.annotation.PreDestroy;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;

/**
 * Pictures, each stored once under its SHA-256 in the data directory. A picture's file is on the
 * disk before its row says so.
 */
@Service
public class PictureStore {
  private static final int SCREEN_PIXELS = 1800;

  /** Decoded pictures for the screen that are at hand: 13 MB each at most. */
  private static final int DECODED = 4;

  private static final int QUICK_PIXELS = 600;

  private static final int MOST_AHEAD = 8;

  /** As many as a palette begins with. */
  private static final int COLOURS = 6;

  private final PictureRecords records;
  private final DataDirectory data;
  private final Room room;
  private final ReadingRoom reading;
  private final Uploads uploads;
  private final Clock clock;

  /** What is known of pictures that were asked for: of one sum it never changes. */
  private final Map<String, Picture> found = new ConcurrentHashMap<>();

  private final Map<String, CompletableFuture<byte[]>> ahead = new ConcurrentHashMap<>();

  /** Makes quick pictures ahead on a thread of its own; when too many wait, whoever asks does. */
  private final ThreadPoolExecutor quickly =
      new ThreadPoolExecutor(
          1,
          1,
          1,
          TimeUnit.MINUTES,
          new ArrayBlockingQueue<>(MOST_AHEAD),
          new ThreadPoolExecutor.CallerRunsPolicy());

  private final Map<String, Tones> tones = new ConcurrentHashMap<>();

  /** Pictures for the screen that were treated last, the longest ago first. */
  private final Map<Shown, BufferedImage> decoded =
      new LinkedHashMap<>(8, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Shown, BufferedImage> eldest) {
          return size() > DECODED;
        }
      };

  public PictureStore(
      PictureRecords records,
      DataDirectory data,
      Room room,
      ReadingRoom reading,
      Uploads uploads,
      Clock clock) {
    this.records = records;
    this.data = data;
    this.room = room;
    this.reading = reading;
    this.uploads = uploads;
    this.clock = clock;
    quickly.allowCoreThreadTimeOut(true);
  }

  /**
   * Takes a picture in.
   *
   * @param name what it was called
   * @throws Refusal when it can't be used
   */
  public Picture add(Path file, String name) throws IOException {
    long bytes = Files.size(file);
    if (bytes > PictureLimits.MOST_BYTES) {
      throw new Refusal(
          "picture",
          "The file has "
              + bytes / 1_000_000
              + " MB; a picture has at most "
              + PictureLimits.MOST_BYTES / 1_000_000
              + " MB.");
    }
    room.need(bytes);
    Path screen = uploads.scratch();
    try {
      PictureFacts facts = reading.picture(file, screen, SCREEN_PIXELS);
      keep(original(facts.sha()), file);
      keep(previewOf(facts.sha()), screen);
      record(facts, name, bytes);
      return facts.in(FileBytes.of(original(facts.sha())));
    } finally {
      Files.deleteIfExists(screen);
    }
  }

  /** A picture that Reglet itself drew, and a small one of it for a screen. */
  public record Drawn(byte[] file, PictureReader.Shown shown) {
    public static Drawn of(byte[] file) {
      return new Drawn(
          file,
          PictureReader.shown(FileBytes.of(file), Budget.forFile(file.length), SCREEN_PIXELS));
    }
  }

  /** Takes in a picture that Reglet itself drew. */
  public Picture addOwn(Drawn drawn, String name) throws IOException {
    Picture p = drawn.shown().picture();
    keep(original(p.sha()), drawn.file());
    keep(previewOf(p.sha()), drawn.shown().screen());
    PictureFacts facts =
        new PictureFacts(p.sha(), p.format(), p.width(), p.height(), p.orientation(), p.mean());
    record(facts, name, drawn.file().length);
    return facts.in(FileBytes.of(original(p.sha())));
  }

  private static void keep(Path to, byte[] bytes) throws IOException {
    if (!Files.exists(to)) {
      StoredFiles.write(to, out -> out.write(bytes));
    }
  }

  /** Keeps a file under a name, unless one is there. */
  public static void keep(Path to, Path from) throws IOException {
    if (!Files.exists(to)) {
      StoredFiles.write(to, out -> Files.copy(from, out));
    }
  }

  /** Sent twice at once, the second finds the first's row, which says the same. */
  private void record(PictureFacts facts, String name, long bytes) {
    if (!records.existsById(facts.sha())) {
      try {
        records.saveAndFlush(new PictureEntity(facts.in(null), name, bytes, clock.instant()));
      } catch (DataIntegrityViolationException e) {
        if (!records.existsById(facts.sha())) {
          throw e;
        }
      }
    }
  }

  /** The picture with this SHA-256, if it is here. */
  public Optional<Picture> find(String sha) {
    Picture known = found.get(sha);
    if (known == null) {
      known = records.findById(sha).map(e -> e.picture(FileBytes.of(original(sha)))).orElse(null);
      if (known != null) {
        found.put(sha, known);
      }
    }
    return Optional.ofNullable(known).filter(p -> Files.exists(original(sha)));
  }

  /** What is known of a picture. */
  public Optional<PictureEntity> about(String sha) {
    return records.findById(sha);
  }

  /** A small JPEG or PNG for the screen, made once. */
  public Path preview(String sha) {
    if (!sha.matches("[0-9a-f]{64}")) {
      throw new Gone("There is no such picture here.");
    }
    Path made = previewOf(sha);
    if (!Files.exists(made)) {
      find(sha).orElseThrow(() -> new Gone("There is no such picture here."));
      try {
        Path screen = uploads.scratch();
        try {
          reading.picture(original(sha), screen, SCREEN_PIXELS);
          keep(made, screen);
        } finally {
          Files.deleteIfExists(screen);
        }
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return made;
  }

  /**
   * The same, treated.
   *
   * @param quick small and soon there, for as long as somebody tries
   */
  public byte[] treated(String sha, Treating treating, boolean quick) {
    CompletableFuture<byte[]> begun = quick ? ahead.remove(sha + treating.word()) : null;
    if (begun != null) {
      try {
        return begun.join();
      } catch (CompletionException e) {
        // what was wrong is told below, if it still is
      }
    }
    return ScreenPicture.treated(decoded(sha, quick), treating);
  }

  /**
   * Begins with a quick picture that a page will ask for when it has its answer, so that both are
   * made at once.
   */
  public void ahead(String sha, Treating treating) {
    if (ahead.size() >= MOST_AHEAD) {
      ahead.clear(); // nobody asked for them
    }
    ahead.computeIfAbsent(
        sha + treating.word(),
        k ->
            CompletableFuture.supplyAsync(
                () -> ScreenPicture.treated(decoded(sha, true), treating), quickly));
  }

  @PreDestroy
  void end() {
    quickly.shutdownNow();
  }

  /** A picture's pixels as they are drawn at the size of a screen, treated; as they are stored. */
  public BufferedImage shown(Pixels.Stored stored) {
    return treated(stored, false);
  }

  /** The same for small pictures of a cover. */
  public BufferedImage shownSmall(Pixels.Stored stored) {
    return treated(stored, true);
  }

  private BufferedImage treated(Pixels.Stored stored, boolean quick) {
    Picture p = stored.picture();
    int longer = quick ? QUICK_PIXELS : SCREEN_PIXELS;
    return stored
        .treating()
        .ofStored(
            p.orientation() == 1
                ? decoded(p.sha(), quick)
                : PictureReader.pixels(p, longer * longer),
            p.orientation());
  }

  /** A picture's pixels for the screen, upright. */
  public BufferedImage upright(String sha) {
    return decoded(sha, false);
  }

  /** The colours that a picture is mostly of. */
  public List<Colour.Rgb> colours(String sha) {
    return Clusters.of(decoded(sha, true), COLOURS).stream()
        .map(c -> new Colour.Rgb(c.rgb()))
        .toList();
  }

  /** How often each tone is in a picture. */
  public Tones tones(String sha) {
    return tones.computeIfAbsent(sha, s -> Tones.of(decoded(s, false)));
  }

  /** A picture for the screen, decoded. */
  private record Shown(String sha, boolean quick) {}

  private BufferedImage decoded(String sha, boolean quick) {
    Shown key = new Shown(sha, quick);
    synchronized (decoded) {
      BufferedImage known = decoded.get(key);
      if (known != null) {
        return known;
      }
    }
    BufferedImage image = decode(key);
    synchronized (decoded) {
      decoded.put(key, image);
    }
    return image;
  }

  private BufferedImage decode(Shown key) {
    if (key.quick()) {
      return ScreenPicture.smaller(decoded(key.sha(), false), QUICK_PIXELS);
    }
    try {
      return ImageIO.read(preview(key.sha()).toFile());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private Path previewOf(String sha) {
    return data.previews().resolve(sha);
  }

  /** Where the file of this SHA-256 lies. */
  public Path original(String sha) {
    return data.pictures().resolve(sha.substring(0, 2)).resolve(sha);
  }
}
