package app.reglet.press.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;

/**
 * What a PDF says of itself, whoever made it.
 *
 * @param version of the PDF format
 * @param pages how many there are
 * @param first the first page
 * @param others the pages that differ from the first in size, in order
 * @param fonts on all pages, each once, by name
 * @param title from its metadata
 * @param bytes size of the file
 */
public record PdfFacts(
    String version,
    int pages,
    Page first,
    List<OtherSize> others,
    List<FontFact> fonts,
    String title,
    int bytes) {
  /** Largest file that is looked at. */
  public static final int MOST_BYTES = 200_000_000;

  /** A page of another size than the first. */
  public record OtherSize(int page, Size size) {}

  /** Numbers of the pages of other sizes. */
  public List<Integer> otherSizes() {
    return others.stream().map(OtherSize::page).toList();
  }

  /**
   * A page's boxes as seen, after its rotation and user unit.
   *
   * @param boxes media, bleed and trim box and so on, only those that are written in the file
   * @param rotated degrees clockwise
   */
  public record Page(Size media, List<NamedBox> boxes, int rotated) {
    /** The box of this name, or the media box when it isn't written. */
    public Size size(String name) {
      return boxes.stream()
          .filter(b -> b.name().equals(name))
          .map(NamedBox::size)
          .findFirst()
          .orElse(media);
    }

    public boolean has(String name) {
      return boxes.stream().anyMatch(b -> b.name().equals(name));
    }
  }

  /**
   * A page box.
   *
   * @param left from the media box's left edge, as written, not rotated
   * @param bottom from the media box's bottom edge, as written
   */
  public record NamedBox(String name, Size size, Length left, Length bottom) {}

  /** A font and whether it is in the file. */
  public record FontFact(String name, String type, boolean embedded, boolean subset) {}

  /**
   * Reads a PDF.
   *
   * @throws Refusal when it is no PDF, is damaged, or wants a password
   */
  public static PdfFacts read(byte[] file) {
    return read(FileBytes.of(file), Budget.forFile(file.length));
  }

  /**
   * Reads a PDF. Streams are not unpacked and font programs not parsed, but for those that hold the
   * file's own structure.
   *
   * @param budget what it may cost
   * @throws Refusal when it is no PDF, is damaged, wants a password, or costs too much
   */
  public static PdfFacts read(FileBytes file, Budget budget) {
    long length = file.length();
    if (length == 0) {
      throw new Refusal("file", "The file is empty: choose a PDF.");
    }
    if (length > MOST_BYTES) {
      throw new Refusal(
          "file",
          "The file has "
              + length / 1_000_000
              + " MB; Reglet inspects up to "
              + MOST_BYTES / 1_000_000
              + " MB.");
    }
    try {
      if (!startsLikePdf(file.first(1028))) {
        throw new Refusal("file", "This file is no PDF: it does not start with %PDF.");
      }
      try (PDDocument document = Loader.loadPDF(file.pdf(budget))) {
        return new PdfWalk(document, budget).facts(Math.toIntExact(length));
      }
    } catch (InvalidPasswordException e) {
      throw new Refusal("file", "This PDF wants a password: save it without one and try again.");
    } catch (IOException | RuntimeException e) {
      for (Throwable t = e; t != null; t = t.getCause()) {
        if (t instanceof Refusal r) {
          throw r;
        }
      }
      throw new Refusal(
          "file", "This PDF is damaged and can't be read: make it anew and try again.");
    } catch (StackOverflowError | OutOfMemoryError e) {
      throw new Refusal(
          "file",
          "This PDF takes more memory to read than a file of its size may: make it anew and try again.");
    }
  }

  private static boolean startsLikePdf(byte[] file) {
    int most = file.length - 4; // readers look for the header in the first 1024 bytes
    for (int i = 0; i < most; i++) {
      if (file[i] == '%' && file[i + 1] == 'P' && file[i + 2] == 'D' && file[i + 3] == 'F') {
        return true;
      }
    }
    return false;
  }
}
