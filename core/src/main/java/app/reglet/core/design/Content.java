package app.reglet.core.design;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Size;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a piece shows. Whoever handles contents is a {@link Visitor}: a kind that somebody forgets
 * does not compile.
 */
public sealed interface Content
    permits Words,
        Content.Shape,
        Content.Picture,
        Content.Ornament,
        Content.Pattern,
        Content.Page,
        Content.Cutting,
        Content.Barcode,
        Content.Group {
  /** Hands itself to the method of its kind. */
  <R> R accept(Visitor<R> visitor);

  /** The colours given in it, not those of pieces in it. */
  Stream<Colour> colours();

  /** What can be done with each kind. */
  interface Visitor<R> {
    R words(Words words);

    R shape(Shape shape);

    R picture(Picture picture);

    R ornament(Ornament ornament);

    R pattern(Pattern pattern);

    R page(Page page);

    R cutting(Cutting cutting);

    R barcode(Barcode barcode);

    R group(Group group);
  }

  /**
   * An area of colour: a band behind words, a disc, a frame.
   *
   * @param figure its form
   * @param fill what it is filled with, null for nothing
   * @param stroke the line along its edge, null for none
   */
  record Shape(Figure figure, Paint fill, Stroke stroke) implements Content {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.shape(this);
    }

    @Override
    public Stream<Colour> colours() {
      return Stream.concat(
          fill == null ? Stream.empty() : fill.colours(),
          stroke == null ? Stream.empty() : stroke.paint().colours());
    }

    /** A band of one colour. */
    public static Shape band(Colour colour) {
      return new Shape(Figure.RECTANGLE, Paint.of(colour), null);
    }

    public Shape withFill(Paint paint) {
      return new Shape(figure, paint, stroke);
    }
  }

  /**
   * A picture in its box.
   *
   * @param sha the SHA-256 of its file
   * @param framing how it lies there
   * @param treatment how it is seen other than its file has it
   * @param cutOut what of it is seen, empty for all
   */
  record Picture(String sha, Framing framing, Treatment treatment, Optional<CutOut> cutOut)
      implements Content {
    /** All of it. */
    public Picture(String sha, Framing framing, Treatment treatment) {
      this(sha, framing, treatment, Optional.empty());
    }

    /** As its file has it, covering its box. */
    public Picture(String sha, Focus focus) {
      this(sha, Framing.of(focus), Treatment.NONE);
    }

    /** As its file has it, covering its box, its middle in sight. */
    public static Picture of(String sha) {
      return new Picture(sha, Framing.PLAIN, Treatment.NONE);
    }

    public Picture withTreatment(Treatment other) {
      return new Picture(sha, framing, other, cutOut);
    }

    /** Null for all of it. */
    public Picture withCutOut(CutOut other) {
      return new Picture(sha, framing, treatment, Optional.ofNullable(other));
    }

    /** The one amount in which this is another than before; empty where more or all else is. */
    public String amountOtherThan(Picture was) {
      Framing f = framing;
      Treatment t = treatment;
      Treatment old = was.treatment;
      Map<String, Picture> put = new LinkedHashMap<>();
      put.put("focus", withFraming(f.withFocus(was.framing.focus())));
      put.put(
          "zoom",
          withFraming(
              new Framing(f.focus(), was.framing.zoom(), f.fit(), f.quarters(), f.mirrored())));
      put.put("levels", withTreatment(t.withLevels(old.levels())));
      put.put("shade", withTreatment(t.withShade(old.shade())));
      put.put("brightness", withTreatment(t.toned(old.brightness(), t.contrast(), t.saturation())));
      put.put("contrast", withTreatment(t.toned(t.brightness(), old.contrast(), t.saturation())));
      cutOut.ifPresent(
          now ->
              was.cutOut.ifPresent(
                  c -> put.put("cut-out's edge", withCutOut(now.withSoft(c.soft())))));
      put.put("saturation", withTreatment(t.toned(t.brightness(), t.contrast(), old.saturation())));
      return equals(was)
          ? ""
          : put.entrySet().stream()
              .filter(e -> e.getValue().equals(was))
              .map(Map.Entry::getKey)
              .findFirst()
              .orElse("");
    }

    public Picture withFraming(Framing other) {
      return new Picture(sha, other, treatment, cutOut);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.picture(this);
    }

    @Override
    public Stream<Colour> colours() {
      return treatment.colours();
    }
  }

  /**
   * A drawing in vectors, as large as its box takes in its own proportion.
   *
   * @param drawn which, and its colours
   */
  record Ornament(Motif.Drawn drawn) implements Content {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.ornament(this);
    }

    @Override
    public Stream<Colour> colours() {
      return drawn.colours();
    }
  }

  /**
   * A motif that repeats all over its box.
   *
   * @param motif what repeats
   * @param tiling how
   */
  record Pattern(Motif motif, Tiling tiling) implements Content {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.pattern(this);
    }

    @Override
    public Stream<Colour> colours() {
      return motif.colours();
    }
  }

  /**
   * A page of a PDF, as it is, as large as its box takes in its own proportion.
   *
   * @param sha the SHA-256 of its file
   * @param number of the page, from 1
   */
  record Page(String sha, int number) implements Content {
    public Page {
      if (number < 1) {
        throw new Refusal("page", "Pages are counted from 1; this would be page " + number + ".");
      }
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.page(this);
    }

    @Override
    public Stream<Colour> colours() {
      return Stream.empty();
    }
  }

  /**
   * A part of a finished sheet that was made elsewhere: a picture, or a page of a PDF. It fills its
   * box, each way for itself. The part is told in the unit square of the whole, from its upper left
   * corner, down positive; what of it lies beyond an edge of the whole, where bleed is lacking, is
   * seen mirrored at that edge.
   *
   * @param sha the SHA-256 of its file
   * @param page of the PDF, from 1; 0 for a picture
   */
  record Cutting(String sha, int page, double left, double top, double right, double bottom)
      implements Content {
    private static final double LEAST = 1e-6;

    public Cutting {
      for (double at : new double[] {left, top, right, bottom}) {
        if (!(at >= -1 && at <= 2)) {
          throw new Refusal(
              "A cutting goes no further beyond its sheet than that is long; this would be at "
                  + at
                  + ".");
        }
      }
      if (page < 0 || right - left < LEAST || bottom - top < LEAST) {
        throw new Refusal("A cutting of a sheet has a width and a height.");
      }
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.cutting(this);
    }

    @Override
    public Stream<Colour> colours() {
      return Stream.empty();
    }
  }

  /**
   * The ISBN barcode of the book, on a light panel in the middle of its box.
   *
   * @param magnification of the standard's nominal size, 0.8 to 2; the largest when {@code fit}
   * @param fit whether it is as large as its box takes
   * @param isbnLine whether the ISBN stands above it in figures
   * @param addOn the five digits of a price add-on, empty for none
   * @param panel the colour it lies on
   */
  record Barcode(double magnification, boolean fit, boolean isbnLine, String addOn, Colour panel)
      implements Content {
    /**
     * The least and largest magnification of an EAN-13 (GS1 General Specifications, from memory).
     */
    public static final double LEAST = 0.8;

    public static final double MOST = 2;

    public Barcode {
      if (!(magnification >= LEAST && magnification <= MOST)) {
        throw new Refusal(
            "An EAN-13 is printed at 80 to 200 % of its nominal size; this would be "
                + Math.round(magnification * 100)
                + " %.");
      }
      if (!isAddOn(addOn)) {
        throw new Refusal(
            "“" + addOn + "” is no price add-on: five digits, the first for the currency.");
      }
    }

    /** Whether this is a price add-on, or none. */
    public static boolean isAddOn(String digits) {
      return digits.matches("(\\d{5})?");
    }

    /** As a document of format 2 means it: in its box, at nominal size at most, bars alone. */
    public Barcode() {
      this(1, true, false, "", Colour.WHITE);
    }

    /** With the ISBN in figures above it. */
    public static Barcode usual() {
      return new Barcode(1, true, true, "", Colour.WHITE);
    }

    public Barcode withPanel(Colour colour) {
      return new Barcode(magnification, fit, isbnLine, addOn, colour);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.barcode(this);
    }

    @Override
    public Stream<Colour> colours() {
      return Stream.of(panel);
    }
  }

  /**
   * Pieces that belong together. They hang on the lines of {@code group}, a box of the natural
   * size; in the group's own box everything is as much larger or smaller as that box is, each way
   * for itself, and type by the lesser of the two.
   *
   * @param natural the size the pieces were laid out for
   * @param pieces from back to front
   * @param row that they stand in one line, wherever they hang; null when they lie as they hang
   */
  record Group(Size natural, List<Piece> pieces, Row row) implements Content {
    /** Pieces that lie as they hang. */
    public Group(Size natural, List<Piece> pieces) {
      this(natural, pieces, null);
    }

    public Group {
      pieces = List.copyOf(pieces);
      if (!natural.width().isPositive() || !natural.height().isPositive()) {
        throw new IllegalArgumentException("a group without a size: " + natural);
      }
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.group(this);
    }

    @Override
    public Stream<Colour> colours() {
      return Stream.empty();
    }

    public Group withPieces(List<Piece> newPieces) {
      return new Group(natural, newPieces, row);
    }

    /** In one line; null for as they hang. */
    public Group in(Row other) {
      return new Group(natural, pieces, other);
    }
  }
}
