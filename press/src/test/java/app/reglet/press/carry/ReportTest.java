package app.reglet.press.carry;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.carry.Carry;
import app.reglet.core.carry.Fate;
import app.reglet.core.carry.FateText;
import app.reglet.core.carry.Proportions;
import app.reglet.core.carry.Report;
import app.reglet.core.carry.Seen;
import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Subject;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Words;
import app.reglet.core.layout.Dress;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Everywhere;
import app.reglet.press.Specimen;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** What a report says of pieces that became another. */
public class ReportTest {
  private static final Composer COMPOSER = new Composer(Specimen.TYPEFACES);
  private static final Wrap FROM = Specimen.wrap(312);
  private static final Book BOOK = Specimen.BOOK;

  private static Seen seen(Design design, Wrap wrap) {
    var art = COMPOSER.compose(design, wrap, BOOK, Pictures.NONE);
    return new Seen(
        wrap, design.outside(), art.laid(), Check.run(new Subject(wrap, BOOK, art.laid())));
  }

  private static Report carried(Design design, Wrap to) {
    Design carried = new Carry(BOOK, Proportions.UNKNOWN).of(design, FROM, to);
    return Report.of(seen(design, FROM), seen(carried, to));
  }

  private static Design ledger() {
    return StartingLayout.LEDGER.on(
        FROM, BOOK, Specimen.on(Ground.plain(new Colour.Rgb(0xe9e2d0))), Dress.OWN);
  }

  private static Wrap wrap(String house, Binding binding, String trim, int pages) {
    return Measuring.measure(
        Specification.of(
            binding,
            Size.parse(trim, Unit.IN),
            pages,
            Specimen.house(house).stocks().get(0).id(),
            Specimen.house(house).inks().get(0).id(),
            PageTurn.LTR),
        Specimen.house(house));
  }

  private static Fate fate(Report report, String piece) {
    return report.fates().stream().filter(f -> f.piece().equals(piece)).findFirst().orElseThrow();
  }

  @Test
  public void whatIsOnNoPanelOfTheNewCoverIsSetAsideAndSaysSo() {
    Wrap ebook =
        Everywhere.wraps(240).stream()
            .filter(w -> w.spec().binding() == Binding.EBOOK)
            .findFirst()
            .orElseThrow();
    Report report = carried(ledger(), ebook);
    FateText text = new FateText(ebook, Unit.PX);
    assertThat(text.of(fate(report, "blurb")))
        .isEqualTo("Set aside: this cover has no back. It is kept in the design.");
    assertThat(text.of(fate(report, "spine-title")))
        .isEqualTo("Set aside: this cover has no spine. It is kept in the design.");
    assertThat(fate(report, "title").is(Fate.Change.SCALED)).isTrue();
    assertThat(fate(report, "title").is(Fate.Change.RESET)).isTrue();
    assertThat(text.of(fate(report, "title"))).contains("type ").contains(" pt");
  }

  @Test
  public void spineWordsWhereTheHousePrintsNoneAreHiddenAndSaySo() {
    Wrap thin = wrap("gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9", 48);
    assertThat(thin.printsOnSpine()).isFalse();
    Report report = carried(ledger(), thin);
    Fate title = fate(report, "spine-title");
    assertThat(title.changes()).containsExactly(Fate.Change.SET_ASIDE);
    assertThat(new FateText(thin, Unit.IN).of(title))
        .isEqualTo(
            "Set aside, hidden: Gannet & Gauge prints no words on a spine of "
                + thin.spine().stated().brief(Unit.IN)
                + ".");
    // the front, which is as large as before, is as it was
    assertThat(fate(report, "title").changes()).containsExactly(Fate.Change.KEPT);
    assertThat(new FateText(thin, Unit.IN).of(fate(report, "title"))).isEqualTo("As it was.");
  }

  /** The same design on a thinner spine. */
  @Test
  public void aChangeOfTheFactsIsToldInAFewWords() {
    Wrap thinner = Specimen.wrap(140);
    Report report = Report.of(seen(ledger(), FROM), seen(ledger(), thinner));
    List<String> said = new FateText(thinner, Unit.MM).brief(report);
    assertThat(said).hasSize(4);
    assertThat(said.get(0)).matches("\\d+ pieces kept their places");
    assertThat(said.get(1)).matches("“Spine title” 22 → \\d+(\\.\\d)? pt");
    assertThat(said.get(2)).matches("“Spine author” 22 → \\d+(\\.\\d)? pt");
    assertThat(said.get(3)).isEqualTo("nothing new to mend");
  }

  @Test
  public void wordsThatHaveNoRoomInTheNewSizeAreNamedWithTheirFinding() {
    Piece piece =
        new Piece(
            "words-1",
            "Motto",
            Anchors.fromTop(Region.safe(PanelKind.FRONT), Length.mm("60"), Length.mm("20")),
            Words.of(null, "Not a word more than fits", "spectral", Length.pt("28"), Colour.BLACK));
    Words words = (Words) piece.content();
    Piece fixed =
        piece.withContent(
            words
                .withType(words.type().withFit(app.reglet.core.design.Type.Fit.SIZE))
                .aligned(Setting.Align.LEFT, Setting.VerticalAlign.TOP));
    Design design =
        new Design(
            Map.of(),
            new Composition(Ground.plain(Colour.WHITE), List.of(fixed)),
            Composition.BLANK);
    assertThat(seen(design, FROM).findings()).noneMatch(f -> f.piece().isPresent());
    // the same in a box that became narrower by hand, so that it overflows
    Design narrow =
        design.changed(
            "words-1",
            p ->
                p.withAnchors(
                    Anchors.stretched(
                        Region.safe(PanelKind.FRONT),
                        Length.mm("60"),
                        Length.mm("60"),
                        Length.mm("30"),
                        Length.mm("130"))));
    Report report = Report.of(seen(design, FROM), seen(narrow, FROM));
    Fate fate = fate(report, "words-1");
    assertThat(fate.changes()).contains(Fate.Change.UNFIT, Fate.Change.SCALED, Fate.Change.MOVED);
    assertThat(fate.found()).isNotEmpty();
    String said = new FateText(FROM, Unit.MM).of(fate);
    assertThat(said)
        .startsWith("Moved ")
        .endsWith(fate.found().get(fate.found().size() - 1).sentence(Unit.MM));
  }

  /** The new cover has nothing to look at that the old had not and the report does not name. */
  @Test
  public void everyFindingThatIsNewIsNamed() {
    int found = 0;
    List<Wrap> wraps = Everywhere.wraps(48, 400);
    for (int i = 0; i < wraps.size(); i += 7) {
      StartingLayout layout = StartingLayout.values()[i % StartingLayout.values().length];
      Design design =
          layout.on(FROM, BOOK, Specimen.on(Ground.plain(new Colour.Rgb(0xe9e2d0))), Dress.OWN);
      Design carried = new Carry(BOOK, Proportions.UNKNOWN).of(design, FROM, wraps.get(i));
      Seen before = seen(design, FROM);
      Seen after = seen(carried, wraps.get(i));
      Report report = Report.of(before, after);
      List<Finding> named = new ArrayList<>(report.found());
      report.fates().forEach(f -> named.addAll(f.found()));
      for (Finding f : after.findings()) {
        boolean old =
            before.findings().stream()
                .anyMatch(b -> b.code().equals(f.code()) && b.piece().equals(f.piece()));
        assertThat(old || named.contains(f)).as(f.sentence(Unit.MM)).isTrue();
        found += old ? 0 : 1;
      }
    }
    assertThat(found).isPositive();
  }
}
