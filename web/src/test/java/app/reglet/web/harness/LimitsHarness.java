package app.reglet.web.harness;

import app.reglet.testing.Scratch;
import app.reglet.web.harness.Web.Answer;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;

/**
 * What the limits promise, at the heap that ships, four at once: pictures of nearly 100 megapixels
 * taken in and made into press files, PDFs of nearly 200 MB inspected.
 *
 * <p>{@code ./reglet harness limits}; wants some 6 GB of memory for itself.
 */
public final class LimitsHarness {
  private static final int AT_ONCE = 4;
  private static final int W = 9900;
  private static final int H = 9900;

  /** May be read or be refused, in a sentence. */
  private static final String HOSTILE = "a page that draws 195 MB of spaces.pdf";

  private LimitsHarness() {}

  public static void main(String[] args) throws Exception {
    boolean well = true;
    Path data = Scratch.directory("reglet-limits");
    try (Subject reglet = new Subject(data)) {
      reglet.start();
      List<Composing> covers = new ArrayList<>();
      for (int i = 0; i < AT_ONCE; i++) {
        covers.add(Composing.begin(reglet.web(), "Limits " + i));
      }
      for (Map.Entry<String, byte[]> file : files().entrySet()) {
        if (args.length > 0 && !file.getKey().contains(args[0])) {
          continue;
        }
        List<Answer> answers =
            atOnce(
                covers,
                c ->
                    file.getKey().endsWith(".pdf")
                        ? c.inspect(file.getValue())
                        : c.picture(file.getValue()));
        well &=
            told(
                file.getKey() + ", " + file.getValue().length / 1_000_000 + " MB, taken in",
                answers,
                reglet,
                file.getKey().equals(HOSTILE) ? "The file takes more than" : null);
        if (!file.getKey().endsWith(".pdf")) {
          well &= told("  its press file", atOnce(covers, Composing::pressFile), reglet, null);
        }
      }
      well &= !reglet.log().contains("OutOfMemory") && !reglet.log().contains("\tat ");
    }
    System.exit(well ? 0 : 1);
  }

  private interface Step {
    Answer of(Composing c) throws Exception;
  }

  private static List<Answer> atOnce(List<Composing> covers, Step step) throws Exception {
    ExecutorService threads = Executors.newFixedThreadPool(covers.size());
    try {
      List<Future<Answer>> all = new ArrayList<>();
      for (Composing c : covers) {
        all.add(threads.submit(() -> step.of(c)));
      }
      List<Answer> out = new ArrayList<>();
      for (Future<Answer> f : all) {
        out.add(f.get());
      }
      return out;
    } finally {
      threads.shutdown();
    }
  }

  /**
   * Tells how it went.
   *
   * @param refusal how the sentence begins that a file may be refused with; null for none
   * @return whether each was taken, or refused so
   */
  private static boolean told(String what, List<Answer> answers, Subject reglet, String refusal)
      throws Exception {
    long slowest = answers.stream().mapToLong(Answer::millis).max().orElse(0);
    boolean well =
        answers.stream()
            .allMatch(
                a ->
                    a.status() == 200
                        || refusal != null && a.status() == 422 && sentence(a).startsWith(refusal));
    System.out.printf(
        "limits: %s, %d at once: %s, slowest %d ms, Reglet at most %d MB resident%n",
        what,
        answers.size(),
        well
            ? "well"
            : answers.stream()
                .filter(a -> a.status() != 200)
                .map(a -> a.status() + " " + sentence(a))
                .distinct()
                .toList(),
        slowest,
        reglet.megabytes());
    return well;
  }

  private static String sentence(Answer a) {
    return a.body().replaceAll("(?s)<[^>]*>", " ").strip().replaceAll("\\s+", " ");
  }

  private static Map<String, byte[]> files() throws Exception {
    Map<String, byte[]> all = new LinkedHashMap<>();
    all.put("98 megapixels, 8-bit RGB.png", png(8, 2));
    all.put("98 megapixels, 8-bit RGBA.png", png(8, 6));
    all.put("98 megapixels, 16-bit RGBA.png", png(16, 6));
    BufferedImage image = new BufferedImage(W, H, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setPaint(new GradientPaint(0, 0, new Color(0x24404e), W, H, new Color(0xd9c79b)));
    g.fillRect(0, 0, W, H);
    g.dispose();
    for (String format : List.of("jpg", "tiff")) {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      if (format.equals("tiff")) {
        // as large as a file may be
        BufferedImage part = image.getSubimage(0, 0, 5100, 5100);
        ImageIO.write(part, format, out);
      } else {
        ImageIO.write(image, format, out);
      }
      all.put(
          (format.equals("tiff") ? "26 megapixels, uncompressed." : "98 megapixels.") + format,
          out.toByteArray());
    }
    all.put("one picture of 195 MB.pdf", pdf(8062 * 8062 * 3, 1, true));
    all.put("400,000 objects, 195 MB.pdf", pdf(195_000_000, 400_000, false));
    all.put(HOSTILE, pdf(195_000_000, 1, false));
    return all;
  }

  /** Noise in every hundredth row, a gradient between: some 10 to 40 MB packed. */
  private static byte[] png(int depth, int colour) throws Exception {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
    ByteArrayOutputStream head = new ByteArrayOutputStream();
    DataOutputStream d = new DataOutputStream(head);
    d.writeInt(W);
    d.writeInt(H);
    d.write(new byte[] {(byte) depth, (byte) colour, 0, 0, 0});
    Burners.chunk(out, "IHDR", head.toByteArray());
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (DeflaterOutputStream z =
        new DeflaterOutputStream(packed, new Deflater(Deflater.BEST_SPEED), 1 << 16)) {
      byte[] row = new byte[1 + W * (colour == 6 ? 4 : 3) * depth / 8];
      Random random = new Random(1);
      for (int y = 0; y < H; y++) {
        if (y % 100 == 0) {
          random.nextBytes(row);
        } else {
          java.util.Arrays.fill(row, (byte) (y / 40));
        }
        row[0] = (byte) (y % 5);
        z.write(row);
      }
    }
    Burners.chunk(out, "IDAT", packed.toByteArray());
    Burners.chunk(out, "IEND", new byte[0]);
    return out.toByteArray();
  }

  /**
   * A page of one stream or many.
   *
   * @param picture whether the first is an uncompressed square picture that fills the page; else it
   *     is what the page draws, nothing but spaces
   */
  private static byte[] pdf(int bytes, int objects, boolean picture) throws Exception {
    ByteArrayOutputStream out = new ByteArrayOutputStream(bytes + 10_000_000);
    out.write("%PDF-1.6\n".getBytes());
    List<Integer> offsets = new ArrayList<>();
    offsets.add(out.size());
    out.write("1 0 obj\n<</Type/Catalog/Pages 2 0 R>>\nendobj\n".getBytes());
    offsets.add(out.size());
    out.write("2 0 obj\n<</Type/Pages/Kids[3 0 R]/Count 1>>\nendobj\n".getBytes());
    offsets.add(out.size());
    out.write(
        ("3 0 obj\n<</Type/Page/Parent 2 0 R/MediaBox[0 0 960 666]"
                + (picture
                    ? "/Resources<</XObject<</P 4 0 R>>>>/Contents 5 0 R"
                    : "/Contents 4 0 R")
                + ">>\nendobj\n")
            .getBytes());
    int around = 75; // what each object has beside its stream, its line in the table included
    byte[] noise = new byte[picture ? bytes : bytes / objects - around];
    java.util.Arrays.fill(noise, (byte) ' ');
    int side = (int) Math.round(Math.sqrt(bytes / 3.0));
    String kind =
        picture
            ? "/Type/XObject/Subtype/Image/ColorSpace/DeviceRGB/BitsPerComponent 8/Width "
                + side
                + "/Height "
                + side
            : "";
    for (int i = 0; i < objects; i++) {
      offsets.add(out.size());
      out.write(
          (i + 4 + " 0 obj\n<<" + kind + "/Length " + noise.length + ">>\nstream\n").getBytes());
      out.write(noise);
      out.write("\nendstream\nendobj\n".getBytes());
    }
    if (picture) {
      offsets.add(out.size());
      String draw = "960 0 0 666 0 0 cm /P Do";
      out.write(
          ("5 0 obj\n<</Length " + draw.length() + ">>\nstream\n" + draw + "\nendstream\nendobj\n")
              .getBytes());
    }
    int xref = out.size();
    StringBuilder table =
        new StringBuilder("xref\n0 " + (offsets.size() + 1) + "\n0000000000 65535 f \n");
    for (int o : offsets) {
      String digits = "0000000000" + o;
      table.append(digits.substring(digits.length() - 10)).append(" 00000 n \n");
    }
    table.append(
        "trailer\n<</Size "
            + (offsets.size() + 1)
            + "/Root 1 0 R>>\nstartxref\n"
            + xref
            + "\n%%EOF\n");
    out.write(table.toString().getBytes());
    return out.toByteArray();
  }
}
