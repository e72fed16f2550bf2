package app.reglet.web.demo;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.press.picture.Picture;
import app.reglet.web.titles.BookEntity;
import app.reglet.web.titles.EditionEntity;
import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The demo's books whose covers are composed piece by piece. */
@Component
class ComposedBooks {
  private final DemoShelf shelf;
  private final Clock clock;

  ComposedBooks(DemoShelf shelf, Clock clock) {
    this.shelf = shelf;
    this.clock = clock;
  }

  void putIn() {
    workbook();
    magazine();
    pocket();
  }

  /** A workbook for handwriting. */
  private void workbook() {
    BookEntity book = new BookEntity("A Fair Hand", "Wilmot Fenn", clock.instant());
    book.setWords(
        "A Fair Hand",
        "Copy lines for a slow hour",
        "Wilmot Fenn",
        DemoWorld.IMPRINT,
        """
        One hundred pages of lines to copy, from single strokes to whole sayings, ruled so that every hand finds its height.

        For those who begin, and for those who have typed too long.""",
        "£8.00");
    EditionEntity edition = shelf.edition(book, "gannet-and-gauge", "6 x 9 in", 100, "white");
    shelf.number(edition, "978-3-16-148410-0");
    shelf.keep(edition, DemoCovers.workbook(shelf.wrap(edition), edition.printed()));
  }

  /** A magazine with a single flap of 105 mm, printed inside too; its spine is 10 mm. */
  private void magazine() {
    BookEntity book = new BookEntity("Slack Water", "", clock.instant());
    book.setWords(
        "Slack Water",
        "A magazine of the shore",
        "",
        DemoWorld.IMPRINT,
        "Twice a year, when the tides are highest: things seen, made and mended between the sea wall and the last lamp.",
        "£11.00");
    EditionEntity edition =
        shelf.edition(
            book,
            "osier-row",
            Specification.of(
                    Binding.FLAPPED,
                    Size.parse("A4", Unit.MM),
                    152,
                    "offset-100",
                    "black",
                    PageTurn.LTR)
                .withFlaps(Optional.of(new Flaps(Length.mm("105"), Length.ZERO)))
                .withInsidePrinted(true));
    shelf.keep(edition, DemoCovers.magazine(shelf.wrap(edition), edition.printed()));
  }

  /** A pocket book with the press's mark as a picture that is partly clear. */
  private void pocket() {
    BookEntity book = new BookEntity("Marsh Birds at a Glance", "Tam Orrick", clock.instant());
    book.setWords(
        "Marsh Birds at a Glance",
        "Sixty silhouettes for the coat pocket",
        "Tam Orrick",
        DemoWorld.IMPRINT,
        """
        No plumage, no Latin: sixty outlines as they pass, with the hour and the wind they like.

        Fits the pocket that the flask leaves free.""",
        "£6.50");
    EditionEntity edition =
        shelf.edition(
            book,
            "osier-row",
            Specification.of(
                Binding.PERFECT_BOUND,
                Size.parse("105 x 148 mm", Unit.MM),
                160,
                "bulky-80",
                "black",
                PageTurn.LTR));
    shelf.number(edition, "978-1-4028-9463-3");
    Picture mark = shelf.own("mark.png", () -> DemoArt.mark(900));
    shelf.keep(edition, DemoCovers.pocket(shelf.wrap(edition), edition.printed(), mark.sha()));
  }
}
