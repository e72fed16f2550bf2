package app.reglet.web.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.testing.Patience;
import app.reglet.testing.Scratch;
import app.reglet.web.shell.Busy;
import app.reglet.web.store.DataDirectory;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** No file is blamed for a process that could not be started. */
public class ReadingRoomTest {
  private static final Duration SHORT = Duration.ofMillis(300);

  @DataProvider
  Object[][] machines() {
    return new Object[][] {
      {"there is none", null},
      {"it ends at once", "#!/bin/sh\necho no memory >&2\nexit 1\n"},
      {"it never takes orders", "#!/bin/sh\nexec cat\n"},
      {"it says what is no word of ours", "#!/bin/sh\necho {}\nexec cat\n"},
    };
  }

  private static Path machine(String script) throws IOException {
    Path at = Scratch.directory("machine").resolve("java");
    if (script != null) {
      Files.writeString(at, script);
      Files.setPosixFilePermissions(at, PosixFilePermissions.fromString("rwx------"));
    }
    return at;
  }

  @Test(dataProvider = "machines")
  public void aProcessThatCannotBeStartedIsToldAsThatAndLeavesNothing(String what, String script)
      throws Exception {
    DataDirectory data = DataDirectory.claim(Scratch.directory("reading"));
    ReadingRoom room = new ReadingRoom(data, machine(script), SHORT);
    Path file = Files.writeString(Scratch.directory("file").resolve("a.pdf"), "%PDF-1.4");
    try {
      assertThatThrownBy(() -> room.pdf(file))
          .isInstanceOf(Busy.class)
          .hasMessageContaining("could not start the process that reads files")
          .hasMessageContaining("send the file again");
      try (var left = Files.list(data.uploads())) {
        assertThat(left).isEmpty();
      }
    } finally {
      room.destroy();
      data.destroy();
    }
  }

  @Test
  public void aProcessThatIsStillStartingIsEndedWithTheRoom() throws Exception {
    DataDirectory data = DataDirectory.claim(Scratch.directory("reading"));
    Path says = Scratch.directory("machine").resolve("pid");
    ReadingRoom room =
        new ReadingRoom(
            data,
            machine(
                "#!/bin/sh\necho $$ > "
                    + says
                    + ".new\nmv "
                    + says
                    + ".new "
                    + says
                    + "\nexec cat\n"),
            Patience.LONGEST);
    room.prepare();
    try {
      Patience.until("the process is there", () -> Files.exists(says));
      ProcessHandle process =
          ProcessHandle.of(Long.parseLong(Files.readString(says).strip())).orElseThrow();
      assertThat(process.isAlive()).isTrue();
      room.destroy();
      Patience.until("it is ended", () -> !process.isAlive());
      Patience.until(
          "its directory is gone",
          () -> {
            try (var left = Files.list(data.uploads())) {
              return left.findAny().isEmpty();
            }
          });
    } finally {
      room.destroy();
      data.destroy();
    }
  }

  /**
   * {@code java -jar}: the jar that holds the others is the class path, its launcher finds them.
   */
  @Test
  public void inAJarOfJarsItsLauncherStartsTheDesk() {
    List<String> plain =
        ReadingProcess.desk(
            "jar:file:/opt/reglet/press.jar!/app/reglet/press/reading/ReadingDesk.class");
    assertThat(plain).last().isEqualTo("app.reglet.press.reading.ReadingDesk");
    List<String> nested =
        ReadingProcess.desk(
            "jar:nested:/opt/reglet.jar/!BOOT-INF/lib/press.jar!/app/reglet/press/reading/ReadingDesk.class");
    assertThat(nested).first().isEqualTo("-Dloader.main=app.reglet.press.reading.ReadingDesk");
    assertThat(nested)
        .last()
        .isEqualTo("org.springframework.boot.loader.launch.PropertiesLauncher");
  }
}
