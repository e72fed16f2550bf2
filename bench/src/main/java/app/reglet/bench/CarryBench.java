package app.reglet.bench;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Book;
import app.reglet.core.carry.Carry;
import app.reglet.core.carry.Proportions;
import app.reglet.core.carry.Report;
import app.reglet.core.carry.Seen;
import app.reglet.core.check.Check;
import app.reglet.core.check.Subject;
import app.reglet.core.design.Design;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.type.Typefaces;
import java.io.IOException;
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
  private final Book book = SixtyPieces.BOOK;
  private Wrap from;
  private Wrap to;
  private Design design;
  private Composer composer;

  @Setup
  public void begin() throws IOException {
    from = SixtyPieces.wrap("gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9");
    to = SixtyPieces.wrap("dunlin-casebinders", Binding.DUST_JACKET, "7 x 10");
    composer = new Composer(Typefaces.shipped());
    design = SixtyPieces.on(from);
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
