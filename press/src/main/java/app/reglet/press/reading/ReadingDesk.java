package app.reglet.press.reading;

import app.reglet.core.Refusal;
import app.reglet.press.colour.PressProfile;
import app.reglet.press.inspect.BlockFacts;
import app.reglet.press.inspect.FileReading;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.press.inspect.PdfPage;
import app.reglet.press.inspect.page.PlateFile;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.svg.OrnamentSvg;
import app.reglet.press.vector.SvgReader;
import java.io.BufferedReader;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javax.imageio.ImageIO;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A process of its own that reads files people bring: one order a line on standard input, one
 * answer a line on standard output, both JSON. A file that hangs it or fills its memory costs this
 * process and nothing else; whoever gave the order ends it when the time is over.
 *
 * <p>Orders: {@code {"kind":"pdf","file":…}} and {@code
 * {"kind":"picture","file":…,"screen":…,"longest":…}}, which also writes a JPEG for the screen;
 * {@code {"kind":"page","page":…,"inks":…,…}} of a PDF likewise, which writes its inks too; {@code
 * {"kind":"inspect","file":…,"into":…}}, which says everything of a file and writes what its pages
 * look like and their inks; {@code {"kind":"drawing","file":…,"screen":…}}, which writes the
 * drawing of an SVG anew; {@code {"kind":"font","file":…,"name":…,"into":…}}, which writes the
 * faces of a font, and {@code {"kind":"cut",…,"place":…}} one more of a variable one. Answers:
 * {@code {"pdf":…}}, {@code {"picture":…}}, {@code {"page":…}}, {@code {"drawing":…}}, {@code
 * {"font":…}}, {@code {"cut":…}}, {@code {"refused":…,"field":…}}, with {@code "ended":true} when
 * the process is ended over the file.
 */
public final class ReadingDesk {
  /** A font is written too: it may take so many times what another file of its size may. */
  public static final int FONT_PARTS = 5;

  /** Pages of a book block are looked at, too. */
  public static final int BLOCK_PARTS = 2;

  /** A file that is inspected is drawn too, each of its first pages twice. */
  public static final int DRAWN_PARTS = 8;

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private ReadingDesk() {}

  /**
   * What a picture was found to be; its bytes stay where they are.
   *
   * @param sha SHA-256 of the file, in hex
   * @param mean mean colour, 0xRRGGBB
   */
  public record PictureFacts(
      String sha, Picture.Format format, int width, int height, int orientation, int mean) {
    /** The picture, with its bytes in a file. */
    public Picture in(FileBytes file) {
      return new Picture(sha, format, width, height, orientation, mean, file);
    }
  }

  /**
   * What a drawing was found to be; the drawing itself is written anew.
   *
   * @param leftOut what of the file is not in it, as a sentence; empty for nothing
   */
  public record DrawingFacts(String leftOut) {}

  /** Takes orders until standard input ends. */
  public static void main(String[] args) throws IOException {
    System.setProperty("java.awt.headless", "true");
    ImageIO.setUseCache(false);
    PrintStream answers =
        new PrintStream(new FileOutputStream(FileDescriptor.out), true, StandardCharsets.UTF_8);
    System.setOut(System.err); // what libraries print is no answer
    BufferedReader orders =
        new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
    answers.println("ready");
    for (String order = orders.readLine(); order != null; order = orders.readLine()) {
      answer(order, answers).ifPresent(answers::println);
    }
  }

  /**
   * Nothing when the watch has answered, who ends the process: two answers would be taken for two
   * files.
   */
  private static Optional<String> answer(String order, PrintStream answers) {
    ObjectNode out = JSON.createObjectNode();
    JsonNode asked = JSON.readTree(order);
    FileBytes file = FileBytes.of(Path.of(asked.get("file").stringValue()));
    Budget budget = Budget.forFile(file.length());
    Watch watch = Watch.over(budget, () -> end(budget, answers));
    try (watch) {
      switch (asked.get("kind").stringValue()) {
        case "pdf" -> out.putPOJO("pdf", PdfFacts.read(file, budget));
        case "block" -> {
          budget.allowParts(BLOCK_PARTS);
          out.putPOJO("block", BlockFacts.read(file, budget));
        }
        case "inspect" ->
            out.putPOJO(
                "inspect",
                FileReading.read(file, Path.of(asked.get("into").stringValue()), budget));
        case "page" -> page(file, budget, asked, out);
        case "drawing" -> drawing(file, budget, asked, out);
        case "font" -> out.putPOJO("font", FontOrders.read(file, budget, asked));
        case "cut" -> out.putPOJO("cut", FontOrders.cut(file, budget, asked));
        case "profile" -> PressProfile.of(file.all());
        default -> picture(file, budget, asked, out);
      }
    } catch (Refusal r) {
      out.put("refused", r.getMessage()).put("field", r.field());
    } catch (OutOfMemoryError e) {
      out.put(
          "refused",
          "This file takes more memory to read than one of its size may: make it smaller and try again.");
    } catch (Exception | StackOverflowError e) {
      out.put("refused", "This file is damaged and can't be read: make it anew and try again.");
    }
    return watch.wasLate() ? Optional.empty() : Optional.of(JSON.writeValueAsString(out));
  }

  private static void picture(FileBytes file, Budget budget, JsonNode asked, ObjectNode out)
      throws IOException {
    PictureReader.Shown shown = PictureReader.shown(file, budget, asked.get("longest").intValue());
    Files.write(Path.of(asked.get("screen").stringValue()), shown.screen());
    Picture p = shown.picture();
    out.putPOJO(
        "picture",
        new PictureFacts(p.sha(), p.format(), p.width(), p.height(), p.orientation(), p.mean()));
  }

  private static void page(FileBytes file, Budget budget, JsonNode asked, ObjectNode out)
      throws IOException {
    PdfPage.Shown shown =
        PdfPage.shown(file, asked.get("page").intValue(), asked.get("longest").intValue(), budget);
    Files.write(Path.of(asked.get("screen").stringValue()), shown.screen());
    PlateFile.write(Path.of(asked.get("inks").stringValue()), shown.inks());
    out.putPOJO("page", shown.page());
  }

  private static void drawing(FileBytes file, Budget budget, JsonNode asked, ObjectNode out)
      throws IOException {
    SvgReader.Read read = SvgReader.read(file, "", budget);
    Files.writeString(
        Path.of(asked.get("screen").stringValue()), OrnamentSvg.document(read.drawing()));
    out.putPOJO("drawing", new DrawingFacts(read.leftOut()));
  }

  /** The last answer of a process whose reader does not stop. */
  private static void end(Budget budget, PrintStream answers) {
    ObjectNode out = JSON.createObjectNode();
    out.put("refused", budget.tooLong().getMessage()).put("field", "file").put("ended", true);
    answers.println(JSON.writeValueAsString(out));
    Runtime.getRuntime().halt(3);
  }
}
