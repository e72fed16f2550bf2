package app.reglet.press;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.check.Check;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Remedy;
import app.reglet.core.check.Subject;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Mending;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Span;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.type.Typeface;
import app.reglet.testing.Extent;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.testng.annotations.Test;

/** A remedy mends what it is offered for. */
public class RemedyTest {
  private static final String[] TITLES = {
    "The Salt Ledger",
    "Fjord, Jetty, Quay",
    "Å Øre før Ægir",
    "ff",
    "Joyful Affidavits of a Half-Forgotten Wharf",
    "Éléonore’s Ĝarden\nof Jagged Yews"
  };

  private static List<Finding> found(Design design, Wrap wrap) {
    var art = new Composer(Specimen.TYPEFACES).compose(design, wrap, Specimen.BOOK, Pictures.NONE);
    return Check.run(new Subject(wrap, Specimen.BOOK, art.laid())).stream()
        .filter(f -> f.code().equals("words-outside-safe"))
        .toList();
  }

  private static Design words(Typeface face, String text, Setting.Align align, Random random) {
    Words words =
        Words.of(
                null,
                text,
                face.id(),
                Length.mm(String.valueOf(8 + random.nextInt(25))),
                Colour.BLACK)
            .aligned(align, Setting.VerticalAlign.values()[random.nextInt(3)])
            .withLeading(1.1);
    Words mixed =
        words.withType(
            words
                .type()
                .withTracking(random.nextInt(3) * 20)
                .withLetters(
                    random.nextInt(4) == 0 ? Type.Letters.CAPITALS : Type.Letters.AS_WRITTEN));
    Box safe = Specimen.wrap(320).panel(PanelKind.FRONT).orElseThrow().safe();
    Box there =
        new Box(
            safe.left().plus(Length.nearMm(random.nextInt(160) - 12 + 0.123)),
            safe.top().plus(Length.nearMm(random.nextInt(230) - 12 + 0.456)),
            Length.nearMm(40 + random.nextInt(150)),
            Length.nearMm(12 + random.nextInt(60)));
    Anchors pins =
        Anchors.hung(
            Region.safe(PanelKind.FRONT),
            Span.Hold.values()[random.nextInt(3)],
            Span.Hold.values()[random.nextInt(3)],
            there,
            Specimen.wrap(320));
    return Specimen.on(Ground.plain(Colour.WHITE))
        .changed(PrintedSide.OUTSIDE, c -> c.plus(new Piece("w", "Words", pins, mixed)));
  }

  @Test
  public void wordsMovedIntoTheSafeZoneAreInside() {
    Wrap wrap = Specimen.wrap(320);
    Random random = new Random(7);
    int outside = 0;
    List<String> still = new ArrayList<>();
    for (Typeface face : Extent.of(10, Specimen.TYPEFACES.all())) {
      for (String title : TITLES) {
        for (Setting.Align align : Setting.Align.values()) {
          Design design = words(face, title, align, random);
          List<Finding> findings = found(design, wrap);
          if (findings.isEmpty()) {
            continue;
          }
          outside++;
          Remedy remedy = findings.get(0).remedies().get(0);
          assertThat(remedy).isInstanceOf(Remedy.IntoSafe.class);
          found(Mending.apply((Remedy.IntoSafe) remedy, design, wrap), wrap)
              .forEach(
                  f ->
                      still.add(
                          String.format(
                              Locale.ROOT,
                              "%s, %s, %s: %s",
                              face.id(),
                              title,
                              align,
                              f.sentence(Unit.IN))));
        }
      }
    }
    assertThat(outside).isGreaterThan(Extent.rounds(15, 200));
    assertThat(still).as(still.size() + " of " + outside).isEmpty();
  }
}
