package app.reglet.core.design;

import app.reglet.core.wrap.PanelKind;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What is on one printed side.
 *
 * @param ground behind everything
 * @param parts grounds of single parts, over that of the whole; a hinge goes with its board
 * @param pieces from back to front
 */
public record Composition(Ground ground, Map<PanelKind, Ground> parts, List<Piece> pieces) {
  /** A side that nobody has composed yet. */
  public static final Composition EMPTY =
      new Composition(Ground.plain(new Colour.Rgb(0xf4efe4)), List.of());

  /** A side that is not printed. */
  public static final Composition BLANK = new Composition(Ground.plain(Colour.WHITE), List.of());

  public Composition {
    parts = Collections.unmodifiableMap(new TreeMap<>(parts));
    pieces = List.copyOf(pieces);
    if (parts.keySet().stream().anyMatch(PanelKind::isHinge)) {
      throw new IllegalArgumentException("a hinge has the ground of its board");
    }
  }

  /** One ground for the whole sheet. */
  public Composition(Ground ground, List<Piece> pieces) {
    this(ground, Map.of(), pieces);
  }

  /** The ground of a part, empty when it has none of its own; of the whole when none is named. */
  public Optional<Ground> ground(Optional<PanelKind> part) {
    return part.isEmpty() ? Optional.of(ground) : Optional.ofNullable(parts.get(part.get()));
  }

  /** Every ground, the whole's first. */
  public Stream<Ground> grounds() {
    return Stream.concat(Stream.of(ground), parts.values().stream());
  }

  /** With every ground changed. */
  public Composition withGrounds(UnaryOperator<Ground> how) {
    Map<PanelKind, Ground> changed = new TreeMap<>();
    parts.forEach((part, g) -> changed.put(part, how.apply(g)));
    return new Composition(how.apply(ground), changed, pieces);
  }

  /**
   * With another ground of a part, or of the whole.
   *
   * @param g null for a part that has none of its own
   */
  public Composition withGround(Optional<PanelKind> part, Ground g) {
    if (part.isEmpty()) {
      return withGround(g);
    }
    Map<PanelKind, Ground> changed = new TreeMap<>(parts);
    if (g == null) {
      changed.remove(part.get());
    } else {
      changed.put(part.get(), g);
    }
    return new Composition(ground, changed, pieces);
  }

  /** Every piece, those in groups too, each group before its pieces. */
  public Stream<Piece> all() {
    return all(pieces);
  }

  private static Stream<Piece> all(List<Piece> pieces) {
    return pieces.stream()
        .flatMap(
            p ->
                p.content() instanceof Content.Group g
                    ? Stream.concat(Stream.of(p), all(g.pieces()))
                    : Stream.of(p));
  }

  /** The piece of this id, wherever it is. */
  public Optional<Piece> piece(String id) {
    return all().filter(p -> p.id().equals(id)).findFirst();
  }

  /** Whether a piece stands by itself, in no group. */
  public boolean isLoose(String id) {
    return pieces.stream().anyMatch(p -> p.id().equals(id));
  }

  /** The loose piece that a piece is, or is in; the id itself when there is no such piece. */
  public String looseOf(String id) {
    return pieces.stream()
        .filter(p -> p.id().equals(id) || all(List.of(p)).anyMatch(q -> q.id().equals(id)))
        .map(Piece::id)
        .findFirst()
        .orElse(id);
  }

  public Composition withGround(Ground g) {
    return new Composition(g, parts, pieces);
  }

  public Composition withPieces(List<Piece> newPieces) {
    return new Composition(ground, parts, newPieces);
  }

  /** The same, where no piece has the id of one on another side: those get ids of their own. */
  public Composition besides(Composition other) {
    Set<String> there = other.all().map(Piece::id).collect(Collectors.toSet());
    Set<String> taken = new HashSet<>(there);
    all().map(Piece::id).forEach(taken::add);
    return withPieces(renamed(pieces, there, taken));
  }

  private static List<Piece> renamed(List<Piece> pieces, Set<String> there, Set<String> taken) {
    List<Piece> out = new ArrayList<>();
    for (Piece p : pieces) {
      String id = p.id();
      for (int n = 2; there.contains(p.id()) && !taken.add(id); n++) {
        id = p.id() + "-" + n;
      }
      Piece own = p.withId(id);
      out.add(
          own.content() instanceof Content.Group g
              ? own.withContent(g.withPieces(renamed(g.pieces(), there, taken)))
              : own);
    }
    return out;
  }

  /** With a piece put in front of the others. */
  public Composition plus(Piece piece) {
    return inserted(pieces.size(), piece);
  }

  /** With a piece put before the one now at this index. */
  public Composition inserted(int index, Piece piece) {
    List<Piece> more = new ArrayList<>(pieces);
    more.add(index, piece);
    return withPieces(more);
  }

  /** Whether a piece is a part of a group whose pieces stand in one line. */
  public boolean isInRow(String id) {
    return all()
        .anyMatch(
            p ->
                p.content() instanceof Content.Group g
                    && g.row() != null
                    && g.pieces().stream().anyMatch(m -> m.id().equals(id)));
  }

  /** With a piece changed, wherever it is. */
  public Composition changed(String id, UnaryOperator<Piece> how) {
    return withPieces(changed(pieces, id, how));
  }

  private static List<Piece> changed(List<Piece> pieces, String id, UnaryOperator<Piece> how) {
    return pieces.stream()
        .map(
            p ->
                p.id().equals(id)
                    ? how.apply(p)
                    : p.content() instanceof Content.Group g
                        ? p.withContent(g.withPieces(changed(g.pieces(), id, how)))
                        : p)
        .toList();
  }

  /** Without these pieces; a group that would be left empty goes too. */
  public Composition without(Collection<String> ids) {
    return withPieces(without(pieces, ids));
  }

  private static List<Piece> without(List<Piece> pieces, Collection<String> ids) {
    List<Piece> left = new ArrayList<>();
    for (Piece p : pieces) {
      if (ids.contains(p.id())) {
        continue;
      }
      if (p.content() instanceof Content.Group g) {
        List<Piece> inside = without(g.pieces(), ids);
        if (!inside.isEmpty()) {
          left.add(inside.equals(g.pieces()) ? p : p.withContent(g.withPieces(inside)));
        }
      } else {
        left.add(p);
      }
    }
    return left;
  }

  /** With a piece moved so many places towards the front (+) or back (−), among its neighbours. */
  public Composition reordered(String id, int by) {
    return withPieces(reordered(pieces, id, by));
  }

  private static List<Piece> reordered(List<Piece> pieces, String id, int by) {
    for (int i = 0; i < pieces.size(); i++) {
      Piece p = pieces.get(i);
      if (p.id().equals(id)) {
        List<Piece> other = new ArrayList<>(pieces);
        other.remove(i);
        other.add(Math.max(0, Math.min(other.size(), i + by)), p);
        return other;
      }
    }
    return pieces.stream()
        .map(
            p ->
                p.content() instanceof Content.Group g
                    ? p.withContent(g.withPieces(reordered(g.pieces(), id, by)))
                    : p)
        .toList();
  }
}
