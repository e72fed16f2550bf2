package app.reglet.core.book;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Stars mark emphasis as CommonMark 0.31.2 has it, and nothing that is written is lost. */
public class EmphasisedTest {
  /** Italic in slashes, bold in hashes. */
  private static String shown(String written) {
    Emphasised e = Emphasised.of(written);
    return e.stretches().stream()
        .map(
            s -> {
              String text = e.text().substring(s.from(), s.to());
              String bold = s.bold() ? "#" + text + "#" : text;
              return s.italic() ? "/" + bold + "/" : bold;
            })
        .collect(Collectors.joining());
  }

  /** The numbers are those of examples in the CommonMark specification 0.31.2, 6.2. */
  @DataProvider
  Object[][] examples() {
    return new Object[][] {
      {"*foo bar*", "/foo bar/", 350},
      {"a * foo bar*", "a * foo bar*", 351},
      {"* a *", "* a *", 353},
      {"foo*bar*", "foo/bar/", 355},
      {"5*6*78", "5/6/78", 356},
      {"_foo bar_", "/foo bar/", 357},
      {"foo_bar_", "foo_bar_", 360},
      {"foo-_(bar)_", "foo-/(bar)/", 365},
      {"*foo bar *", "*foo bar *", 367},
      {"**foo bar**", "#foo bar#", 378},
      {"** foo bar**", "** foo bar**", 379},
      {"foo**bar**", "foo#bar#", 381},
      {"*foo**bar*", "/foo**bar/", 413},
      {"*foo **bar** baz*", "/foo //#bar#// baz/", 411},
      {"***foo***", "/#foo#/", 467},
      {"*foo\nbar*", "/foo\nbar/", 405},
      {"foo *\\**", "foo /*/", 439},
    };
  }

  @Test(dataProvider = "examples")
  public void emphasisIsWhereTheSpecificationHasIt(String written, String shown, int example) {
    assertThat(shown(written)).as("example %d", example).isEqualTo(shown);
  }

  @DataProvider
  Object[][] literal() {
    return new Object[][] {
      {"# No heading"},
      {"1. No list"},
      {"> no quotation"},
      {"    no code"},
      {"[no]: /definition"},
      {"[no *"},
      {"a < b & c &amp; <b>"},
      {"`a` ``"},
      {"* * *"},
      {"---"},
      {"C:\\books\\new"},
      {"line\n  next  \n\n\n   last"},
      {"😀 a‍b ‮c"},
      {"   "},
      {""},
    };
  }

  @Test(dataProvider = "literal")
  public void everythingElseStandsForItself(String written) {
    assertThat(Emphasised.of(written).text()).isEqualTo(written);
    assertThat(Emphasised.of(written).isEmphasised()).isFalse();
  }

  @Test
  public void emphasisGoesOverLinesButNotOverBlankOnes() {
    assertThat(shown("one *two\nthree* four")).isEqualTo("one /two\nthree/ four");
    assertThat(shown("one *two\n\nthree* four")).isEqualTo("one *two\n\nthree* four");
    assertThat(shown("one *two*\n\n**three** four")).isEqualTo("one /two/\n\n#three# four");
  }

  @Test
  public void emphasisInOddTextKeepsItsPlaces() {
    assertThat(shown("[*a*](b) *c*")).isEqualTo("[/a/](b) /c/");
    assertThat(shown("`*a*` *b*")).isEqualTo("`*a*` /b/");
    assertThat(shown("  \t*a*")).isEqualTo("  \t/a/");
    Emphasised e = Emphasised.of("So *it* is");
    assertThat(e.source()).containsExactly(0, 1, 2, 4, 5, 7, 8, 9, 10);
  }

  @Test
  public void whatIsEscapedIsPlainAgain() {
    for (String text : new String[] {"M*A*S*H", "a_b_c", "\\*\\", "**x**", "\\"}) {
      assertThat(Emphasised.of(Emphasised.escaped(text)))
          .isEqualTo(
              new Emphasised(
                  text,
                  Emphasised.plain(text).stretches(),
                  Emphasised.of(Emphasised.escaped(text)).source()));
    }
  }

  @Test
  public void starsOfATitleAreStarsAndThoseOfABlurbEmphasise() {
    Book book =
        new Book("M*A*S*H", "", "A. _B_ C", "", "Like *M* and", java.util.Optional.empty(), "");
    assertThat(shown(FactsInText.of("{title}: *by* {author} {blurb}", book).text()))
        .isEqualTo("M*A*S*H: /by/ A. _B_ C Like /M/ and");
  }
}
