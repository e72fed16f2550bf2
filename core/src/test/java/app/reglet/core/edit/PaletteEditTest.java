package app.reglet.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.book.Book;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Framing;
import app.reglet.core.design.Ground;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Treatment;
import app.reglet.core.design.Treatment.Toning;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;

public class PaletteEditTest {
  private static final Wrap WRAP = Wraps.sixByNine(320);
  private static final Book BOOK =
      new Book("The Salt Ledger", "", "Maren Aldous", "", "", Optional.empty(), "");
  private static final Colour.Rgb RED = new Colour.Rgb(0xb5482a);

  private static Design apply(Edit edit, Design design) {
    return Editing.apply(edit, design, WRAP, BOOK);
  }

  /** A ground in red with a picture in red and white. */
  private static Design red() {
    Content.Picture picture =
        new Content.Picture(
            "ab12",
            Framing.of(Focus.MIDDLE),
            Treatment.NONE.withToning(new Toning(Toning.Kind.TWO_COLOURS, RED, Colour.WHITE)));
    return Design.EMPTY.changed(
        PrintedSide.OUTSIDE, c -> c.withGround(Ground.plain(RED).withPicture(picture)));
  }

  @Test
  public void aColourThatIsNamedFollowsItsNameWhereverItStood() {
    Design named = apply(new Edit.NameColour("Brick", RED), red());
    assertThat(named.palette()).containsEntry("Brick", RED);
    assertThat(named.direct()).containsExactly(Colour.WHITE);
    Design changed = apply(new Edit.SetSwatch("Brick", new Colour.Rgb(0x123456)), named);
    Ground ground = changed.outside().ground();
    assertThat(ground.colours().map(changed::solid).map(Colour.Solid::hex))
        .containsExactly("#123456", "#123456", "#ffffff");
    Design back = apply(new Edit.RemoveSwatch("Brick"), named);
    assertThat(back).isEqualTo(red());
  }

  @Test
  public void theInsideFollowsTooAndKeepsItsColourWhenTheNameGoes() {
    Design both = red().changed(PrintedSide.INSIDE, c -> c.withGround(Ground.plain(RED)));
    Design named = apply(new Edit.NameColour("Brick", RED), both);
    assertThat(named.inside().ground().colours()).containsExactly(new Colour.Swatch("Brick"));
    assertThat(apply(new Edit.RemoveSwatch("Brick"), named)).isEqualTo(both);
  }

  @Test
  public void severalColoursArePutInAndThoseThatAreThereChanged() {
    Map<String, Colour.Solid> colours = new LinkedHashMap<>();
    colours.put("Brick", new Colour.Rgb(0x111111));
    colours.put("Chalk", Colour.WHITE);
    Design named = apply(new Edit.NameColour("Brick", RED), red());
    assertThat(apply(new Edit.AddSwatches(colours, "Colours of a picture"), named).palette())
        .isEqualTo(colours);
  }
}
