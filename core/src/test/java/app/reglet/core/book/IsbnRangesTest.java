package app.reglet.core.book;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class IsbnRangesTest {
  /**
   * Examples as printed in ISO 2108's and the agency's own publications and in library handbooks
   * (from memory): one of each length of group and publisher.
   */
  @DataProvider
  Object[][] published() {
    return new Object[][] {
      {"978-0-306-40615-7"},
      {"978-3-16-148410-0"},
      {"978-1-4028-9462-6"},
      {"978-0-393-04002-9"},
      {"978-0-8044-2957-3"},
      {"978-99921-58-10-4"},
      {"978-9971-5-0210-2"},
      {"978-960-425-059-2"},
      {"978-80-902734-1-2"},
      {"978-85-359-0277-8"},
      {"978-1-84356-028-9"},
      {"978-0-684-84328-5"},
      {"978-0-85131-041-1"},
      {"978-0-943396-04-0"},
      {"979-10-90636-07-1"},
    };
  }

  @Test(dataProvider = "published")
  public void hyphensStandWhereTheyArePrinted(String printed) {
    assertThat(IsbnRanges.shipped().hyphenated(Isbn.parse(printed.replace("-", ""))))
        .isEqualTo(printed);
  }

  @Test
  public void whatNoAgencyHasGivenOutIsGroupedForReading() {
    assertThat(IsbnRanges.shipped().hyphenated(Isbn.parse("9799999999990")))
        .isEqualTo("979-999999999-0");
  }
}
