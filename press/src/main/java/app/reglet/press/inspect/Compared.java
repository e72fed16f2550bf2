package app.reglet.press.inspect;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePage;
import java.math.BigDecimal;
import java.util.List;

/**
 * One thing about a file beside what the edition needs, with its figures; {@link ComparedText}
 * makes the words. Sizes are those of the page as seen.
 */
public sealed interface Compared {
  /** Stable name of what is compared, {@code sheet-size}. */
  String code();

  /** Whether it is as it must be. */
  boolean fits();

  /** Hands itself to the method of its kind. */
  <R> R accept(Visitor<R> visitor);

  /** What can be done with each kind; a kind that is forgotten does not compile. */
  interface Visitor<R> {
    R takenFor(TakenFor compared);

    R pageCount(PageCount compared);

    R insideSize(InsideSize compared);

    R sheetSize(SheetSize compared);

    R trimBox(TrimBox compared);

    R fonts(Fonts compared);

    R pixels(Pixels compared);

    R imageFile(ImageFile compared);
  }

  /**
   * Which of an edition's separate files this is.
   *
   * @param pages that it may be, the nearest in size
   */
  record TakenFor(List<FilePage> pages) implements Compared {
    @Override
    public String code() {
      return "taken-for";
    }

    @Override
    public boolean fits() {
      return true;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.takenFor(this);
    }
  }

  /**
   * How many pages the file has.
   *
   * @param hasInside whether the cover's inside may be a second page
   */
  record PageCount(int found, boolean hasInside) implements Compared {
    @Override
    public String code() {
      return "page-count";
    }

    @Override
    public boolean fits() {
      return found == 1 || hasInside && found == 2;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.pageCount(this);
    }
  }

  /** Whether the second page, the inside, has the size of the first. */
  record InsideSize(boolean same) implements Compared {
    @Override
    public String code() {
      return "inside-size";
    }

    @Override
    public boolean fits() {
      return same;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.insideSize(this);
    }
  }

  /**
   * The page's size.
   *
   * @param trimmed size after the knife: a page of that size lacks its bleed
   * @param tolerance how far width and height may be off each
   */
  record SheetSize(Size expected, Size found, Size trimmed, Length tolerance, String house)
      implements Compared {
    @Override
    public String code() {
      return "sheet-size";
    }

    @Override
    public boolean fits() {
      return found.isWithin(tolerance, expected);
    }

    /** Whether it is the trimmed cover without the bleed that the house wants. */
    public boolean lacksBleed() {
      return !fits() && found.isWithin(tolerance, trimmed);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.sheetSize(this);
    }
  }

  /**
   * The trim box that the file has written.
   *
   * @param expected place and size of the trimmed cover
   * @param found place and size of the box
   * @param turned whether the page is turned; its box's place is then not judged
   */
  record TrimBox(Placed expected, Placed found, boolean turned, Length tolerance)
      implements Compared {
    /** A box on a page: its size, and how far it begins from the page's left edge and its foot. */
    public record Placed(Size size, Length left, Length foot) {}

    @Override
    public String code() {
      return "trim-box";
    }

    /** Whether the box has the trimmed cover's size. */
    public boolean hasSize() {
      return found.size().isWithin(tolerance, expected.size());
    }

    private boolean hasPlace() {
      return turned
          || !found.left().minus(expected.left()).abs().isMoreThan(tolerance)
              && !found.foot().minus(expected.foot()).abs().isMoreThan(tolerance);
    }

    @Override
    public boolean fits() {
      return hasSize() && hasPlace();
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.trimBox(this);
    }
  }

  /**
   * The file's fonts.
   *
   * @param all how many there are
   * @param loose how many of them are not in the file
   */
  record Fonts(int all, int loose) implements Compared {
    @Override
    public String code() {
      return "fonts";
    }

    @Override
    public boolean fits() {
      return loose == 0;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.fonts(this);
    }
  }

  /** The size of a picture of the cover; a side between two pixels may be rounded. */
  record Pixels(Size expected, Size found) implements Compared {
    private static final Length HALF = Length.of(new BigDecimal("0.5"), Unit.PX);

    @Override
    public String code() {
      return "pixels";
    }

    @Override
    public boolean fits() {
      return found.isWithin(HALF, expected);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.pixels(this);
    }
  }

  /**
   * A picture of the cover as a file.
   *
   * @param quality of its JPEG, 1 to 100
   * @param mostMegabytes what the shop takes, of a million bytes; 0 for any
   */
  record ImageFile(long bytes, int quality, int mostMegabytes) implements Compared {
    @Override
    public String code() {
      return "image-file";
    }

    @Override
    public boolean fits() {
      return mostMegabytes == 0 || bytes <= mostMegabytes * 1_000_000L;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.imageFile(this);
    }
  }
}
