package app.reglet.press.golden;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.carry.Carry;
import app.reglet.core.design.Design;
import app.reglet.core.design.document.DesignDocument;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.PlacedPage;
import app.reglet.press.compose.Composer;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.ScreenPicture;
import app.reglet.press.picture.Treating;
import app.reglet.press.svg.Addresses;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalDouble;
import javax.imageio.ImageIO;

/**
 * A cover whose look and file are held fast. Its design is a stored document, kept as the Reglet
 * that first wrote it wrote it; beside it lie its picture and the contents of its press file.
 *
 * @param name of its files in {@code golden/}
 * @param wrap the sheet it lies on
 * @param origin the cover it is carried from; null for one with a document of its own
 */
public record Golden(String name, Wrap wrap, Golden origin) {
  private Golden(String name, Wrap wrap) {
    this(name, wrap, null);
  }

  /** The covers: every binding and direction, every way words are set, pictures of every kind. */
  public static List<Golden> all() {
    return List.of(
        of("ledger", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 320),
        of("thin", "gannet-and-gauge", Binding.PERFECT_BOUND, "5 x 8 in", 60),
        of("words", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 500),
        of("picture", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200),
        of("turned-picture", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200),
        of("clear-picture", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200),
        of("tagged-picture", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200),
        of("four-ink-picture", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200),
        of("treated", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200),
        of("cut-out", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200),
        of("forms", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200),
        of("shapes", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200),
        of("patterns", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200),
        of("brought", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200),
        of("curves", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 320),
        of("typesetting", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 320),
        of("chapbook", "whimbrel-digital", Binding.SADDLE_STITCHED, "5.5 x 8.5 in", 32),
        of("case", "dunlin-casebinders", Binding.CASE_LAMINATE, "8 x 10 in", 224),
        of("jacket", "dunlin-casebinders", Binding.DUST_JACKET, "6 x 9 in", 240),
        of("flapped", "osier-row", Binding.FLAPPED, "A5", 288),
        new Golden(
            "right-to-left", wrap("osier-row", Binding.PERFECT_BOUND, "A5", 288, PageTurn.RTL)),
        new Golden("scripts", wrap("osier-row", Binding.PERFECT_BOUND, "A5", 288, PageTurn.RTL)),
        of("ebook", "lantern-shelf", Binding.EBOOK, "1000 x 1600 px", 1),
        of("ledger", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 320)
            .carried(
                "carried-jacket",
                wrap("dunlin-casebinders", Binding.DUST_JACKET, "5.5 x 8.5 in", 320, PageTurn.LTR)),
        of("patterns", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200)
            .carried(
                "carried-case",
                wrap("dunlin-casebinders", Binding.CASE_LAMINATE, "8 x 10 in", 200, PageTurn.LTR)),
        of("picture", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200)
            .carried(
                "carried-mirror",
                wrap("osier-row", Binding.PERFECT_BOUND, "A5", 200, PageTurn.RTL)),
        of("forms", "gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9 in", 200)
            .carried(
                "carried-ebook",
                wrap("lantern-shelf", Binding.EBOOK, "1000 x 1600 px", 1, PageTurn.LTR)));
  }

  private Golden carried(String to, Wrap there) {
    return new Golden(to, there, this);
  }

  private static Golden of(String name, String house, Binding binding, String trim, int pages) {
    return new Golden(name, wrap(house, binding, trim, pages, PageTurn.LTR));
  }

  private static Wrap wrap(String house, Binding binding, String trim, int pages, PageTurn turn) {
    var sheet = Specimen.house(house);
    boolean ebook = binding == Binding.EBOOK;
    return Measuring.measure(
        Specification.of(
            binding,
            Size.parse(trim, ebook ? Unit.PX : Unit.MM),
            pages,
            ebook ? "" : sheet.stocks().get(0).id(),
            ebook ? "" : sheet.inks().get(0).id(),
            turn),
        sheet);
  }

  /** The design, read from its document, or carried. */
  public Design design() {
    if (origin != null) {
      return new Carry(
              book(),
              sha ->
                  GoldenFiles.ALL
                      .find(sha)
                      .map(p -> OptionalDouble.of((double) p.width() / p.height()))
                      .orElseGet(OptionalDouble::empty))
          .of(origin.design(), origin.wrap(), wrap);
    }
    return DesignDocument.read(new String(resource(".json"), StandardCharsets.UTF_8));
  }

  /** The cover, composed. */
  public Artwork artwork() {
    return new Composer(Specimen.TYPEFACES).compose(design(), wrap, book(), GoldenFiles.ALL);
  }

  public Book book() {
    return Specimen.BOOK;
  }

  /** One of its files. */
  public byte[] resource(String ending) {
    try (InputStream in = Golden.class.getResourceAsStream("/golden/" + name + ending)) {
      if (in == null) {
        throw new IllegalStateException("golden/" + name + ending + " is not there");
      }
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Writes one of its files anew, into the sources. */
  public void write(String ending, byte[] content) throws IOException {
    Files.write(Path.of("src", "test", "resources", "golden", name + ending), content);
  }

  private static final int SCREEN = 1800;

  /** Where a screen finds a picture: in the address itself. */
  public static final Addresses ADDRESSES =
      new Addresses() {
        @Override
        public String picture(Picture picture, Treating treating) {
          return treating.isNone() ? address(picture) : address(picture, treating);
        }

        @Override
        public String page(PlacedPage page) {
          return PageAddress.of(page);
        }
      };

  private static String address(Picture picture, Treating treating) {
    byte[] shown = ScreenPicture.treated(screen(picture), treating);
    String type = (shown[0] & 0xff) == 0x89 ? "png" : "jpeg";
    return "data:image/" + type + ";base64," + java.util.Base64.getEncoder().encodeToString(shown);
  }

  private static BufferedImage screen(Picture picture) {
    try {
      return ImageIO.read(new ByteArrayInputStream(PictureReader.screen(picture, SCREEN)));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String address(Picture picture) {
    try {
      return "data:image/"
          + picture.format().name().toLowerCase(java.util.Locale.ROOT)
          + ";base64,"
          + java.util.Base64.getEncoder().encodeToString(picture.file().all());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public String toString() {
    return name;
  }
}
