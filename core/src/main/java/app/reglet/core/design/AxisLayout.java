package app.reglet.core.design;

import app.reglet.core.book.Fact;

/** Everything on the middle axis, title on the upper third. */
record AxisLayout(LayoutDraft d) {
  void lay() {
    d.front(
        Fact.AUTHOR,
        "cormorant-garamond-semibold",
        LayoutDraft.fromTop(d.down("0.05"), d.down("0.08")),
        "0.05",
        d.ink(),
        Setting.Align.CENTRE,
        Setting.VerticalAlign.TOP);
    d.front(
        Fact.TITLE,
        "cormorant-garamond-bold",
        LayoutDraft.fromTop(d.down("0.2"), d.down("0.3")),
        "0.14",
        d.ink(),
        Setting.Align.CENTRE,
        Setting.VerticalAlign.MIDDLE);
    d.front(
        Fact.SUBTITLE,
        "cormorant-garamond-italic",
        LayoutDraft.fromTop(d.down("0.52"), d.down("0.12")),
        "0.042",
        d.ink(),
        Setting.Align.CENTRE,
        Setting.VerticalAlign.TOP);
    d.back("cormorant-garamond", "0.6");
    d.spine("cormorant-garamond-bold", "0.58", "0.02", d.ink());
    d.barcode();
  }
}
