package app.reglet.press.pdf;

import app.reglet.core.book.Book;
import app.reglet.core.house.PressRules;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.colour.OutputCondition;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** Press files in inks, for tests, and what ghostscript prints of them. */
public final class PressFiles {
  private static final Instant NOON = Instant.parse("2026-11-25T12:00:00Z");

  private PressFiles() {}

  /** Rules in inks on coated paper. */
  public static PressRules rules(PressRules.Standard standard, int mostInk) {
    return new PressRules(
        standard,
        PressRules.Colours.CMYK,
        "coated",
        PressRules.Intent.RELATIVE,
        true,
        mostInk,
        PressRules.RICH_BLACK,
        false,
        450,
        0,
        PressRules.SCREEN.names());
  }

  public static PressMaking making(PressRules rules) {
    return PressMaking.of(Specimen.gannet().files(), rules, OutputCondition.COATED.condition());
  }

  public static Path make(Artwork art, PressMaking making) {
    return make(art, Specimen.BOOK, making);
  }

  public static Path make(Artwork art, Book book, PressMaking making) {
    return Tool.file(
        "press.pdf",
        PressFile.make(List.of(new PressFile.Page(art, art.wrap())), book, NOON, making));
  }

  /** The four plates of a file's first page, as ghostscript makes them, 0 none to 255 full. */
  public static Raster plates(Path pdf, int ppi) throws IOException {
    Path tif = Scratch.file("plates", ".tif");
    Tool.ok(
        "gs",
        "-q",
        "-dNOPAUSE",
        "-dBATCH",
        "-dSAFER",
        "-sDEVICE=tiff32nc",
        "-r" + ppi,
        "-dFirstPage=1",
        "-dLastPage=1",
        "-sOutputFile=" + tif,
        pdf.toString());
    try (ImageInputStream in = ImageIO.createImageInputStream(tif.toFile())) {
      ImageReader reader = ImageIO.getImageReadersByFormatName("tiff").next();
      reader.setInput(in);
      return reader.canReadRaster() ? reader.readRaster(0, null) : reader.read(0).getRaster();
    } finally {
      Files.delete(tif);
    }
  }
}
