package app.reglet.web.dispatch;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.testng.annotations.Test;

/** When a file that was made before is still the file of a cover. */
public class FileStateTest {
  @Test
  public void whateverAFileIsMadeOfMakesItAnother() {
    List<FileState> all =
        List.of(
            new FileState("1.0", "1.2.3", "gannet-and-gauge", "", "ab", List.of()),
            new FileState("1.1", "1.2.3", "gannet-and-gauge", "", "ab", List.of()),
            new FileState("1.0", "1.2.4", "gannet-and-gauge", "", "ab", List.of()),
            new FileState("1.0", "1.2.3", "osier-row", "", "ab", List.of()),
            new FileState("1.0", "1.2.3", "gannet-and-gauge", "x4", "ab", List.of()),
            new FileState("1.0", "1.2.3", "gannet-and-gauge", "", "ac", List.of()),
            new FileState(
                "1.0",
                "1.2.3",
                "gannet-and-gauge",
                "",
                "ab",
                List.of("Title (its typeface is not here, Spectral stands for it)")));
    Set<String> sums = new HashSet<>();
    all.forEach(s -> sums.add(s.sum()));
    assertThat(sums).hasSameSizeAs(all);
    FileState first = all.get(0);
    assertThat(new FileState("1.0", "1.2.3", "gannet-and-gauge", "", "ab", List.of()).sum())
        .isEqualTo(first.sum())
        .matches("[0-9a-f]{64}");
  }
}
