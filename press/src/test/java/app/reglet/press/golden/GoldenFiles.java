package app.reglet.press.golden;

import app.reglet.press.compose.PageOfFile;
import app.reglet.press.compose.Pictures;
import app.reglet.press.inspect.PdfPage;
import app.reglet.press.ornament.Ornament;
import app.reglet.press.picture.Picture;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.press.vector.SvgReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/** What people brought to golden covers: drawings of {@code svg/}, and a page of a PDF. */
final class GoldenFiles implements Pictures {
  static final GoldenFiles ALL = new GoldenFiles();

  private static final int SCREEN = 400;

  private final Map<String, PageOfFile> pages = new ConcurrentHashMap<>();

  private GoldenFiles() {}

  @Override
  public Optional<Picture> find(String sha) {
    return Optional.of(GoldenPictures.get(sha));
  }

  @Override
  public Optional<Ornament> drawing(String id) {
    try (InputStream in = GoldenFiles.class.getResourceAsStream("/svg/" + id + ".svg")) {
      return in == null ? Optional.empty() : Optional.of(SvgReader.kept(in.readAllBytes(), id, id));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public Optional<PageOfFile> page(String id, int number) {
    return Optional.of(pages.computeIfAbsent(id + number, k -> made(id, number)));
  }

  private static PageOfFile made(String id, int number) {
    try {
      FileBytes file = FileBytes.of(PlacedPageTest.source(90, true));
      PdfPage about = PdfPage.shown(file, number, SCREEN, Budget.forFile(file.length())).page();
      return PageOfFile.of(id, file, about, Optional::empty);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
