package app.reglet.core.recut;

import app.reglet.core.Refusal;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Line;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Span;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A finished sheet cut at its folds and laid on another. Its front and back keep their proportion,
 * its spine keeps its size in the middle of the new one, and where bleed is lacking its edges are
 * mirrored. What a file does not say, its old spine above all, follows from its proportion: its
 * height is that of the sheet, and the spine is what is left of its width. Our own rules; mirrored
 * edges for lacking bleed are common practice, no single source. Lengths are doubles in mm.
 *
 * @param wrap the sheet it is laid on
 * @param file the finished file
 * @param choices what its file does not say
 */
public record Recut(Wrap wrap, FinishedSheet file, Choices choices) {
  /** Two sides this much alike are laid over each other by stretching, else by cutting. */
  private static final double ALIKE = 0.02;

  /** Less than this is no difference, mm. */
  private static final double SAME = 0.02;

  /** A page that is so nearly as high as a sheet is that sheet, mm. */
  private static final double AS_HIGH = 0.6;

  private static final double LEAST_SPINE = 0.5;
  private static final double MOST_SPINE = 120;

  /** Bleed of a picture of three panels, which has no size: an eighth of an inch. */
  private static final double USUAL_BLEED = 3.175;

  /**
   * What its file does not say.
   *
   * @param bled whether it goes on beyond the trim
   * @param threeParts whether it is back, spine and front alone, whatever the new sheet has
   * @param spine the spine it was made for, empty for what its width says
   * @param stretched whether the spine is drawn out to the new one, words and all
   */
  public record Choices(
      boolean bled, boolean threeParts, Optional<Length> spine, boolean stretched) {}

  /**
   * A part of the file and where it comes to lie, mm.
   *
   * @param kinds the panels it covers, from left to right
   * @param from its left fold in the file
   * @param to its right fold in the file
   * @param across how much wider it gets, 1 for as it was
   * @param down how much higher
   * @param cutAcross what is cut off its width at each side, in the new size
   * @param cutDown what is cut off its height at top and bottom
   */
  public record Part(
      List<PanelKind> kinds,
      double from,
      double to,
      double across,
      double down,
      double cutAcross,
      double cutDown) {
    public Part {
      kinds = List.copyOf(kinds);
    }

    /** Whether it keeps its size in each way. */
    public boolean isAsItWas() {
      return Math.abs(across - 1) < 5e-4 && Math.abs(down - 1) < 5e-4 && !isCut();
    }

    public boolean isCut() {
      return cutAcross > SAME || cutDown > SAME;
    }
  }

  /**
   * What came of it.
   *
   * @param side the outside of the new cover
   * @param parts of the file
   * @param scale how much larger the file is taken than its page says; 1 for a picture
   * @param spine the spine in the file, empty where it has none
   * @param bleed how far the file goes beyond its trim, mm
   * @param wanted how far the new sheet does
   * @param lacking panels that the file has not
   */
  public record Result(
      Composition side,
      List<Part> parts,
      double scale,
      Optional<Length> spine,
      double bleed,
      double wanted,
      Set<PanelKind> lacking) {
    public Result {
      parts = List.copyOf(parts);
      lacking = Set.copyOf(lacking);
    }
  }

  /**
   * What a file seems to be: of the ways in which it is a cover at all, the one that takes it most
   * nearly at its own size; a picture, which has none, with bleed and the panels of the sheet
   * before others.
   */
  public static Choices seeming(Wrap wrap, FinishedSheet file) {
    Choices best = new Choices(true, false, Optional.empty(), false);
    double off = Double.MAX_VALUE;
    for (boolean three : new boolean[] {false, true}) {
      for (boolean bled : new boolean[] {true, false}) {
        Choices c = new Choices(bled, three, Optional.empty(), false);
        try {
          double by = Math.abs(Math.log(new Recut(wrap, file, c).result().scale()));
          if (by < off - 1e-9) {
            off = by;
            best = c;
          }
        } catch (Refusal no) {
          // it can't be that
        }
      }
    }
    return best;
  }

  private double outerHeight() {
    return choices.threeParts() ? wrap.spec().trim().height().toMm() : trimmed().height().toMm();
  }

  private Box trimmed() {
    return wrap.trimmed();
  }

  /** What the file has beyond its trim, mm. */
  private double bleed() {
    if (!choices.bled()) {
      return 0;
    }
    if (!choices.threeParts()) {
      return trimmed().top().toMm();
    }
    return file.size()
        .map(s -> (s.height().toMm() - outerHeight()) / 2)
        .filter(b -> b > 0 && b < 26)
        .orElse(USUAL_BLEED);
  }

  /** The parts of the file: what each covers, and how wide it is there, mm; 0 for the spine. */
  private Map<List<PanelKind>, Double> columns() {
    Map<List<PanelKind>, Double> columns = new java.util.LinkedHashMap<>();
    if (!choices.threeParts()) {
      for (Panel p : wrap.panels()) {
        columns.put(List.of(p.kind()), p.kind() == PanelKind.SPINE ? 0 : p.trim().width().toMm());
      }
      return columns;
    }
    List<PanelKind> run = new ArrayList<>();
    PanelKind of = null;
    double width = wrap.spec().trim().width().toMm();
    for (Panel p : wrap.panels()) {
      if (p.kind().isFlap()) {
        continue;
      }
      if (of != null && p.kind().board() != of) {
        columns.put(List.copyOf(run), of == PanelKind.SPINE ? 0 : width);
        run.clear();
      }
      of = p.kind().board();
      run.add(p.kind());
    }
    columns.put(List.copyOf(run), of == PanelKind.SPINE ? 0 : width);
    return columns;
  }

  /**
   * Cuts and lays it.
   *
   * @throws Refusal when the file can't be such a sheet, with the figures
   */
  public Result result() {
    double bleed = bleed();
    double height = outerHeight() + 2 * bleed;
    double asked = file.size().map(s -> s.height().toMm()).orElse(height);
    double scale = Math.abs(asked - height) <= AS_HIGH ? 1 : height / asked;
    double fileHeight = scale == 1 ? asked : height;
    double fileWidth =
        file.size().map(s -> s.width().toMm() * scale).orElse(fileHeight * file.ratio());
    Map<List<PanelKind>, Double> columns = columns();
    double others = columns.values().stream().mapToDouble(w -> w).sum();
    boolean hasSpine = columns.containsKey(List.of(PanelKind.SPINE));
    double left = fileWidth - others - 2 * bleed;
    double spine = hasSpine ? choices.spine().map(Length::toMm).orElse(left) : 0;
    if (hasSpine && (spine < LEAST_SPINE || spine > MOST_SPINE)) {
      throw notSuch(fileWidth, others + 2 * bleed, spine);
    }
    if (!hasSpine && Math.abs(left) > others * ALIKE) {
      throw notSuch(fileWidth, others + 2 * bleed, left);
    }
    // what the width is more or less than told is shared out at both sides
    double x = bleed + (hasSpine ? (left - spine) / 2 : 0);
    double drawn = hasSpine ? 1 : (others + left) / others;
    double top = bleed + (fileHeight - height) / 2;
    double trimHeight = fileHeight - 2 * top;
    List<Fold> folds = new ArrayList<>();
    for (Map.Entry<List<PanelKind>, Double> column : columns.entrySet()) {
      boolean isSpine = column.getKey().equals(List.of(PanelKind.SPINE));
      double width = isSpine ? spine : column.getValue() * drawn;
      folds.add(new Fold(column.getKey(), x, x + width));
      x += width;
    }
    OptionalDouble common = common(folds, trimHeight);
    List<Part> parts = new ArrayList<>();
    List<Piece> pieces = new ArrayList<>();
    Laying laying = new Laying(fileWidth, fileHeight, top, fileHeight - top);
    for (Fold f : folds) {
      Part part = part(f, trimHeight, common);
      parts.add(part);
      if (f.isSpine()) {
        pieces.addAll(0, laying.spine(part));
      } else {
        pieces.add(laying.piece(part));
      }
    }
    Set<PanelKind> lacking = EnumSet.noneOf(PanelKind.class);
    wrap.panels().forEach(p -> lacking.add(p.kind()));
    parts.forEach(p -> lacking.removeAll(p.kinds()));
    return new Result(
        new Composition(Ground.plain(Colour.WHITE), pieces),
        parts,
        scale,
        hasSpine ? Optional.of(Length.nearMm(spine)) : Optional.empty(),
        bleed,
        trimmed().top().toMm(),
        lacking);
  }

  private Refusal notSuch(double width, double others, double left) {
    return new Refusal(
        "file",
        String.format(
            java.util.Locale.ROOT,
            "At the height of this sheet the file is %.1f mm wide; front, back and the like take %.1f mm of it, which leaves %.1f mm for a spine: no cover of this trim. See that trim and binding on the docket are those of the file, and whether it has bleed.",
            width,
            others,
            left));
  }

  /** A part of the file between its folds. */
  private record Fold(List<PanelKind> kinds, double from, double to) {
    boolean isSpine() {
      return kinds.equals(List.of(PanelKind.SPINE));
    }
  }

  private double across(Fold f) {
    return trim(f.kinds()).width().toMm() / (f.to() - f.from());
  }

  private double down(Fold f, double height) {
    return trim(f.kinds()).height().toMm() / height;
  }

  /**
   * One size for all parts, where one of them must be cut to its panel: what runs over a fold goes
   * on there.
   */
  private OptionalDouble common(List<Fold> folds, double height) {
    List<Fold> boards = folds.stream().filter(f -> !f.isSpine()).toList();
    return boards.stream().allMatch(f -> Math.abs(across(f) / down(f, height) - 1) <= ALIKE)
        ? OptionalDouble.empty()
        : boards.stream().mapToDouble(f -> Math.max(across(f), down(f, height))).max();
  }

  /** How a part of the file comes to lie on its panels. */
  private Part part(Fold f, double height, OptionalDouble common) {
    Box there = trim(f.kinds());
    double across = across(f);
    double down = common.orElse(down(f, height));
    double cut = Math.max(0, (height * down - there.height().toMm()) / 2);
    if (f.isSpine()) {
      double own = (f.to() - f.from()) * down;
      double over = choices.stretched() ? 0 : Math.max(0, (own - there.width().toMm()) / 2);
      return new Part(
          f.kinds(), f.from(), f.to(), choices.stretched() ? across : down, down, over, cut);
    }
    return common.isEmpty()
        ? new Part(f.kinds(), f.from(), f.to(), across, down, 0, 0)
        : new Part(
            f.kinds(),
            f.from(),
            f.to(),
            down,
            down,
            ((f.to() - f.from()) * down - there.width().toMm()) / 2,
            cut);
  }

  private Box trim(List<PanelKind> kinds) {
    return joined(kinds, false);
  }

  private Box joined(List<PanelKind> kinds, boolean withBleed) {
    List<Box> boxes =
        kinds.stream()
            .map(k -> wrap.panel(k).orElseThrow())
            .map(p -> withBleed ? p.art() : p.trim())
            .toList();
    Box first = boxes.get(0);
    Box last = boxes.get(boxes.size() - 1);
    return new Box(first.left(), first.top(), last.right().minus(first.left()), first.height());
  }

  /** Pieces of a file whose trim goes from top to bottom, mm. */
  private final class Laying {
    private final double width;
    private final double height;
    private final double top;
    private final double bottom;

    Laying(double width, double height, double top, double bottom) {
      this.width = width;
      this.height = height;
      this.top = top;
      this.bottom = bottom;
    }

    /** A part over its panels, bleed and all. */
    Piece piece(Part p) {
      PanelKind first = p.kinds().get(0);
      PanelKind last = p.kinds().get(p.kinds().size() - 1);
      Region from = new Region(Region.Bounds.BLEED, first);
      Region to = new Region(Region.Bounds.BLEED, last);
      Anchors anchors =
          new Anchors(
              new Span.Stretched(
                  new Line(from, Line.Edge.LEFT),
                  Length.ZERO,
                  new Line(to, Line.Edge.RIGHT),
                  Length.ZERO),
              Anchors.filling(from).down());
      PanelKind board = last.board() == last ? last : first.board();
      return piece(board.id(), board.title(), anchors, p);
    }

    private Piece piece(String id, String name, Anchors anchors, Part p) {
      Box there = joined(p.kinds(), true);
      Box trim = trim(p.kinds());
      double over = trim.left().minus(there.left()).toMm();
      double beyond = there.right().minus(trim.right()).toMm();
      double above = trim.top().minus(there.top()).toMm();
      double below = there.bottom().minus(trim.bottom()).toMm();
      return new Piece(
          "cut-" + id,
          name,
          anchors,
          new Content.Cutting(
              file.sha(),
              file.page(),
              at(p.from() + (p.cutAcross() - over) / p.across(), width),
              at(top + (p.cutDown() - above) / p.down(), height),
              at(p.to() - (p.cutAcross() - beyond) / p.across(), width),
              at(bottom - (p.cutDown() - below) / p.down(), height)));
    }

    /**
     * The spine as it was in the middle, over itself drawn out to the new one; front and back lie
     * over what of it is too wide.
     */
    List<Piece> spine(Part p) {
      Region spine = new Region(Region.Bounds.BLEED, PanelKind.SPINE);
      Box there = trim(p.kinds());
      Part out =
          new Part(
              p.kinds(),
              p.from(),
              p.to(),
              there.width().toMm() / (p.to() - p.from()),
              p.down(),
              0,
              p.cutDown());
      double own = (p.to() - p.from()) * p.down();
      boolean same = Math.abs(own - there.width().toMm()) <= SAME;
      if (same || choices.stretched()) {
        return List.of(piece("spine", "Spine", Anchors.filling(spine), out));
      }
      Anchors middle =
          new Anchors(
              new Span.Hung(
                  new Line(spine, Line.Edge.CENTRE),
                  Span.Part.MIDDLE,
                  Length.ZERO,
                  Length.nearMm(own)),
              Anchors.filling(spine).down());
      Part whole = new Part(p.kinds(), p.from(), p.to(), p.down(), p.down(), 0, p.cutDown());
      return List.of(
          piece("spine-under", "Spine, drawn out", Anchors.filling(spine), out),
          piece("spine", "Spine", middle, whole));
    }

    /** In the unit square; a hair beyond its edge is its edge. */
    private double at(double mm, double whole) {
      double at = mm / whole;
      return Math.abs(mm) < SAME ? 0 : Math.abs(mm - whole) < SAME ? 1 : at;
    }
  }
}
