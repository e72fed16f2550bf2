package app.reglet.web.harness;

import app.reglet.core.Refusal;
import app.reglet.core.design.DesignDocument;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.ExampleRun;
import app.reglet.press.picture.JpegFile;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.PngFile;
import app.reglet.press.picture.Rows;
import app.reglet.press.reading.FileBytes;
import java.io.IOException;
import java.nio.charset.StandardCharsets;

/**
 * The parsers that are Reglet's own, for a coverage-guided fuzzer: anything but a refusal (or, of a
 * file, an {@link IOException}) is a finding. The first byte chooses the parser.
 *
 * <p>{@code ./reglet harness fuzz [seconds]}
 */
public final class FuzzTargets {
  private FuzzTargets() {}

  public static void fuzzerTestOneInput(byte[] input) {
    if (input.length < 2) {
      return;
    }
    byte[] rest = java.util.Arrays.copyOfRange(input, 1, input.length);
    String text = new String(rest, StandardCharsets.UTF_8);
    try {
      switch (input[0] & 7) {
        case 0 -> Length.parse(text, Unit.IN);
        case 1 -> Size.parse(text, Unit.MM);
        case 2 -> RuleSheetReader.problems(text);
        case 3 -> ExampleRun.readAndProve(text);
        case 4 -> DesignDocument.read(text);
        case 5 -> JpegFile.of(FileBytes.of(rest));
        default -> rows(rest);
      }
    } catch (Refusal | IOException e) {
      // told to whoever brought it
    }
  }

  private static void rows(byte[] file) throws IOException {
    FileBytes bytes = FileBytes.of(file);
    PngFile png = PngFile.of(bytes);
    if (png.interlaced() || (long) png.width() * png.height() > 100_000) {
      return;
    }
    Picture picture = new Picture("0", Picture.Format.PNG, png.width(), png.height(), 1, 0, bytes);
    try (Rows rows = PictureReader.rows(picture)) {
      byte[] rgb = new byte[3 * rows.width()];
      for (int y = 0; y < rows.height(); y++) {
        rows.next(rgb);
      }
    }
  }
}
