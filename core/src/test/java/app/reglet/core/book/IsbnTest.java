package app.reglet.core.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import org.testng.annotations.Test;

public class IsbnTest {
  @Test
  public void acceptsBothForms() {
    // 0-306-40615-2 and 978-0-306-40615-7: the worked example of ISO 2108's users' manual, from
    // memory
    assertThat(Isbn.parse("978-0-306-40615-7").digits()).isEqualTo("9780306406157");
    assertThat(Isbn.parse("0-306-40615-2").digits()).isEqualTo("9780306406157");
    assertThat(Isbn.parse(" 978 0 306 40615 7 ").digits()).isEqualTo("9780306406157");
    assertThat(Isbn.parse("0-8044-2957-X").digits()).isEqualTo("9780804429573");
  }

  @Test
  public void namesTheRightCheckDigit() {
    assertThatThrownBy(() -> Isbn.parse("978-0-306-40615-6"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("check digit should be 7");
    assertThatThrownBy(() -> Isbn.parse("0-306-40615-3")).hasMessageContaining("should be 2");
    assertThatThrownBy(() -> Isbn.parse("978030640615")).hasMessageContaining("9780306406157");
    assertThatThrownBy(() -> Isbn.parse("1234567890128")).hasMessageContaining("978 or 979");
    assertThatThrownBy(() -> Isbn.parse("hello")).hasMessageContaining("13 digits");
  }

  @Test
  public void everyOneDigitSlipIsCaught() {
    // weights 1 and 3 are both prime to 10, so no single wrong digit keeps the sum
    String right = "9780306406157";
    for (int i = 3; i < 13; i++) {
      for (char c = '0'; c <= '9'; c++) {
        if (c != right.charAt(i)) {
          String wrong = right.substring(0, i) + c + right.substring(i + 1);
          assertThatThrownBy(() -> Isbn.parse(wrong)).isInstanceOf(Refusal.class);
        }
      }
    }
  }
}
