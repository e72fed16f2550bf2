package app.reglet.press;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.Further;
import app.reglet.core.book.Isbn;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Mark;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.type.Typefaces;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javax.imageio.ImageIO;

/** A made-up book, its wraps and pictures, for the tests of this module. */
public final class Specimen {
  public static final Typefaces TYPEFACES = Typefaces.shipped();
  public static final Book BOOK =
      new Book(
          "The Salt Ledger",
          "A novel of the flats",
          "Maren Aldous",
          "Sedge & Samphire",
          "When the office on the flats closes, its last clerk keeps the ledger open. "
              + "Fifty affluent officials offer difficult affidavits; she files them all.",
          Optional.of(Isbn.parse("9780306406157")),
          "£14.99");

  /** With everything said that a layout has a place for. */
  public static final Book FULL =
      new Book(
          BOOK.title(),
          BOOK.subtitle(),
          BOOK.author(),
          BOOK.imprint(),
          BOOK.blurb(),
          BOOK.isbn(),
          BOOK.price(),
          new Further(
              "Tales of the Long Shore",
              "3",
              "“Exact as a tide table.” – The Hythe Lantern",
              "Maren Aldous keeps the lamp at Ouse Hythe.",
              "",
              "",
              "",
              Map.of()));

  private Specimen() {}

  public static RuleSheet gannet() {
    return house("gannet-and-gauge");
  }

  /** A shipped rule sheet. */
  public static RuleSheet house(String id) {
    try (InputStream in = Specimen.class.getResourceAsStream("/houses/" + id + ".json")) {
      return RuleSheetReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public static Wrap wrap(int pages) {
    return Measuring.measure(
        Specification.of(
            Binding.PERFECT_BOUND,
            Size.parse("6 x 9", Unit.IN),
            pages,
            "white",
            "black",
            PageTurn.LTR),
        gannet());
  }

  public static Artwork artwork(
      int pages, StartingLayout layout, Ground background, Pictures pictures) {
    Wrap wrap = wrap(pages);
    return new Composer(TYPEFACES)
        .compose(layout.on(wrap, BOOK, on(background)), wrap, BOOK, pictures);
  }

  /** A design with a ground and nothing on it. */
  public static Design on(Ground ground) {
    return Design.EMPTY.changed(PrintedSide.OUTSIDE, c -> c.withGround(ground));
  }

  /** Every mark that is no group, those in groups too. */
  public static List<Mark> flat(Artwork art) {
    return art.marks().stream().flatMap(Specimen::flat).toList();
  }

  private static Stream<Mark> flat(Mark mark) {
    return mark instanceof Mark.Group g
        ? g.marks().stream().flatMap(Specimen::flat)
        : Stream.of(mark);
  }

  /** A plain layout on any wrap. */
  public static Artwork on(Wrap wrap) {
    Ground background = Ground.plain(new Colour.Rgb(0xe9e2d0));
    return new Composer(TYPEFACES)
        .compose(StartingLayout.TIDEMARK.on(wrap, BOOK, on(background)), wrap, BOOK, Pictures.NONE);
  }

  public static Artwork plain(int pages) {
    return artwork(
        pages, StartingLayout.LEDGER, Ground.plain(new Colour.Rgb(0xe9e2d0)), Pictures.NONE);
  }

  /** Red top left, green top right, blue bottom left, white bottom right. */
  public static BufferedImage corners(int w, int h) {
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    Color[] colours = {Color.RED, Color.GREEN, Color.BLUE, Color.WHITE};
    for (int i = 0; i < 4; i++) {
      g.setColor(colours[i]);
      g.fillRect(i % 2 * w / 2, i / 2 * h / 2, w / 2, h / 2);
    }
    g.dispose();
    return image;
  }

  public static BufferedImage sky(int w, int h) {
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setPaint(new GradientPaint(0, 0, new Color(0x24404e), w, h, new Color(0xd9c79b)));
    g.fillRect(0, 0, w, h);
    g.dispose();
    return image;
  }

  public static byte[] encode(BufferedImage image, String format) {
    try {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      ImageIO.write(image, format, out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public static Picture picture(BufferedImage image, String format) {
    return PictureReader.read(encode(image, format));
  }
}
