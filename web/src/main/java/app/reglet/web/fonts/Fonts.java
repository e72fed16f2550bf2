package app.reglet.web.fonts;

import app.reglet.core.Refusal;
import app.reglet.press.font.Axis;
import app.reglet.press.font.FontFacts;
import app.reglet.press.font.FontLimits;
import app.reglet.press.reading.FileBytes;
import app.reglet.press.type.BroughtFaces;
import app.reglet.press.type.Typefaces;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.reading.ReadingRoom;
import app.reglet.web.shell.Gone;
import app.reglet.web.store.Room;
import app.reglet.web.store.Uploads;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/**
 * The fonts that people bring, kept with their titles. A font's file and the faces written of it
 * lie beside the pictures, each under its SHA-256, before their row says so; a face's id in
 * documents is of its own sum, so that it is the same everywhere.
 */
@Service
public class Fonts {
  private static final Logger LOG = LoggerFactory.getLogger(Fonts.class);
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final int LONGEST_NAME = 255;

  private final FontRecords records;
  private final BookFonts ofBooks;
  private final PictureStore files;
  private final Typefaces typefaces;
  private final ReadingRoom reading;
  private final Uploads uploads;
  private final Room room;
  private final Clock clock;

  public Fonts(
      FontRecords records,
      BookFonts ofBooks,
      PictureStore files,
      Typefaces typefaces,
      ReadingRoom reading,
      Uploads uploads,
      Room room,
      Clock clock) {
    this.records = records;
    this.ofBooks = ofBooks;
    this.files = files;
    this.typefaces = typefaces;
    this.reading = reading;
    this.uploads = uploads;
    this.room = room;
    this.clock = clock;
  }

  /** Makes the faces of every font known; before the first page is answered. */
  public void load() {
    records.findAll().forEach(e -> known(facts(e)));
  }

  private static FontFacts facts(FontEntity e) {
    return JSON.readValue(e.getFacts(), FontFacts.class);
  }

  private void known(FontFacts facts) {
    facts.faces().forEach(f -> known(f, facts));
  }

  private void known(FontFacts.Face face, FontFacts of) {
    Path file = files.original(face.sha());
    if (!Files.exists(file)) {
      LOG.warn("the file of the typeface {} is not there", face.family());
      return;
    }
    typefaces.bring(face.family(), BroughtFaces.face(face, of.embedding(), () -> bytes(file)));
  }

  private static byte[] bytes(Path file) {
    try {
      return Files.readAllBytes(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Takes a font in and keeps it with a title; the same file twice is one font.
   *
   * @throws Refusal when it can't or may not be used
   */
  public Brought add(Long book, Uploads.Upload file) throws IOException {
    long bytes = Files.size(file.path());
    if (bytes > FontLimits.MOST_BYTES) {
      throw new Refusal(
          "font",
          "The file has "
              + bytes / 1_000_000
              + " MB; a font has at most "
              + FontLimits.MOST_BYTES / 1_000_000
              + " MB: bring one for fewer scripts.");
    }
    String sha = FileBytes.of(file.path()).sha();
    FontEntity known = records.findById(sha).orElse(null);
    if (known == null) {
      room.need(3 * bytes);
      FontFacts facts = written(into -> reading.font(file.path(), file.name(), into));
      PictureStore.keep(files.original(sha), file.path());
      String name = brief(file.name());
      known = new FontEntity(sha, name, JSON.writeValueAsString(facts), bytes, clock.instant());
      save(known);
      known(facts);
    }
    keepWith(book, sha);
    return new Brought(sha, known.getName(), facts(known));
  }

  private static String brief(String name) {
    return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
  }

  /** Sent twice at once, the second finds the first's row, which says the same. */
  private void save(FontEntity font) {
    try {
      records.saveAndFlush(font);
    } catch (DataIntegrityViolationException e) {
      if (!records.existsById(font.getId())) {
        throw e;
      }
    }
  }

  private void keepWith(Long book, String sha) {
    if (ofBooks.findByBookIdAndFontId(book, sha).isEmpty()) {
      try {
        ofBooks.saveAndFlush(new BookFontEntity(book, sha));
      } catch (DataIntegrityViolationException e) {
        if (ofBooks.findByBookIdAndFontId(book, sha).isEmpty()) {
          throw e;
        }
      }
    }
  }

  private interface Writing<T> {
    T into(Path directory);
  }

  /** Has faces written, and keeps their files. */
  private <T> T written(Writing<T> writing) throws IOException {
    Path directory = uploads.directory();
    try {
      T told = writing.into(directory);
      for (Path face : files(directory)) {
        PictureStore.keep(files.original(face.getFileName().toString()), face);
      }
      return told;
    } finally {
      for (Path face : files(directory)) {
        Files.deleteIfExists(face);
      }
      Files.deleteIfExists(directory);
    }
  }

  private static List<Path> files(Path directory) throws IOException {
    try (var all = Files.list(directory)) {
      return all.toList();
    }
  }

  /**
   * One more face of a variable font; one after the other, so that none is lost.
   *
   * @param typed figures by the tags of its axes; one that isn't typed is as usual
   * @throws Refusal when there is no such place on its axes
   */
  public synchronized FontFacts.Face cut(Long book, String sha, Map<String, String> typed)
      throws IOException {
    FontEntity font = kept(book, sha);
    FontFacts facts = facts(font);
    Map<String, Double> place = new LinkedHashMap<>();
    for (Axis a : facts.axes()) {
      place.put(a.tag(), figure(a, typed.getOrDefault(a.tag(), "")));
    }
    Optional<FontFacts.Face> same =
        facts.faces().stream().filter(f -> f.place().equals(place)).findFirst();
    if (same.isPresent()) {
      return same.get();
    }
    if (facts.faces().size() >= FontLimits.MOST_FACES) {
      throw new Refusal(
          "font", "A font has at most " + FontLimits.MOST_FACES + " faces here, and this one has.");
    }
    Path file = files.original(sha);
    FontFacts.Face made = written(into -> reading.cut(file, font.getName(), place, into));
    List<FontFacts.Face> faces = new ArrayList<>(facts.faces());
    faces.add(made);
    FontFacts now =
        new FontFacts(facts.family(), facts.embedding(), facts.axes(), faces, facts.notes());
    font.become(JSON.writeValueAsString(now));
    records.saveAndFlush(font);
    known(now);
    return made;
  }

  private static double figure(Axis axis, String typed) {
    String plain = typed.strip().replace('−', '-').replace(',', '.');
    if (plain.isEmpty()) {
      return axis.usual();
    }
    try {
      double figure = Double.parseDouble(plain);
      if (figure >= axis.least() && figure <= axis.most()) {
        return figure;
      }
    } catch (NumberFormatException e) {
      // is said below
    }
    throw new Refusal(
        axis.tag(),
        "%s is a figure from %s; “%s” is none.".formatted(axis.name(), axis.ends(), typed.strip()));
  }

  /** The fonts kept with a title, in the order in which they came. */
  public List<Brought> of(Long book) {
    return ofBooks.findByBookIdOrderById(book).stream()
        .flatMap(b -> records.findById(b.getFontId()).stream())
        .map(e -> new Brought(e.getId(), e.getName(), facts(e)))
        .toList();
  }

  private FontEntity kept(Long book, String sha) {
    return ofBooks
        .findByBookIdAndFontId(book, sha)
        .flatMap(b -> records.findById(sha))
        .orElseThrow(() -> new Gone("This font is not kept with this title."));
  }

  /** Keeps a font with a title no longer; words that are set in it stay as they are. */
  public void takeOff(Long book, String sha) {
    ofBooks.findByBookIdAndFontId(book, sha).ifPresent(ofBooks::delete);
  }
}
