package app.reglet.bench;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.compare.PageCurve;
import app.reglet.core.compare.SideBySide;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.house.Stock;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
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

/**
 * Wraps of every binding in turn on one core, the table of forty houses and bindings, and the curve
 * over a thousand page counts.
 */
@State(Scope.Thread)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class CompareBench {
  private static final String[] IDS = {
    "gannet-and-gauge",
    "osier-row",
    "dunlin-casebinders",
    "whimbrel-digital",
    "sandling-and-daughters",
    "lantern-shelf",
    "harbour-reading-room"
  };

  private final List<RuleSheet> houses = new ArrayList<>();
  private final List<RuleSheet> forty = new ArrayList<>();
  private final List<Specification> specs = new ArrayList<>();
  private final List<RuleSheet> of = new ArrayList<>();
  private Specification novel;
  private int at;

  @Setup
  public void read() throws IOException {
    for (String id : IDS) {
      try (InputStream in = RuleSheetReader.class.getResourceAsStream("/houses/" + id + ".json")) {
        houses.add(RuleSheetReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8)));
      }
    }
    for (RuleSheet house : houses) {
      for (Binding binding : house.bindings().keySet()) {
        boolean ebook = binding == Binding.EBOOK;
        specs.add(
            Specification.of(
                    binding,
                    house.rules(binding).trims().listed().get(0),
                    120,
                    ebook ? "" : house.stocks().get(0).id(),
                    ebook ? "" : house.inks().get(0).id(),
                    PageTurn.LTR)
                .withToldSpine(Optional.of(new ToldSpine(Length.mm("11.8"), ""))));
        of.add(house);
      }
    }
    int pairs = 0;
    while (pairs < 40) {
      RuleSheet house = houses.get(forty.size() % houses.size());
      forty.add(house);
      pairs += house.bindings().size();
    }
    novel =
        Specification.of(
            Binding.PERFECT_BOUND,
            Size.parse("6 x 9 in", Unit.IN),
            312,
            "cream",
            "black",
            PageTurn.LTR);
  }

  /** Operations a second: wraps of all bindings in turn. */
  @Benchmark
  @BenchmarkMode(Mode.Throughput)
  @OutputTimeUnit(TimeUnit.SECONDS)
  public Wrap everyBinding() {
    at = (at + 1) % specs.size();
    return Measuring.measure(specs.get(at), of.get(at));
  }

  /** At least forty houses and bindings side by side. */
  @Benchmark
  @BenchmarkMode(Mode.AverageTime)
  @OutputTimeUnit(TimeUnit.MILLISECONDS)
  public List<SideBySide.Row> fortySideBySide() {
    return SideBySide.of(
        novel, Optional.of(new Stock("cream", "Cream", Stock.Shade.CREAM)), forty, Unit.IN);
  }

  /** A thousand page counts. */
  @Benchmark
  @BenchmarkMode(Mode.AverageTime)
  @OutputTimeUnit(TimeUnit.MILLISECONDS)
  public PageCurve thousandCounts() {
    return PageCurve.over(novel, houses.get(0), 1, 1000);
  }
}
