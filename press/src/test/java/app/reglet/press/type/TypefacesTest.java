package app.reglet.press.type;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.testng.annotations.Test;

/** The families that ship: what they promise is in their files. */
public class TypefacesTest {
  private static final Typefaces FACES = Typefaces.shipped();

  @Test
  public void fortyFamiliesAndMoreCoverEveryClassificationAndGenre() {
    assertThat(FACES.families()).hasSizeGreaterThanOrEqualTo(40);
    assertThat(FACES.families().stream().map(Family::classification).collect(Collectors.toSet()))
        .isEqualTo(EnumSet.complementOf(EnumSet.of(Classification.BROUGHT)));
    assertThat(
            FACES.families().stream().flatMap(f -> f.genres().stream()).collect(Collectors.toSet()))
        .containsExactlyInAnyOrder(Genre.values());
  }

  @Test
  public void everyFaceIsAFontOfItsOwnThatMayBeEmbeddedAndItsFamilyBringsItsLicence()
      throws IOException {
    Set<String> ids = new HashSet<>();
    for (Family family : FACES.families()) {
      try (InputStream in =
          TypefacesTest.class.getResourceAsStream("/fonts/" + family.id() + "/OFL.txt")) {
        assertThat(new String(in.readAllBytes(), StandardCharsets.UTF_8))
            .as(family.id())
            .containsIgnoringCase("SIL Open Font License");
      }
      for (Typeface face : family.faces()) {
        assertThat(ids.add(face.id())).as(face.id()).isTrue();
        try (TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(face.file()))) {
          // OpenType specification, OS/2 fsType: 0 is installable embedding
          assertThat(font.getOS2Windows().getFsType()).as(face.id()).isZero();
          assertThat(font.getName()).as(face.id()).isNotBlank();
        }
        assertThat(face.shape("Hamburg 1984", 0).ink().getWidth()).as(face.id()).isPositive();
        assertThat(face.capHeight()).as(face.id()).isBetween(0.3, 1.2);
      }
    }
  }

  @Test
  public void familiesGoWithOthersThatAreHereAndNotWithThemselves() {
    Set<String> ids = FACES.families().stream().map(Family::id).collect(Collectors.toSet());
    for (Family family : FACES.families()) {
      assertThat(family.goesWith()).as(family.id()).isNotEmpty().doesNotContain(family.id());
      assertThat(ids).as(family.id()).containsAll(family.goesWith());
    }
  }

  @Test
  public void greekCyrillicArabicAndHebrewHaveFacesWithTheirWholeAlphabets() {
    // the letters of modern spelling, blocks U+0370, U+0400, U+0600 and U+0590 of Unicode
    for (String alphabet :
        List.of(
            "αβγδεζηθικλμνξοπρσςτυφχψωΑΩάέήίόύώ",
            "абвгдеёжзийклмнопрстуфхцчшщъыьэюяАЯ",
            "ابتثجحخدذرزسشصضطظعغفقكلمنهويءآأؤإئةى؟،",
            "אבגדהוזחטיכלמנסעפצקרשתםןףץך")) {
      assertThat(FACES.all().stream().filter(f -> f.missing(alphabet).isEmpty()).toList())
          .as(alphabet)
          .hasSizeGreaterThanOrEqualTo(3);
    }
  }

  @Test
  public void aFamilyOffersTheFaceOfTheSameStyle() {
    Family lora = FACES.familyOf(FACES.get("lora-bold"));
    assertThat(lora.like(FACES.get("spectral-bold")).id()).isEqualTo("lora-bold");
    assertThat(lora.like(FACES.get("inter-extra-bold")).id()).isEqualTo("lora");
  }

  @Test
  public void aFaceWithTheLettersIsOfferedFirstOfItsOwnKind() {
    Typeface lora = FACES.get("lora-bold");
    assertThat(FACES.instead(lora, "Salt")).isEmpty();
    Typeface greek = FACES.instead(lora, "Θάλασσα").orElseThrow();
    assertThat(greek.missing("Θάλασσα")).isEmpty();
    assertThat(FACES.familyOf(greek).classification()).isEqualTo(Classification.SERIF);
    assertThat(greek.style()).isEqualTo("Bold");
    assertThat(FACES.instead(lora, "שלום")).isPresent();
    assertThat(FACES.instead(lora, "\ud83d\udc1f")).as("no face has a fish").isEmpty();
  }
}
