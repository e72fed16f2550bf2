package app.reglet.press.font;

import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.press.type.BroughtFaces;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Fonts brought in tests: those of Debian's packages that the tests install, and changed ones. */
public final class Brought {
  public static final Path VARIABLE = Path.of("/usr/share/fonts/truetype/inter-vf/Inter.var.ttf");
  public static final Path CUBIC =
      Path.of("/usr/share/fonts/opentype/cantarell/Cantarell-Regular.otf");

  private Brought() {}

  /** A font that was read, with the files of its faces. */
  public record Read(FontFacts facts, List<byte[]> files) {}

  private static final class Kept implements FontReader.FontDesk {
    private final List<byte[]> files = new ArrayList<>();

    @Override
    public boolean works(byte[] file) {
      return BroughtFaces.works(file);
    }

    @Override
    public String keep(byte[] file) {
      files.add(file);
      return sha(file);
    }
  }

  public static Read read(byte[] file) {
    return read(file, "A file.ttf");
  }

  public static Read read(byte[] file, String name) {
    Kept kept = new Kept();
    Budget budget = Budget.forFile(file.length);
    budget.allowParts(20);
    return new Read(FontReader.read(file, name, budget, kept), kept.files);
  }

  public static Read cut(byte[] file, Map<String, Double> place) {
    Kept kept = new Kept();
    FontFacts.Face face =
        FontReader.cut(file, "A file.ttf", place, Budget.forFile(file.length), kept);
    return new Read(
        new FontFacts(face.family(), null, List.of(), List.of(face), List.of()), kept.files);
  }

  private static String sha(byte[] file) {
    try {
      return FileBytes.of(file).sha();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public static byte[] file(Path path) {
    try {
      return Files.readAllBytes(path);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A copy of a font with two bytes of a table changed. */
  public static byte[] with(byte[] font, String table, int at, int value) {
    byte[] copy = font.clone();
    ByteBuffer bytes = new FontTables(copy).table(table).orElseThrow();
    bytes.putShort(at, (short) value);
    return copy;
  }
}
