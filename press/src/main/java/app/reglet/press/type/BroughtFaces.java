package app.reglet.press.type;

import app.reglet.press.font.Embedding;
import app.reglet.press.font.FontFacts;
import java.io.IOException;
import java.util.List;
import java.util.function.Supplier;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** Faces of fonts that people bring. */
public final class BroughtFaces {
  /** What their ids begin with; a part of the SHA-256 of their files follows. */
  private static final String ID = "own-";

  private static final int SHA_DIGITS = 20;

  private BroughtFaces() {}

  /** The id of a face in documents; the same file has the same everywhere. */
  public static String id(FontFacts.Face face) {
    return ID + face.sha().substring(0, SHA_DIGITS);
  }

  /**
   * A face.
   *
   * @param file reads the file that was written of it, when it is first used
   */
  public static Typeface face(FontFacts.Face face, Embedding embedding, Supplier<byte[]> file) {
    String name =
        face.style().equals("Regular") ? face.family() : face.family() + " " + face.style();
    return new Typeface(
        id(face), name, face.style(), face.weight(), face.italic(), embedding.whole(), file);
  }

  /** Whether letters can be set with a file, and put into a PDF: tried with some. */
  public static boolean works(byte[] file) {
    Typeface tried = new Typeface("tried", "Tried", "Regular", 400, false, false, () -> file);
    try {
      tried.features();
      for (String text : List.of("Hamburgefonts AVATAR ffi 1234567890", "שלום", "سلام")) {
        tried.shape(text, 0);
        tried.shape(text, 0.1, true);
      }
      return new TTFParser(true).parse(new RandomAccessReadBuffer(file)).getNumberOfGlyphs() > 0;
    } catch (IOException | RuntimeException e) {
      return false;
    }
  }
}
