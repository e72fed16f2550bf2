package app.reglet.web.packages;

import app.reglet.core.Refusal;
import app.reglet.core.book.Asset;
import app.reglet.core.book.Further;
import app.reglet.core.book.Isbn;
import app.reglet.core.design.Design;
import app.reglet.core.design.document.DesignDocument;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.wrap.ExampleRun;
import app.reglet.core.wrap.FactLimits;
import app.reglet.press.reading.FileBytes;
import app.reglet.press.type.BroughtFaces;
import app.reglet.web.bench.Revisions;
import app.reglet.web.carry.Carrying;
import app.reglet.web.carry.Refitting;
import app.reglet.web.fonts.Brought;
import app.reglet.web.fonts.Fonts;
import app.reglet.web.houses.Houses;
import app.reglet.web.people.Who;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.pictures.PlacedFiles;
import app.reglet.web.store.Room;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.BookEntity;
import app.reglet.web.titles.Books;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import app.reglet.web.titles.LetBeEntity;
import app.reglet.web.titles.LetBeRows;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Supplier;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes packages of titles in, as new titles. Every file in one is read as if somebody had brought
 * it; a rule sheet that is not here is proved by its worked examples first.
 */
@Service
public class Unpacking {
  private static final int MOST_SHEETS = 100;

  private final LetBeRows letBe;
  private final Books books;
  private final Editions editions;
  private final Houses houses;
  private final Revisions revisions;
  private final Carrying carrying;
  private final Refitting refitting;
  private final PictureStore pictures;
  private final PlacedFiles placed;
  private final Fonts fonts;
  private final Uploads uploads;
  private final Room room;
  private final Who who;
  private final Clock clock;
  private final TransactionTemplate transactions;

  Unpacking(
      LetBeRows letBe,
      Books books,
      Editions editions,
      Houses houses,
      Revisions revisions,
      Carrying carrying,
      Refitting refitting,
      PictureStore pictures,
      PlacedFiles placed,
      Fonts fonts,
      Uploads uploads,
      Room room,
      Who who,
      Clock clock,
      PlatformTransactionManager manager) {
    this.transactions = new TransactionTemplate(manager);
    this.letBe = letBe;
    this.books = books;
    this.editions = editions;
    this.houses = houses;
    this.revisions = revisions;
    this.carrying = carrying;
    this.refitting = refitting;
    this.pictures = pictures;
    this.placed = placed;
    this.fonts = fonts;
    this.uploads = uploads;
    this.room = room;
    this.who = who;
    this.clock = clock;
  }

  /**
   * Takes a package in: all of it or nothing. Its files are read first, however long that takes;
   * then everything that makes titles of them is one transaction, which an I/O error ends like any
   * other. A file that came in for a title that did not is kept by its sum, and found there when
   * the package comes again.
   *
   * @return the editions it made, in the order of the package
   * @throws Refusal when it is none, or can't be taken in
   */
  public List<Long> take(Path zip) throws IOException {
    room.need(2 * Files.size(zip));
    try (Unpacked unpacked = Unpacked.of(zip, uploads.directory())) {
      Taking taking = new Taking(unpacked, unpacked.slip());
      taking.files();
      return transactions.execute(
          status -> {
            try {
              return taking.titles();
            } catch (IOException e) {
              throw new UncheckedIOException(e);
            }
          });
    } catch (UncheckedIOException e) {
      throw e.getCause();
    }
  }

  /** A version of a house's sheet that is here. */
  private record SheetHere(String house, int version, String name) {}

  private final class Taking {
    private final Unpacked unpacked;
    private final Slip slip;
    private final Map<String, SheetHere> sheets = new HashMap<>();

    /** Sums and faces that came out otherwise here, as designs name them. */
    private final Map<String, String> otherwise = new HashMap<>();

    Taking(Unpacked unpacked, Slip slip) {
      this.unpacked = unpacked;
      this.slip = slip;
    }

    void files() throws IOException {
      for (Slip.Kept k : slip.files()) {
        file(k);
      }
    }

    List<Long> titles() throws IOException {
      for (Slip.Edition e : slip.editions()) {
        if (!sheets.containsKey(e.sheet())) {
          sheets.put(e.sheet(), sheet(unpacked.text(e.sheet())));
        }
      }
      BookEntity book = kept(() -> books.saveAndFlush(book()));
      for (Slip.Font f : slip.fonts()) {
        font(book, f);
      }
      List<EditionEntity> made = new ArrayList<>();
      for (Slip.Edition e : slip.editions()) {
        made.add(edition(book, e));
      }
      for (int i = 0; i < made.size(); i++) {
        ties(slip.editions().get(i), made, i);
      }
      return made.stream().map(EditionEntity::getId).toList();
    }

    private SheetHere sheet(String document) {
      RuleSheet sheet = ExampleRun.readAndProve(document);
      if (houses.has(sheet.id())) {
        for (int n : houses.numbers(sheet.id())) {
          if (houses.get(sheet.id(), n).equals(sheet)) {
            return new SheetHere(sheet.id(), n, sheet.name());
          }
        }
      }
      if (!who.may().own()) {
        throw new Refusal(
            "package",
            "This package brings the rule sheet of “"
                + sheet.name()
                + "”, which is not here in this form. Rule sheets are published by an owner: have one take the package in.");
      }
      for (int n = 1; n <= MOST_SHEETS; n++) {
        String id = n == 1 ? sheet.id() : sheet.id() + "-" + n;
        if (houses.isTaken(id) && !houses.has(id)) {
          continue;
        }
        if (!houses.isTaken(id)) {
          String other = id.equals(sheet.id()) ? document : SheetRenamed.as(document, id);
          houses.publish(other);
          return new SheetHere(id, 1, sheet.name());
        }
        for (int v : houses.numbers(id)) {
          if (!id.equals(sheet.id())
              && houses.get(id, v).equals(ExampleRun.readAndProve(SheetRenamed.as(document, id)))) {
            return new SheetHere(id, v, sheet.name());
          }
        }
      }
      throw new Refusal("package", "There are too many rule sheets “" + sheet.id() + "” here.");
    }

    private void file(Slip.Kept k) throws IOException {
      Path file = checked(k.sha());
      String name = Uploads.name(k.name());
      String sha =
          switch (k.kind()) {
            case "picture" -> pictures.add(file, name).sha();
            case "drawing" -> placed.addDrawing(file, name).drawing().id();
            case "pdf" -> placed.addPage(file, name, 1).page().sha();
            default ->
                throw new Refusal(
                    "package", "This package holds a file of a kind that is not known here.");
          };
      if (!sha.equals(k.sha())) {
        otherwise.put(k.sha(), sha);
      }
    }

    /** Keeps a row; what is too long for it is refused. */
    private <T> T kept(Supplier<T> row) {
      try {
        return row.get();
      } catch (DataIntegrityViolationException e) {
        throw new Refusal(
            "package", "This package can't be taken in: a fact in it is longer than is kept here.");
      }
    }

    private Path checked(String sha) throws IOException {
      Path file = unpacked.path("files/" + sha);
      if (!FileBytes.of(file).sha().equals(sha)) {
        throw new Refusal(
            "package", "A file in this package is damaged: its bytes are not those of its name.");
      }
      return file;
    }

    private BookEntity book() {
      Slip.BookFacts b = slip.book().plain();
      BookEntity book = new BookEntity(b.title(), b.author(), clock.instant());
      book.setWords(b.title(), b.subtitle(), b.author(), b.imprint(), b.blurb(), b.price());
      book.setFurther(
          new Further(
              b.series(),
              b.number(),
              b.quote(),
              b.about(),
              b.edition(),
              b.date(),
              b.language(),
              Map.of()),
          b.ownFacts());
      book.keep(
          slip.pictures().stream()
              .map(
                  a ->
                      new Asset(
                          otherwise.getOrDefault(a.sha(), a.sha()),
                          a.name(),
                          a.licence(),
                          a.source(),
                          a.credit()))
              .toList());
      return book;
    }

    private void font(BookEntity book, Slip.Font f) throws IOException {
      Path file = checked(f.sha());
      Brought brought = fonts.add(book.getId(), new Uploads.Upload(file, Uploads.name(f.name())));
      for (Slip.Face face : f.faces()) {
        if (brought.has(face.id())) {
          continue;
        }
        Map<String, String> place = new LinkedHashMap<>();
        if (face.place() != null) {
          face.place().forEach((axis, at) -> place.put(axis, String.valueOf(at)));
        }
        if (!place.isEmpty()) {
          otherwise.put(face.id(), BroughtFaces.id(fonts.cut(book.getId(), f.sha(), place)));
        }
      }
    }

    private EditionEntity edition(BookEntity book, Slip.Edition e) throws IOException {
      SheetHere sheet = sheets.get(e.sheet());
      EditionEntity edition;
      try {
        Map<String, String> facts = new TreeMap<>(e.facts());
        facts.put("house_id", sheet.house());
        facts.put("house_version", String.valueOf(sheet.version()));
        // before editions had their own, the title had one
        String typed = facts.getOrDefault("isbn_typed", slip.book().plain().isbn());
        facts.remove("isbn");
        facts.remove("isbn_typed");
        edition = EditionEntity.begun(book, facts, clock.instant());
        isbn(edition, typed);
        if (edition.getBinding() == null || edition.getTurn() == null) {
          throw new IllegalArgumentException();
        }
        edition.getTrim();
        edition.specification();
        Integer pages = edition.getPages();
        if (pages != null && (pages < 1 || pages > FactLimits.MOST_PAGES)
            || edition.getSpread() < 0
            || edition.getStock() == null
            || edition.getInk() == null) {
          throw new IllegalArgumentException();
        }
      } catch (RuntimeException wrong) {
        throw new Refusal(
            "package",
            "The facts of an edition in this package, at “"
                + sheet.name()
                + "”, can't be read: its binding, trim, count or flaps are none that are known.");
      }
      EditionEntity begun = edition;
      kept(() -> editions.saveAndFlush(begun));
      for (Slip.Revision r : e.revisions()) {
        revisions.put(edition, r.number(), r.parent(), r.what(), design(r), r.made());
      }
      if (e.revision() != 0) {
        revisions.backTo(edition, e.revision());
      }
      return edition;
    }

    /** As it was typed; what is wrong with it the docket says. */
    private static void isbn(EditionEntity edition, String typed) {
      String plain = typed == null ? "" : typed.replaceAll("\\p{Cntrl}", "");
      Isbn isbn = null;
      try {
        isbn = plain.isBlank() ? null : Isbn.parse(plain);
      } catch (Refusal r) {
        // kept as typed
      }
      edition.setIsbn(plain, isbn);
    }

    private Design design(Slip.Revision r) throws IOException {
      String text = unpacked.text(r.design());
      for (Map.Entry<String, String> o : otherwise.entrySet()) {
        text = text.replace(o.getKey(), o.getValue());
      }
      return DesignDocument.read(text);
    }

    private void ties(Slip.Edition e, List<EditionEntity> made, int i) {
      if (e.letBe() != null) {
        for (Slip.LetBe l : e.letBe()) {
          letBe.save(
              new LetBeEntity(
                  made.get(i).getId(),
                  l.code(),
                  l.piece(),
                  l.said(),
                  l.reason(),
                  who.may().name(),
                  clock.instant()));
        }
      }
      Slip.Carried c = e.carried();
      if (c != null) {
        EditionEntity origin = made.get(c.from());
        boolean there = c.originRevision() == 0 || !revisions.isGone(origin, c.originRevision());
        if (there && c.bases() != null) {
          Map<String, Integer> bases = new LinkedHashMap<>(c.bases());
          bases.values().removeIf(n -> n == null || n > 0 && revisions.isGone(origin, n) || n < -1);
          carrying.tie(made.get(i), origin, c.originRevision(), c.revision(), bases);
        }
      }
      Slip.Refitted r = e.refitted();
      if (r != null && r.baseFacts() != null && !revisions.isGone(made.get(i), r.baseRevision())) {
        Map<String, String> facts = new TreeMap<>(r.baseFacts());
        facts.put("house_id", made.get(i).getHouseId());
        facts.put("house_version", String.valueOf(made.get(i).getHouseVersion()));
        try {
          made.get(i).as(facts).getTrim();
          refitting.keep(made.get(i), r.baseRevision(), facts);
        } catch (RuntimeException wrong) {
          // then its design is simply the one it has
        }
      }
    }
  }
}
