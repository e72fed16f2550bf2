package app.reglet.core.check;

import app.reglet.core.book.Fact;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A piece as it was laid on a wrap, measured by whoever set it. Sheet coordinates. */
public sealed interface Laid {
  /** What a ground is called where pieces have their ids. */
  String GROUND = "ground";

  String piece();

  String name();

  /** What of the sheet it takes, as it is turned and cut; for words, their box. */
  Outline outline();

  /** The smallest upright box round its outline. */
  default Box extent() {
    return outline().bounds();
  }

  /**
   * Set words.
   *
   * @param outline the box they were given, as it is turned
   * @param ink what their glyphs cover; nothing when there are no glyphs
   * @param size the type size they came out at
   * @param overflowing whether they need more room than the box
   * @param missing characters the typeface has no glyph for
   * @param face the typeface
   * @param instead a typeface that has every character, where this one lacks some
   * @param empty facts named in the words that the book does not state
   * @param unknown names in the words that are no facts
   * @param lacks what the family lacks for these words, so that it is drawn or not seen
   * @param said what they say, and in what
   * @param largest the largest size at which they would fit the width of the spine's safe band,
   *     zero unless they run along the spine
   */
  record Words(
      String piece,
      String name,
      Outline outline,
      Outline ink,
      Length size,
      boolean overflowing,
      String missing,
      Face face,
      Optional<Face> instead,
      List<String> empty,
      List<String> unknown,
      Set<Lack> lacks,
      Said said,
      Length largest)
      implements Laid {
    /** The smallest upright box round the ink; there must be some. */
    public Box inked() {
      return ink.bounds();
    }
  }

  /**
   * What words say.
   *
   * @param text as it is set
   * @param fact the fact they follow, null for words of their own
   * @param inks how many inks print their letters; none for letters left out of what is round them
   * @param richBlack whether they are black with other inks below it
   * @param angle the way their lines run on the sheet, degrees clockwise from level, 0 to 360
   */
  record Said(String text, Fact fact, int inks, boolean richBlack, double angle) {
    /** Level words that are not in rich black. */
    public Said(String text, Fact fact, int inks) {
      this(text, fact, inks, false, 0);
    }
  }

  /** What a family of typefaces can lack. */
  enum Lack {
    /** Small capitals of its own: smaller capitals are drawn. */
    SMALL_CAPITALS,
    /** Italics (or upright letters, for italics): emphasis is not seen. */
    ITALIC,
    /** A bolder face: strong emphasis is not seen. */
    BOLD,
    /** The typeface itself is not here: another stands for it. */
    TYPEFACE
  }

  /**
   * A typeface as people know it.
   *
   * @param id in documents, {@code spectral-bold}
   * @param name {@code Spectral Bold}
   * @param family {@code Spectral}
   * @param fine whether its letters have fine strokes, as those with serifs do
   */
  record Face(String id, String name, String family, boolean fine) {}

  /**
   * What lies behind every piece.
   *
   * @param outline the sheet
   * @param paper whether nothing is printed there, on any part of the cover
   */
  record Ground(Outline outline, boolean paper) implements Laid {
    @Override
    public String piece() {
      return GROUND;
    }

    @Override
    public String name() {
      return "Ground";
    }
  }

  /**
   * An area of colour, or a line.
   *
   * @param line how thick its line is; zero without one
   * @param hollow whether its line goes round nothing, as a border does
   */
  record Area(String piece, String name, Outline outline, Length line, boolean hollow)
      implements Laid {
    /** Without a line. */
    public Area(String piece, String name, Outline outline) {
      this(piece, name, outline, Length.ZERO, false);
    }
  }

  /**
   * The barcode, with its quiet zones.
   *
   * @param magnification at which it came out, 1 for the nominal size
   * @param reflected share of red light that its panel gives back, 0 to 1
   * @param number that was read back; empty for one that is drawn of the book's own
   */
  record Barcode(
      String piece,
      String name,
      Outline outline,
      double magnification,
      double reflected,
      String number)
      implements Laid {
    /** One that is drawn of the book's number. */
    public Barcode(
        String piece, String name, Outline outline, double magnification, double reflected) {
      this(piece, name, outline, magnification, reflected, "");
    }
  }

  /** The place of a barcode that has no bars, since the book has no sound ISBN. */
  record Unbarred(String piece, String name, Outline outline) implements Laid {}

  /**
   * A placed page.
   *
   * @param sha SHA-256 of its file
   * @param missing fonts that its file does not bring
   * @param on what is drawn on it, as it lies on the sheet
   * @param seen how its words stand out, of those that were measured
   * @param covers whether nothing that lies below it is seen within the bounds of its outline
   * @param inks what its inks tell, pixel by pixel, where it lies
   */
  record Page(
      String piece,
      String name,
      Outline outline,
      String sha,
      List<String> missing,
      List<Laid> on,
      List<Seen> seen,
      boolean covers,
      List<Finding> inks)
      implements Laid {
    public Page {
      on = List.copyOf(on);
      inks = List.copyOf(inks);
      seen = List.copyOf(seen);
    }
  }

  /**
   * A picture.
   *
   * @param outline what of it shows
   * @param ppi its pixels per inch at printed size, the coarser way
   * @param sha SHA-256 of its file
   * @param quality at which it was packed with loss, 1 to 100; 0 where it was not, or nobody knows
   */
  record Picture(String piece, String name, Outline outline, double ppi, String sha, int quality)
      implements Laid {
    /** One that is not known to have been packed with loss. */
    public Picture(String piece, String name, Outline outline, double ppi, String sha) {
      this(piece, name, outline, ppi, sha, 0);
    }
  }
}
