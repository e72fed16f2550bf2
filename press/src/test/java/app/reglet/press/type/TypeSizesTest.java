package app.reglet.press.type;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.concurrent.atomic.AtomicInteger;
import org.testng.annotations.Test;

public class TypeSizesTest {
  private static final double POINT = 25.4 / 72;

  @Test
  public void theSizeFoundIsTheSameWhateverIsToldAboutSizesThatCanNotPass() {
    double most = 40 * POINT;
    for (double limit = 0.5; limit < 45; limit += 0.37) {
      double fits = limit * POINT;
      for (double over : new double[] {0, 0.05, 0.3, 2, 9, 100}) {
        double can = fits + over * POINT;
        assertEquals(
            TypeSizes.largest(most, s -> s <= can, s -> s <= fits),
            TypeSizes.largest(most, s -> s <= fits),
            limit + " pt, " + over + " pt over");
      }
    }
  }

  @Test
  public void fewSizesAreTriedWhereWhatIsToldIsNear() {
    AtomicInteger tries = new AtomicInteger();
    TypeSizes.largest(
        90 * POINT,
        s -> s <= 11.25 * POINT,
        s -> {
          tries.incrementAndGet();
          return s <= 11.05 * POINT;
        });
    assertTrue(tries.get() <= 5, tries + " sizes tried");
  }
}
