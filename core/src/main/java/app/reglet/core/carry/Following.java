package app.reglet.core.carry;

import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A cover that was carried, and its origin that went on: what the origin changed is the difference
 * of two carries of it, and what the cover changed by itself is its difference from the first.
 *
 * @param base the origin as it was, carried here
 * @param theirs the origin as it is, carried here
 * @param mine the cover as it is
 * @param made the cover as it was carried: what is still as it was then is not its own, though the
 *     origin carried here now, from the sheet it has now, would be another
 */
public record Following(Design base, Design theirs, Design mine, Design made) {
  private static final String GROUND = Offer.GROUND;
  private static final String COLOUR = Offer.COLOUR;
  private static final String ALL = "all";

  /** A cover that was carried from the sheet that its origin has. */
  public Following(Design base, Design theirs, Design mine) {
    this(base, theirs, mine, base);
  }

  /** All that the origin changed and the cover is not alike in. */
  public List<Offer> offers() {
    List<Offer> offers = new ArrayList<>();
    palette(offers);
    for (PrintedSide side : PrintedSide.values()) {
      ground(side, offers);
      order(side, offers);
    }
    Set<String> ids = new LinkedHashSet<>();
    ids(theirs, ids);
    ids(base, ids);
    ids.forEach(id -> piece(id, offers));
    return offers;
  }

  /** In what the cover has gone its own way, whether the origin changed that or not. */
  public List<Offer> own() {
    Set<String> since =
        new Following(made, mine, made)
            .offers().stream().map(Offer::key).collect(Collectors.toSet());
    return new Following(base, mine, base)
        .offers().stream().filter(o -> since.contains(o.key())).toList();
  }

  private static void ids(Design design, Set<String> ids) {
    for (PrintedSide side : PrintedSide.values()) {
      design.side(side).pieces().forEach(p -> ids.add(p.id()));
    }
  }

  private static Optional<Piece> loose(Design design, String id) {
    return design.piece(id).filter(p -> design.side(design.sideOf(id)).isLoose(id));
  }

  private void palette(List<Offer> offers) {
    Set<String> names = new LinkedHashSet<>(theirs.palette().keySet());
    names.addAll(base.palette().keySet());
    for (String name : names) {
      Colour.Solid was = base.palette().get(name);
      Colour.Solid is = theirs.palette().get(name);
      Colour.Solid own = mine.palette().get(name);
      // a colour that was taken out of the palette is taken out of the pieces first
      if (is != null && !is.equals(was) && !is.equals(own)) {
        offers.add(
            new Offer(
                COLOUR + name,
                name,
                "colour of the palette",
                isOwn(own, was, made.palette().get(name))));
      }
    }
  }

  private void ground(PrintedSide side, List<Offer> offers) {
    Object was = grounds(base.side(side));
    Object is = grounds(theirs.side(side));
    Object own = grounds(mine.side(side));
    if (!is.equals(was) && !is.equals(own)) {
      String name = side == PrintedSide.OUTSIDE ? "Ground" : "Ground of the inside";
      offers.add(
          new Offer(
              GROUND + "/" + side.id(), name, "ground", isOwn(own, was, grounds(made.side(side)))));
    }
  }

  private static boolean isOwn(Object own, Object base, Object made) {
    return !Objects.equals(own, base) && !Objects.equals(own, made);
  }

  private static Object grounds(Composition c) {
    return List.of(c.ground(), c.parts());
  }

  /** Which of the pieces that are on all three lie over which. */
  private void order(PrintedSide side, List<Offer> offers) {
    List<String> was = common(base, side);
    List<String> is = common(theirs, side);
    List<String> own = common(mine, side);
    if (!is.equals(was) && !is.equals(own)) {
      offers.add(
          new Offer(
              Offer.ORDER + "/" + side.id(),
              side == PrintedSide.OUTSIDE ? "Pieces" : "Pieces of the inside",
              "which lies over which",
              isOwn(own, was, common(made, side))));
    }
  }

  private List<String> common(Design design, PrintedSide side) {
    return design.side(side).pieces().stream()
        .map(Piece::id)
        .filter(
            id ->
                base.side(side).isLoose(id)
                    && theirs.side(side).isLoose(id)
                    && mine.side(side).isLoose(id))
        .toList();
  }

  /** A side with the pieces that all have in their places lying as they lie at the origin. */
  private Composition ordered(Composition c, PrintedSide side) {
    List<String> there = common(theirs, side).stream().filter(c::isLoose).toList();
    Iterator<String> next = there.iterator();
    return c.withPieces(
        c.pieces().stream()
            .map(p -> there.contains(p.id()) ? c.piece(next.next()).orElseThrow() : p)
            .toList());
  }

  private void piece(String id, List<Offer> offers) {
    Piece was = loose(base, id).orElse(null);
    Piece is = loose(theirs, id).orElse(null);
    Piece own = loose(mine, id).orElse(null);
    Piece first = loose(made, id).orElse(null);
    String key = id + "/" + ALL;
    if (was == null) {
      if (own == null) {
        offers.add(new Offer(key, is.name(), "new piece", false));
      }
      return;
    }
    if (is == null) {
      if (own != null) {
        offers.add(new Offer(key, was.name(), "taken off", isOwn(own, was, first)));
      }
      return;
    }
    if (own == null) {
      if (!is.equals(was)) {
        offers.add(new Offer(key, is.name(), "changed; it is not on this cover", true));
      }
      return;
    }
    for (Aspect a : Aspect.values()) {
      if (!a.isAlike(was, is) && !a.isAlike(is, own)) {
        offers.add(
            new Offer(
                id + "/" + a.name().toLowerCase(java.util.Locale.ROOT),
                is.name(),
                a.said(),
                !a.isAlike(was, own) && (first == null || !a.isAlike(first, own))));
      }
    }
  }

  /** The cover with some of its offers taken; others than it has are without effect. */
  public Design taking(Collection<String> keys) {
    List<String> taken = offers().stream().map(Offer::key).filter(keys::contains).toList();
    if (taken.isEmpty()) {
      return mine;
    }
    Map<String, Colour.Solid> palette = new LinkedHashMap<>(mine.palette());
    for (String key : taken) {
      if (key.startsWith(COLOUR)) {
        String name = key.substring(COLOUR.length());
        palette.put(name, theirs.palette().get(name));
      }
    }
    // what is taken may be in colours that the cover has not
    theirs.palette().forEach(palette::putIfAbsent);
    Design design = mine.withPalette(palette);
    for (String key : taken) {
      if (!key.startsWith(COLOUR)) {
        design = taking(design, key);
      }
    }
    return design;
  }

  private Design taking(Design design, String key) {
    int slash = key.lastIndexOf('/');
    String id = key.substring(0, slash);
    String what = key.substring(slash + 1);
    for (PrintedSide side : PrintedSide.values()) {
      if (id.equals(GROUND) && side.id().equals(what)) {
        Composition from = theirs.side(side);
        return design.changed(side, c -> new Composition(from.ground(), from.parts(), c.pieces()));
      }
      if (id.equals(Offer.ORDER) && side.id().equals(what)) {
        return design.changed(side, c -> ordered(c, side));
      }
    }
    Piece is = loose(theirs, id).orElse(null);
    if (what.equals(ALL)) {
      if (is == null) {
        return design.changed(design.sideOf(id), c -> c.without(List.of(id)));
      }
      return design.piece(id).isPresent()
          ? design.changed(id, p -> is)
          : design.changed(theirs.sideOf(id), c -> c.inserted(place(c, id), is));
    }
    Aspect aspect = Aspect.valueOf(what.toUpperCase(java.util.Locale.ROOT));
    return design.changed(id, p -> aspect.taken(p, is));
  }

  /** Over what it lies over at the origin, as far as that is here. */
  private int place(Composition here, String id) {
    List<Piece> there = theirs.side(theirs.sideOf(id)).pieces();
    int at = 0;
    for (Piece p : there) {
      if (p.id().equals(id)) {
        return at;
      }
      for (int i = 0; i < here.pieces().size(); i++) {
        if (here.pieces().get(i).id().equals(p.id())) {
          at = Math.max(at, i + 1);
        }
      }
    }
    return here.pieces().size();
  }
}
