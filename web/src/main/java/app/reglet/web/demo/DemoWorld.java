package app.reglet.web.demo;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Further;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.layout.Dress;
import app.reglet.core.layout.Role;
import app.reglet.core.layout.Scheme;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.picture.Picture;
import app.reglet.web.bench.Revisions;
import app.reglet.web.houses.Houses;
import app.reglet.web.titles.BookEntity;
import app.reglet.web.titles.Books;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.time.Clock;
import java.util.Map;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * The demo: titles of the made-up island press Sedge & Samphire. Authors, books, ISBNs' owners,
 * houses and pictures are invented. Put in when the database holds no title.
 */
@Component
@ConditionalOnProperty("reglet.demo")
public class DemoWorld {
  static final String IMPRINT = "Sedge & Samphire";

  private final Books books;
  private final Editions editions;
  private final Houses houses;
  private final Revisions revisions;
  private final DemoShelf shelf;
  private final ComposedBooks composed;
  private final Clock clock;

  public DemoWorld(
      Books books,
      Editions editions,
      Houses houses,
      Revisions revisions,
      DemoShelf shelf,
      ComposedBooks composed,
      Clock clock) {
    this.books = books;
    this.editions = editions;
    this.houses = houses;
    this.revisions = revisions;
    this.shelf = shelf;
    this.composed = composed;
    this.clock = clock;
  }

  /** All of it or nothing: a demo that is stopped while it is put in starts anew the next time. */
  @Transactional
  public void putIn() {
    if (books.count() > 0) {
      return;
    }
    saltLedger();
    knots();
    chapbook();
    cookbook();
    fieldGuide();
    rightToLeft();
    composed.putIn();
  }

  /** A novel at the house that counts in inches. */
  private void saltLedger() {
    BookEntity book = new BookEntity("The Salt Ledger", "Maren Aldous", clock.instant());
    book.setWords(
        "The Salt Ledger",
        "A novel of the flats",
        "Maren Aldous",
        IMPRINT,
        """
        When the customs office on the tidal flats of Ouse Hythe closes, its last clerk is told to burn the books. She keeps one.

        In it, in forty hands, stands everything the island ever owed: salt, herring, a bell, a daughter. As the causeway floods and the buyers come, Ida Wren begins to collect.

        “Exact as a tide table, and as pitiless.” – The Hythe Lantern""",
        "£12.99");
    book.setFurther(
        new Further(
            "",
            "",
            "",
            "Maren Aldous kept the books of a harbour for eleven years. She lives on the flats of Ouse Hythe, two feet above the spring tide. This is her first novel.",
            "",
            "",
            "en",
            Map.of()),
        "");
    EditionEntity edition = shelf.edition(book, "gannet-and-gauge", "6 x 9 in", 312, "cream");
    shelf.number(edition, "978-1-4028-9462-6");
    Picture art = shelf.own("tide-flats.jpg", () -> DemoArt.tideFlats(4400, 3133));
    compose(
        edition,
        StartingLayout.TIDEMARK,
        Ground.plain(new Colour.Rgb(art.mean())).withPicture(art.sha()),
        dress(art, 0x14262d, 0xfbf6ea, 0xc96a3a, 0x6d7f80, 0xe8b878));
  }

  /** A stubborn little handbook at the metric house, with a count that can't be bound. */
  private void knots() {
    BookEntity book = new BookEntity("Knots for Slow Water", "Piers Hallam-Reed", clock.instant());
    book.setWords(
        "Knots for Slow Water",
        "Forty hitches, bends and splices for small boats",
        "Piers Hallam-Reed",
        IMPRINT,
        """
        A pocket companion for those who sail where nothing is in a hurry.

        Each knot is drawn three times: as it is begun, as it is drawn up, and as it looks at dusk with cold hands.""",
        "£9.50");
    EditionEntity edition = shelf.edition(book, "osier-row", "A5", 171, "offset-100");
    shelf.number(edition, "978-1-4028-9464-0");
    compose(
        edition,
        StartingLayout.LABEL,
        Ground.plain(new Colour.Rgb(0x1f4a4d)),
        dress(null, 0x12302f, 0xf4ecd8, 0x1f4a4d, 0x7f9a8e, 0xd9a441));
  }

  /** A stapled chapbook. */
  private void chapbook() {
    BookEntity book = new BookEntity("Eleven Tides", "Oona Tarrant", clock.instant());
    book.setWords(
        "Eleven Tides",
        "Poems",
        "Oona Tarrant",
        IMPRINT,
        "Eleven poems, one for each tide of a week without a boat.",
        "£5.00");
    book.setFurther(
        new Further(
            "",
            "",
            "“She leaves out everything the sea would say anyway.” – The Causeway Review",
            "Oona Tarrant keeps the tide tables of Ouse Hythe.",
            "",
            "",
            "en",
            Map.of()),
        "");
    EditionEntity edition =
        shelf.edition(
            book,
            "whimbrel-digital",
            Specification.of(
                Binding.SADDLE_STITCHED,
                Size.parse("5.5 x 8.5 in", Unit.IN),
                32,
                "cream",
                "black",
                PageTurn.LTR));
    shelf.number(edition, "978-1-4028-9465-7");
    compose(
        edition,
        StartingLayout.AXIS,
        Ground.plain(new Colour.Rgb(0xd8cdb4)),
        dress(null, 0x2b2a33, 0xfaf6ec, 0x7a4a5e, 0x8c9a98, 0xd8cdb4));
  }

  /** A cookbook in hardcover, printed in colour, its count not final yet. */
  private void cookbook() {
    BookEntity book = new BookEntity("Smoke, Salt, Samphire", "Hesper Quill", clock.instant());
    book.setWords(
        "Smoke, Salt, Samphire",
        "An island kitchen in ninety dishes",
        "Hesper Quill",
        IMPRINT,
        """
        Ninety dishes from a kitchen with one window, and that one facing the smokehouse.

        What the sea leaves, what the garden allows, and what keeps until the ferry comes.""",
        "£24.00");
    book.setFurther(
        new Further(
            "",
            "",
            "“I have burnt nothing since, and eaten the rest.” – The Hythe Lantern",
            "Hesper Quill cooks for eleven on a stove built for four.",
            "",
            "",
            "en",
            Map.of()),
        "");
    EditionEntity edition =
        shelf.edition(
            book,
            "dunlin-casebinders",
            Specification.of(
                Binding.CASE_LAMINATE,
                Size.parse("8 x 10 in", Unit.IN),
                224,
                "white",
                "colour",
                PageTurn.LTR));
    edition.setSpread("", 16);
    editions.save(edition);
    Picture plate = shelf.own("the-plate.jpg", () -> DemoScenes.plate(1700));
    compose(
        edition,
        StartingLayout.PORTHOLE,
        Ground.plain(new Colour.Rgb(0x8c3b26)),
        dress(plate, 0x2a1a14, 0xfaf1de, 0x9c3f26, 0x5f7a4c, 0xeac36a));
  }

  /** A field guide with a dust jacket round its case. */
  private void fieldGuide() {
    BookEntity book = new BookEntity("Waders of the Long Shore", "Tam Orrick", clock.instant());
    book.setWords(
        "Waders of the Long Shore",
        "A guide by leg, bill and hour",
        "Tam Orrick",
        IMPRINT,
        """
        Forty-one waders as they are really seen: far off, against the light, and just leaving.

        With tables of the hours at which each may be mistaken for another.""",
        "£19.50");
    book.setFurther(
        new Further(
            "",
            "",
            "“The only guide I have seen that admits how little one sees.” – The Causeway Review",
            """
            Tam Orrick has counted birds on the Long Shore for thirty-one years and has been certain of four.

            He lives above the chandler’s at Ouse Hythe with a telescope and a kettle.""",
            "",
            "",
            "en",
            Map.of()),
        "");
    EditionEntity edition =
        shelf.edition(
            book,
            "dunlin-casebinders",
            Specification.of(
                Binding.DUST_JACKET,
                Size.parse("6 x 9 in", Unit.IN),
                240,
                "cream",
                "black",
                PageTurn.LTR));
    Picture shore = shelf.own("waders.jpg", () -> DemoScenes.waders(4400, 2000));
    compose(
        edition,
        StartingLayout.SHORELINE,
        Ground.plain(new Colour.Rgb(0x2f4b5c)),
        dress(shore, 0x1c2c37, 0xf8f1e4, 0xc98a4b, 0x6f8ea3, 0xe8cfb0));
  }

  /** A book whose pages turn right to left, its cover printed inside too. */
  private void rightToLeft() {
    BookEntity book = new BookEntity("Letters from the Salt Road", "Ilan Marrow", clock.instant());
    book.setWords(
        "Letters from the Salt Road",
        "Collected and answered",
        "Ilan Marrow",
        IMPRINT,
        "Written home along the salt road in a hand that runs the other way, and bound as they were read.",
        "£13.50");
    book.setFurther(
        new Further(
            "",
            "",
            "“A correspondence in which only the salt never changes hands.” – The Hythe Lantern",
            "Ilan Marrow carried the post along the salt road for nine winters.",
            "",
            "",
            "en",
            Map.of()),
        "");
    EditionEntity edition =
        shelf.edition(
            book,
            "osier-row",
            Specification.of(
                    Binding.PERFECT_BOUND,
                    Size.parse("A5", Unit.MM),
                    288,
                    "bulky-80",
                    "black",
                    PageTurn.RTL)
                .withInsidePrinted(true));
    shelf.number(edition, "978-1-4028-9466-4");
    compose(
        edition,
        StartingLayout.CARTOUCHE,
        Ground.plain(new Colour.Rgb(0x3d3550)),
        dress(null, 0x2c2440, 0xf3ebdc, 0x5b3f7a, 0x8c86a0, 0xc9a45a));
  }

  /** Five colours by their roles, and a picture, null for none. */
  private static Dress dress(
      Picture picture, int ink, int paper, int accent, int quiet, int light) {
    Map<Role, Colour.Solid> colours =
        Map.of(
            Role.INK, new Colour.Rgb(ink),
            Role.PAPER, new Colour.Rgb(paper),
            Role.ACCENT, new Colour.Rgb(accent),
            Role.QUIET, new Colour.Rgb(quiet),
            Role.LIGHT, new Colour.Rgb(light));
    return Dress.of(
        new Scheme(colours),
        null,
        picture == null ? null : new Dress.Shown(picture.sha(), picture.mean(), false));
  }

  private void compose(EditionEntity edition, StartingLayout layout, Ground ground, Dress dress) {
    Wrap wrap =
        Measuring.measure(
            edition.specification().orElseThrow(),
            houses.get(edition.getHouseId(), edition.getHouseVersion()));
    Design begun =
        revisions.current(edition).changed(PrintedSide.OUTSIDE, c -> c.withGround(ground));
    Design laid = layout.on(wrap, edition.printed(), begun, dress);
    shelf.license(edition, laid);
    revisions.save(edition.getId(), 0, begun, "Ground");
    revisions.save(edition.getId(), 1, laid, "Layout " + layout.title());
  }
}
