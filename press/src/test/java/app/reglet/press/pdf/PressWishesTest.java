package app.reglet.press.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.design.Colour;
import app.reglet.core.design.Ground;
import app.reglet.core.house.PressRules;
import app.reglet.core.house.PressRules.Standard;
import app.reglet.core.layout.StartingLayout;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.colour.Condition;
import app.reglet.press.colour.InkTable;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.colour.PressInks;
import app.reglet.press.colour.Rendering;
import app.reglet.press.picture.Picture;
import app.reglet.testing.Extent;
import app.reglet.testing.Tool;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.testng.annotations.Test;

/** What a house's sheet may want of a press file, read back from the file. */
public class PressWishesTest {
  private static PressRules rules(boolean outlines, int mostPpi, PressRules.Intent intent) {
    return new PressRules(
        Standard.X4,
        PressRules.Colours.CMYK,
        "coated",
        intent,
        true,
        300,
        PressRules.RICH_BLACK,
        outlines,
        mostPpi,
        0,
        PressRules.SCREEN.names());
  }

  private static Artwork pictured(int wide, int high) {
    Picture sky = Specimen.picture(Specimen.sky(wide, high), "jpg");
    return Specimen.artwork(
        200,
        StartingLayout.LEDGER,
        Ground.plain(Colour.WHITE).withPicture(sky.sha()),
        sha -> Optional.of(sky));
  }

  private static PDImageXObject picture(Path pdf, PDDocument d) throws IOException {
    var resources = d.getPage(0).getResources();
    for (var name : resources.getXObjectNames()) {
      if (resources.getXObject(name) instanceof PDImageXObject image) {
        return image;
      }
    }
    throw new AssertionError("no picture in " + pdf);
  }

  /** 12.72 in of 6200 pixels are 480 ppi: made 300. 1200 pixels stay 1200, however coarse. */
  @Test(groups = Extent.LONG)
  public void aPictureAboveTheSheetsLimitIsMadeCoarserAndNoneEverFiner() throws IOException {
    for (int[] each : new int[][] {{6200, 300}, {1200, 0}}) {
      Artwork art = pictured(each[0], each[0] * 925 / 1275);
      Path pdf =
          PressFiles.make(art, PressFiles.making(rules(false, 450, PressRules.Intent.RELATIVE)));
      try (PDDocument d = Loader.loadPDF(pdf.toFile())) {
        PDImageXObject image = picture(pdf, d);
        if (each[1] == 0) {
          assertThat(image.getWidth()).isEqualTo(each[0]);
        } else {
          double inches = art.wrap().sheet().width().toMm() / 25.4;
          assertThat(image.getWidth() / inches).isCloseTo(each[1], within(8.0));
        }
      }
    }
  }

  @Test
  public void lettersAsOutlinesBringNoFontAndPrintTheSame() throws IOException {
    Artwork art = Specimen.plain(200);
    Path live =
        PressFiles.make(art, PressFiles.making(rules(false, 0, PressRules.Intent.RELATIVE)));
    Path outlined =
        PressFiles.make(art, PressFiles.making(rules(true, 0, PressRules.Intent.RELATIVE)));
    assertThat(Tool.ok("pdffonts", outlined.toString()).lines()).hasSize(2);
    assertThat(Tool.ok("pdffonts", live.toString()).lines().count()).isGreaterThan(3);
    assertThat(apart(PressFiles.plates(live, 150), PressFiles.plates(outlined, 150)))
        .isLessThan(1.2); // without smoothing, edges of paths are painted a hair wider
  }

  private static double apart(Raster a, Raster b) {
    long sum = 0;
    int[] p = new int[4];
    int[] q = new int[4];
    for (int y = 0; y < a.getHeight(); y++) {
      for (int x = 0; x < a.getWidth(); x++) {
        a.getPixel(x, y, p);
        b.getPixel(x, y, q);
        for (int i = 0; i < 4; i++) {
          sum += Math.abs(p[i] - q[i]);
        }
      }
    }
    return sum / (4.0 * a.getWidth() * a.getHeight());
  }

  /** Every shipped profile has tables of its own for both intents. */
  @Test
  public void theIntentAndTheConditionOfTheSheetAreTheFiles() {
    Colour.Rgb green = new Colour.Rgb(0x00a040);
    PressRules relative = rules(false, 0, PressRules.Intent.RELATIVE);
    PressRules perceptual = rules(false, 0, PressRules.Intent.PERCEPTUAL);
    for (OutputCondition condition : OutputCondition.values()) {
      assertThat(PressInks.of(condition.profile(), relative).of(green))
          .as(condition.title())
          .isNotEqualTo(PressInks.of(condition.profile(), perceptual).of(green));
    }
    assertThat(PressInks.of(OutputCondition.COATED.profile(), relative).of(green))
        .isNotEqualTo(PressInks.of(OutputCondition.UNCOATED.profile(), relative).of(green));
    // black that is not brought to the press's own is clipped: the darks run together
    Colour.Rgb dark = new Colour.Rgb(0x101018);
    assertThat(
            InkTable.of(OutputCondition.UNCOATED.profile(), Rendering.USUAL, 4).packed(dark.rgb()))
        .isNotEqualTo(
            InkTable.of(
                    OutputCondition.UNCOATED.profile(),
                    new Rendering(Rendering.Intent.RELATIVE, false),
                    4)
                .packed(dark.rgb()));
  }

  /** Crop marks lead to the trim from outside the bleed; on the sheet itself nothing is another. */
  @Test
  public void marksLieOutsideTheBleedAndPointAtTheTrim() throws IOException {
    Artwork art = Specimen.plain(200);
    PressMaking making = PressFiles.making(rules(false, 0, PressRules.Intent.RELATIVE));
    Raster bare = PressFiles.plates(PressFiles.make(art, making), 150);
    Raster marked =
        PressFiles.plates(
            PressFiles.make(
                art,
                making.marked(
                    new PrintersMarks(
                        true,
                        true,
                        true,
                        true,
                        "The Salt Ledger",
                        Specimen.TYPEFACES.get("work-sans")))),
            150);
    int around = (int) Math.round(12 * 150 / 25.4);
    assertThat(marked.getWidth() - bare.getWidth()).isBetween(2 * around - 2, 2 * around + 2);
    Raster inside =
        marked.createChild(around, around, bare.getWidth(), bare.getHeight(), 0, 0, null);
    assertThat(apart(bare, inside)).isLessThan(1.0); // laid a part of a pixel aside
    // above the sheet, at the trim's left edge: a line on every plate
    int trim = around + (int) (art.wrap().trimmed().left().toMm() * 150 / 25.4);
    int[] most = new int[4];
    for (int x = trim - 2; x <= trim + 2; x++) {
      int[] p = marked.getPixel(x, around - (int) (4 * 150 / 25.4), (int[]) null);
      for (int i = 0; i < 4; i++) {
        most[i] = Math.max(most[i], p[i]);
      }
    }
    assertThat(most).containsOnly(255);
    // right against the bleed there is none
    int[] near = marked.getPixel(trim, around - 3, (int[]) null);
    assertThat(near).containsOnly(0);
  }

  /** ISO 32000-1, 14.11.2: the bleed box is what is printed, the marks lie outside it. */
  @Test
  public void withMarksTheBleedBoxIsTheSheetWithoutThem() throws IOException {
    Artwork art = Specimen.plain(200);
    PressMaking making = PressFiles.making(rules(false, 0, PressRules.Intent.RELATIVE));
    Path file =
        PressFiles.make(
            art,
            making.marked(
                new PrintersMarks(
                    true, true, true, true, "Marks", Specimen.TYPEFACES.get("work-sans"))));
    String boxes = Tool.ok("pdfinfo", "-box", file.toString());
    double around = 12 * 72 / 25.4;
    double width = art.wrap().sheet().width().toPoints();
    double height = art.wrap().sheet().height().toPoints();
    double[][] expected = {
      {0, 0, width + 2 * around, height + 2 * around},
      {around, around, width + around, height + around}
    };
    String[] names = {"MediaBox", "BleedBox"};
    for (int i = 0; i < 2; i++) {
      String name = names[i];
      String line = boxes.lines().filter(l -> l.startsWith(name)).findFirst().orElseThrow();
      String[] figures = line.replaceAll("[^:]*:", "").strip().split("\\s+");
      for (int j = 0; j < 4; j++) {
        assertThat(Double.parseDouble(figures[j])).as(line).isCloseTo(expected[i][j], within(0.02));
      }
    }
  }

  /** ISO 15930-7, 6.2.3: only what is in the registry is named by it. */
  @Test
  public void aConditionThatIsInNoRegistryNamesNone() throws IOException {
    Condition coated = OutputCondition.COATED.condition();
    for (String registered : new String[] {coated.registered(), ""}) {
      PressRules rules = rules(false, 0, PressRules.Intent.RELATIVE);
      Path file =
          PressFiles.make(
              Specimen.plain(200),
              PressMaking.of(
                  Specimen.gannet().files(),
                  rules,
                  new Condition("own", "A paper of our own", registered, coated.profile())));
      try (PDDocument d = Loader.loadPDF(file.toFile())) {
        PDOutputIntent intent = d.getDocumentCatalog().getOutputIntents().get(0);
        assertThat(intent.getOutputConditionIdentifier())
            .isEqualTo(registered.isEmpty() ? "Custom" : registered);
        if (registered.isEmpty()) {
          assertThat(intent.getRegistryName()).isNull();
        } else {
          assertThat(intent.getRegistryName()).isEqualTo("http://www.color.org");
        }
      }
    }
  }
}
