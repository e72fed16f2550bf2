package app.reglet.web.dispatch;

import app.reglet.core.Refusal;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Rect;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.pdf.FileName;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.raster.ArtworkRaster;
import app.reglet.press.raster.FlatPicture;
import app.reglet.web.bench.Revisions;
import app.reglet.web.shell.Downloads;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import jakarta.servlet.http.HttpServletResponse;
import java.awt.image.BufferedImage;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Pictures of covers and of their parts, for sign-off, shops and press releases. */
@Controller
public class PartsController {
  private final Covers covers;
  private final Pressing pressing;
  private final Revisions revisions;
  private final Uploads uploads;
  private final DataDirectory data;

  PartsController(
      Covers covers, Pressing pressing, Revisions revisions, Uploads uploads, DataDirectory data) {
    this.covers = covers;
    this.pressing = pressing;
    this.revisions = revisions;
    this.uploads = uploads;
    this.data = data;
  }

  /**
   * Makes one and sends it.
   *
   * @param part a panel's id, {@code spread} or {@code sheet}
   * @param format {@code jpeg}, {@code png}, {@code tiff} or {@code pdf}
   * @param size {@code 1600 px} or {@code 300 ppi}; a PDF has its own
   * @param colours {@code rgb}, or a printing condition's id
   */
  @GetMapping("/editions/{id}/part")
  void part(
      @PathVariable Long id,
      @RequestParam(defaultValue = "front") String part,
      @RequestParam(defaultValue = "jpeg") String format,
      @RequestParam(defaultValue = "1600 px") String size,
      @RequestParam(defaultValue = "rgb") String colours,
      Viewer viewer,
      HttpServletResponse response)
      throws IOException {
    Cover cover = covers.of(id, viewer);
    boolean pdf = format.equals("pdf");
    PartPicture picture = PartPicture.of(cover, part, pdf ? "72 ppi" : size);
    FlatPicture.Format kind = pdf ? null : format(format);
    OutputCondition condition = colours.equals("rgb") ? null : OutputCondition.byId(colours);
    if (condition != null && kind != FlatPicture.Format.TIFF) {
      throw new Refusal(
          "colours", "In the inks of a press a picture is made as a TIFF: choose TIFF, or RGB.");
    }
    Path file = uploads.scratch();
    try {
      pressing.atOnce(
          cover,
          () -> {
            write(cover, picture, kind, condition, file);
            return file;
          });
      String name =
          FileName.stem(cover.book(), cover.sheet(), picture.name())
              + (pdf ? "" : "_" + picture.width() + "px")
              + (condition == null ? "" : "_" + condition.id())
              + "_r"
              + cover.edition().getRevision()
              + "."
              + (pdf ? "pdf" : kind.ending());
      Downloads.begin(
          response,
          name,
          MediaType.parseMediaType(pdf ? "application/pdf" : kind.type()),
          Files.size(file));
      Files.copy(file, response.getOutputStream());
    } finally {
      Files.deleteIfExists(file);
    }
  }

  private static FlatPicture.Format format(String id) {
    for (FlatPicture.Format f : FlatPicture.Format.values()) {
      if (f.name().toLowerCase(Locale.ROOT).equals(id)) {
        return f;
      }
    }
    throw new Refusal("format", "“" + id + "” is no kind of file: jpeg, png, tiff or pdf.");
  }

  private void write(
      Cover cover,
      PartPicture picture,
      FlatPicture.Format kind,
      OutputCondition condition,
      Path file) {
    Artwork art = cover.art().orElseThrow();
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file), 1 << 16)) {
      if (kind == null) {
        PressFile.writePart(
            art, picture.box(), cover.book(), revisions.made(cover.edition()), out, data.uploads());
        return;
      }
      BufferedImage image = ArtworkRaster.render(art, Rect.of(picture.box()), picture.width());
      if (condition == null) {
        FlatPicture.write(image, kind, picture.ppi(), out);
      } else {
        FlatPicture.write(image, condition.usual(), picture.ppi(), out);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
