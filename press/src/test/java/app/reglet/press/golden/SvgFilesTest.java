package app.reglet.press.golden;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.ornament.Ornament;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.picture.Picture;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.press.svg.OrnamentSvg;
import app.reglet.press.vector.SvgReader;
import app.reglet.testing.Tool;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.stream.IntStream;
import org.testng.annotations.Test;

/**
 * Drawings that others made, as pieces of a cover, against Chromium's own rendering of the files.
 * The files are those of two packages of the Maven registry (icons of one colour and flags of many,
 * both MIT): every so manieth by name, none left out, so that nobody chose them. Five more of our
 * own have what those lack: gradients seen askew, lines, clips, groups that fade.
 */
public class SvgFilesTest {
  private static final int COLUMNS = 9;
  private static final int ROWS = 6;
  private static final double CELL = 30;
  private static final double MOST_APART = 0.004;

  /** So many files of a package below a path, evenly spread over the names. */
  private static Map<String, byte[]> files(String jarOf, String path, int count)
      throws IOException {
    try (InputStream in = SvgFilesTest.class.getResourceAsStream(jarOf)) {
      assertThat(in).as(jarOf).isNotNull();
    }
    String url = SvgFilesTest.class.getResource(jarOf).toString();
    String jar = url.substring("jar:file:".length(), url.indexOf('!'));
    Map<String, byte[]> found = new LinkedHashMap<>();
    try (JarFile all = new JarFile(jar)) {
      List<JarEntry> svgs =
          all.stream()
              .filter(e -> e.getName().contains(path) && e.getName().endsWith(".svg"))
              .sorted(java.util.Comparator.comparing(JarEntry::getName))
              .toList();
      for (int i = 0; i < count; i++) {
        for (int at = i * svgs.size() / count; ; at++) {
          byte[] file = all.getInputStream(svgs.get(at)).readAllBytes();
          if (!new String(file, StandardCharsets.UTF_8)
              .contains("<text")) { // refused, see HostileSvgTest
            found.put(svgs.get(at).getName(), file);
            break;
          }
        }
      }
    }
    return found;
  }

  private static Map<String, byte[]> all() throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.putAll(
        files("/META-INF/resources/webjars/flag-icons/7.2.3/package.json", "/flags/4x3/", 31));
    files.putAll(
        files("/META-INF/resources/webjars/bootstrap-icons/1.11.3/package.json", "/icons/", 18));
    for (String own : List.of("gradients", "strokes", "clips", "fades", "overlap")) {
      try (InputStream in = SvgFilesTest.class.getResourceAsStream("/svg/" + own + ".svg")) {
        files.put(own, in.readAllBytes());
      }
    }
    return files;
  }

  /** What is kept of a file: written anew and read again. */
  private static Ornament kept(String name, byte[] file) {
    SvgReader.Read read = SvgReader.read(FileBytes.of(file), name, Budget.forFile(file.length));
    assertThat(read.leftOut()).as(name).isEmpty();
    byte[] written = OrnamentSvg.document(read.drawing()).getBytes(StandardCharsets.UTF_8);
    return SvgReader.kept(written, name, name);
  }

  private static double left(int i) {
    return 5 + i % COLUMNS * (CELL + 3);
  }

  private static double top(int i) {
    return 5 + i / COLUMNS * (CELL + 2);
  }

  private static Artwork cover(List<Ornament> drawings) {
    Wrap wrap = Specimen.wrap(200);
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < drawings.size(); i++) {
      Ornament o = drawings.get(i);
      List<Colour> inks = new ArrayList<>();
      o.inks().forEach(rgb -> inks.add(new Colour.Rgb(rgb)));
      Length left = Length.nearMm(left(i));
      Length top = Length.nearMm(top(i));
      Length side = Length.nearMm(CELL);
      pieces.add(
          new Piece(
              "piece-" + i,
              o.name(),
              Anchors.stretched(
                  Region.SHEET,
                  left,
                  top,
                  wrap.sheet().width().minus(left).minus(side),
                  wrap.sheet().height().minus(top).minus(side)),
              new Content.Ornament(new Motif.Drawn(o.id(), inks))));
    }
    Design design =
        Design.EMPTY.changed(
            PrintedSide.OUTSIDE,
            c -> c.withGround(Ground.plain(new Colour.Rgb(0xf4efe4))).withPieces(pieces));
    Pictures stock =
        new Pictures() {
          @Override
          public Optional<Picture> find(String sha) {
            return Optional.empty();
          }

          @Override
          public Optional<Ornament> drawing(String sha) {
            return drawings.stream().filter(o -> o.id().equals(sha)).findFirst();
          }
        };
    return new Composer(Specimen.TYPEFACES).compose(design, wrap, Specimen.BOOK, stock);
  }

  private static BufferedImage byChromium(List<byte[]> files, Artwork art) throws IOException {
    StringBuilder html = new StringBuilder("<body style='background:#f4efe4'>");
    for (int i = 0; i < files.size(); i++) {
      html.append(
          String.format(
              java.util.Locale.ROOT,
              "<img style='position:absolute;left:%.2fmm;top:%.2fmm;width:30mm;height:30mm;object-fit:contain' src='data:image/svg+xml;base64,%s'>",
              left(i),
              top(i),
              Base64.getEncoder().encodeToString(files.get(i))));
    }
    return Painters.chromium(
        html.toString(),
        art.wrap().sheet().width().toPixels(Painters.PPI / 2),
        art.wrap().sheet().height().toPixels(Painters.PPI / 2));
  }

  private static BufferedImage cell(BufferedImage whole, int i) {
    double mm = Painters.PPI / 2 / 25.4;
    return whole.getSubimage(
        (int) (left(i) * mm), (int) (top(i) * mm), (int) (CELL * mm), (int) (CELL * mm));
  }

  @Test
  public void filesOfOthersLookOnACoverAsChromiumShowsThemAndStayVectors() throws IOException {
    Map<String, byte[]> files = all();
    List<String> names = List.copyOf(files.keySet());
    assertThat(names).hasSize(COLUMNS * ROWS);
    List<Ornament> drawings =
        files.entrySet().stream().map(e -> kept(e.getKey(), e.getValue())).toList();
    Artwork art = cover(drawings);
    BufferedImage theirs = byChromium(List.copyOf(files.values()), art);
    Path pdf = Tool.file("drawings.pdf", PressFile.make(art, Specimen.BOOK, Instant.EPOCH));
    Map<String, BufferedImage> ours = new LinkedHashMap<>();
    ours.put("raster", Painters.raster(art));
    ours.put("mupdf", Painters.mupdf(pdf)); // poppler makes hairs of less than a pixel one wide
    List<String> apart = new ArrayList<>();
    ours.forEach(
        (by, drawn) ->
            IntStream.range(0, names.size())
                .forEach(
                    i -> {
                      Difference d = Difference.of(cell(theirs, i), cell(drawn, i));
                      if (d.share() > MOST_APART) {
                        apart.add(
                            String.format(
                                "%s by %s: %.4f%s", names.get(i), by, d.share(), d.where()));
                      }
                    }));
    assertThat(apart).isEmpty();
    assertThat(Tool.ok("pdfimages", "-list", pdf.toString()).lines().count()).isEqualTo(2);
  }
}
