package app.reglet.press.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.design.Anchors;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.house.PressRules.Standard;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.picture.Picture;
import app.reglet.testing.Patience;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.testng.annotations.Test;

/** Press files that are made at the same time. */
public class AtOnceTest {
  private static final Wrap WRAP = Specimen.wrap(200);

  private static Artwork shaded(Picture picture) {
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      Box box = new Box(mm(10 + i * 22), mm(20 + i % 3 * 60), mm(20), mm(30));
      pieces.add(
          new Piece(
                  "p" + i,
                  "P" + i,
                  Anchors.hung(Region.SHEET, Span.Hold.START, Span.Hold.START, box, WRAP),
                  new Content.Shape(
                      new Figure.Rectangle(Length.ZERO), Paint.of(new Colour.Rgb(0x884422)), null))
              .withAppearance(
                  new Appearance(
                      1,
                      Appearance.Blend.NORMAL,
                      Optional.of(new Appearance.Shadow(mm(2), mm(2), mm(4), Colour.BLACK, 0.6)),
                      Optional.empty())));
    }
    Design design =
        new Design(
            Map.of(),
            new Composition(Ground.plain(Colour.WHITE).withPicture(picture.sha()), pieces),
            Composition.BLANK);
    return new Composer(Specimen.TYPEFACES)
        .compose(design, WRAP, Specimen.BOOK, sha -> Optional.of(picture));
  }

  private static Length mm(int n) {
    return Length.mm(String.valueOf(n));
  }

  /**
   * They once waited for each other for ever, each holding pictures while a thread that both share
   * was drawing for the other.
   */
  @Test
  public void filesWithPicturesUnderShadowsAreMadeAtOnceAndAlike() throws Exception {
    BufferedImage image = new BufferedImage(2400, 1800, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(8);
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        image.setRGB(x, y, (x / 10 & 0xff) << 16 | (y / 8 & 0xff) << 8 | random.nextInt(60));
      }
    }
    Artwork art = shaded(Specimen.picture(image, "jpeg"));
    Callable<Path> making =
        () -> PressFiles.make(art, PressFiles.making(PressFiles.rules(Standard.X1A, 300)));
    ExecutorService threads = Executors.newFixedThreadPool(4);
    try {
      List<Future<Path>> made =
          threads.invokeAll(
              List.of(making, making, making, making), Patience.seconds(), TimeUnit.SECONDS);
      assertThat(made).as("none waits for ever").noneMatch(Future::isCancelled);
      byte[] first = Files.readAllBytes(made.get(0).get());
      for (Future<Path> one : made) {
        assertThat(Files.readAllBytes(one.get())).isEqualTo(first);
      }
    } finally {
      threads.shutdownNow();
    }
  }
}
