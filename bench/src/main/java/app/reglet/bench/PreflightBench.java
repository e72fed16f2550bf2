package app.reglet.bench;

import app.reglet.core.book.Binding;
import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.NearMisses;
import app.reglet.core.check.PiecesSeen;
import app.reglet.core.check.Subject;
import app.reglet.core.check.WordsStandOut;
import app.reglet.core.design.Design;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.raster.ContrastMeter;
import app.reglet.press.type.Typefaces;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
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

/** Every check of a cover of 60 pieces, laid anew, without drawing it and with. */
@State(Scope.Thread)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 0)
@Measurement(iterations = 10)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx512m", "-Djava.awt.headless=true"})
public class PreflightBench {
  private static final int PPI = 100;

  private Wrap wrap;
  private Design design;
  private Composer composer;

  @Setup
  public void begin() throws IOException {
    wrap = SixtyPieces.wrap("gannet-and-gauge", Binding.PERFECT_BOUND, "6 x 9");
    design = SixtyPieces.on(wrap);
    composer = new Composer(Typefaces.shipped());
  }

  private List<Finding> checked(Artwork art) {
    List<Finding> all = new ArrayList<>(Check.run(new Subject(wrap, SixtyPieces.BOOK, art.laid())));
    all.addAll(PiecesSeen.find(design.outside(), wrap));
    all.addAll(NearMisses.find(design.outside(), wrap));
    return all;
  }

  /** Laid and checked. */
  @Benchmark
  public List<Finding> withoutDrawing() {
    return checked(composer.compose(design, wrap, SixtyPieces.BOOK, Pictures.NONE));
  }

  /** And drawn, to measure how words stand out. */
  @Benchmark
  public List<Finding> withDrawing() {
    Artwork art = composer.compose(design, wrap, SixtyPieces.BOOK, Pictures.NONE);
    List<Finding> all = checked(art);
    all.addAll(
        WordsStandOut.find(
            art.laid(),
            ContrastMeter.measure(
                art,
                PPI,
                p -> {
                  throw new IllegalStateException("there is no picture on it");
                })));
    return all;
  }
}
