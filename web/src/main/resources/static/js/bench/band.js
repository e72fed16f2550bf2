// A band drawn over the sheet chooses the pieces that lie wholly in it; with Shift they come to those in the hand.
import { model, sheet, hand, chosen, capture } from "./model.js";
import { element, hold } from "./overlay.js";
import { bounds } from "./snap.js";
import { choose } from "./answers.js";

let drawn = null;

const toMm = (e) => new DOMPoint(e.clientX, e.clientY).matrixTransform(sheet().getScreenCTM().inverse());

/** Begins one; a click without one leaves the hand empty, or holds the locked piece that was clicked. */
export function begin(e, locked = "") {
  e.preventDefault();
  drawn = { from: toMm(e), to: null, locked, more: e.shiftKey };
  capture(sheet(), e);
}

document.addEventListener("pointermove", (e) => {
  if (!drawn) return;
  const at = toMm(e);
  if (!drawn.to && Math.hypot(at.x - drawn.from.x, at.y - drawn.from.y) * sheet().getScreenCTM().a < 3) return;
  drawn.to = at;
  const { from, to } = drawn;
  document.getElementById("snaps").replaceChildren(element("rect", {
    class: "band", x: Math.min(from.x, to.x), y: Math.min(from.y, to.y), width: Math.abs(to.x - from.x), height: Math.abs(to.y - from.y),
  }));
});

document.addEventListener("pointerup", async () => {
  if (!drawn) return;
  const { from, to, locked, more } = drawn;
  drawn = null;
  document.getElementById("snaps").replaceChildren();
  if (!to) {
    if (locked || chosen()) await choose(locked);
    if (locked) hold(locked)?.focus({ preventScroll: true });
    return;
  }
  const [x, y, right, bottom] = [Math.min(from.x, to.x), Math.min(from.y, to.y), Math.max(from.x, to.x), Math.max(from.y, to.y)];
  const inside = model().pieces.filter((p) => {
    const b = bounds(p.corners);
    return !p.group && !p.locked && b.x >= x && b.y >= y && b.right <= right && b.bottom <= bottom;
  }).map((p) => p.id);
  const ids = [...new Set([...(more ? hand() : []), ...inside])];
  await choose(ids.join(","));
  if (ids.length) hold(ids[ids.length - 1])?.focus({ preventScroll: true });
});

document.addEventListener("pointercancel", () => {
  drawn = null;
});
