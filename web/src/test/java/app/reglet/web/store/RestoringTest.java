package app.reglet.web.store;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Scratch;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A restore that is stopped anywhere leaves the old state or the new one, and the other aside. */
public class RestoringTest {
  private static void state(Path in, String which) throws IOException {
    Files.createDirectories(in.resolve("pictures"));
    Files.writeString(in.resolve("reglet.mv.db"), which);
    Files.writeString(in.resolve("pictures/one"), which);
  }

  private static String state(Path in) throws IOException {
    return Files.readString(in.resolve("reglet.mv.db"))
        + Files.readString(in.resolve("pictures/one"));
  }

  @DataProvider
  Object[][] steps() {
    return new Object[][] {{0}, {1}, {2}, {3}, {4}};
  }

  /** Each move that may have been made already when the machine stopped. */
  @Test(dataProvider = "steps")
  public void aStopAfterAnyStepIsGoneThroughWithAtTheNextStart(int done) throws IOException {
    Path root = Scratch.directory("restored");
    state(root, "old");
    DataDirectory data = DataDirectory.claim(root);
    Restoring restoring = new Restoring(data);
    state(restoring.begin(), "new");
    Path aside = restoring.ready();
    Path fresh = root.resolve("restoring");
    Files.createDirectories(aside);
    for (int i = 0; i < done; i++) {
      String name = i < 2 ? "reglet.mv.db" : "pictures";
      Path there = root.resolve(name);
      Files.move(
          i % 2 == 0 ? there : fresh.resolve(name), i % 2 == 0 ? aside.resolve(name) : there);
    }
    data.destroy();
    DataDirectory.claim(root).destroy();
    assertThat(state(root)).isEqualTo("newnew");
    assertThat(state(aside)).isEqualTo("oldold");
    assertThat(fresh).doesNotExist();
  }

  @Test
  public void whatWasNotReadyYetIsClearedAwayAndTheOldStateStays() throws IOException {
    Path root = Scratch.directory("restored");
    state(root, "old");
    DataDirectory data = DataDirectory.claim(root);
    state(new Restoring(data).begin(), "new");
    data.destroy();
    DataDirectory.claim(root).destroy();
    assertThat(state(root)).isEqualTo("oldold");
    assertThat(root.resolve("restoring")).doesNotExist();
  }

  @Test
  public void aBackupWithoutPicturesLeavesNoneOfTheOldOnes() throws IOException {
    Path root = Scratch.directory("restored");
    state(root, "old");
    DataDirectory data = DataDirectory.claim(root);
    Restoring restoring = new Restoring(data);
    Files.writeString(restoring.begin().resolve("reglet.mv.db"), "new");
    Path aside = restoring.ready();
    restoring.finish();
    data.destroy();
    assertThat(root.resolve("pictures/one")).doesNotExist();
    assertThat(aside.resolve("pictures/one")).hasContent("old");
  }
}
