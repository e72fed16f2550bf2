package app.reglet.web.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.testing.Scratch;
import java.nio.file.Path;
import org.testng.annotations.Test;

public class DataDirectoryTest {
  /** The address of an H2 database ends at a semicolon: what follows are its settings. */
  @Test
  public void aPathThatTheDatabaseWouldCutIsRefusedBeforeAnythingIsMade() {
    Path in = Scratch.directory("data");
    Path cut = in.resolve("covers;old").resolve("data");
    assertThatThrownBy(() -> DataDirectory.claim(cut))
        .isInstanceOf(StartTrouble.class)
        .hasMessageContaining("semicolon")
        .hasMessageContaining(cut.toString())
        .hasMessageContaining("REGLET_DATA");
    assertThat(in.resolve("covers;old")).doesNotExist();
  }
}
