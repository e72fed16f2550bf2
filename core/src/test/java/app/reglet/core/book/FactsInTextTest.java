package app.reglet.core.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.testng.annotations.Test;

/** Facts that stand by name in a text. */
public class FactsInTextTest {
  private static final Book BOOK =
      new Book("Salt {and} $1", "", "Edda Marsh", "Sedge & Samphire", "", Optional.empty(), "£9");

  private static FactsInText of(String text) {
    return FactsInText.of(text, BOOK);
  }

  @Test
  public void severalFactsStandInOneTextWithWordsBetween() {
    assertThat(of("By {author}\n{Imprint} · { PRICE }").text())
        .isEqualTo("By Edda Marsh\nSedge & Samphire · £9");
  }

  @Test
  public void whatAFactSaysIsTakenAsItIs() {
    assertThat(of("{title}!").text()).isEqualTo("Salt {and} $1!");
    assertThat(of("{title}!").unknown()).isEmpty();
  }

  @Test
  public void namesThatAreNoFactsStayAndAreTold() {
    FactsInText said = of("{tittle} {author} {} {1} {");
    assertThat(said.text()).isEqualTo("{tittle} Edda Marsh {} {1} {");
    assertThat(said.unknown()).containsExactly("{tittle}");
  }

  @Test
  public void factsThatAreNotStatedSayNothingAndAreTold() {
    assertThat(of("A{subtitle}B").text()).isEqualTo("AB");
    assertThat(of("A{subtitle}B").empty()).containsExactly("{subtitle}");
  }

  @Test
  public void aHugeTextOfBracesIsRead() {
    assertThat(of("{".repeat(20_000)).text()).hasSize(20_000);
    assertThat(of("{title ".repeat(3_000)).unknown()).isEmpty();
  }

  @Test
  public void everyFactAndThoseOfThePublishersOwnStandByTheirNames() {
    Further further =
        new Further(
            "Tales of the Flats",
            "2",
            "“*Exact*.”",
            "She keeps bees.",
            "Second edition",
            "2026",
            "en",
            Further.own("Translator: Ines *Roe*\n\nset in : Spectral"));
    Book book =
        new Book("Salt", "", "Edda", "", "", Optional.of(new Isbn("9781402894626")), "", further);
    assertThat(
            FactsInText.of(
                    "{Series} {number}, {edition} {date}: {quote} {about the author}"
                        + " {translator}, {set in}, {isbn}",
                    book)
                .text())
        .isEqualTo(
            "Tales of the Flats 2, Second edition 2026: “*Exact*.” She keeps bees."
                + " Ines \\*Roe\\*, Spectral, 978-1-4028-9462-6");
  }

  @Test
  public void aLineThatIsNoFactIsNamedWithItsNumber() {
    assertThatThrownBy(() -> Further.own("set in: Spectral\nno colon"))
        .hasMessageStartingWith("Line 2, “no colon”, is no fact");
    assertThatThrownBy(() -> Further.own("Title: x")).hasMessageContaining("says “title” again");
    assertThatThrownBy(() -> Further.own("a: x\nA: y")).hasMessageContaining("Line 2");
    assertThat(Further.own(" \n\n")).isEmpty();
  }
}
