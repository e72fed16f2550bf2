package app.reglet.core.edit;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Figure;
import app.reglet.core.measure.Point;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.PanelKind;
import java.util.List;
import java.util.Optional;

/** A change that puts a new piece on the side at hand. */
public sealed interface Addition extends Edit {
  @Override
  default List<String> pieces() {
    return List.of();
  }

  @Override
  default <R> R accept(Edit.Visitor<R> visitor) {
    return visitor.addition(this);
  }

  /** Hands itself to the method of its kind. */
  <R> R add(Kinds<R> kinds);

  /** What can be done with each kind. */
  interface Kinds<R> {
    R words(AddWords edit);

    R band(AddBand edit);

    R shape(AddShape edit);

    R frame(AddFrame edit);

    R ornament(AddOrnament edit);

    R pattern(AddPattern edit);

    R picture(AddPicture edit);

    R page(AddPage edit);

    R barcode(AddBarcode edit);

    R line(AddLine edit);

    R subject(AddSubject edit);
  }

  /**
   * A cut-out subject set apart: it stands in front of what it was cut from, which is whole again
   * behind it, so that something can lie between the two.
   *
   * @param piece the picture it is cut from; empty for the ground's
   * @param part the part whose ground that is, empty for the whole sheet's
   */
  record AddSubject(Optional<String> piece, Optional<PanelKind> part) implements Addition {
    @Override
    public <R> R add(Kinds<R> kinds) {
      return kinds.subject(this);
    }
  }

  /** The spine made one line of parts. */
  record AddLine() implements Addition {
    @Override
    public <R> R add(Kinds<R> kinds) {
      return kinds.line(this);
    }
  }

  /**
   * Words put on a panel.
   *
   * @param fact the fact they follow, null for words of their own
   */
  record AddWords(PanelKind panel, Fact fact) implements Addition {
    @Override
    public <R> R add(Kinds<R> kinds) {
      return kinds.words(this);
    }
  }

  /** A band of colour put behind the other pieces, across a panel. */
  record AddBand(PanelKind panel) implements Addition {
    @Override
    public <R> R add(Kinds<R> kinds) {
      return kinds.band(this);
    }
  }

  /** A form put in a panel's middle. */
  record AddShape(PanelKind panel, Figure figure, String name) implements Addition {
    @Override
    public <R> R add(Kinds<R> kinds) {
      return kinds.shape(this);
    }
  }

  /**
   * A line round a panel or the whole cover, as far inside as its safe zone.
   *
   * @param panel null for the whole cover
   */
  record AddFrame(PanelKind panel) implements Addition {
    @Override
    public <R> R add(Kinds<R> kinds) {
      return kinds.frame(this);
    }
  }

  /**
   * An ornament put in a panel's middle.
   *
   * @param ornament its id
   * @param proportion its width by its height
   * @param inks its colours, empty for that of the words
   * @param at where its middle is put on the sheet; empty for the panel's middle
   */
  record AddOrnament(
      PanelKind panel,
      String ornament,
      String name,
      double proportion,
      List<Colour> inks,
      Optional<Point> at)
      implements Addition {
    /** An ornament in the colour of the words, in the panel's middle. */
    public AddOrnament(PanelKind panel, String ornament, String name, double proportion) {
      this(panel, ornament, name, proportion, List.of(), Optional.empty());
    }

    @Override
    public <R> R add(Kinds<R> kinds) {
      return kinds.ornament(this);
    }
  }

  /** A pattern put behind the other pieces, all over a panel. */
  record AddPattern(PanelKind panel, String ornament) implements Addition {
    @Override
    public <R> R add(Kinds<R> kinds) {
      return kinds.pattern(this);
    }
  }

  /**
   * A picture put on a panel, all of it to be seen.
   *
   * @param proportion its width by its height, upright
   * @param at where its middle is put on the sheet; empty for the panel's middle
   */
  record AddPicture(PanelKind panel, String sha, String name, double proportion, Optional<Point> at)
      implements Addition {
    @Override
    public <R> R add(Kinds<R> kinds) {
      return kinds.picture(this);
    }
  }

  /**
   * A page of a PDF put in a panel's middle, as large as it is.
   *
   * @param size of the page
   * @param at where its middle is put on the sheet; empty for the panel's middle
   */
  record AddPage(
      PanelKind panel, String sha, int number, String name, Size size, Optional<Point> at)
      implements Addition {
    @Override
    public <R> R add(Kinds<R> kinds) {
      return kinds.page(this);
    }
  }

  /** The barcode put in its area. */
  record AddBarcode() implements Addition {
    @Override
    public <R> R add(Kinds<R> kinds) {
      return kinds.barcode(this);
    }
  }
}
