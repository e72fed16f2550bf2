package app.reglet.core.house;

import app.reglet.core.design.Colour;
import app.reglet.core.house.grammar.FileNamePattern;
import java.util.Locale;

/**
 * How a house wants the press file made: its standard, its colours and what may be in it.
 *
 * @param standard which standard of files
 * @param colours what colours are given in
 * @param condition the printing condition colours are made for: the id of one that ships or of a
 *     profile that was brought; looked at only where colours are inks
 * @param intent how colours that can't be printed are brought into those that can
 * @param blackPoint whether black becomes the darkest that is printed, and darks stay apart
 * @param mostInk total ink, percent, 100 for each ink in full
 * @param richBlack what a black ground is printed with
 * @param outlines whether letters are handed over as outlines, not as type
 * @param mostPpi pictures finer than this at printed size are made coarser; 0 for none
 * @param asPicture pixels per inch of the whole sheet as one picture; 0 for a sheet of type and
 *     forms
 * @param names how files are named, {@link FileNamePattern}
 */
public record PressRules(
    Standard standard,
    Colours colours,
    String condition,
    Intent intent,
    boolean blackPoint,
    int mostInk,
    Colour.Cmyk richBlack,
    boolean outlines,
    int mostPpi,
    int asPicture,
    FileNamePattern names) {
  /** What is usual for a black ground: common practice, no single source. */
  public static final Colour.Cmyk RICH_BLACK = new Colour.Cmyk(60, 40, 40, 100);

  /** A PDF in sRGB. */
  public static final PressRules SCREEN =
      new PressRules(
          Standard.PLAIN,
          Colours.RGB,
          "coated",
          Intent.RELATIVE,
          true,
          300,
          RICH_BLACK,
          false,
          0,
          0,
          FileNamePattern.USUAL);

  /** Standards of press files. */
  public enum Standard {
    /** A PDF of no standard for print. */
    PLAIN("a plain PDF"),
    /** ISO 15930-4: inks alone, nothing shows through anything. */
    X1A("PDF/X-1a:2003"),
    /** ISO 15930-7: live transparency, colours by profiles. */
    X4("PDF/X-4");

    private final String title;

    Standard(String title) {
      this.title = title;
    }

    /** As people say it. */
    public String title() {
      return title;
    }

    /** The name used in documents and orders. */
    public String id() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** What colours a file has. */
  public enum Colours {
    /** sRGB; the house converts. */
    RGB,
    /** The four process inks of a printing condition. */
    CMYK
  }

  /** What is kept of colours that can't be printed (ICC.1:2010, 6.2). */
  public enum Intent {
    /** Themselves, where they can be printed; the paper is white. */
    RELATIVE,
    /** How they are to each other. */
    PERCEPTUAL
  }

  /** Whether the file is in inks. */
  public boolean isInks() {
    return colours == Colours.CMYK;
  }

  /** The same in another standard: of a standard a file is in inks always. */
  public PressRules in(Standard other) {
    return new PressRules(
        other,
        other == Standard.PLAIN ? colours : Colours.CMYK,
        condition,
        intent,
        blackPoint,
        mostInk,
        richBlack,
        outlines,
        mostPpi,
        asPicture,
        names);
  }

  /** The same in the inks of another printing condition. */
  public PressRules forCondition(String id) {
    return new PressRules(
        standard,
        Colours.CMYK,
        id,
        intent,
        blackPoint,
        mostInk,
        richBlack,
        outlines,
        mostPpi,
        asPicture,
        names);
  }

  /** The same with another limit of total ink, percent. */
  public PressRules withMostInk(int percent) {
    return new PressRules(
        standard,
        colours,
        condition,
        intent,
        blackPoint,
        percent,
        richBlack,
        outlines,
        mostPpi,
        asPicture,
        names);
  }

  /** The same with the whole sheet as one picture. */
  public PressRules asPicture(int ppi) {
    return new PressRules(
        standard,
        colours,
        condition,
        intent,
        blackPoint,
        mostInk,
        richBlack,
        outlines,
        mostPpi,
        ppi,
        names);
  }
}
