package app.reglet.web.packages;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.testing.Scratch;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.testng.annotations.Test;

/** What a package comes to unpacked is counted over all of its parts. */
public class UnpackedTest {
  private static Path zip(int files) throws IOException {
    Path zip = Scratch.file("parts", ".zip");
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
      out.putNextEntry(new ZipEntry("package.json"));
      out.write("{}".getBytes(StandardCharsets.UTF_8));
      for (int i = 0; i < files; i++) {
        out.putNextEntry(new ZipEntry("files/" + String.format("%064x", i)));
        out.write(new byte[400]);
      }
    }
    return zip;
  }

  @Test
  public void partsThatAreSmallEachAreRefusedWhenTheyAreTooMuchTogether() throws IOException {
    try (Unpacked two = Unpacked.of(zip(2), Scratch.directory("two"), 1000)) {
      assertThat(two.path("files/" + String.format("%064x", 1))).hasSize(400);
    }
    Path directory = Scratch.directory("three");
    assertThatThrownBy(() -> Unpacked.of(zip(3), directory, 1000))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("too large");
    assertThat(directory).doesNotExist();
  }
}
