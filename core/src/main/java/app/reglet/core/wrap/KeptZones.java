package app.reglet.core.wrap;

import app.reglet.core.book.PageTurn;
import app.reglet.core.house.BarcodeRule;
import app.reglet.core.house.BindingRules;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Edges;
import app.reglet.core.measure.Length;
import java.util.Optional;

/**
 * What is kept clear on panels: safe zones, hinges, the barcode's place.
 *
 * @param hingeInside width of a hinge that lies in the face beside the spine, zero for none
 */
record KeptZones(BindingRules rules, PageTurn turn, Length hingeInside) {
  /** Where words may stand on a panel between two others, of which each may be lacking. */
  Box safe(PanelKind kind, Box box, PanelKind before, PanelKind after) {
    if (kind.isHinge()) {
      return new Box(box.centreX(), box.centreY(), Length.ZERO, Length.ZERO);
    }
    Length trim = rules.safe().trim();
    return box.inset(new Edges(trim, safeFrom(kind, after), trim, safeFrom(kind, before)));
  }

  private Length safeFrom(PanelKind kind, PanelKind neighbour) {
    if (neighbour == null) {
      return rules.safe().trim();
    }
    if (neighbour.isHinge()) {
      return rules.safe().hinge();
    }
    boolean besideSpine = neighbour == PanelKind.SPINE;
    if (besideSpine && hingeInside.isPositive()) {
      return hingeInside.plus(rules.safe().hinge());
    }
    return rules.safe().fold();
  }

  /** The hinge on a panel, or beside the spine where it lies inside the face. */
  Optional<Zone> hinge(PanelKind kind, Box box, PanelKind before) {
    if (kind.isHinge()) {
      return Optional.of(new Zone(Zone.Kind.HINGE, kind, box));
    }
    if (!hingeInside.isPositive() || kind != PanelKind.BACK && kind != PanelKind.FRONT) {
      return Optional.empty();
    }
    Length left = before == PanelKind.SPINE ? box.left() : box.right().minus(hingeInside);
    return Optional.of(
        new Zone(Zone.Kind.HINGE, kind, new Box(left, box.top(), hingeInside, box.height())));
  }

  /** The barcode's place on the back. */
  Box barcode(BarcodeRule b, Box back) {
    boolean spineOnRight = turn == PageTurn.LTR;
    boolean onRight = spineOnRight == (b.corner() == BarcodeRule.Corner.SPINE);
    Length fromSide =
        b.corner() == BarcodeRule.Corner.SPINE ? b.fromSide().plus(hingeInside) : b.fromSide();
    Length width = b.width().min(back.width());
    Length height = b.height().min(back.height());
    Length left = onRight ? back.right().minus(fromSide).minus(width) : back.left().plus(fromSide);
    left = left.max(back.left()).min(back.right().minus(width));
    Length top = back.bottom().minus(b.fromTail()).minus(height).max(back.top());
    return new Box(left, top, width, height);
  }
}
