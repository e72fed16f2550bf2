package app.reglet.bench;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.carry.Carry;
import app.reglet.core.carry.Proportions;
import app.reglet.core.carry.Report;
import app.reglet.core.carry.Seen;
import app.reglet.core.check.Check;
import app.reglet.core.check.Subject;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.type.Typefaces;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** A cover of 60 pieces carried from a paperback to a jacket of another trim. */
@State(Scope.Thread)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 0)
@Measurement(iterations = 10)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx512m", "-Djava.awt.headless=true"})
public class CarryBench {
  private static final int PIECES = 60;

  private final Book book =
      new Book(
          "The Salt Ledger", "A novel", "Maren Aldous", "", "One.\nTwo.", Optional.empty(), "");
  private Wrap from;
  private Wrap to;
  private Design design;
  private Composer composer;

  @Setup
  public void begin() throws IOException {
    from = wrap("gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9");
    to = wrap("dunlin-casebinders", Binding.DUST_JACKET, "7 x 10");
    composer = new Composer(Typefaces.shipped());
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < PIECES; i++) {
      PanelKind panel = i % 3 == 0 ? PanelKind.BACK : PanelKind.FRONT;
      Box safe = from.panel(panel).orElseThrow().safe();
      Box box =
          new Box(
              safe.left().plus(Length.mm("" + i % 10 * 10)),
              safe.top().plus(Length.mm("" + i / 10 * 30)),
              Length.mm("30"),
              Length.mm("20"));
      pieces.add(
          new Piece(
              "p" + i,
              "P" + i,
              Anchors.hung(Region.safe(panel), Span.Hold.START, Span.Hold.START, box, from),
              content(i)));
    }
    design =
        new Design(
            Map.of(), new Composition(Ground.plain(Colour.WHITE), pieces), Composition.BLANK);
  }

  private static Content content(int i) {
    return switch (i % 4) {
      case 0 -> new Content.Ornament(new Motif.Drawn("gull", List.of(Colour.BLACK)));
      case 1 -> new Content.Shape(new Figure.Ellipse(), Paint.of(Colour.BLACK), null);
      default -> Words.of(null, "Words of piece " + i, "spectral", Length.pt("14"), Colour.BLACK);
    };
  }

  private static Wrap wrap(String house, Binding binding, String trim) throws IOException {
    try (InputStream in = CarryBench.class.getResourceAsStream("/houses/" + house + ".json")) {
      RuleSheet rules = RuleSheetReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
      return Measuring.measure(
          Specification.of(binding, Size.parse(trim, Unit.IN), 312, "cream", "black", PageTurn.LTR),
          rules);
    }
  }

  /** The design alone. */
  @Benchmark
  public Design carry() {
    return new Carry(book, Proportions.UNKNOWN).of(design, from, to);
  }

  /** The design, laid on both sheets, checked, and what became of every piece. */
  @Benchmark
  public Report carryAndReport() {
    return Report.of(seen(design, from), seen(carry(), to));
  }

  private Seen seen(Design d, Wrap wrap) {
    var art = composer.compose(d, wrap, book, Pictures.NONE);
    return new Seen(wrap, d.outside(), art.laid(), Check.run(new Subject(wrap, book, art.laid())));
  }
}
