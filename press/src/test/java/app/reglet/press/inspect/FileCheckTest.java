package app.reglet.press.inspect;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.check.OfFile;
import app.reglet.press.Specimen;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.testing.Scratch;
import app.reglet.testing.Tool;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Which press a file says it was made for, beside the one it is meant for. */
public class FileCheckTest {
  private static final OutputCondition COATED = OutputCondition.COATED;

  /**
   * What the file says, whether it brings the press's profile, what the house names, whether its
   * profile is here, and whether they are the same.
   */
  @DataProvider
  Object[][] conditions() {
    String registered = COATED.registered();
    return new Object[][] {
      {"the same name", registered, false, registered, true, true},
      {"the same profile under another name", "Ours", true, "", true, true},
      {"the same profile, of which the house names neither", "Ours", true, "", false, false},
      {"another name, and no profile on either side", "Ours", false, "", false, false},
      {"another name and the house's own", "Ours", false, registered, false, false},
      {"the same name, and no profile on either side", registered, false, registered, false, true}
    };
  }

  @Test(dataProvider = "conditions")
  public void aFileIsForTheHousesConditionByItsRegisteredNameOrItsProfileAlone(
      String what, String says, boolean brings, String registered, boolean here, boolean same)
      throws IOException {
    HandPdf pdf = new HandPdf();
    String profile = "";
    if (brings) {
      int icc = pdf.stream("/N 4", COATED.profile().bytes());
      profile = " /DestOutputProfile " + icc + " 0 R";
    }
    pdf.page("/MediaBox [0 0 100 100]", "", "0 0 0 1 k 10 10 50 50 re f\n");
    pdf.catalog(
        "/OutputIntents [<< /Type /OutputIntent /S /GTS_PDFX /OutputConditionIdentifier ("
            + says
            + ") /RegistryName (http://www.color.org)"
            + profile
            + " >>]");
    Path file = Tool.file("intent.pdf", pdf.bytes());
    FileFacts facts =
        FileReading.read(
            FileBytes.of(file), Scratch.directory("intent"), Budget.forFile(Files.size(file)));
    List<FileCheck.Remark> remarks =
        FileCheck.of(
            facts,
            new FileCheck.Wanted(
                Specimen.wrap(200),
                Specimen.BOOK,
                "coated",
                registered,
                here ? COATED.profile().sha() : "",
                font -> false),
            n -> Optional.empty());
    assertThat(remarks.stream().map(r -> r.finding().found()))
        .noneMatch(OfFile.ConditionMissing.class::isInstance);
    assertThat(remarks.stream().anyMatch(r -> r.finding().found() instanceof OfFile.ConditionOther))
        .as(what)
        .isEqualTo(!same);
  }
}
