package app.reglet.bench;

import app.reglet.press.colour.InkTable;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.colour.Rendering;
import java.util.Random;
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

/** From sRGB to a press's inks: 24 megapixels with grain, and the table that it is done by. */
@State(Scope.Thread)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3)
@Measurement(iterations = 7)
public class ColourBench {
  private static final int WIDE = 6000;
  private static final int HIGH = 4000;

  private int[] rgb;
  private byte[] inks;
  private InkTable table;

  @Setup
  public void picture() {
    Random random = new Random(24);
    rgb = new int[WIDE * HIGH];
    for (int i = 0; i < rgb.length; i++) {
      double t = i / WIDE / (double) HIGH;
      int grain = random.nextInt(16);
      int r = (int) (30 + 190 * t) + grain;
      int g = (int) (52 + 100 * t * t) + grain;
      int b = (int) (64 + 60 * (1 - t)) + grain;
      rgb[i] = r << 16 | g << 8 | b;
    }
    inks = new byte[4 * rgb.length];
    table = InkTable.of(OutputCondition.COATED.profile(), Rendering.USUAL, 3);
  }

  @Benchmark
  public byte[] twentyFourMegapixels() {
    table.convert(rgb, inks);
    return inks;
  }

  @Benchmark
  public InkTable makeTheTable() {
    return InkTable.of(OutputCondition.COATED.profile(), Rendering.USUAL, 3);
  }
}
