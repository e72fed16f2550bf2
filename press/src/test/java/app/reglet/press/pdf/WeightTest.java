package app.reglet.press.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import java.util.List;
import org.testng.annotations.Test;

/** How large a file is said to become, and that one which no house takes is not made. */
public class WeightTest {
  private static Weight sheetOf(double ppi) {
    // 30 × 20 in
    return Weight.of(
        List.of(new Pixels.Drawn(List.of(), new Rect(0, 0, 762, 508), ppi, true).image()), true);
  }

  @Test
  public void aFileOfFourGigabytesIsRefusedWithItsSize() {
    Weight large = sheetOf(4100);
    assertThat(large.bytes()).isBetween(3_900_000_000L, 4_200_000_000L);
    assertThatThrownBy(large::allow)
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("about 4.0 GB")
        .hasMessageContaining("coarser pictures");
    assertThatCode(() -> sheetOf(2800).allow()).doesNotThrowAnyException();
  }

  /** No number of pixels comes out small since it was too large to be counted. */
  @Test
  public void manyLargePicturesTogetherAreAddedUp() {
    Weight all = sheetOf(4100);
    for (int i = 0; i < 1000; i++) {
      all = all.and(sheetOf(4100));
    }
    assertThat(all.bytes()).isGreaterThan(3_900_000_000_000L);
  }
}
