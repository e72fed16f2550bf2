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
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;

/** Tells a change in a few words, as history and undo show it: {@code Title moved 3 mm right}. */
public final class EditSentence implements Edit.Visitor<String> {
  private static final int MOST_TOLD = 4;

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
    return edit.accept(new EditSentence(before, unit));
  }

  private String of(Edit.OfPiece edit, String what) {
    return name(edit.piece()) + " " + what;
  }

  @Override
  public String move(Edit.Move e) {
    return names(e.pieces()) + " moved" + way(e.right(), e.down());
  }

  @Override
  public String resize(Edit.Resize e) {
    return of(e, "resized");
  }

  @Override
  public String place(Edit.Place e) {
    return of(e, placed(e));
  }

  @Override
  public String turn(Edit.Turn e) {
    return of(e, "turned to " + plain(e.angle()) + "°");
  }

  @Override
  public String flip(Edit.Flip e) {
    return of(e, e.across() ? "mirrored across" : "mirrored down");
  }

  @Override
  public String hang(Edit.Hang e) {
    return of(e, "hung anew");
  }

  @Override
  public String fill(Edit.Fill e) {
    return of(e, "made to fill its panel");
  }

  @Override
  public String set(Edit.Set e) {
    return of(e, changed(e));
  }

  @Override
  public String appear(Edit.Appear e) {
    return of(e, "given another look");
  }

  @Override
  public String rename(Edit.Rename e) {
    return of(e, "named “" + e.name().strip() + "”");
  }

  @Override
  public String lock(Edit.Lock e) {
    return of(e, e.locked() ? "locked" : "unlocked");
  }

  @Override
  public String hide(Edit.Hide e) {
    return of(e, e.hidden() ? "hidden" : "shown");
  }

  @Override
  public String remove(Edit.Remove e) {
    return names(e.pieces()) + " taken off";
  }

  @Override
  public String reorder(Edit.Reorder e) {
    return of(e, e.by() > 0 ? "brought forward" : "sent back");
  }

  @Override
  public String group(Edit.Group e) {
    return names(e.pieces()) + " grouped";
  }

  @Override
  public String ungroup(Edit.Ungroup e) {
    return of(e, "ungrouped");
  }

  @Override
  public String setGround(Edit.SetGround e) {
    return e.what();
  }

  @Override
  public String setSwatch(Edit.SetSwatch e) {
    return "Colour “" + e.name().strip() + "” of the palette";
  }

  @Override
  public String addSwatches(Edit.AddSwatches e) {
    return e.what() + ": " + String.join(", ", e.colours().keySet());
  }

  @Override
  public String nameColour(Edit.NameColour e) {
    return "Colour “" + e.name() + "” named, wherever it stands";
  }

  @Override
  public String removeSwatch(Edit.RemoveSwatch e) {
    return "Colour “" + e.name() + "” out of the palette";
  }

  @Override
  public String lay(Starting.Lay e) {
    return "Layout " + e.layout().title();
  }

  @Override
  public String wear(Starting.Wear e) {
    List<String> out = e.worn().leftOut();
    return "Look “"
        + e.name()
        + "”"
        + (out.isEmpty()
            ? ""
            : ", without " + String.join(", ", out.stream().limit(MOST_TOLD).toList()))
        + (out.size() > MOST_TOLD ? " and " + (out.size() - MOST_TOLD) + " more" : "");
  }

  @Override
  public String mend(Edit.Mend e) {
    return e.label();
  }

  @Override
  public String addition(Addition e) {
    return "Added " + e.add(new AddedText());
  }

  @Override
  public String arrangement(Arrangement e) {
    String said = e.arrange(ARRANGED);
    return e.pieces().isEmpty() ? said : names(e.pieces()) + " " + said;
  }

  private static final Arrangement.Kinds<String> ARRANGED =
      new Arrangement.Kinds<>() {
        @Override
        public String copy(Arrangement.Copy e) {
          return "copied"
              + e.to().map(p -> " to the " + p.title().toLowerCase(Locale.ROOT)).orElse("")
              + (e.mirrored() ? ", mirrored" : "");
        }

        @Override
        public String align(Arrangement.Align e) {
          return "aligned: " + e.edge().name().toLowerCase(Locale.ROOT);
        }

        @Override
        public String stretch(Arrangement.Stretch e) {
          return "resized as one";
        }

        @Override
        public String swing(Arrangement.Swing e) {
          return "turned as one by " + plain(e.by()) + "°";
        }

        @Override
        public String snap(Arrangement.Snap e) {
          return "moved and hung there";
        }

        @Override
        public String paste(Arrangement.Paste e) {
          return e.copied().size() == 1
              ? "“" + e.copied().get(0).name() + "” put on from another cover"
              : e.copied().size() + " pieces put on from another cover";
        }

        @Override
        public String spread(Arrangement.Spread e) {
          return "spread evenly " + (e.across() ? "across" : "down");
        }
      };

  private static String plain(double figure) {
    return BigDecimal.valueOf(figure).stripTrailingZeros().toPlainString().replace('-', '−');
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
  private String changed(Edit.Set e) {
    Content now = e.content();
    Content was = before.piece(e.piece()).map(Piece::content).orElse(now);
    if (now instanceof Words w && was instanceof Words old) {
      if (!w.text().equals(old.text()) || w.fact() != old.fact()) {
        return "given other words";
      }
      if (!w.type().face().equals(old.type().face())) {
        return "in another typeface";
      }
      if (!w.type().size().equals(old.type().size())) {
        return "at " + w.type().size().brief(Unit.PT);
      }
      if (!w.paint().equals(old.paint())) {
        return "in another colour";
      }
      return "set otherwise";
    }
    if (now instanceof Content.Shape s && was instanceof Content.Shape old) {
      return !s.figure().equals(old.figure())
          ? "in another form"
          : Objects.equals(s.stroke(), old.stroke()) ? "filled otherwise" : "with another edge";
    }
    if (now instanceof Content.Barcode || now instanceof Content.Pattern) {
      return "drawn otherwise";
    }
    if (now instanceof Content.Page p) {
      return "shows page " + p.number();
    }
    if (now instanceof Content.Picture p && was instanceof Content.Picture old) {
      return !p.sha().equals(old.sha())
          ? "with another picture"
          : p.treatment().equals(old.treatment()) ? "framed otherwise" : "treated otherwise";
    }
    return "in another colour";
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
