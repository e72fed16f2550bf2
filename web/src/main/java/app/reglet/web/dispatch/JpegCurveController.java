package app.reglet.web.dispatch;

import app.reglet.core.Refusal;
import app.reglet.press.art.Artwork;
import app.reglet.press.picture.ScreenPicture;
import app.reglet.press.raster.EbookCover;
import app.reglet.press.raster.JpegCurve;
import app.reglet.web.jobs.Drawing;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.Fronts;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CompletableFuture;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** What an ebook's cover loses as a JPEG, quality by quality. */
@Controller
public class JpegCurveController {
  /** The plot, CSS pixels. */
  private static final int WIDE = 420;

  private static final int HIGH = 170;
  private static final int LEFT = 44;
  private static final int FOOT = 34;
  private static final int TOP = 12;
  private static final int LARGER = 3;

  private final Covers covers;
  private final Drawing drawing;

  JpegCurveController(Covers covers, Drawing drawing) {
    this.covers = covers;
    this.drawing = drawing;
  }

  /**
   * A quality in the plot.
   *
   * @param x CSS pixels
   * @param y CSS pixels
   * @param size {@code 0.42 MB}
   * @param loss {@code 0.9}
   */
  public record Dot(int x, int y, int quality, String size, String loss, boolean knee) {}

  /**
   * A gap of the scale.
   *
   * @param at CSS pixels
   */
  public record Tick(int at, String said) {}

  @GetMapping("/editions/{id}/jpeg-curve")
  CompletableFuture<String> curve(@PathVariable Long id, Viewer viewer, Model model) {
    Cover cover = ebook(id, viewer);
    return drawing.of(
        () -> {
          Artwork art = cover.art().orElseThrow();
          JpegCurve curve = JpegCurve.of(EbookCover.image(art));
          tell(cover, curve, EbookCover.make(art, cover.house().files()), model);
          return "jpeg-curve :: curve";
        });
  }

  private static void tell(Cover cover, JpegCurve curve, EbookCover made, Model model) {
    List<JpegCurve.Point> points = curve.points();
    double most = points.get(points.size() - 1).bytes();
    double loss = Math.max(1, points.get(0).loss() * 1.1);
    List<Dot> dots = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    for (JpegCurve.Point p : points) {
      int x = x(p.bytes(), most);
      int y = y(p.loss(), loss);
      dots.add(
          new Dot(
              x,
              y,
              p.quality(),
              megabytes(p.bytes()),
              String.format(Locale.ROOT, "%.2f", p.loss()),
              p.quality() == curve.knee()));
      line.append(line.length() == 0 ? "M" : "L").append(x).append(' ').append(y);
    }
    long limit = cover.house().files().mostMegabytes() * 1_000_000L;
    model.addAttribute("id", cover.edition().getId());
    model.addAttribute("dots", dots);
    model.addAttribute("path", line.toString());
    model.addAttribute("seen", new Tick(y(1, loss), "1, just seen"));
    model.addAttribute(
        "limit",
        limit > 0 && limit < most
            ? new Tick(x(limit, most), "the shop’s " + limit / 1_000_000 + " MB")
            : null);
    model.addAttribute("made", made);
    model.addAttribute("knee", curve.knee());
    model.addAttribute("worstX", curve.worstX());
    model.addAttribute("worstY", curve.worstY());
    model.addAttribute("version", Fronts.key(cover.edition()));
  }

  private Cover ebook(Long id, Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    if (!cover.edition().getBinding().isInPixels()) {
      throw new Refusal("This is no ebook’s cover: its files are press files.");
    }
    cover.sheet();
    return cover;
  }

  private static int x(double bytes, double most) {
    return LEFT + (int) Math.round((WIDE - LEFT - 12) * bytes / most);
  }

  private static int y(double loss, double most) {
    return TOP + (int) Math.round((HIGH - TOP - FOOT) * (1 - loss / most));
  }

  private static String megabytes(long bytes) {
    return String.format(Locale.ROOT, "%.2f MB", bytes / 1e6);
  }

  /** The square that loses most, three times as large. */
  @GetMapping("/editions/{id}/jpeg-square")
  CompletableFuture<ResponseEntity<byte[]>> square(
      @PathVariable Long id,
      @RequestParam int quality,
      @RequestParam int x,
      @RequestParam int y,
      Viewer viewer) {
    Cover cover = ebook(id, viewer);
    if (quality < 1 || quality > 100) {
      throw new Refusal("quality", "A quality is 1 to 100; this is " + quality + ".");
    }
    return drawing.of(
        () ->
            ResponseEntity.ok()
                .contentType(MediaType.IMAGE_PNG)
                .cacheControl(CacheControl.noStore())
                .body(square(cover, quality, x, y)));
  }

  private static byte[] square(Cover cover, int quality, int x, int y) {
    BufferedImage image = EbookCover.image(cover.art().orElseThrow());
    if (x < 0 || y < 0 || x >= image.getWidth() || y >= image.getHeight()) {
      throw new Refusal("x", "There is nothing of the cover at " + x + ", " + y + ".");
    }
    BufferedImage square = JpegCurve.square(image, quality, x, y);
    BufferedImage larger =
        new BufferedImage(
            square.getWidth() * LARGER, square.getHeight() * LARGER, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = larger.createGraphics();
    g.drawImage(square, 0, 0, larger.getWidth(), larger.getHeight(), null);
    g.dispose();
    try {
      return ScreenPicture.png(larger);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
