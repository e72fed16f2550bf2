package app.reglet.press.inspect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.Book;
import app.reglet.core.book.Isbn;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.inspect.FileCheck.Remark;
import app.reglet.press.inspect.page.PageContent;
import app.reglet.press.inspect.page.PageLook;
import app.reglet.press.inspect.page.PlateFile;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Covers of other tools: what each spoils is caught, and no good one is refused. */
public class CorpusTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private static final Book BOOK =
      new Book("The Salt Ledger", "", "", "", "", Optional.of(Isbn.parse("9780306406157")), "");

  /** A file that was read, with what was found in it. */
  private record Read(Path file, FileFacts facts, Path aside) {
    Optional<InkPixels> inks(int page) {
      Path at = PageLook.inks(aside, page);
      try {
        return Files.exists(at) ? Optional.of(PlateFile.read(at)) : Optional.empty();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  private static Read read(byte[] bytes) throws IOException {
    Path file = Tool.file("cover.pdf", bytes);
    Path aside = Scratch.directory("aside");
    FileBytes in = FileBytes.of(file);
    return new Read(file, FileReading.read(in, aside, Budget.forFile(in.length())), aside);
  }

  private static List<Remark> remarks(Corpus.Item item, Read read) {
    OutputCondition coated = OutputCondition.COATED;
    return FileCheck.of(
        read.facts(),
        new FileCheck.Wanted(
            item.wrap(),
            BOOK,
            coated.title().toLowerCase(java.util.Locale.ROOT),
            coated.registered(),
            coated.profile().sha(),
            font -> font.contains("Spectral")),
        read::inks);
  }

  @DataProvider
  public Object[][] corpus() {
    return Extent.of(7, Corpus.all()).stream().map(i -> new Object[] {i}).toArray(Object[][]::new);
  }

  @Test(dataProvider = "corpus")
  public void everySpoilIsFoundAndNothingIsToBeMendedInGoodFiles(Corpus.Item item)
      throws IOException {
    Read read = read(item.bytes().get());
    List<Remark> remarks = remarks(item, read);
    String said =
        remarks.stream()
            .map(
                r ->
                    (r.finding().mustMend() ? "mend " : "look ")
                        + r.finding().code()
                        + ": "
                        + r.finding().sentence(item.wrap().house().unit()))
            .reduce("", (a, b) -> a + "\n" + b);
    if (item.isGood()) {
      assertThat(remarks).as(said).noneMatch(r -> r.finding().mustMend());
    } else {
      assertThat(remarks).as(said).anyMatch(r -> r.finding().code().equals(item.code()));
      told(item.name(), said);
    }
    if (read.facts().hasPages()) {
      others(item, read);
    }
  }

  /** What a file would fit is told in words and figures. */
  private static void told(String name, String said) {
    Map.of(
            "288 pages", "the right file for 288 pages; the edition has 320",
            "352 pages", "the right file for 352 pages",
            "312 pages", "the right file for 312 pages",
            "coated paper", "It was made for coated",
            "98.2", "scaled by 98.2 %",
            "trimmed size", "It is the trimmed size, 12.7807 × 9 in",
            "quarter", "It lies on its side",
            "exchanged", "front and back are exchanged",
            "the case", "the case laminate")
        .forEach(
            (of, sentence) -> {
              if (name.contains(of)) {
                assertThat(said).as(name).contains(sentence);
              }
            });
  }

  /** What the tools of others say of the same file. */
  private static void others(Corpus.Item item, Read read) {
    String info = Tool.ok("pdfinfo", "-box", read.file().toString());
    assertThat(field(info, "Pages")).isEqualTo(String.valueOf(read.facts().pdf().pages()));
    assertThat(field(info, "Encrypted").startsWith("yes"))
        .isEqualTo(read.facts().traits().locked());
    assertThat(field(info, "JavaScript"))
        .isEqualTo(read.facts().traits().scripts() > 0 ? "yes" : "no");
    Matcher size = Pattern.compile("([\\d.]+) x ([\\d.]+) pts").matcher(field(info, "Page size"));
    assertThat(size.find()).isTrue();
    double unit = item.name().contains("units of two") ? 2 : 1;
    double turned = item.name().contains("quarter") ? 1 : 0;
    double w = Double.parseDouble(size.group(1)) * unit;
    double h = Double.parseDouble(size.group(2)) * unit;
    var media = read.facts().pdf().first().media();
    assertThat(media.width().toPoints()).isCloseTo(turned == 1 ? h : w, within(0.02));
    assertThat(media.height().toPoints()).isCloseTo(turned == 1 ? w : h, within(0.02));
    fonts(read);
    pictures(read);
    qpdf(read);
    if (item.isGood() && item.wrap() == Corpus.INKS) {
      coverage(read);
    }
  }

  /** Pages, lock and pictures as qpdf reads them from the file's objects. */
  private static void qpdf(Read read) {
    Tool.Result r =
        Tool.run(
            "qpdf",
            "--json",
            "--json-key=pages",
            "--json-key=encrypt",
            "--json-stream-data=none",
            read.file().toString());
    assertThat(r.exit()).as(r.out()).isIn(0, 3); // 3 with warnings
    JsonNode json = JSON.readTree(r.out().substring(r.out().indexOf("{\n")));
    assertThat(json.get("pages").size()).isEqualTo(read.facts().pdf().pages());
    assertThat(json.get("encrypt").get("encrypted").asBoolean())
        .isEqualTo(read.facts().traits().locked());
    List<String> theirs = new ArrayList<>();
    for (JsonNode i : json.get("pages").get(0).get("images")) {
      theirs.add(i.get("width").asInt() + " × " + i.get("height").asInt());
    }
    if (!theirs.isEmpty()) {
      assertThat(
              read.facts().page(1).orElseThrow().pictures().stream()
                  .map(p -> p.width() + " × " + p.height())
                  .distinct())
          .as(r.out())
          .isSubsetOf(theirs);
    }
  }

  /** How much of each ink lies on the page, beside ghostscript's device for it, in percent. */
  private static void coverage(Read read) {
    String said =
        Tool.ok("gs", "-q", "-o", "-", "-sDEVICE=ink_cov", "-r100", read.file().toString());
    String[] theirs = said.strip().lines().findFirst().orElseThrow().strip().split("\\s+");
    InkPixels ours = read.inks(1).orElseThrow();
    for (int ink = 0; ink < 4; ink++) {
      long sum = 0;
      for (int i = ink; i < ours.inks().length; i += 4) {
        sum += ours.inks()[i] & 0xff;
      }
      assertThat(100 * sum / 255.0 / ours.width() / ours.height())
          .as(said)
          .isCloseTo(Double.parseDouble(theirs[ink]), within(1.0));
    }
  }

  private static String field(String info, String name) {
    Matcher m = Pattern.compile("(?m)^" + name + ":\\s*(.*)$").matcher(info);
    return m.find() ? m.group(1).strip() : "";
  }

  private static void fonts(Read read) {
    String said = Tool.ok("pdffonts", read.file().toString());
    List<String> lines = said.lines().skip(2).toList();
    assertThat(read.facts().pdf().fonts()).as(said).hasSameSizeAs(lines);
    long embedded =
        lines.stream()
            .filter(
                l ->
                    l.matches(".*\\s(yes|no)\\s+(yes|no)\\s+(yes|no)\\s+\\d+\\s+\\d+$")
                        && l.replaceAll(
                                ".*\\s(yes|no)\\s+(yes|no)\\s+(yes|no)\\s+\\d+\\s+\\d+$", "$1")
                            .equals("yes"))
            .count();
    assertThat(read.facts().pdf().fonts().stream().filter(PdfFacts.FontFact::embedded).count())
        .as(said)
        .isEqualTo(embedded);
  }

  private static void pictures(Read read) {
    String said = Tool.ok("pdfimages", "-list", "-l", "1", read.file().toString());
    List<String[]> lines =
        said.lines()
            .skip(2)
            .map(l -> l.strip().split("\\s+"))
            .filter(c -> c.length > 13 && c[2].equals("image"))
            .toList();
    List<PageContent.PlacedPicture> ours =
        read.facts().page(1).orElseThrow().pictures().stream()
            .filter(p -> !p.space().isEmpty())
            .toList();
    assertThat(ours).as(said).hasSameSizeAs(lines);
    for (int i = 0; i < lines.size(); i++) {
      assertThat(ours.get(i).width() + " " + ours.get(i).height())
          .isEqualTo(lines.get(i)[3] + " " + lines.get(i)[4]);
      double ppi =
          Math.min(Double.parseDouble(lines.get(i)[12]), Double.parseDouble(lines.get(i)[13]));
      assertThat(ours.get(i).ppi()).isCloseTo(ppi, within(1.0));
    }
  }
}
