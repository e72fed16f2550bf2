package app.reglet.web.backup;

import static org.assertj.core.api.Assertions.assertThatCode;

import org.testng.annotations.Test;

/** The clockwork of the nightly backup. */
public class NightlyTest {
  /** A clockwork stops for good at the first thing that is thrown out of its task. */
  @Test
  public void anErrorDoesNotEndTheNightlyBackupForEver() {
    Backups failing =
        new Backups(null, null, null, null, null) {
          @Override
          public boolean nightly() {
            throw new NoClassDefFoundError("gone while it ran");
          }
        };
    Nightly nightly = new Nightly(failing, "on");
    assertThatCode(nightly::run).doesNotThrowAnyException();
    nightly.destroy();
  }
}
