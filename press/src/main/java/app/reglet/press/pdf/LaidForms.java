package app.reglet.press.pdf;

import app.reglet.press.art.PlacedPage;
import app.reglet.press.pageinks.InkedPage;
import app.reglet.press.pageinks.PagePart;
import app.reglet.press.pageinks.Repacked;
import app.reglet.press.reading.Budget;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.multipdf.LayerUtility;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;

/** Placed pages as forms of a file, each made once. */
final class LaidForms implements AutoCloseable {
  /** What makes a form of a page. */
  @FunctionalInterface
  private interface Making {
    Optional<PDFormXObject> of(PDDocument source, PlacedPage page) throws IOException;
  }

  private final PDDocument into;
  private final Making making;
  private final Map<String, PDDocument> sources = new HashMap<>();
  private final Map<String, Optional<PDFormXObject>> made = new HashMap<>();
  private final Map<String, PDFormXObject> parts = new HashMap<>();

  private LaidForms(PDDocument into, Making making) {
    this.into = into;
    this.making = making;
  }

  /** Pages as they are, in the colours they have. */
  static LaidForms asTheyAre(PDDocument into) {
    return new LaidForms(
        into,
        (source, page) ->
            Optional.of(new LayerUtility(into).importPageAsForm(source, page.page())));
  }

  /**
   * Pages in a press's inks.
   *
   * @param making of a file in inks
   * @param repacked how pictures are packed that can't stay as they are
   */
  static LaidForms inInks(PDDocument into, PressMaking making, Repacked repacked) {
    return new LaidForms(
        into,
        (source, page) ->
            InkedPage.form(
                into,
                source,
                page.page(),
                takes(making),
                making.inks(),
                repacked,
                Budget.forKept(page.file().length())));
  }

  private static InkedPage.Takes takes(PressMaking making) {
    return new InkedPage.Takes(!making.isX1a(), !making.rules().outlines());
  }

  /** All of a page; empty where it has what can't be given in inks but as pixels. */
  Optional<PDFormXObject> of(PlacedPage page) {
    return made.computeIfAbsent(key(page), k -> make(page));
  }

  /** What is seen of a page that can be a form. */
  PDFormXObject part(PlacedPage page) {
    PDFormXObject whole = of(page).orElseThrow();
    if (page.isWhole()) {
      return whole;
    }
    return parts.computeIfAbsent(
        key(page) + " " + page.part(),
        k -> {
          try {
            return PagePart.of(into, whole, page.part());
          } catch (IOException | RuntimeException e) {
            return whole; // it is cut to what is seen all the same
          }
        });
  }

  private Optional<PDFormXObject> make(PlacedPage page) {
    try {
      PDDocument source = sources.get(page.sha());
      if (source == null) {
        source = Loader.loadPDF(page.file().all());
        sources.put(page.sha(), source);
      }
      return making.of(source, page);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Which pages can be one, each looked into once, so far as is seen without unpacking pictures.
   */
  static Predicate<PlacedPage> maybe(PressMaking making) {
    Map<String, Boolean> known = new HashMap<>();
    return p -> known.computeIfAbsent(key(p), k -> hindered(p, making).isEmpty());
  }

  private static String key(PlacedPage page) {
    return page.sha() + " " + page.page();
  }

  /** Why a page can't be one, so far as is seen without unpacking its pictures. */
  static Optional<String> hindered(PlacedPage page, PressMaking making) {
    if (!making.isInks()) {
      return Optional.empty();
    }
    try (PDDocument source = Loader.loadPDF(page.file().all())) {
      return InkedPage.hindered(
          source, page.page(), takes(making), making.inks(), Budget.forKept(page.file().length()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public void close() throws IOException {
    for (PDDocument source : sources.values()) {
      source.close();
    }
  }
}
