package app.reglet.core.design;

import app.reglet.core.book.Fact;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Region;

/** A band of colour across the whole sheet carries title and author. */
record TidemarkLayout(LayoutDraft d) {
  void lay() {
    Length rise = d.down("0.1");
    Anchors band =
        new Anchors(
            Anchors.filling(Region.SHEET).across(),
            LayoutDraft.fromBottom(
                rise.minus(d.down("0.03")), d.down("0.36").plus(d.down("0.06"))));
    d.add(new Piece("band-1", "Band", band, Content.Shape.band(LayoutDraft.PAPER)));
    d.front(
        Fact.TITLE,
        "alegreya-bold",
        LayoutDraft.fromBottom(rise.plus(d.down("0.15")), d.down("0.21")),
        "0.12",
        LayoutDraft.INK,
        Setting.Align.LEFT,
        Setting.VerticalAlign.BOTTOM);
    d.front(
        Fact.SUBTITLE,
        "alegreya-italic",
        LayoutDraft.fromBottom(rise.plus(d.down("0.075")), d.down("0.07")),
        "0.036",
        LayoutDraft.INK,
        Setting.Align.LEFT,
        Setting.VerticalAlign.MIDDLE);
    d.front(
        Fact.AUTHOR,
        "alegreya",
        LayoutDraft.fromBottom(rise, d.down("0.06")),
        "0.042",
        LayoutDraft.INK,
        Setting.Align.LEFT,
        Setting.VerticalAlign.BOTTOM);
    d.back("alegreya", "0.44");
    d.spine("alegreya-bold", "0.44", "0.11", LayoutDraft.INK);
    d.barcode();
  }
}
