package app.reglet.web.harness;

import app.reglet.core.Refusal;
import app.reglet.core.design.Design;
import app.reglet.core.design.document.DesignDocument;
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
import app.reglet.web.houses.ShippedRuleSheets;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * The parsers that are Reglet's own, for a coverage-guided fuzzer: anything but a refusal (or, of a
 * file, an {@link IOException}) is a finding. The first byte chooses the parser.
 *
 * <p>{@code ./reglet harness fuzz [seconds]}
 */
public final class FuzzTargets {
  private FuzzTargets() {}

  /** Writes sound inputs into a directory, for the fuzzer to begin from. */
  public static void main(String[] args) throws IOException {
    Path to = Path.of(args[0]);
    Files.createDirectories(to);
    int n = 0;
    for (String length :
        new String[] {"6 1/8 in", "49p6", "8.25in * 2 + 3 mm", "152,4mm", "1/3 pt"}) {
      seed(to, n++, 0, length.getBytes(StandardCharsets.UTF_8));
    }
    for (String size : new String[] {"6 x 9 in", "A5", "148 mm × 210 mm"}) {
      seed(to, n++, 1, size.getBytes(StandardCharsets.UTF_8));
    }
    for (String id : ShippedRuleSheets.ids()) {
      byte[] sheet = ShippedRuleSheets.text(id).orElseThrow().getBytes(StandardCharsets.UTF_8);
      seed(to, n++, 2, sheet);
      seed(to, n++, 3, sheet);
    }
    Design design = Design.EMPTY;
    seed(to, n++, 4, DesignDocument.write(design).getBytes(StandardCharsets.UTF_8));
    seed(to, n++, 5, Burners.jpegOfScans(3));
    for (int colour : new int[] {0, 2, 6}) {
      seed(to, n++, 6, Burners.png(9, 7, 8, colour, false, 7));
    }
  }

  private static void seed(Path to, int number, int kind, byte[] bytes) throws IOException {
    byte[] all = new byte[bytes.length + 1];
    all[0] = (byte) kind;
    System.arraycopy(bytes, 0, all, 1, bytes.length);
    Files.write(to.resolve("seed-" + number), all);
  }

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
      int[] row = new int[rows.width()];
      for (int y = 0; y < rows.height(); y++) {
        rows.next(row);
      }
    }
  }
}
