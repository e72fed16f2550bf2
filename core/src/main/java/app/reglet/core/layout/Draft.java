package app.reglet.core.layout;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Framing;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Stroke;
import app.reglet.core.design.Tiling;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A layout while it is being laid: what every layout does the same way. */
final class Draft extends Places {
  private static final Colour.Rgb DARK = new Colour.Rgb(0x1d2327);
  private static final Colour.Rgb PALE = new Colour.Rgb(0xfbf8f1);
  private static final double TONE = 0.11;

  final Book book;
  final TypePair pair;
  private final Design before;
  private final Dress dress;
  private final Dyes dyes;
  private final List<Piece> pieces = new ArrayList<>();
  private Ground ground;
  private Composition inside;

  /**
   * @param scheme that of the layout, where the dress has none
   * @param pair that of the layout, where the dress has none
   */
  Draft(Wrap wrap, Book book, Design before, Dress dress, Scheme scheme, TypePair pair) {
    super(wrap);
    this.book = book;
    this.before = before;
    this.dress = dress;
    this.dyes =
        new Dyes(
            dress
                .scheme()
                .or(
                    () ->
                        Optional.of(before.palette().values())
                            .filter(p -> dress.kept() && !p.isEmpty())
                            .map(Scheme::of))
                .orElse(scheme));
    this.pair = dress.pair().or(() -> TypePair.needed(book.title())).orElse(pair);
    this.ground = before.outside().ground();
  }

  /** Whether the ground that the cover has stays. */
  boolean keepsGround() {
    return dress.kept() && dress.scheme().isEmpty() && dress.picture().isEmpty();
  }

  /** The design with what was laid on its outside, and on its inside where that is printed. */
  Design design() {
    Map<String, Colour.Solid> palette = new LinkedHashMap<>(before.palette());
    palette.putAll(dyes.named());
    Composition outside =
        keepsGround() && ground == before.outside().ground()
            ? before.outside().withPieces(pieces)
            : new Composition(ground, pieces);
    Composition within = inside == null ? before.inside() : inside;
    return new Design(palette, outside.besides(within), within);
  }

  // colours

  /** The colour of a role, by its name in the palette. */
  Colour colour(Role role) {
    return dyes.colour(role);
  }

  /** The colour that words of any size are read in on a ground. */
  Colour on(Role ground) {
    return dyes.on(ground);
  }

  /** Whether words on a ground are lighter than it. */
  boolean isDark(Role ground) {
    return dyes.isDark(ground);
  }

  /** The colour that large words are read in on a ground. */
  Colour large(Role ground) {
    return dyes.large(ground);
  }

  /** The colour of a role for large words on a ground, where it is read there. */
  Colour large(Role wished, Role ground) {
    return dyes.large(wished, ground);
  }

  /** The colour of a role for small words on a ground, where it is read there. */
  Colour small(Role wished, Role ground) {
    return dyes.small(wished, ground);
  }

  /** Words on the ground that the cover has: dark on a light one, light on a dark one. */
  Colour onKept() {
    double light =
        before
            .outside()
            .ground()
            .paint()
            .colours()
            .mapToDouble(c -> before.solid(c).lightness())
            .average()
            .orElse(1);
    return light > 0.5 ? DARK : PALE;
  }

  /** What a band on the ground that the cover has is filled with, and what is written on it. */
  Colour keptBand() {
    return PALE;
  }

  Colour onKeptBand() {
    return DARK;
  }

  // grounds

  void ground(Ground other) {
    ground = other;
  }

  /** One colour all over. */
  void ground(Role role) {
    ground = Ground.plain(colour(role));
  }

  /** The picture, to be seen whole where it is clear in places: a sign is not cropped. */
  Optional<Content.Picture> picture() {
    Framing whole = new Framing(Focus.MIDDLE, 1, Framing.Fit.WHOLE, 0, false);
    return dress
        .picture()
        .map(p -> Content.Picture.of(p.sha()))
        .map(p -> isClear() ? p.withFraming(whole) : p);
  }

  /** The picture, to cover an area; none where it is clear in places. */
  Optional<Content.Picture> photo() {
    return picture().filter(p -> !isClear());
  }

  /** How light the picture is on the whole: 0 black to 1 white, as it is seen. */
  double lightness() {
    return dress.picture().map(p -> new Colour.Rgb(p.mean()).lightness()).orElse(0.0);
  }

  /** Whether there is a picture that is clear in places. */
  boolean isClear() {
    return dress.picture().filter(Dress.Shown::clear).isPresent();
  }

  /** A motif that repeats, so wide as a share of the front's width, to be laid on a role. */
  private Content.Pattern pattern(
      String ornament, Role on, double width, double gap, Tiling.Stagger way) {
    Length wide = w(width).max(Tiling.LEAST);
    return new Content.Pattern(
        new Motif.Drawn(ornament, List.of(on(on))), new Tiling(wide, w(gap), w(gap), way, 0));
  }

  /**
   * A motif tone on tone all over an area. It lets the colour under it through, so it follows where
   * that changes; it is locked, since it is under everything.
   */
  Piece tone(
      String id,
      Anchors anchors,
      String ornament,
      Role on,
      double width,
      double gap,
      Tiling.Stagger way) {
    return new Piece(id, "Pattern", anchors, pattern(ornament, on, width, gap, way))
        .withAppearance(Appearance.PLAIN.withOpacity(TONE))
        .locked(true);
  }

  /** The same all over the sheet. */
  void tone(String ornament, Role on, double width, double gap, Tiling.Stagger way) {
    add(tone("pattern-1", Anchors.filling(Region.SHEET), ornament, on, width, gap, way));
  }

  void add(Piece piece) {
    pieces.add(piece);
  }

  /** Whether a piece of this id is laid. */
  boolean has(String id) {
    return pieces.stream().anyMatch(p -> p.id().equals(id));
  }

  void add(String id, String name, Anchors anchors, Content content) {
    add(new Piece(id, name, anchors, content));
  }

  /** An area of one colour. */
  void area(String id, String name, Anchors anchors, Colour colour) {
    add(id, name, anchors, Content.Shape.band(colour));
  }

  /** A thin level line. */
  void rule(String id, Anchors anchors, Colour colour, String points) {
    line(id, Figure.Line.Way.LEVEL, anchors, colour, points);
  }

  void line(String id, Figure.Line.Way way, Anchors anchors, Colour colour, String points) {
    Stroke stroke = new Stroke(Paint.of(colour), Length.pt(points), List.of(), Stroke.Side.CENTRED);
    add(id, "Line", anchors, new Content.Shape(new Figure.Line(way), null, stroke));
  }

  /** A picture, or a motif on an area of a role. */
  void pictured(String id, Anchors anchors, Role role, String ornament, double width) {
    if (photo().isPresent()) {
      add(id, "Picture", anchors, photo().get());
    } else {
      area(id, "Area", anchors, colour(role));
      add(tone(id + "-pattern", anchors, ornament, role, width, width / 6, Tiling.Stagger.BRICK));
    }
  }

  /** A frame. */
  void frame(String id, String name, Anchors anchors, Colour colour, Length width) {
    add(
        id,
        name,
        anchors,
        new Content.Shape(
            Figure.RECTANGLE,
            null,
            new Stroke(Paint.of(colour), width, List.of(), Stroke.Side.INSIDE)));
  }

  void ornament(String id, String name, String ornament, Anchors anchors, Colour... inks) {
    add(id, name, anchors, new Content.Ornament(new Motif.Drawn(ornament, List.of(inks))));
  }

  /** The title in the largest letters its box takes, its lines alike in length. */
  void title(Anchors anchors, Colour colour, Setting.Align align, Setting.VerticalAlign vertical) {
    add(Fact.TITLE.id(), Fact.TITLE.title(), anchors, titled(colour, align, vertical));
  }

  Words titled(Colour colour, Setting.Align align, Setting.VerticalAlign vertical) {
    Words words =
        Words.of(Fact.TITLE, "", pair.display(), size(0.16), colour)
            .aligned(align, vertical)
            .withLeading(1.04);
    return words
        .withType(words.type().withFit(Type.Fit.LARGEST))
        .withSetting(words.setting().breaking(Setting.Breaks.BALANCED, false, false));
  }

  void words(
      Fact fact,
      Anchors anchors,
      String face,
      double size,
      Colour colour,
      Setting.Align align,
      Setting.VerticalAlign vertical) {
    add(
        fact.id(),
        fact.title(),
        anchors,
        Words.of(fact, "", face, size(size), colour).aligned(align, vertical).withLeading(1.08));
  }

  void inside(Composition composition) {
    inside = composition;
  }

  boolean isInsidePrinted() {
    return wrap.spec().insidePrinted();
  }
}
