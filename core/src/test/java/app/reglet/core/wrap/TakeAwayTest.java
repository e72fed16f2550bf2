package app.reglet.core.wrap;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.Houses;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Measurements as documents: what they say must be the wrap, read back by other means. */
public class TakeAwayTest {
  private static List<Wrap> wraps() {
    List<Wrap> wraps = new ArrayList<>();
    for (PageTurn turn : PageTurn.values()) {
      wraps.add(
          Measuring.measure(
              Specification.of(
                      Binding.FLAPPED, Size.parse("A5", Unit.MM), 320, "bulky-80", "black", turn)
                  .withInsidePrinted(true)
                  .withFlaps(Optional.of(new Flaps(Length.mm("100"), Length.mm("60")))),
              Houses.OSIER));
      wraps.add(
          Measuring.measure(
              Specification.of(
                  Binding.CASE_LAMINATE, Size.parse("6 x 9", Unit.IN), 240, "white", "black", turn),
              Houses.DUNLIN));
    }
    return wraps;
  }

  private static BigDecimal[] figures(String csvLine) {
    String[] cells = csvLine.split(",", -1);
    BigDecimal[] figures = new BigDecimal[8];
    for (int i = 0; i < 8; i++) {
      figures[i] = new BigDecimal(cells[3 + i]);
    }
    return figures;
  }

  /** RFC 4180: a head, the same count of cells in every line, CR LF. */
  @Test
  public void theTableTilesThePage() {
    for (Wrap w : wraps()) {
      String csv = WrapTable.csv(w);
      assertThat(csv).endsWith("\r\n");
      List<String> lines = List.of(csv.split("\r\n"));
      assertThat(lines).allMatch(l -> l.split(",", -1).length == 11);
      for (Wrap page : FilePages.of(w)) {
        String id = page.page().id();
        BigDecimal[] sheet =
            figures(lines.stream().filter(l -> l.startsWith(id + ",sheet,")).findFirst().get());
        BigDecimal[] trimmed =
            figures(lines.stream().filter(l -> l.startsWith(id + ",trimmed,")).findFirst().get());
        BigDecimal panels =
            lines.stream()
                .filter(l -> l.startsWith(id + ",panel,"))
                .map(l -> figures(l)[2])
                .reduce(BigDecimal.ZERO, BigDecimal::add);
        assertThat(panels).isEqualByComparingTo(trimmed[2]);
        assertThat(sheet[2]).isEqualByComparingTo(w.sheet().width().exact(Unit.MM));
        // mm and inches say the same: 1 in = 25.4 mm
        for (String line : lines.subList(1, lines.size())) {
          BigDecimal[] f = figures(line);
          for (int i = 0; i < 4; i++) {
            assertThat(f[i + 4].multiply(new BigDecimal("25.4")).subtract(f[i]).abs())
                .isLessThan(new BigDecimal("0.0000001"));
          }
        }
      }
    }
  }

  @Test
  public void theDocumentSaysEveryPage() {
    for (Wrap w : wraps()) {
      JsonNode root = JsonMapper.builder().build().readTree(WrapDocument.write(w));
      List<Wrap> pages = FilePages.of(w);
      assertThat(root.get("pages").size()).isEqualTo(pages.size());
      for (int i = 0; i < pages.size(); i++) {
        JsonNode page = root.get("pages").get(i);
        assertThat(page.get("page").stringValue()).isEqualTo(pages.get(i).page().id());
        assertThat(page.get("panels").size()).isEqualTo(pages.get(i).panels().size());
        for (int p = 0; p < pages.get(i).panels().size(); p++) {
          assertThat(Length.mm(page.at("/panels/" + p + "/trim/x/mm").stringValue()))
              .isEqualTo(pages.get(i).panels().get(p).trim().left());
        }
        assertThat(page.get("zones").size()).isEqualTo(pages.get(i).zones().size());
      }
      assertThat(root.at("/safeDistances/drift/mm").stringValue())
          .isEqualTo(w.rules().safe().drift().exact(Unit.MM));
    }
  }

  @Test
  public void theTextReadsLikeAMeasurementSheet() {
    String text = WrapText.write(wraps().get(0));
    assertThat(text)
        .contains("Osier Row Printing Works, flapped paperback, 148 × 210 mm, 320 pages")
        .contains("320 × 80 × 18 ÷ 20000 + 0.4 = 23.44 mm, up to the next 0.5 mm: 23.5 mm")
        // 60 + 2 × 148 + 3 + 23.5 + 100 + 6 = 488.5
        .contains("60 + 2 × 148 + 3 + 23.5 + 100 + 2 × 3 = 488.5 mm")
        .contains("Keep words         6 mm from trim, 3 mm from folds")
        .contains("up to 1.5 mm either way")
        .contains("Inside front flap")
        .contains("Glue, spine");
    assertThat(text.lines()).allMatch(l -> l.equals(l.stripTrailing()));
    String summary = String.join("\n", WrapText.summary(wraps().get(0), Unit.IN));
    assertThat(summary).contains(" in").doesNotContain("left, top");
  }

  @Test
  public void inTheOtherUnitTheTextSaysTheSame() {
    Wrap w = wraps().get(1);
    assertThat(WrapText.write(w, Unit.MM))
        .contains("376.2502 × 269.24 mm") // 14.813 × 10.6 in
        .contains("turn-in");
  }
}
