package app.reglet.press.compose;

import app.reglet.core.book.Emphasised;
import app.reglet.core.check.Laid;
import app.reglet.core.design.BlackAlone;
import app.reglet.core.design.Content;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pen;
import app.reglet.press.art.Rect;
import app.reglet.press.picture.Picture;
import app.reglet.press.type.Family;
import app.reglet.press.type.Setter;
import app.reglet.press.type.Typeface;
import java.awt.geom.AffineTransform;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Words of one piece as marks in its box, and what the checks are told of them. */
final class LayWords {
  private final Lay lay;
  private final Piece piece;
  private final Box box;
  private final Rect rect;
  private final AffineTransform toSheet;

  LayWords(Lay lay, Piece piece, Box box, AffineTransform toSheet) {
    this.lay = lay;
    this.piece = piece;
    this.box = box;
    this.rect = Rect.of(box);
    this.toSheet = toSheet;
  }

  /** The words as marks in their box. */
  List<Mark> marks(Words words) {
    Typeface face = lay.typefaces.orStandIn(words.type().face());
    if (!lay.typefaces.has(words.type().face())) {
      lay.absent.add(
          piece.name() + " (its typeface is not here, " + face.name() + " stands for it)");
    }
    Emphasised text = words.on(lay.book);
    boolean round = words.outline() != null && words.outline().side() == Stroke.Side.OUTSIDE;
    Pen outline = words.outline() == null || round ? null : lay.fills.pen(words.outline(), rect, 1);
    WordsSetting setting =
        WordsSetting.of(
            words,
            text,
            lay.typefaces,
            lay.language(words),
            rect,
            lay.fills.of(words.paint(), rect),
            outline,
            toSheet);
    if (piece.id().equals(lay.caretOf)) {
      lay.carets.addAll(setting.carets(words, face, rect, toSheet, words.source(lay.book)));
    }
    lay.laid.add(
        new Laid.Words(
            piece.id(),
            piece.name(),
            Outlines.of(box, toSheet),
            setting.ink(),
            Length.nearMm(setting.set().size()),
            setting.set().overflowing(),
            setting.set().missing(),
            named(face),
            lay.typefaces.instead(face, text.text() + setting.set().missing()).map(this::named),
            words.said(lay.book).empty(),
            words.said(lay.book).unknown(),
            setting.set().lacks(),
            new Laid.Said(
                text.text(),
                words.fact(),
                inks(words, setting),
                isInRichBlack(words),
                angle(words.setting().direction())),
            largestOnSpine(words, face)));
    List<Mark> marks = new ArrayList<>();
    if (words.panel() != null && !setting.marks().isEmpty()) {
      Mark panel = WordsPanel.of(words, setting.extent(), lay.fills);
      marks.add(panel);
      lay.laid.add(
          new Laid.Area(
              piece.id(),
              piece.name(),
              Outlines.hull(WordsPanel.area(words, setting.extent()), toSheet)));
    }
    if (round) {
      // twice as wide, under the letters: half of it is seen
      marks.add(
          new Mark.Path(
              WordsSetting.letters(setting.marks()),
              null,
              lay.fills.pen(words.outline(), rect, 2)));
    }
    marks.addAll(words.through() == null ? setting.marks() : seenThrough(words.through(), setting));
    return marks;
  }

  /** A picture cut by letters, and the letters themselves unseen, to be found and copied. */
  private List<Mark> seenThrough(Content.Picture content, WordsSetting setting) {
    Optional<Picture> found = lay.pictures.find(content.sha());
    if (setting.marks().isEmpty()) {
      return setting.marks();
    }
    if (found.isEmpty()) {
      lay.absent.add(piece.name() + " (its picture’s file is not here)");
      return setting.marks();
    }
    FramedPicture framed = new FramedPicture(found.get(), content, rect);
    lay.laid.add(framed.laid(piece.id(), piece.name(), toSheet));
    List<Mark> marks = new ArrayList<>();
    marks.add(
        new Mark.Group(
            "",
            Effects.clipped(WordsSetting.letters(setting.marks())),
            List.of(framed.mark(lay.fills, null))));
    setting.marks().forEach(m -> marks.add(((Mark.Glyphs) m).unseen()));
    return marks;
  }

  /** The most inks that any colour of the letters takes. */
  private int inks(Words words, WordsSetting setting) {
    Length size = Length.nearMm(setting.set().size());
    boolean flat = words.paint() instanceof Paint.Flat;
    return words
        .paint()
        .colours()
        .map(lay.fills::solid)
        .mapToInt(c -> flat ? BlackAlone.inks(c, size) : c.inks())
        .max()
        .orElse(0);
  }

  /** The way its lines run on the sheet. */
  private double angle(Setting.Direction way) {
    double[] run =
        switch (way) {
          case LEVEL -> new double[] {1, 0};
          case DOWN -> new double[] {0, 1};
          case UP -> new double[] {0, -1};
        };
    toSheet.deltaTransform(run, 0, run, 0, 1);
    double degrees = Math.toDegrees(Math.atan2(run[1], run[0]));
    return (degrees + 360) % 360;
  }

  private boolean isInRichBlack(Words words) {
    return words.paint() instanceof Paint.Flat
        && words.paint().colours().map(lay.fills::solid).anyMatch(BlackAlone::isRich);
  }

  private Laid.Face named(Typeface face) {
    Family family = lay.typefaces.familyOf(face);
    return new Laid.Face(face.id(), face.name(), family.name(), family.classification().isFine());
  }

  private Length largestOnSpine(Words words, Typeface face) {
    if (words.setting().direction() == Setting.Direction.LEVEL) {
      return Length.ZERO;
    }
    return lay.wrap
        .box(Region.safe(PanelKind.SPINE))
        .map(band -> Length.nearMm(Setter.largestIn(face, band.width().toMm())))
        .orElse(Length.ZERO);
  }
}
