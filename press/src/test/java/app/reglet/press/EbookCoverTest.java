package app.reglet.press;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Ground;
import app.reglet.core.house.FileRules;
import app.reglet.core.house.PressRules;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Rounding;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.inspect.Compared;
import app.reglet.press.inspect.FitCheck;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PixelRow;
import app.reglet.press.raster.ArtworkRaster;
import app.reglet.press.raster.EbookCover;
import app.reglet.testing.Tool;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** Ebook covers: the artwork as pixels, judged against poppler's rendering of the press file. */
public class EbookCoverTest {
  private static Wrap screen(String size) {
    return Measuring.measure(
        Specification.of(Binding.EBOOK, Size.parse(size, Unit.PX), 1, "", "", PageTurn.LTR),
        Specimen.house("lantern-shelf"));
  }

  private static FileRules upTo(int megabytes) {
    return new FileRules(
        Rounding.NONE,
        FileRules.PageSize.EXACT,
        Length.ZERO,
        96,
        96,
        megabytes,
        Set.of("jpeg"),
        PressRules.SCREEN,
        app.reglet.core.house.FindingRules.USUAL);
  }

  private static Artwork noisy(String size) {
    BufferedImage noise = new BufferedImage(900, 1400, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(4);
    for (int y = 0; y < noise.getHeight(); y++) {
      for (int x = 0; x < noise.getWidth(); x++) {
        noise.setRGB(x, y, random.nextInt());
      }
    }
    Picture picture = Specimen.picture(noise, "png");
    Wrap wrap = screen(size);
    Ground background = Ground.plain(new Colour.Rgb(0x333333)).withPicture(picture.sha());
    Pictures one = sha -> sha.equals(picture.sha()) ? Optional.of(picture) : Optional.empty();
    return new Composer(Specimen.TYPEFACES)
        .compose(
            StartingLayout.AXIS.on(wrap, Specimen.BOOK, Specimen.on(background)),
            wrap,
            Specimen.BOOK,
            one);
  }

  /** What Dispatch says of the file is what the file is. */
  @Test
  public void theFileIsComparedByItsPixelsAndItsBytes() {
    Wrap wrap = screen("1600 x 2560 px");
    EbookCover cover = EbookCover.make(Specimen.on(wrap), upTo(5));
    List<Compared> compared = FitCheck.of(cover, wrap);
    assertThat(compared).allMatch(Compared::fits).hasSize(2);
    assertThat(compared)
        .contains(
            new Compared.ImageFile(
                cover.file().length, cover.quality(), wrap.house().files().mostMegabytes()));
    assertThat(FitCheck.of(cover, screen("1600 x 2400 px")))
        .filteredOn(c -> !c.fits())
        .extracting(Compared::code)
        .containsExactly("pixels");
  }

  @Test
  public void onePixelForOnePx() throws IOException {
    EbookCover cover = EbookCover.make(Specimen.on(screen("1600 x 2560 px")), upTo(5));
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(cover.file()));
    assertThat(image.getWidth()).isEqualTo(1600);
    assertThat(image.getHeight()).isEqualTo(2560);
    assertThat(cover.quality()).isEqualTo(95);
    // JPEG begins with SOI, FF D8 (ISO/IEC 10918-1, B.1.1.3)
    assertThat(cover.file()[0] & 0xff).isEqualTo(0xff);
    assertThat(cover.file()[1] & 0xff).isEqualTo(0xd8);
  }

  @Test
  public void theQualityGivesWayToTheShopsLargestFile() {
    Artwork noisy = noisy("1000 x 1600 px");
    EbookCover free = EbookCover.make(noisy, upTo(0));
    EbookCover held = EbookCover.make(noisy, upTo(1));
    assertThat(free.file().length).isGreaterThan(1_000_000);
    assertThat(held.file().length).isLessThanOrEqualTo(1_000_000);
    assertThat(held.quality()).isLessThan(free.quality());
  }

  @Test
  public void whatCanNotBeMadeSmallEnoughSaysSo() {
    Artwork noisy = noisy("1800 x 2560 px");
    assertThatThrownBy(() -> EbookCover.make(noisy, upTo(1)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("the shop takes 1 MB");
  }

  /** Pixels and press file come from the same marks: poppler's drawing of the PDF is the judge. */
  @Test
  public void pixelsAndPressFileAgree() throws IOException {
    Artwork art =
        Specimen.artwork(
            240, StartingLayout.LEDGER, Ground.plain(new Colour.Rgb(0xe9e2d0)), Pictures.NONE);
    BufferedImage ours = ArtworkRaster.render(art, 300);
    Path pdf = Tool.file("wrap.pdf", PressFile.make(art, Specimen.BOOK, Instant.EPOCH));
    Path page = pdf.resolveSibling("page");
    Tool.ok("pdftoppm", "-r", "300", "-png", "-singlefile", pdf.toString(), page.toString());
    BufferedImage theirs = ImageIO.read(Path.of(page + ".png").toFile());
    assertThat(Math.abs(theirs.getWidth() - ours.getWidth())).isLessThanOrEqualTo(1);
    long differing = 0;
    long dark = 0;
    int w = Math.min(ours.getWidth(), theirs.getWidth());
    int h = Math.min(ours.getHeight(), theirs.getHeight());
    int[] mine = PixelRow.all(ours.getSubimage(0, 0, w, h));
    int[] other = PixelRow.all(theirs.getSubimage(0, 0, w, h));
    for (int y = 1; y < h - 1; y++) {
      for (int x = 1; x < w - 1; x++) {
        int at = y * w + x;
        dark += green(mine[at]) < 100 ? 1 : 0;
        // rasterizers place an edge up to a pixel apart and shade it differently: what counts is
        // full ink in one with no ink near it in the other
        differing += green(mine[at]) < 60 && !inkNear(other, at, w) ? 1 : 0;
        differing += green(other[at]) < 60 && !inkNear(mine, at, w) ? 1 : 0;
      }
    }
    assertThat(dark).as("there is type").isGreaterThan(5000);
    assertThat(differing).as("pixels that differ, of " + dark + " dark").isLessThan(dark / 1000);
  }

  private static int green(int rgb) {
    return rgb >> 8 & 0xff;
  }

  private static boolean inkNear(int[] pixels, int at, int w) {
    for (int dx = -1; dx <= 1; dx++) {
      for (int dy = -w; dy <= w; dy += w) {
        if (green(pixels[at + dx + dy]) < 160) {
          return true;
        }
      }
    }
    return false;
  }

  @Test
  public void aPictureLiesUprightWhateverItsOrientation() {
    // red top left, green top right, blue bottom left, white bottom right
    Picture picture = Specimen.picture(Specimen.corners(400, 640), "png");
    Wrap wrap = screen("1000 x 1600 px");
    Pictures one = sha -> Optional.of(picture);
    Artwork art =
        new Composer(Specimen.TYPEFACES)
            .compose(
                Specimen.on(Ground.plain(new Colour.Rgb(0)).withPicture(picture.sha())),
                wrap,
                Specimen.BOOK,
                one);
    BufferedImage image = ArtworkRaster.render(art, 96);
    assertThat(image.getRGB(100, 100) & 0xffffff).isEqualTo(0xff0000);
    assertThat(image.getRGB(900, 100) & 0xffffff).isEqualTo(0x00ff00);
    assertThat(image.getRGB(100, 1500) & 0xffffff).isEqualTo(0x0000ff);
    assertThat(image.getRGB(900, 1500) & 0xffffff).isEqualTo(0xffffff);
  }

  /** Read by ImageMagick: the profile of sRGB, and XMP with title and author. */
  @Test
  public void theFileSaysItsProfileItsTitleAndItsAuthor() throws IOException {
    EbookCover cover = EbookCover.make(Specimen.on(screen("1000 x 1600 px")), upTo(5));
    Path file = Tool.file("cover.jpg", cover.file());
    assertThat(Tool.ok("identify", "-format", "%m %w %h %[colorspace]", file.toString()))
        .startsWith("JPEG 1000 1600 sRGB");
    Path icc = file.resolveSibling("cover.icc");
    Tool.ok("convert", file.toString(), icc.toString());
    assertThat(java.nio.file.Files.readAllBytes(icc))
        .isEqualTo(
            java.awt.color.ICC_Profile.getInstance(java.awt.color.ColorSpace.CS_sRGB).getData());
    Path xmp = file.resolveSibling("cover.xmp");
    Tool.ok("convert", file.toString(), xmp.toString());
    assertThat(java.nio.file.Files.readString(xmp))
        .contains(Specimen.BOOK.title())
        .contains(Specimen.BOOK.author());
  }
}
