package app.reglet.press.art;

import app.reglet.core.book.Book;
import app.reglet.core.check.Laid;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Piece;
import app.reglet.core.measure.Box;
import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * A cover as a display list: what the bench shows as SVG and the press gets as PDF is this one
 * tree. Guides are no part of it.
 *
 * @param wrap the sheet it lies on
 * @param book whose words it shows
 * @param palette colours by name
 * @param parts the ground, then the loose pieces from back to front
 */
public record Artwork(Wrap wrap, Book book, Map<String, Colour.Solid> palette, List<Part> parts) {
  /** The name of what lies behind all pieces. */
  public static final String GROUND = Laid.GROUND;

  public Artwork {
    palette = Map.copyOf(palette);
    parts = List.copyOf(parts);
  }

  /**
   * What one loose piece comes to, with all that is in it.
   *
   * @param piece the piece; null for the ground
   * @param marks its group; none when it is hidden or absent
   * @param laid as laid, for the checks
   * @param placed where it lies, and the pieces in it
   * @param absent names of those that hang on a part this wrap doesn't have
   */
  public record Part(
      Piece piece,
      List<Mark.Group> marks,
      List<Laid> laid,
      List<Placed> placed,
      List<String> absent) {
    public Part {
      marks = List.copyOf(marks);
      laid = List.copyOf(laid);
      placed = List.copyOf(placed);
      absent = List.copyOf(absent);
    }

    /** The stored pictures in it, as they are treated. */
    public Stream<Pixels.Stored> pictures() {
      return marks.stream().flatMap(Part::pictures);
    }

    private static Stream<Pixels.Stored> pictures(Mark mark) {
      if (mark instanceof Mark.Group g) {
        return g.marks().stream().flatMap(Part::pictures);
      }
      return mark instanceof Mark.Image i && i.pixels() instanceof Pixels.Stored s
          ? Stream.of(s)
          : Stream.empty();
    }
  }

  /** From back to front: the ground, then a group for each piece. */
  public List<Mark.Group> marks() {
    return all(Part::marks);
  }

  /** The pieces as laid, for the checks. */
  public List<Laid> laid() {
    return all(Part::laid);
  }

  /** Where the pieces lie, those in groups too, from back to front. */
  public List<Placed> placed() {
    return all(Part::placed);
  }

  /** Names of pieces that hang on a part this wrap doesn't have. */
  public List<String> absent() {
    return all(Part::absent);
  }

  private <T> List<T> all(Function<Part, List<T>> of) {
    return parts.stream().map(of).flatMap(List::stream).toList();
  }

  /**
   * Where a piece lies.
   *
   * @param piece its id
   * @param name what people call it
   * @param group the id of the group it is in, empty for none
   * @param box its box, before it and the groups it is in are turned
   * @param corners of that box on the sheet, as it is turned: x and y of top left, top right,
   *     bottom right, bottom left, mm
   * @param angle clockwise, degrees, of the piece itself
   * @param locked whether it is left alone
   */
  public record Placed(
      String piece,
      String name,
      String group,
      Box box,
      double[] corners,
      double angle,
      boolean locked) {}
}
