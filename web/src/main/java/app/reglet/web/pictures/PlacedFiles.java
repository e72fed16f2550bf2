package app.reglet.web.pictures;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.press.compose.PageOfFile;
import app.reglet.press.compose.Pictures;
import app.reglet.press.inspect.PdfPage;
import app.reglet.press.inspect.page.PlateFile;
import app.reglet.press.ornament.Ornament;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.Tones;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.reading.FileBytes;
import app.reglet.press.vector.SvgReader;
import app.reglet.web.reading.ReadingRoom;
import app.reglet.web.shell.Gone;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.Room;
import app.reglet.web.store.Uploads;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.ref.SoftReference;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/**
 * What people bring to put on covers: pictures, drawings, pages of PDFs, each file stored once
 * under its SHA-256. Of a drawing what is stored is what was read of it, written anew.
 */
@Service
public class PlacedFiles implements Pictures {
  /** Longer side of a page on the screen. */
  private static final int SCREEN_PIXELS = 1800;

  private static final long MOST_PDF = 60_000_000;
  private static final int LONGEST_NAME = 255;

  /** Characters that the column for what is noted of a file holds. */
  private static final int MOST_FACTS = 1_000_000;

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final PictureStore pictures;
  private final PlacedFileRecords records;
  private final DataDirectory data;
  private final Room room;
  private final ReadingRoom reading;
  private final Uploads uploads;
  private final Clock clock;

  /** Of one sum they never change. */
  private final Map<String, Ornament> drawings = new ConcurrentHashMap<>();

  private final Map<String, PdfPage> pages = new ConcurrentHashMap<>();

  /** As long as there is memory for them. */
  private final Map<String, SoftReference<InkPixels>> inks = new ConcurrentHashMap<>();

  /** Pages whose inks could not be drawn: that is not tried again until the next start. */
  private final Set<String> withoutInks = ConcurrentHashMap.newKeySet();

  public PlacedFiles(
      PictureStore pictures,
      PlacedFileRecords records,
      DataDirectory data,
      Room room,
      ReadingRoom reading,
      Uploads uploads,
      Clock clock) {
    this.pictures = pictures;
    this.records = records;
    this.data = data;
    this.room = room;
    this.reading = reading;
    this.uploads = uploads;
    this.clock = clock;
  }

  /**
   * A file that covers show.
   *
   * @param name what it was called
   */
  public record Known(What kind, String name) {}

  /** What a file that is kept here is. */
  public enum What {
    PICTURE,
    DRAWING,
    PDF
  }

  /** What is known of a file that covers show; empty when it is not kept here. */
  public Optional<Known> kept(String sha) {
    return pictures
        .about(sha)
        .map(p -> new Known(What.PICTURE, p.getName()))
        .or(() -> records.findById(sha).map(d -> new Known(What.DRAWING, d.getName())))
        .or(
            () ->
                records
                    .findFirstByIdStartingWith(sha + "/")
                    .map(d -> new Known(What.PDF, d.getName())));
  }

  /** What a file is, by its first bytes. */
  public enum Kind {
    PICTURE,
    DRAWING,
    PAGE
  }

  public static Kind kind(Path file) throws IOException {
    byte[] first = FileBytes.of(file).first(1024);
    String text = new String(first, java.nio.charset.StandardCharsets.ISO_8859_1);
    return text.contains("%PDF")
        ? Kind.PAGE
        : SvgReader.looksLike(first) ? Kind.DRAWING : Kind.PICTURE;
  }

  /**
   * A drawing that was taken in.
   *
   * @param leftOut what of the file is not in it, as a sentence; empty for nothing
   */
  public record Drawn(Ornament drawing, String leftOut) {}

  /**
   * Takes an SVG in.
   *
   * @throws Refusal when it can't be used
   */
  public Drawn addDrawing(Path file, String name) throws IOException {
    room.need(SvgReader.MOST_BYTES);
    Path kept = uploads.scratch();
    try {
      String leftOut = reading.drawing(file, kept).leftOut();
      String sha = FileBytes.of(kept).sha();
      PictureStore.keep(pictures.original(sha), kept);
      record(sha, name, "{}", Files.size(kept));
      return new Drawn(drawing(sha).orElseThrow(), leftOut);
    } finally {
      Files.deleteIfExists(kept);
    }
  }

  /**
   * Takes a PDF in, to place a page of it.
   *
   * @throws Refusal when it can't be used
   */
  public PageOfFile addPage(Path file, String name, int number) throws IOException {
    long bytes = Files.size(file);
    if (bytes > MOST_PDF) {
      throw new Refusal(
          "file",
          "The file has "
              + bytes / 1_000_000
              + " MB; a PDF to place a page of has at most "
              + MOST_PDF / 1_000_000
              + " MB: save the page alone.");
    }
    room.need(bytes);
    String sha = FileBytes.of(file).sha();
    read(file, sha, name, number);
    return page(sha, number).orElseThrow();
  }

  private PdfPage read(Path file, String sha, String name, int number) {
    try {
      Path screen = uploads.scratch();
      Path plate = uploads.scratch();
      try {
        PdfPage page = reading.page(file, number, screen, plate, SCREEN_PIXELS);
        String facts = JSON.writeValueAsString(page);
        if (facts.length() > MOST_FACTS) {
          throw new Refusal(
              "file",
              "This page has "
                  + page.fonts().size()
                  + " fonts and "
                  + page.content().words().size()
                  + " stretches of words, more than can be noted of a page: save it as a picture of 300 ppi.");
        }
        PictureStore.keep(pictures.original(sha), file); // before its row says so
        PictureStore.keep(screenOf(sha, number), screen);
        PictureStore.keep(inksOf(sha, number), plate);
        record(id(sha, number), name, facts, Files.size(file));
        return page;
      } finally {
        Files.deleteIfExists(screen);
        Files.deleteIfExists(plate);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void record(String id, String name, String facts, long bytes) {
    Optional<PlacedFileEntity> known = records.findById(id);
    if (known.isPresent()) {
      if (known.get().learn(facts)) {
        records.saveAndFlush(known.get());
      }
      return;
    }
    try {
      records.saveAndFlush(new PlacedFileEntity(id, brief(name), facts, bytes, clock.instant()));
    } catch (DataIntegrityViolationException e) {
      if (!records.existsById(id)) {
        throw e; // sent twice at once, the second finds the first's row, which says the same
      }
    }
  }

  private static String brief(String name) {
    return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
  }

  private static String id(String sha, int number) {
    return sha + "/" + number;
  }

  @Override
  public Optional<Picture> find(String sha) {
    return pictures.find(sha);
  }

  /** A picture's pixels for the screen, upright. */
  public BufferedImage upright(String sha) {
    return pictures.upright(sha);
  }

  /** The colours that a picture is mostly of; none when it is not here. */
  public List<Colour.Rgb> colours(String sha) {
    return pictures.find(sha).isPresent() ? pictures.colours(sha) : List.of();
  }

  /** How often each tone is in a picture. */
  public Tones tones(String sha) {
    return pictures.tones(sha);
  }

  @Override
  public Optional<Ornament> drawing(String sha) {
    if (!isSha(sha)) {
      return Optional.empty();
    }
    Ornament known = drawings.get(sha);
    if (known == null && Files.exists(pictures.original(sha))) {
      known = records.findById(sha).map(e -> kept(sha, e.getName())).orElse(null);
      if (known != null) {
        drawings.put(sha, known);
      }
    }
    return Optional.ofNullable(known);
  }

  private Ornament kept(String sha, String name) {
    try {
      return SvgReader.kept(Files.readAllBytes(pictures.original(sha)), sha, name);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A page that was not placed yet is read first. */
  @Override
  public Optional<PageOfFile> page(String sha, int number) {
    if (!isSha(sha) || !Files.exists(pictures.original(sha))) {
      return Optional.empty();
    }
    Path file = pictures.original(sha);
    PdfPage about =
        pages.computeIfAbsent(
            id(sha, number),
            id ->
                records
                    .findById(id)
                    .map(e -> JSON.readValue(e.getFacts(), PdfPage.class))
                    // what is on it was not looked at before
                    .filter(p -> p.content() != null)
                    .orElseGet(() -> read(file, sha, nameOf(sha), number)));
    return Optional.of(PageOfFile.of(sha, FileBytes.of(file), about, () -> inks(sha, number)));
  }

  /** The inks of a page; they are drawn anew when their file is not here. */
  private Optional<InkPixels> inks(String sha, int number) {
    SoftReference<InkPixels> known = inks.get(id(sha, number));
    InkPixels there = known == null ? null : known.get();
    if (withoutInks.contains(id(sha, number))) {
      return Optional.empty();
    }
    if (there == null) {
      try {
        Path kept = inksOf(sha, number);
        if (!Files.exists(kept)) {
          read(pictures.original(sha), sha, nameOf(sha), number);
        }
        there = PlateFile.read(kept);
        inks.put(id(sha, number), new SoftReference<>(there));
      } catch (IOException | UncheckedIOException | Refusal e) {
        withoutInks.add(id(sha, number));
        return Optional.empty(); // nothing is told of them
      }
    }
    return Optional.of(there);
  }

  private String nameOf(String sha) {
    return records.findById(id(sha, 1)).map(PlacedFileEntity::getName).orElse("");
  }

  /** How many pages a PDF has; 0 when it is not here. */
  public int pages(String sha) {
    return page(sha, 1).map(p -> p.about().pages()).orElse(0);
  }

  /** A PNG of a page for the screen, made again when it is not there. */
  public Path screen(String sha, int number) {
    if (!isSha(sha) || number < 1) {
      throw new Gone("There is no such page here.");
    }
    Path made = screenOf(sha, number);
    if (!Files.exists(made)) {
      page(sha, number).orElseThrow(() -> new Gone("There is no such page here."));
      if (!Files.exists(made)) {
        read(pictures.original(sha), sha, nameOf(sha), number);
      }
    }
    return made;
  }

  private static boolean isSha(String sha) {
    return sha.matches("[0-9a-f]{64}");
  }

  private Path inksOf(String sha, int number) {
    return data.previews().resolve(sha + "-" + number + ".inks");
  }

  private Path screenOf(String sha, int number) {
    return data.previews().resolve(sha + "-" + number);
  }
}
