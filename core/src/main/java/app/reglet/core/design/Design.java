package app.reglet.core.design;

import app.reglet.core.Refusal;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * A composed cover, independent of any wrap: for each printed side a ground and pieces, each
 * anchored to lines that every wrap names. A value; a change gives a new one.
 *
 * @param palette the colours that have a name, in the order in which they are shown
 * @param outside what is on the outside
 * @param inside what is on the inside
 */
public record Design(Map<String, Colour.Solid> palette, Composition outside, Composition inside) {
  /** More than any cover has; a guard against runaway documents. */
  public static final int MOST_PIECES = 200;

  /** More than anybody keeps apart. */
  public static final int MOST_SWATCHES = 64;

  /** A cover that nobody has composed yet. */
  public static final Design EMPTY = new Design(Map.of(), Composition.EMPTY, Composition.BLANK);

  public Design {
    palette = Collections.unmodifiableMap(new LinkedHashMap<>(palette));
    if (palette.size() > MOST_SWATCHES) {
      throw new Refusal("A palette holds at most " + MOST_SWATCHES + " colours.");
    }
    long count = Stream.of(outside, inside).flatMap(Composition::all).count();
    if (count > MOST_PIECES) {
      throw new Refusal(
          "A design holds at most " + MOST_PIECES + " pieces; this one would have " + count + ".");
    }
    Set<String> ids = new HashSet<>();
    Stream.of(outside, inside)
        .flatMap(Composition::all)
        .forEach(
            p -> {
              if (!ids.add(p.id())) {
                throw new Refusal("Two pieces of this design are both called “" + p.id() + "”.");
              }
            });
    for (Composition side : new Composition[] {outside, inside}) {
      Stream<Colour> used =
          Stream.concat(
              side.grounds().flatMap(Ground::colours), side.all().flatMap(Design::colours));
      Map<String, Colour.Solid> known = palette;
      used.filter(Colour.Swatch.class::isInstance)
          .map(c -> ((Colour.Swatch) c).name())
          .filter(name -> !known.containsKey(name))
          .findFirst()
          .ifPresent(
              name -> {
                throw new Refusal("The palette of this design has no colour “" + name + "”.");
              });
    }
  }

  /** Every colour that stands directly on it, each once, in the order they are met. */
  public List<Colour.Solid> direct() {
    return Arrays.stream(PrintedSide.values())
        .map(this::side)
        .flatMap(
            c ->
                Stream.concat(
                    c.grounds().flatMap(Ground::colours), c.all().flatMap(Design::colours)))
        .filter(Colour.Solid.class::isInstance)
        .map(Colour.Solid.class::cast)
        .distinct()
        .toList();
  }

  private static Stream<Colour> colours(Piece p) {
    return Stream.concat(
        p.content().colours(), p.appearance().shadow().map(Appearance.Shadow::colour).stream());
  }

  /** The pictures on it, by the SHA-256 of their files, in the order they are met. */
  public Set<String> pictures() {
    Set<String> all = new LinkedHashSet<>();
    for (PrintedSide side : PrintedSide.values()) {
      side(side)
          .grounds()
          .forEach(
              g -> {
                g.picture().ifPresent(p -> all.add(p.sha()));
                g.pattern().ifPresent(p -> add(p.motif(), all));
              });
      side(side)
          .all()
          .forEach(
              piece -> {
                if (piece.content() instanceof Content.Picture p) {
                  all.add(p.sha());
                } else if (piece.content() instanceof Content.Pattern p) {
                  add(p.motif(), all);
                } else if (piece.content() instanceof Words w && w.through() != null) {
                  all.add(w.through().sha());
                }
              });
    }
    return all;
  }

  private static void add(Motif motif, Set<String> all) {
    if (motif instanceof Motif.Pictured p) {
      all.add(p.sha());
    }
  }

  /** What a colour of this design says itself. */
  public Colour.Solid solid(Colour colour) {
    return colour instanceof Colour.Swatch swatch
        ? palette.get(swatch.name())
        : (Colour.Solid) colour;
  }

  public Composition side(PrintedSide side) {
    return side == PrintedSide.OUTSIDE ? outside : inside;
  }

  public Design with(PrintedSide side, Composition composition) {
    return side == PrintedSide.OUTSIDE
        ? new Design(palette, composition, inside)
        : new Design(palette, outside, composition);
  }

  public Design withPalette(Map<String, Colour.Solid> colours) {
    return new Design(colours, outside, inside);
  }

  /** The piece of this id, on either side, in a group or not. */
  public Optional<Piece> piece(String id) {
    return outside.piece(id).or(() -> inside.piece(id));
  }

  /** The side a piece is on. */
  public PrintedSide sideOf(String id) {
    return inside.piece(id).isPresent() ? PrintedSide.INSIDE : PrintedSide.OUTSIDE;
  }

  /** With one side changed. */
  public Design changed(PrintedSide side, UnaryOperator<Composition> how) {
    return with(side, how.apply(side(side)));
  }

  /** With a piece changed, wherever it is. */
  public Design changed(String id, UnaryOperator<Piece> how) {
    return changed(sideOf(id), c -> c.changed(id, how));
  }

  /** An id that no piece has, {@code words-3}. */
  public String freeId(String stem) {
    int n = 1;
    while (piece(stem + "-" + n).isPresent()) {
      n++;
    }
    return stem + "-" + n;
  }

  /** Whether a side is as it was before anybody composed it. */
  public boolean isUntouched(PrintedSide side) {
    return side(side).equals(side.untouched());
  }

  /** Whether nothing was composed yet on a side. */
  public boolean isEmpty(PrintedSide side) {
    return side(side).pieces().isEmpty() && side(side).grounds().noneMatch(Ground::hasPicture);
  }
}
