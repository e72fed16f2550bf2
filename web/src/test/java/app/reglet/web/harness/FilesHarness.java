package app.reglet.web.harness;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.press.template.TemplateSet;
import app.reglet.press.type.Typefaces;
import app.reglet.testing.Scratch;
import app.reglet.web.harness.Web.Answer;
import app.reglet.web.houses.ShippedRuleSheets;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;

/**
 * Brings spoiled files to every place that takes one: pictures, PDFs, rule sheets. Each is a sound
 * file changed by a seed, so that any can be made again from its number.
 *
 * <p>{@code ./reglet harness files [count] [first seed]}
 */
public final class FilesHarness {
  private static final long LONGEST_MS = 5000;

  private FilesHarness() {}

  /** A kind of file and where it is brought. */
  private enum Kind {
    PDF,
    PICTURE,
    SHEET
  }

  private record Sound(Kind kind, String name, byte[] bytes) {}

  /**
   * What came of it.
   *
   * @param slow what took longer than five seconds; on a machine that does nothing else, none may
   */
  public record Outcome(
      int files,
      int taken,
      int refused,
      List<String> failed,
      List<String> slow,
      long slowest,
      long traces) {}

  public static void main(String[] args) throws Exception {
    int count = args.length > 0 ? Integer.parseInt(args[0]) : 10_000;
    long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
    Path data = Scratch.directory("reglet-files");
    boolean well;
    try (Subject reglet = new Subject(data)) {
      reglet.start();
      Outcome o = run(reglet, count, seed);
      o.failed().forEach(System.out::println);
      o.slow().forEach(System.out::println);
      System.out.printf(
          "files: %d brought (seeds %d to %d), %d taken, %d refused, %d failed; slowest %d ms; %d lines of traces in the log; %d MB resident at most%n",
          o.files(),
          seed,
          seed + count - 1,
          o.taken(),
          o.refused(),
          o.failed().size(),
          o.slowest(),
          o.traces(),
          reglet.megabytes());
      well = o.failed().isEmpty() && o.slow().isEmpty() && o.traces() == 0;
    }
    System.exit(well ? 0 : 1);
  }

  /** Brings the burners and as many spoiled files to a Reglet that is up. */
  public static Outcome run(Subject reglet, int count, long firstSeed) throws Exception {
    Web web = reglet.web();
    Composing cover = Composing.begin(web, "Files");
    List<String> failed = new ArrayList<>();
    List<String> slow = new ArrayList<>();
    int[] tally = new int[3];
    Map<Kind, Map<String, byte[]>> all =
        Map.of(
            Kind.PDF, Burners.pdfs(),
            Kind.PICTURE, Burners.pictures(),
            Kind.SHEET, Burners.sheets());
    for (Kind kind : Kind.values()) {
      for (Map.Entry<String, byte[]> e : all.get(kind).entrySet()) {
        bring(cover, new Sound(kind, e.getKey(), e.getValue()), e.getKey(), failed, slow, tally);
      }
    }
    List<Sound> sound = sound();
    for (long seed = firstSeed; seed < firstSeed + count; seed++) {
      Random random = new Random(seed);
      Sound whole = sound.get(random.nextInt(sound.size()));
      byte[] spoiled = spoil(whole.bytes(), random);
      bring(
          cover,
          new Sound(whole.kind(), whole.name(), spoiled),
          "seed " + seed + " of " + whole.name(),
          failed,
          slow,
          tally);
    }
    if (!reglet.isAlive()) {
      failed.add("Reglet has ended");
    }
    long traces = reglet.log().lines().filter(l -> l.startsWith("\tat ")).count();
    return new Outcome(tally[0] + tally[1], tally[0], tally[1], failed, slow, tally[2], traces);
  }

  private static void bring(
      Composing cover, Sound file, String what, List<String> failed, List<String> slow, int[] tally)
      throws IOException {
    Answer a =
        switch (file.kind()) {
          case PDF ->
              cover.web.upload(
                  "/inspect", Map.of("edition", cover.edition), "file", "x.pdf", file.bytes());
          case PICTURE -> cover.picture(file.bytes());
          case SHEET ->
              cover.web.upload("/houses/import", Map.of(), "file", "x.json", file.bytes());
        };
    boolean taken =
        a.status() < 400 && !(file.kind() == Kind.PDF && !a.body().contains("The file</h2>"));
    tally[taken ? 0 : 1]++;
    tally[2] = (int) Math.max(tally[2], a.millis());
    if (a.status() >= 500 || a.body().contains("\tat ")) {
      failed.add(a.status() + ": " + what);
    }
    if (a.millis() > LONGEST_MS) {
      slow.add(a.millis() + " ms: " + what);
    }
    if (file.kind() == Kind.SHEET && a.status() == 302) {
      // what was taken can be opened, and thrown away
      String draft = a.location().replaceAll("^https?://[^/]+", "");
      Answer page = cover.web.get(draft);
      if (page.status() >= 500) {
        failed.add(page.status() + ": the draft of " + what);
      }
      if (page.millis() > LONGEST_MS) {
        slow.add(page.millis() + " ms: the draft of " + what);
      }
      Answer gone = cover.web.post(draft + "/discard", List.of(), false);
      if (gone.status() >= 400) {
        failed.add(gone.status() + ": throwing away the draft of " + what);
      }
    }
  }

  /** Changes some bytes, cuts, doubles or fills a stretch, or writes an extreme number. */
  static byte[] spoil(byte[] whole, Random random) {
    byte[] out = whole.clone();
    int changes = 1 + random.nextInt(6);
    for (int i = 0; i < changes && out.length > 8; i++) {
      int at = random.nextInt(Math.min(out.length, random.nextBoolean() ? 600 : out.length) - 4);
      switch (random.nextInt(9)) {
        case 0, 1 -> out[at] ^= (byte) (1 << random.nextInt(8));
        case 2 -> out[at] = (byte) random.nextInt();
        case 3 -> out = Arrays.copyOf(out, 1 + random.nextInt(out.length));
        case 4 -> {
          int n = Math.min(out.length - at, 1 + random.nextInt(2000));
          byte[] longer = new byte[out.length + n];
          System.arraycopy(out, 0, longer, 0, at + n);
          System.arraycopy(out, at, longer, at + n, out.length - at);
          out = longer;
        }
        case 5 ->
            Arrays.fill(
                out,
                at,
                Math.min(out.length, at + 1 + random.nextInt(64)),
                (byte) random.nextInt());
        case 6 -> {
          int n = new int[] {0, -1, Integer.MAX_VALUE, 0x7fff, 0xffff}[random.nextInt(5)];
          out[at] = (byte) (n >> 24);
          out[at + 1] = (byte) (n >> 16);
          out[at + 2] = (byte) (n >> 8);
          out[at + 3] = (byte) n;
        }
        default -> out = digits(out, at, random);
      }
    }
    return out;
  }

  /** Another number where there is one in text: a length, an offset, a reference, a count. */
  private static byte[] digits(byte[] in, int from, Random random) {
    for (int at = from; at < in.length; at++) {
      if (in[at] >= '0' && in[at] <= '9') {
        int end = at;
        while (end < in.length && in[end] >= '0' && in[end] <= '9') {
          end++;
        }
        String[] numbers = {"0", "1", "2", "3", "-1", "65536", "99999999", "1e99", "4294967296"};
        byte[] number = numbers[random.nextInt(numbers.length)].getBytes(StandardCharsets.US_ASCII);
        byte[] out = new byte[in.length - (end - at) + number.length];
        System.arraycopy(in, 0, out, 0, at);
        System.arraycopy(number, 0, out, at, number.length);
        System.arraycopy(in, end, out, at + number.length, in.length - end);
        return out;
      }
    }
    return in;
  }

  private static List<Sound> sound() throws IOException {
    List<Sound> all = new ArrayList<>();
    RuleSheet gannet =
        RuleSheetReader.read(ShippedRuleSheets.text("gannet-and-gauge").orElseThrow());
    var wrap =
        Measuring.measure(
            Specification.of(
                Binding.PERFECT_BOUND,
                Size.parse("6 x 9", Unit.IN),
                240,
                "white",
                "black",
                PageTurn.LTR),
            gannet);
    Map<String, byte[]> templates =
        new LinkedHashMap<>(
            TemplateSet.files(wrap, Unit.IN, 72, Typefaces.shipped().get("work-sans"), "t"));
    templates.forEach(
        (name, bytes) -> {
          if (name.endsWith(".pdf")) {
            all.add(new Sound(Kind.PDF, name, bytes));
          } else if (name.endsWith(".png")) {
            all.add(new Sound(Kind.PICTURE, name, bytes));
          }
        });
    all.add(new Sound(Kind.PDF, "form-names-itself.pdf", Burners.formNamesItself()));
    all.add(new Sound(Kind.PDF, "page-trees-30-deep.pdf", Burners.nestedPageTrees(30)));
    all.add(new Sound(Kind.PDF, "length-of-itself.pdf", Burners.lengthOfItself()));
    for (int type :
        new int[] {
          BufferedImage.TYPE_INT_RGB,
          BufferedImage.TYPE_INT_ARGB,
          BufferedImage.TYPE_BYTE_GRAY,
          BufferedImage.TYPE_BYTE_INDEXED,
          BufferedImage.TYPE_USHORT_GRAY
        }) {
      BufferedImage image = image(type);
      all.add(new Sound(Kind.PICTURE, "type-" + type + ".png", encode(image, "png", false, null)));
      all.add(new Sound(Kind.PICTURE, "laced-" + type + ".png", encode(image, "png", true, null)));
      if (type != BufferedImage.TYPE_INT_ARGB && type != BufferedImage.TYPE_USHORT_GRAY) {
        all.add(
            new Sound(Kind.PICTURE, "type-" + type + ".jpg", encode(image, "jpeg", false, null)));
        all.add(
            new Sound(Kind.PICTURE, "prog-" + type + ".jpg", encode(image, "jpeg", true, null)));
      }
      for (String packing : new String[] {"LZW", "Deflate", "PackBits", null}) {
        all.add(
            new Sound(
                Kind.PICTURE,
                "type-" + type + "-" + packing + ".tif",
                encode(image, "tiff", false, packing)));
      }
    }
    for (String id : ShippedRuleSheets.ids()) {
      all.add(
          new Sound(
              Kind.SHEET,
              id + ".json",
              ShippedRuleSheets.text(id).orElseThrow().getBytes(StandardCharsets.UTF_8)));
    }
    return all;
  }

  private static BufferedImage image(int type) {
    BufferedImage image = new BufferedImage(120, 90, type);
    Random random = new Random(type);
    for (int y = 0; y < 90; y++) {
      for (int x = 0; x < 120; x++) {
        image.setRGB(x, y, 0xff000000 | x * 2 << 16 | y * 2 << 8 | random.nextInt(256));
      }
    }
    return image;
  }

  private static byte[] encode(
      BufferedImage image, String format, boolean progressive, String packing) throws IOException {
    ImageWriter writer =
        ImageIO.getImageWriters(ImageTypeSpecifier.createFromRenderedImage(image), format).next();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ImageOutputStream out = ImageIO.createImageOutputStream(bytes)) {
      ImageWriteParam param = writer.getDefaultWriteParam();
      if (progressive && param.canWriteProgressive()) {
        param.setProgressiveMode(ImageWriteParam.MODE_DEFAULT);
      }
      if (packing != null && param.canWriteCompressed()) {
        param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        param.setCompressionType(packing);
      }
      writer.setOutput(out);
      writer.write(null, new IIOImage(image, null, null), param);
    } finally {
      writer.dispose();
    }
    return bytes.toByteArray();
  }
}
