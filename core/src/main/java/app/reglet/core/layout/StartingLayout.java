package app.reglet.core.layout;

import app.reglet.core.book.Book;
import app.reglet.core.design.Design;
import app.reglet.core.design.GenrePalette;
import app.reglet.core.wrap.Wrap;
import java.util.Locale;
import java.util.function.Consumer;

/**
 * A layout to start from. Positions and type sizes are shares of the front's safe box on the wrap
 * at hand (proportions: our own); the pieces it makes are anchored, so they follow the wrap
 * afterwards, and their colours have names, so that one change of the palette changes all.
 */
public enum StartingLayout {
  /** Title at the head, author at the foot, ranged left. */
  LEDGER(
      "Ledger",
      "Title at the head, author at the foot, ranged left, on the lines of an account book",
      GenrePalette.LITERARY,
      TypePair.SPECTRAL,
      d -> new LedgerLayout(d).lay()),
  /** Everything on the middle axis, title on the upper third. */
  AXIS(
      "Axis",
      "On the middle axis, title on the upper third, a small sign under it",
      GenrePalette.POETRY,
      TypePair.CORMORANT,
      d -> new AxisLayout(d).lay()),
  /** A band of colour across the whole sheet carries title and author. */
  TIDEMARK(
      "Tidemark",
      "A band of colour round the whole cover carries the title",
      GenrePalette.SCIENCE,
      TypePair.ALEGREYA,
      d -> new TidemarkLayout(d).lay()),
  SHORELINE(
      "Shoreline",
      "One picture over the whole cover, darker towards the head, where the words are",
      GenrePalette.CRIME,
      TypePair.DM_SERIF,
      d -> new ShorelineLayout(d).lay()),
  WINDOW(
      "Window",
      "A framed picture on plain paper",
      GenrePalette.HISTORY,
      TypePair.BASKERVILLE,
      d -> new WindowLayout(d).lay()),
  HORIZON(
      "Horizon",
      "Split by a line round the cover: a picture above it, words below",
      GenrePalette.FANTASY,
      TypePair.JOST,
      d -> new HorizonLayout(d).lay()),
  EMBLEM(
      "Emblem",
      "A sign in rings over the title, on a dark ground",
      GenrePalette.FANTASY,
      TypePair.CINZEL,
      d -> new EmblemLayout(d).lay()),
  INITIAL(
      "Initial",
      "The first letter of the title, as large as the front takes; a picture is seen through it",
      GenrePalette.ROMANCE,
      TypePair.ABRIL,
      d -> new InitialLayout(d).lay()),
  SLIPWAY(
      "Slipway",
      "A slope across the whole sheet; the title runs up along it",
      GenrePalette.CRIME,
      TypePair.LEAGUE,
      d -> new SlipwayLayout(d).lay()),
  LABEL(
      "Label",
      "A pattern or a picture all over, and a label pasted on it",
      GenrePalette.COOKERY,
      TypePair.PLAYFAIR,
      d -> new LabelLayout(d).lay()),
  FLEET(
      "Fleet",
      "A series: a band round the head with its name and number",
      GenrePalette.SCIENCE,
      TypePair.ARCHIVO,
      d -> new FleetLayout(d).lay()),
  POSTER(
      "Poster",
      "The title alone, in capitals that fill the front",
      GenrePalette.CRIME,
      TypePair.BEBAS,
      d -> new PosterLayout(d).lay()),
  STRATA(
      "Strata",
      "Bars of all five colours round the cover, words in three of them",
      GenrePalette.CHILDREN,
      TypePair.FRAUNCES,
      d -> new StrataLayout(d).lay()),
  PORTHOLE(
      "Porthole",
      "A picture in a circle that nearly fills the front",
      GenrePalette.CHILDREN,
      TypePair.ZILLA,
      d -> new PortholeLayout(d).lay()),
  CARTOUCHE(
      "Cartouche",
      "A quiet text book: frames and rules in one colour, everything on the axis",
      GenrePalette.HISTORY,
      TypePair.SPECTRAL,
      d -> new CartoucheLayout(d).lay());

  private final String title;
  private final String about;
  private final GenrePalette shelf;
  private final TypePair pair;
  private final Consumer<Draft> how;

  StartingLayout(
      String title, String about, GenrePalette shelf, TypePair pair, Consumer<Draft> how) {
    this.title = title;
    this.about = about;
    this.shelf = shelf;
    this.pair = pair;
    this.how = how;
  }

  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }

  public String title() {
    return title;
  }

  public String about() {
    return about;
  }

  /** Lays the book's words out on the outside of a wrap, on the ground that a design has. */
  public Design on(Wrap wrap, Book book, Design design) {
    return on(wrap, book, design, Dress.KEPT);
  }

  /**
   * Lays a book out on a wrap.
   *
   * @param design what is there now: its outside is replaced, and its inside where that is printed
   * @param dress colours, typefaces and a picture
   */
  public Design on(Wrap wrap, Book book, Design design, Dress dress) {
    Draft draft = new Draft(wrap, book, design, dress, Scheme.of(shelf), pair);
    how.accept(draft);
    return draft.design();
  }
}
