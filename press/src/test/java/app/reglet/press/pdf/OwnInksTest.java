package app.reglet.press.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Treatment;
import app.reglet.core.house.PressRules;
import app.reglet.core.house.PressRules.Standard;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.compose.Composer;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.testing.Extent;
import app.reglet.testing.Tool;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Pictures that come in the press's own inks, on the plates that ghostscript makes. */
public class OwnInksTest {
  private static final Wrap WRAP = Specimen.wrap(200);
  private static final int PPI = 72;

  /** Four stripes: cyan, magenta, black alone, a brown. */
  private static Path stripes(String name, int size) {
    Path icc = Tool.file("coated.icc", OutputCondition.COATED.profile().bytes());
    Path file = icc.resolveSibling(name);
    String stripe = size / 4 + "x" + size;
    Tool.ok(
        "convert",
        "-size",
        stripe,
        "xc:cmyk(100%,0%,0%,0%)",
        "xc:cmyk(0%,100%,0%,0%)",
        "xc:cmyk(0%,0%,0%,100%)",
        "xc:cmyk(20%,60%,80%,10%)",
        "+append",
        "-depth",
        "8",
        "-quality",
        "98",
        "-sampling-factor",
        "4:4:4",
        "-profile",
        icc.toString(),
        file.toString());
    return file;
  }

  @DataProvider
  Object[][] files() {
    return Extent.of(
        3,
        new Object[][] {
          {"stripes.tif", 400, Standard.X1A, false, 1},
          {"stripes.tif", 400, Standard.X4, false, 1},
          {"stripes.jpg", 1600, Standard.X1A, false, 6},
          {"fine.tif", 4000, Standard.X4, false, 2},
          {"stripes.jpg", 1600, Standard.X1A, true, 6}
        });
  }

  /**
   * As it is, made coarser, or drawn with the whole sheet: each stripe has the inks that were
   * drawn, black alone too.
   */
  @Test(dataProvider = "files")
  public void inksOfAPictureReachThePlatesAsTheyAre(
      String name, int size, Standard standard, boolean asPicture, int apart) throws IOException {
    Picture picture = PictureReader.read(Files.readAllBytes(stripes(name, size)));
    Design design =
        new Design(
            Map.of(),
            new Composition(Ground.plain(Colour.WHITE).withPicture(picture.sha()), List.of()),
            Composition.BLANK);
    Artwork art =
        new Composer(Specimen.TYPEFACES)
            .compose(design, WRAP, Specimen.BOOK, sha -> Optional.of(picture));
    PressRules all = PressFiles.rules(standard, 300);
    PressRules rules =
        new PressRules(
            standard,
            all.colours(),
            all.condition(),
            all.intent(),
            all.blackPoint(),
            all.mostInk(),
            all.richBlack(),
            false,
            200,
            0,
            all.names());
    Raster plates =
        PressFiles.plates(
            PressFiles.make(art, PressFiles.making(asPicture ? rules.asPicture(150) : rules)), PPI);
    int[][] meant = {{255, 0, 0, 0}, {0, 255, 0, 0}, {0, 0, 0, 255}, {51, 153, 204, 26}};
    for (int i = 0; i < 4; i++) {
      int[] p =
          plates.getPixel(
              (2 * i + 1) * plates.getWidth() / 8, plates.getHeight() / 2, (int[]) null);
      for (int ink = 0; ink < 4; ink++) {
        assertThat(p[ink])
            .as("stripe %d, ink %d", i, ink)
            .isBetween(meant[i][ink] - apart, meant[i][ink] + apart);
      }
    }
  }

  /** What is treated is treated as it is seen: gray cyan has all three colours. */
  @Test
  public void aTreatmentOfAPictureInInksReachesThePlates() throws IOException {
    Picture picture = PictureReader.read(Files.readAllBytes(stripes("stripes.tif", 400)));
    Content.Picture gray =
        Content.Picture.of(picture.sha())
            .withTreatment(
                new Treatment(
                    Treatment.NONE.levels(),
                    0,
                    0,
                    -100,
                    Treatment.NONE.toning(),
                    Treatment.NONE.shade()));
    Piece piece = new Piece("p", "P", Anchors.filling(Region.SHEET), gray);
    Design design =
        new Design(
            Map.of(),
            new Composition(Ground.plain(Colour.WHITE), List.of(piece)),
            Composition.BLANK);
    Artwork art =
        new Composer(Specimen.TYPEFACES)
            .compose(design, WRAP, Specimen.BOOK, sha -> Optional.of(picture));
    Raster plates =
        PressFiles.plates(
            PressFiles.make(art, PressFiles.making(PressFiles.rules(Standard.X4, 300))), PPI);
    int[] cyan = plates.getPixel(plates.getWidth() / 8, plates.getHeight() / 2, (int[]) null);
    assertThat(cyan[0]).isLessThan(230);
    assertThat(cyan[1] + cyan[3]).isGreaterThan(30);
  }
}
