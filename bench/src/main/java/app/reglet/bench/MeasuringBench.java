package app.reglet.bench;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
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

/** How long it takes to measure one wrap. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
@Fork(1)
public class MeasuringBench {
  private RuleSheet house;
  private Specification spec;
  private int pages = 24;

  @Setup
  public void read() throws IOException {
    try (InputStream in =
        RuleSheetReader.class.getResourceAsStream("/houses/gannet-and-gauge.json")) {
      house = RuleSheetReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    }
    spec =
        Specification.of(
            Binding.PERFECT_BOUND,
            Size.parse("6 x 9", Unit.IN),
            100,
            "white",
            "black",
            PageTurn.LTR);
  }

  @Benchmark
  public Wrap perfectBound() {
    pages = pages == 828 ? 24 : pages + 2;
    return Measuring.measure(spec.withPages(pages), house);
  }
}
