package app.reglet.core.check;

import app.reglet.core.house.SpineTypeRule;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.PanelKind;
import java.util.List;

/**
 * What a check found, with its figures; {@link FindingText} makes the sentence. Names are those
 * that people gave: of a piece, of a house.
 */
public sealed interface Found
    permits Unoffered,
        OfBarcode,
        OfWords,
        OfPicture,
        OfDrawing,
        OfEdition,
        OfFile,
        NearMiss,
        Found.WordsOverflow,
        Found.SpineTypeNotAllowed,
        Found.SpineTypeTooSmall,
        Found.SpineTypeTooBig,
        Found.PictureTooCoarse,
        Found.PictureSoft,
        Found.PictureFine,
        Found.WordsAcrossFold,
        Found.BleedNotReached,
        Found.WordsOutsideSafe,
        Found.WordsOffCover,
        Found.FontsMissing,
        Found.OnGlue,
        Found.PaleEdge {
  /** Stable name of what was found, {@code words-outside-safe}. */
  String code();

  /** Hands itself to the method of its kind. */
  <R> R accept(Visitor<R> visitor);

  /** What can be done with each kind; a kind that is forgotten does not compile. */
  interface Visitor<R> {
    R trimNotOffered(Unoffered.TrimNotOffered found);

    R pagesNotOffered(Unoffered.PagesNotOffered found);

    R noFlap(Unoffered.NoFlap found);

    R flapNotOffered(Unoffered.FlapNotOffered found);

    R insideNotOffered(Unoffered.InsideNotOffered found);

    R wordsOverflow(WordsOverflow found);

    R spineTypeNotAllowed(SpineTypeNotAllowed found);

    R spineTypeTooSmall(SpineTypeTooSmall found);

    R spineTypeTooBig(SpineTypeTooBig found);

    R pictureTooCoarse(PictureTooCoarse found);

    R pictureSoft(PictureSoft found);

    R wordsAcrossFold(WordsAcrossFold found);

    R barcodeMissing(OfBarcode.BarcodeMissing found);

    R barcodeOutOfArea(OfBarcode.BarcodeOutOfArea found);

    R barcodePanelDark(OfBarcode.BarcodePanelDark found);

    R wordsInBarcodeArea(OfBarcode.WordsInBarcodeArea found);

    R overBarcode(OfBarcode.OverBarcode found);

    R bleedNotReached(BleedNotReached found);

    R wordsOutsideSafe(WordsOutsideSafe found);

    R wordsOffCover(WordsOffCover found);

    R fontsMissing(FontsMissing found);

    R ofWords(OfWords found);

    R ofPicture(OfPicture found);

    R ofDrawing(OfDrawing found);

    R ofEdition(OfEdition found);

    R ofFile(OfFile found);

    R pictureFine(PictureFine found);

    R nearMiss(NearMiss found);

    R onGlue(OnGlue found);

    R paleEdge(PaleEdge found);
  }

  /** Words have no room in their box. */
  record WordsOverflow(String name, Length size, Size box) implements Found {
    @Override
    public String code() {
      return "words-overflow";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.wordsOverflow(this);
    }
  }

  /** The house prints no words on this spine. */
  record SpineTypeNotAllowed(String name, String house, int pages, Length spine, SpineTypeRule rule)
      implements Found {
    @Override
    public String code() {
      return "spine-type-not-allowed";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.spineTypeNotAllowed(this);
    }
  }

  /** Words on the spine are smaller than the house prints. */
  record SpineTypeTooSmall(String name, String house, Length size, Length least) implements Found {
    @Override
    public String code() {
      return "spine-type-too-small";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.spineTypeTooSmall(this);
    }
  }

  /**
   * Words on the spine are wider than its band.
   *
   * @param largest size that has room, zero when not known
   */
  record SpineTypeTooBig(String name, Length across, Length size, Length band, Length largest)
      implements Found {
    @Override
    public String code() {
      return "spine-type-too-big";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.spineTypeTooBig(this);
    }
  }

  /** A picture shows its pixels. */
  record PictureTooCoarse(String name, double ppi, int least) implements Found {
    @Override
    public String code() {
      return "picture-too-coarse";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.pictureTooCoarse(this);
    }
  }

  /** A picture has fewer pixels than is wanted. */
  record PictureSoft(String name, double ppi, int wanted, int least) implements Found {
    @Override
    public String code() {
      return "picture-soft";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.pictureSoft(this);
    }
  }

  /** A picture has more pixels than anybody sees. */
  record PictureFine(String name, double ppi, int wanted) implements Found {
    @Override
    public String code() {
      return "picture-fine";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.pictureFine(this);
    }
  }

  /** Words run across a fold. */
  record WordsAcrossFold(String name, PanelKind between, PanelKind and, Length by)
      implements Found {
    @Override
    public String code() {
      return "words-across-fold";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.wordsAcrossFold(this);
    }
  }

  /** Art stops short of the edge. */
  record BleedNotReached(String name, Length gap, boolean turnIn) implements Found {
    @Override
    public String code() {
      return "bleed-not-reached";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.bleedNotReached(this);
    }
  }

  /**
   * Words stand outside the safe zone.
   *
   * @param cut whether they stand past the trim, too
   */
  record WordsOutsideSafe(String name, Length out, PanelKind panel, boolean cut) implements Found {
    @Override
    public String code() {
      return "words-outside-safe";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.wordsOutsideSafe(this);
    }
  }

  /** A piece on the inside lies on the strip that is glued. */
  record OnGlue(String name, Length by, Length strip) implements Found {
    @Override
    public String code() {
      return "on-glue";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.onGlue(this);
    }
  }

  /** A placed page needs fonts that its file does not bring. */
  record FontsMissing(String name, List<String> fonts) implements Found {
    @Override
    public String code() {
      return "fonts-missing";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.fontsMissing(this);
    }
  }

  /** Words lie off every panel. */
  record WordsOffCover(String name) implements Found {
    @Override
    public String code() {
      return "words-outside-safe";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.wordsOffCover(this);
    }
  }

  /**
   * A cover for screens has nearly no edge on a white page.
   *
   * @param share of its edge that is nearly white, 0 to 1
   */
  record PaleEdge(double share) implements Found {
    @Override
    public String code() {
      return "pale-edge";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.paleEdge(this);
    }
  }
}
