package app.reglet.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Curve;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is typed about the setting and the form of words is read, or refused with a sentence. */
public class WordsEditTest {
  private static final Book BOOK =
      new Book("M*A*S*H", "", "Author", "", "*One* two", Optional.empty(), "");
  private static final Wrap WRAP = Wraps.sixByNine(300);

  private static final Typing TYPING = new Typing(WRAP, BOOK);

  private static Design apply(Design design, String... fields) {
    return TYPING.apply(design, fields);
  }

  private static Design added(String what) {
    return apply(Design.EMPTY, "edit", "add", "what", what);
  }

  private static Piece only(Design design) {
    return design.outside().pieces().get(0);
  }

  private static Words set(Design design, String... fields) {
    return (Words) only(changed(design, "set", fields)).content();
  }

  private static Design changed(Design design, String kind, String... fields) {
    return TYPING.change(design, kind, only(design).id(), fields);
  }

  @Test
  public void theSettingIsReadFieldByField() {
    Words w =
        set(
            added("back:blurb"),
            "align",
            "JUSTIFIED",
            "breaks",
            "EVEN",
            "hyphenated",
            "on",
            "hanging",
            "on",
            "language",
            "de-CH",
            "gap",
            "0,5",
            "indent",
            "1.25",
            "letters",
            "SMALL_CAPITALS",
            "fit",
            "LARGEST",
            "feature.ss01",
            "on",
            "figures",
            "onum");
    assertThat(w.setting().align()).isEqualTo(Setting.Align.JUSTIFIED);
    assertThat(w.setting().hyphenated()).isTrue();
    assertThat(w.setting().hanging()).isTrue();
    assertThat(w.setting().language()).isEqualTo("de-CH");
    assertThat(w.setting().gap()).isEqualTo(0.5);
    assertThat(w.setting().indent()).isEqualTo(1.25);
    assertThat(w.type().letters()).isEqualTo(Type.Letters.SMALL_CAPITALS);
    assertThat(w.type().fit()).isEqualTo(Type.Fit.LARGEST);
    assertThat(w.type().features()).containsExactly("onum", "ss01");
    Design other = changed(added("back:blurb"), "set", "feature.ss01", "on", "figures", "onum");
    assertThat(set(other, "figures", "lnum", "feature.ss01", "off").type().features())
        .containsExactly("lnum");
    assertThat(set(other, "figures", "").type().features()).containsExactly("ss01");
  }

  @Test
  public void sixFormsAreTakenAtOnceAndASeventhIsRefusedWithTheWayOut() {
    Design six =
        changed(
            added("front:title"),
            "set",
            "feature.ss01",
            "on",
            "feature.ss02",
            "on",
            "feature.ss03",
            "on",
            "feature.swsh",
            "on",
            "feature.dlig",
            "on",
            "figures",
            "onum");
    assertThat(((Words) only(six).content()).type().features()).hasSize(6);
    assertThatThrownBy(() -> changed(six, "set", "feature.zero", "on"))
        .hasMessage(
            "At most 6 forms of a typeface are put to use at once; these would be 7. Take one off first.");
  }

  @Test
  public void newProseRunsEvenAndNewHeadlinesAreBalanced() {
    assertThat(((Words) only(added("back:blurb")).content()).setting().breaks())
        .isEqualTo(Setting.Breaks.EVEN);
    assertThat(((Words) only(added("front:title")).content()).setting().breaks())
        .isEqualTo(Setting.Breaks.BALANCED);
  }

  @Test
  public void wordsStandOnArcsAndAlongPoints() {
    Design title = added("front:title");
    assertThat(set(title, "curve", "upper").curve()).isEqualTo(Curve.Arc.USUAL);
    Design lower = changed(title, "set", "curve", "lower", "curveBy", "SAG", "curveMeasure", "12");
    assertThat(((Words) only(lower).content()).curve())
        .isEqualTo(
            new Curve.Arc(Curve.Edge.LOWER, Curve.Side.INSIDE, Curve.By.SAG, Length.mm("12")));
    Curve.Along along =
        (Curve.Along) set(lower, "curve", "along", "curvePoints", "0 50, 100 20").curve();
    assertThat(along.points()).hasSize(2);
    assertThat(set(lower, "curve", "straight").curve()).isNull();
  }

  @Test
  public void anOutlineLiesRoundLettersAndAPanelAndAShadowComeWithOneTick() {
    Design title = added("front:title");
    Words w = set(title, "edge", "plain", "panel", "on", "panelAcross", "4", "panelOpacity", "60");
    assertThat(w.outline().side()).isEqualTo(Stroke.Side.OUTSIDE);
    assertThat(w.panel().across()).isEqualTo(Length.mm("4"));
    assertThat(w.panel().opacity()).isEqualTo(0.6);
    assertThat(set(changed(title, "set", "panel", "on"), "panel", "off").panel()).isNull();
    Design shadowed = changed(title, "appear", "shadow", "on", "shadowBlur", "2");
    Appearance.Shadow shadow = only(shadowed).appearance().shadow().orElseThrow();
    assertThat(shadow.blur()).isEqualTo(Length.mm("2"));
    assertThat(only(changed(shadowed, "appear", "opacity", "50")).appearance().shadow())
        .contains(shadow);
    assertThat(only(changed(shadowed, "appear", "shadow", "off")).appearance().shadow()).isEmpty();
  }

  @Test
  public void wordsOfAFactMadeOwnKeepWhatTheyShow() {
    Words title = set(added("front:title"), "source", "own", "literal", "on", "text", "M*A*S*H 2");
    assertThat(title.on(BOOK).text()).isEqualTo("M*A*S*H 2");
    Words blurb = set(added("back:blurb"), "source", "own", "literal", "on", "text", "*One* 2");
    assertThat(blurb.on(BOOK).text()).isEqualTo("One 2");
  }

  @DataProvider
  Object[][] refused() {
    return new Object[][] {
      {"gap", "5", "a number from 0 to 4"},
      {"indent", "x", "“x” is no indent in ems"},
      {"language", "no such", "no tag of a language"},
      {"feature.</svg>", "on", "is no feature of a typeface"},
      {"fit", "SOMEHOW", "none of the choices"},
      {"curveMeasure", "0", "is no measure of a circle: more than 0"},
      {"curveMeasure", "-3", "is no measure of a circle"},
      {"curvePoints", "0 0", "2 to 400 points"},
      {"curvePoints", "0 0, 120 0", "from 0 to 100 %"},
      {"panelAcross", "-1", "is no measure of a distance: 0 to"},
      {"panelOpacity", "101", "opacity in percent"},
      {"panelColour", "mauvish", "mauvish"},
      {"shadowRight", "9000", "at most 500 mm"},
      {"shadowBlur", "900", "A shadow can be soft over"},
    };
  }

  @Test(dataProvider = "refused")
  public void whatCannotBeIsRefusedInASentence(String field, String typed, String sentence) {
    String kind = field.startsWith("shadow") ? "appear" : "set";
    String curve = field.equals("curvePoints") ? "along" : "upper";
    Design design = changed(added("front:title"), "set", "curve", curve);
    assertThatThrownBy(() -> changed(design, kind, field, typed))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(sentence);
  }
}
