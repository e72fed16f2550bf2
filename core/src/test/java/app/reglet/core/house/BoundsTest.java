package app.reglet.core.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A document that would fill the memory, or that no form could show, is refused as it is read. */
public class BoundsTest {
  @DataProvider
  public Object[][] tooMuch() {
    return new Object[][] {
      {"{\"a\": 1e999999999}", "“a” has more than 60 digits"},
      {"{\"a\": [{\"b\": -1e999999999}]}", "“a[0].b” has more than 60 digits"},
      {"{\"a\": 1e99999999999}", "an exponent of more than 2147483647"}, // found by the fuzzer
      {"{\"a\": 1e-999999999}", "“a” has more than 60 digits"},
      {"{\"a\": " + "9".repeat(61) + "}", "This is not JSON"},
      {"{\"a\": [" + "1,".repeat(2000) + "1]}", "“a” has 2,001 items; a list has at most 2,000"},
      {"[".repeat(1000), "This is not JSON"},
      {"", "This is not JSON"},
      {"   ", "This is not JSON"},
      {"{\"" + "n".repeat(201) + "\": 1}", "A field's name has 201 characters"},
      {
        "{"
            + IntStream.range(0, 24_001)
                .mapToObj(i -> "\"f" + i + "\": 1")
                .collect(Collectors.joining(","))
            + "}",
        "more than 24,000 values"
      },
    };
  }

  @Test(dataProvider = "tooMuch", timeOut = 20_000)
  public void isRefusedNamingThePlace(String json, String sentence) {
    assertThatThrownBy(() -> RuleSheetDocument.parse(json))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(sentence);
    assertThat(RuleSheetReader.problems(json)).hasSize(1);
  }

  @Test
  public void whatIsJustWithinIsRead() {
    assertThat(RuleSheetDocument.parse("{\"a\": 1e59}").get("a").isNumber()).isTrue();
    assertThat(RuleSheetDocument.parse("{\"a\": [" + "1,".repeat(1999) + "1]}").get("a").size())
        .isEqualTo(2000);
  }
}
