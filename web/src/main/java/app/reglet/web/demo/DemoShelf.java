package app.reglet.web.demo;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Isbn;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.design.Design;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.picture.Picture;
import app.reglet.web.bench.Revisions;
import app.reglet.web.houses.Houses;
import app.reglet.web.pictures.PictureEntity;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.titles.BookEntity;
import app.reglet.web.titles.Books;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import app.reglet.web.titles.Library;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Puts the demo's books, editions, pictures and designs where everything else finds them. */
@Component
class DemoShelf {
  private static final Map<String, PictureStore.Drawn> DRAWN = new ConcurrentHashMap<>();

  private final Books books;
  private final Editions editions;
  private final Houses houses;
  private final Revisions revisions;
  private final PictureStore pictures;
  private final Library library;
  private final Clock clock;

  DemoShelf(
      Books books,
      Editions editions,
      Houses houses,
      Revisions revisions,
      PictureStore pictures,
      Library library,
      Clock clock) {
    this.library = library;
    this.books = books;
    this.editions = editions;
    this.houses = houses;
    this.revisions = revisions;
    this.pictures = pictures;
    this.clock = clock;
  }

  Wrap wrap(EditionEntity edition) {
    return Measuring.measure(
        edition.specification().orElseThrow(),
        houses.get(edition.getHouseId(), edition.getHouseVersion()));
  }

  void keep(EditionEntity edition, Design design) {
    license(edition, design);
    revisions.save(edition.getId(), 0, design, "Composed");
  }

  /** What Reglet drew itself is the press's own. */
  void license(EditionEntity edition, Design design) {
    for (String sha : design.pictures()) {
      String name = pictures.about(sha).map(PictureEntity::getName).orElse("picture");
      library.own(edition.getBook().getId(), sha, name);
    }
  }

  /**
   * A drawing of the demo, drawn once in a run of the program, however often the demo is put in.
   */
  Picture own(String name, Supplier<byte[]> drawing) {
    try {
      return pictures.addOwn(
          DRAWN.computeIfAbsent(name, n -> PictureStore.Drawn.of(drawing.get())), name);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  EditionEntity edition(BookEntity book, String house, String trim, int pages, String stock) {
    return edition(
        book,
        house,
        Specification.of(
            Binding.PERFECT_BOUND, Size.parse(trim, Unit.MM), pages, stock, "black", PageTurn.LTR));
  }

  /** Names an edition by its ISBN. */
  void number(EditionEntity edition, String isbn) {
    edition.setIsbn(isbn, Isbn.parse(isbn));
    editions.save(edition);
  }

  EditionEntity edition(BookEntity book, String house, Specification spec) {
    BookEntity saved = books.save(book);
    return editions.save(
        new EditionEntity(saved, house, houses.version(house), spec, clock.instant()));
  }
}
