package app.reglet.core.edit;

import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Tells a change in a few words, as history and undo show it: {@code Title moved 3 mm right}. */
public final class EditSentence {
  private final Design before;
  private final Unit unit;

  private EditSentence(Design before, Unit unit) {
    this.before = before;
    this.unit = unit;
  }

  /**
   * The sentence of a change.
   *
   * @param before the design it was made on
   * @param unit of its figures
   */
  public static String of(Edit edit, Design before, Unit unit) {
    return new EditSentence(before, unit).tell(edit);
  }

  private String tell(Edit edit) {
    if (edit instanceof Edit.OfPiece e) {
      return name(e.piece()) + " " + ofPiece(e);
    } else if (edit instanceof Edit.OfNone e) {
      return ofNone(e);
    } else if (edit instanceof Edit.Move e) {
      return names(e.pieces()) + " moved" + way(e.right(), e.down());
    } else if (edit instanceof Edit.Group e) {
      return names(e.pieces()) + " grouped";
    }
    return names(((Edit.Remove) edit).pieces()) + " taken off";
  }

  private String ofPiece(Edit.OfPiece edit) {
    if (edit instanceof Edit.Resize) {
      return "resized";
    } else if (edit instanceof Edit.Place e) {
      return placed(e);
    } else if (edit instanceof Edit.Turn e) {
      return "turned to "
          + BigDecimal.valueOf(e.angle()).stripTrailingZeros().toPlainString().replace('-', '−')
          + "°";
    } else if (edit instanceof Edit.Flip e) {
      return e.across() ? "mirrored across" : "mirrored down";
    } else if (edit instanceof Edit.Hang) {
      return "hung anew";
    } else if (edit instanceof Edit.Set e) {
      return set(e);
    } else if (edit instanceof Edit.Appear) {
      return "given another look";
    } else if (edit instanceof Edit.Rename e) {
      return "named “" + e.name().strip() + "”";
    } else if (edit instanceof Edit.Lock e) {
      return e.locked() ? "locked" : "unlocked";
    } else if (edit instanceof Edit.Hide e) {
      return e.hidden() ? "hidden" : "shown";
    } else if (edit instanceof Edit.Reorder e) {
      return e.by() > 0 ? "brought forward" : "sent back";
    }
    return "ungrouped";
  }

  private String placed(Edit.Place e) {
    List<String> said = new ArrayList<>();
    e.left().ifPresent(l -> said.add("left " + l.brief(unit)));
    e.top().ifPresent(l -> said.add("top " + l.brief(unit)));
    e.width().ifPresent(l -> said.add("width " + l.brief(unit)));
    e.height().ifPresent(l -> said.add("height " + l.brief(unit)));
    return said.isEmpty() ? "placed" : String.join(", ", said);
  }

  /** What of the content is another now, where that is one thing. */
  private String set(Edit.Set e) {
    Content now = e.content();
    Content was = before.piece(e.piece()).map(Piece::content).orElse(now);
    if (now instanceof Words w && was instanceof Words old) {
      if (!w.text().equals(old.text()) || w.fact() != old.fact()) {
        return "given other words";
      }
      if (!w.face().equals(old.face())) {
        return "in another typeface";
      }
      if (!w.size().equals(old.size())) {
        return "at " + w.size().brief(Unit.PT);
      }
      if (!w.paint().equals(old.paint())) {
        return "in another colour";
      }
      return "set otherwise";
    }
    return now instanceof Content.Picture ? "with another picture" : "in another colour";
  }

  private String ofNone(Edit.OfNone edit) {
    if (edit instanceof Edit.AddWords e) {
      return "Added words on the "
          + e.panel().title().toLowerCase(java.util.Locale.ROOT)
          + (e.fact() == null ? "" : ": " + e.fact().title().toLowerCase(java.util.Locale.ROOT));
    } else if (edit instanceof Edit.AddBand) {
      return "Added band";
    } else if (edit instanceof Edit.AddPicture e) {
      return "Added picture " + e.name();
    } else if (edit instanceof Edit.AddBarcode) {
      return "Added barcode";
    } else if (edit instanceof Edit.SetGround e) {
      return e.what();
    } else if (edit instanceof Edit.SetSwatch e) {
      return "Colour “" + e.name().strip() + "” of the palette";
    } else if (edit instanceof Edit.RemoveSwatch e) {
      return "Colour “" + e.name() + "” out of the palette";
    } else if (edit instanceof Edit.Lay e) {
      return "Layout " + e.layout().title();
    }
    return ((Edit.Mend) edit).label();
  }

  private String names(List<String> ids) {
    return ids.size() > 3
        ? ids.size() + " pieces"
        : ids.stream().map(this::name).collect(Collectors.joining(", "));
  }

  private String name(String id) {
    return before.piece(id).map(Piece::name).orElse("A piece");
  }

  private String way(Length right, Length down) {
    List<String> said = new ArrayList<>();
    if (!right.isZero()) {
      said.add(right.abs().brief(unit) + (right.isNegative() ? " left" : " right"));
    }
    if (!down.isZero()) {
      said.add(down.abs().brief(unit) + (down.isNegative() ? " up" : " down"));
    }
    return said.isEmpty() ? "" : " " + String.join(", ", said);
  }
}
