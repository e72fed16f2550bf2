package app.reglet.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.Houses;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Zone;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

public class GlueKeptFreeTest {
  private static final Book BOOK = new Book("T", "", "", "", "", Optional.empty(), "");

  private static Wrap inside() {
    RuleSheet osier = Houses.OSIER;
    return FilePages.inside(
            Measuring.measure(
                Specification.of(
                        Binding.PERFECT_BOUND,
                        Size.parse("A5", Unit.MM),
                        288,
                        osier.stocks().get(0).id(),
                        osier.inks().get(0).id(),
                        PageTurn.LTR)
                    .withInsidePrinted(true),
                osier))
        .orElseThrow();
  }

  /** Glue does not hold on ink: a book falls apart. Common practice, no single source. */
  @Test
  public void inkOnTheGlueStripMustBeMendedAndTheGroundAloneMayLieThere() {
    Wrap wrap = inside();
    Box strip =
        wrap.zones().stream()
            .filter(z -> z.kind() == Zone.Kind.GLUE)
            .map(Zone::box)
            .findFirst()
            .orElseThrow();
    Box on =
        new Box(
            strip.left().minus(Length.mm("20")),
            strip.top().plus(Length.mm("30")),
            Length.mm("22"),
            Length.mm("10"));
    List<Finding> found =
        new GlueKeptFree()
            .find(
                new Subject(
                    wrap,
                    BOOK,
                    List.of(
                        new Laid.Area(Laid.GROUND, "Ground", Outline.of(wrap.sheetBox())),
                        new Laid.Area("a", "A band", Outline.of(on)))));
    assertThat(found).hasSize(1);
    assertThat(found.get(0).mustMend()).isTrue();
    assertThat(found.get(0).piece()).contains("a");
    assertThat(((Found.OnGlue) found.get(0).found()).name()).isEqualTo("A band");
    Box beside = on.moved(Length.mm("-3"), Length.ZERO);
    assertThat(
            new GlueKeptFree()
                .find(
                    new Subject(wrap, BOOK, List.of(new Laid.Area("a", "A", Outline.of(beside))))))
        .isEmpty();
  }

  /** What is too small to print is so on either side of the sheet, for a bench as for a file. */
  @Test
  public void typeTooSmallIsToldInsideOfPiecesAsOfFiles() {
    Wrap wrap = inside();
    Laid.Words tiny = ChecksTest.words(in(wrap, "20", "20"), "2");
    Subject subject = new Subject(wrap, BOOK, List.of(tiny));
    assertThat(Check.run(subject)).extracting(Finding::code).contains("type-small");
    assertThat(
            Check.ofFile(wrap.page()).stream()
                .flatMap(c -> c.find(subject).stream())
                .map(Finding::code))
        .contains("type-small");
  }

  private static Box in(Wrap wrap, String across, String down) {
    return new Box(
        wrap.trimmed().left().plus(Length.mm(across)),
        wrap.trimmed().top().plus(Length.mm(down)),
        Length.mm("30"),
        Length.mm("2"));
  }
}
