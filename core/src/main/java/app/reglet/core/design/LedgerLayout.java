package app.reglet.core.design;

import app.reglet.core.book.Fact;

/** Title at the head, author at the foot, ranged left. */
record LedgerLayout(LayoutDraft d) {
  void lay() {
    d.front(
        Fact.TITLE,
        "spectral-bold",
        LayoutDraft.fromTop(d.down("0.02"), d.down("0.34")),
        "0.15",
        d.ink(),
        Setting.Align.LEFT,
        Setting.VerticalAlign.TOP);
    d.front(
        Fact.SUBTITLE,
        "spectral-italic",
        LayoutDraft.fromTop(d.down("0.38"), d.down("0.12")),
        "0.042",
        d.ink(),
        Setting.Align.LEFT,
        Setting.VerticalAlign.TOP);
    d.front(
        Fact.AUTHOR,
        "spectral",
        LayoutDraft.fromBottom(d.down("0.02"), d.down("0.1")),
        "0.055",
        d.ink(),
        Setting.Align.LEFT,
        Setting.VerticalAlign.BOTTOM);
    d.back("spectral", "0.6");
    d.spine("spectral-bold", "0.58", "0.02", d.ink());
    d.barcode();
  }
}
