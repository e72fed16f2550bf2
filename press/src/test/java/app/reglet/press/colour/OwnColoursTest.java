package app.reglet.press.colour;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.house.PressRules.Standard;
import app.reglet.press.pdf.PressFiles;
import app.reglet.press.picture.OwnColours;
import app.reglet.press.picture.PictureReader;
import app.reglet.testing.Tool;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Random;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Pictures that come in inks, or in RGB wider than a screen's: which they are, and the inks they
 * become, against LittleCMS (tificc).
 */
public class OwnColoursTest {
  private static final int N = 96;

  private static PressInks inks(OutputCondition condition) {
    return PressInks.of(condition.profile(), PressFiles.rules(Standard.X1A, 400));
  }

  /**
   * A profile like sRGB's with the primaries of ITU-R BT.2020, adapted to D50 (from memory, to four
   * digits), so that most of its greens are beyond a screen.
   */
  public static byte[] wide() {
    byte[] icc = ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
    double[][] xyz = {
      {0.6735, 0.2790, -0.0019}, {0.1657, 0.6753, 0.0300}, {0.1251, 0.0456, 0.7969}
    };
    ByteBuffer b = ByteBuffer.wrap(icc);
    String[] tags = {"rXYZ", "gXYZ", "bXYZ"};
    for (int i = 0; i < b.getInt(128); i++) {
      int entry = 132 + 12 * i;
      String tag = new String(icc, entry, 4, StandardCharsets.US_ASCII);
      for (int t = 0; t < tags.length; t++) {
        if (tags[t].equals(tag)) {
          for (int c = 0; c < 3; c++) {
            b.putInt(b.getInt(entry + 4) + 8 + 4 * c, (int) Math.round(xyz[t][c] * 65536));
          }
        }
      }
    }
    return icc;
  }

  @DataProvider
  Object[][] files() {
    return new Object[][] {
      {"inks.tif", "coated", "-colorspace CMYK", true, 4},
      {"inks.jpg", "uncoated", "-colorspace CMYK", true, 4},
      {"bare.tif", "", "-colorspace CMYK", true, 4},
      {"bare.jpg", "", "-colorspace CMYK", true, 4},
      {"wide.png", "wide", "", true, 3},
      {"wide.jpg", "wide", "", true, 3},
      {"wide.tif", "wide", "-compress LZW", true, 3},
      {"screen.png", "srgb", "", false, 0},
      {"screen.jpg", "srgb", "", false, 0},
      {"bare.png", "", "", false, 0},
      {"gray.jpg", "", "-colorspace Gray", false, 0},
      {"gray.tif", "", "-colorspace Gray", false, 0}
    };
  }

  /** A picture in the middle of whose left half is 20/60/80/10, or a green, made by ImageMagick. */
  private static Path made(String name, String profile, String how) throws IOException {
    Path file = Tool.file(name, new byte[0]);
    java.util.List<String> command =
        new java.util.ArrayList<>(java.util.List.of("convert", "-size", "64x64"));
    if (how.contains("CMYK")) {
      command.add("xc:cmyk(20%,60%,80%,10%)");
    } else {
      command.add("xc:#10f020");
      if (!how.isEmpty()) {
        command.addAll(java.util.List.of(how.split(" ")));
      }
    }
    command.addAll(java.util.List.of("-depth", "8", "-quality", "98", "-sampling-factor", "4:4:4"));
    byte[] icc =
        switch (profile) {
          case "coated" -> OutputCondition.COATED.profile().bytes();
          case "uncoated" -> OutputCondition.UNCOATED.profile().bytes();
          case "wide" -> wide();
          case "srgb" -> ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
          default -> null;
        };
    if (icc != null) {
      command.add("-profile");
      command.add(Tool.file("own.icc", icc).toString());
    }
    command.add(file.toString());
    Tool.ok(command.toArray(String[]::new));
    return file;
  }

  @Test(dataProvider = "files")
  public void aPictureTellsWhetherItsColoursAreItsOwnAndItsRowsHaveThem(
      String name, String profile, String how, boolean own, int channels) throws IOException {
    var picture = PictureReader.read(Files.readAllBytes(made(name, profile, how)));
    Optional<OwnColours> found = OwnColours.of(picture);
    assertThat(found.isPresent()).isEqualTo(own);
    if (!own) {
      return;
    }
    assertThat(found.get().channels()).isEqualTo(channels);
    assertThat(found.get().profile().length > 0).isEqualTo(!profile.isEmpty());
    try (var rows = PictureReader.rows(picture, found.get())) {
      assertThat(rows.isInks()).isEqualTo(channels == 4);
      int[] row = new int[64];
      for (int y = 0; y < 32; y++) {
        rows.next(row);
      }
      int[] meant = channels == 4 ? new int[] {51, 153, 204, 26} : new int[] {255, 16, 240, 32};
      for (int c = 0; c < 4; c++) {
        assertThat(row[32] >>> 24 - 8 * c & 0xff)
            .as("channel %d", c)
            .isBetween(meant[c] - 3, meant[c] + 3);
      }
    }
  }

  /** So many colours of any channels, as a TIFF for tificc. */
  private static Path tiff(int[] samples, int channels, byte[] icc) throws IOException {
    BufferedImage image =
        new BufferedImage(
            new ComponentColorModel(
                new ICC_ColorSpace(ICC_Profile.getInstance(icc)),
                false,
                false,
                Transparency.OPAQUE,
                DataBuffer.TYPE_BYTE),
            Raster.createInterleavedRaster(DataBuffer.TYPE_BYTE, N, N, channels, null),
            false,
            null);
    image.getRaster().setPixels(0, 0, N, N, samples);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "tiff", out);
    return Tool.file("in.tif", out.toByteArray());
  }

  @DataProvider
  Object[][] sources() {
    return new Object[][] {
      {"wide RGB on coated", wide(), 3, OutputCondition.COATED},
      {"wide RGB on uncoated", wide(), 3, OutputCondition.UNCOATED},
      {
        "uncoated inks on coated",
        OutputCondition.UNCOATED.profile().bytes(),
        4,
        OutputCondition.COATED
      },
      {
        "coated inks on uncoated",
        OutputCondition.COATED.profile().bytes(),
        4,
        OutputCondition.UNCOATED
      },
      {
        "web inks on coated",
        OutputCondition.WEB_COATED.profile().bytes(),
        4,
        OutputCondition.COATED
      }
    };
  }

  /** Random colours, inks of them such as pictures have; ΔE2000 on the paper. */
  @Test(dataProvider = "sources")
  public void inksAreThoseOfLittleCms(
      String name, byte[] icc, int channels, OutputCondition condition) throws IOException {
    Random random = new Random(4);
    int[] samples = new int[N * N * channels];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = channels == 4 && i % 4 == 3 ? random.nextInt(128) : random.nextInt(230);
    }
    int[] pixels = new int[N * N];
    for (int i = 0; i < samples.length; i++) {
      pixels[i / channels] = pixels[i / channels] << 8 | samples[i];
    }
    Path in = tiff(samples, channels, icc);
    Path from = Files.write(in.resolveSibling("from.icc"), icc);
    Path to = Files.write(in.resolveSibling("to.icc"), condition.profile().bytes());
    Path out = in.resolveSibling("out.tif");
    Tool.ok("tificc", "-i" + from, "-o" + to, "-t1", "-b", "-w16", in.toString(), out.toString());
    Raster theirs = ImageIO.read(out.toFile()).getRaster();
    byte[] ours = new byte[4 * pixels.length];
    inks(condition).table(new OwnColours(channels, icc)).orElseThrow().convert(pixels, ours);
    double[] a = new double[ours.length];
    double[] b = new double[ours.length];
    int[] p = new int[4];
    for (int i = 0; i < pixels.length; i++) {
      theirs.getPixel(i % N, i / N, p);
      for (int ink = 0; ink < 4; ink++) {
        a[4 * i + ink] = (ours[4 * i + ink] & 0xff) / 255.0;
        b[4 * i + ink] = p[ink] / 65535.0;
      }
    }
    double[] us = condition.profile().xyzOf(a);
    double[] them = condition.profile().xyzOf(b);
    double sum = 0;
    double most = 0;
    for (int i = 0; i < us.length; i += 3) {
      double apart =
          Lab.of(us[i], us[i + 1], us[i + 2]).apart(Lab.of(them[i], them[i + 1], them[i + 2]));
      sum += apart;
      most = Math.max(most, apart);
    }
    System.out.printf("%s: mean %.3f, most %.3f%n", name, sum / pixels.length, most);
    assertThat(sum / pixels.length).isLessThan(0.3);
    assertThat(most).isLessThan(1.5);
  }

  /** A green that no screen shows comes out greener than if it went by way of one. */
  @Test
  public void aWideGreenKeepsWhatAScreenWouldLose() {
    PressInks inks = inks(OutputCondition.COATED);
    PixelInks wide = inks.table(new OwnColours(3, wide())).orElseThrow();
    int own = wide.packed(0x20c050);
    int magentaAsScreen = inks.table().packed(0x00ce3c) >> 16 & 0xff;
    assertThat(own >> 16 & 0xff).as("magenta in a green").isLessThanOrEqualTo(magentaAsScreen);
    assertThat(own >>> 24).as("cyan").isGreaterThan(inks.table().packed(0x00ce3c) >>> 24);
  }

  /** Inks of the press itself, or of none that is told, are not touched but by the limit. */
  @Test
  public void inksOfThisPressStayWhatTheyAre() {
    PressInks inks =
        PressInks.of(OutputCondition.COATED.profile(), PressFiles.rules(Standard.X1A, 300));
    for (byte[] icc : new byte[][] {OutputCondition.COATED.profile().bytes(), {}}) {
      PixelInks same = inks.table(new OwnColours(4, icc)).orElseThrow();
      assertThat(same.packed(0x000000ff)).isEqualTo(0x000000ff);
      assertThat(same.packed(0x3399cc1a)).isEqualTo(0x3399cc1a);
      int most = same.packed(0xf0f0f0f0);
      assertThat((most >>> 24) + (most >> 16 & 0xff) + (most >> 8 & 0xff) + (most & 0xff))
          .isLessThanOrEqualTo(765);
    }
  }

  /** A JPEG with any profile in it, whether it is of its colours or not (ICC.1:2010, B.4). */
  private static byte[] with(byte[] jpeg, byte[] icc) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(jpeg, 0, 2);
    int most = 60_000;
    int parts = (icc.length + most - 1) / most;
    for (int i = 0; i < parts; i++) {
      int n = Math.min(most, icc.length - i * most);
      out.write(0xff);
      out.write(0xe2);
      out.write(16 + n >> 8);
      out.write(16 + n);
      out.writeBytes("ICC_PROFILE\0".getBytes(StandardCharsets.US_ASCII));
      out.write(i + 1);
      out.write(parts);
      out.write(icc, i * most, n);
    }
    out.write(jpeg, 2, jpeg.length - 2);
    return out.toByteArray();
  }

  /** A profile of four inks in a picture of RGB, and the other way: read as if it had none. */
  @Test
  public void aProfileOfAnotherColourModelIsNotHeeded() throws IOException {
    byte[] rgb = Files.readAllBytes(made("bare-rgb.jpg", "", ""));
    var red = PictureReader.read(with(rgb, OutputCondition.COATED.profile().bytes()));
    assertThat(OwnColours.of(red)).isEmpty();
    assertThat(PictureReader.pixels(red, 10_000).getRGB(30, 30) >> 8 & 0xff).isGreaterThan(200);
    byte[] inks = Files.readAllBytes(made("bare-inks.jpg", "", "-colorspace CMYK"));
    var brown = PictureReader.read(with(inks, wide()));
    assertThat(OwnColours.of(brown).orElseThrow().profile()).isEmpty();
    try (var rows = PictureReader.rows(brown, OwnColours.of(brown).orElseThrow())) {
      int[] row = new int[64];
      rows.next(row);
      assertThat(row[30] >>> 24).isBetween(48, 54);
    }
  }

  @Test
  public void aProfileThatCantBeUsedGivesNoTable() {
    byte[] spoiled = OutputCondition.UNCOATED.profile().bytes();
    java.util.Arrays.fill(spoiled, 128, spoiled.length, (byte) 7);
    assertThat(inks(OutputCondition.COATED).table(new OwnColours(4, spoiled))).isEmpty();
    byte[] rgb = wide();
    java.util.Arrays.fill(rgb, 128, rgb.length, (byte) 7);
    assertThat(inks(OutputCondition.COATED).table(new OwnColours(3, rgb))).isEmpty();
  }
}
