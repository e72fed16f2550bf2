// What lies over the art: what pieces are taken hold of by, marks of notes; and the notes beside the sheet.
import { model, sheet, hand, loose } from "./model.js";
import { several } from "./snap.js";
import { view } from "./view.js";

const NS = "http://www.w3.org/2000/svg";

export function element(name, attributes, ...inside) {
  const e = document.createElementNS(NS, name);
  for (const [k, v] of Object.entries(attributes)) if (v !== null) e.setAttribute(k, v);
  e.append(...inside);
  return e;
}

export const path = (c) => `M${c[0]} ${c[1]}L${c[2]} ${c[3]}L${c[4]} ${c[5]}L${c[6]} ${c[7]}Z`;
export const hold = (id) => sheet()?.querySelector(`.hold[data-piece="${CSS.escape(id)}"]`);

function holdOf(p, px) {
  const on = hand().includes(p.id);
  const g = element("g", { class: on ? "hold chosen" : "hold", "data-piece": p.id, tabindex: 0, role: "button", "aria-pressed": String(on), "aria-label": p.name },
    element("path", { class: "halo", d: path(p.corners), fill: "none" }),
    element("path", { class: "box", d: path(p.corners), fill: "#000", "fill-opacity": 0 }));
  if (p.lacks) g.append(...lacking(p, px));
  return g;
}

/** A place that should have something drawn in it, and why it has not. */
function lacking(p, px) {
  const [x, y, w, h] = p.box;
  const size = Math.min(12 * px, w / (0.6 * p.lacks.length));
  const words = element("text", { class: "lacks", x: x + w / 2, y: y + h / 2 + size / 3, "text-anchor": "middle" });
  words.style.fontSize = `${size}px`;
  words.textContent = p.lacks;
  return [element("path", { class: "lacking", d: path(p.corners), fill: "none" }), words];
}

/** Draws round other corners what a piece is taken hold of by. */
export const outlined = (id, corners) => hold(id)?.querySelectorAll(":scope > path").forEach((o) => o.setAttribute("d", path(corners)));

/** Within what is seen of the sheet: what lies beyond it is taken hold of at its edge. */
function seen([x, y], r) {
  const v = sheet().viewBox.baseVal;
  return [Math.max(v.x + r, Math.min(v.x + v.width - r, x)), Math.max(v.y + r, Math.min(v.y + v.height - r, y))];
}

/** What a piece is resized by: its sides and corners; and, above its top, what it is turned by. */
const SIDES = { nw: [0, 0], n: [0.5, 0], ne: [1, 0], e: [1, 0.5], se: [1, 1], s: [0.5, 1], sw: [0, 1], w: [0, 0.5] };

function grips(p, px) {
  const c = p.corners;
  const at = ([x, y]) => [c[0] + (c[2] - c[0]) * x + (c[6] - c[0]) * y, c[1] + (c[3] - c[1]) * x + (c[7] - c[1]) * y];
  const s = 7 * px;
  const room = (side) => Math.hypot(c[2] - c[0], c[3] - c[1]) > 24 * px || !["n", "s"].includes(side);
  const squares = Object.entries(SIDES).filter(([side]) => room(side)).map(([side, where]) => {
    const [x, y] = seen(at(where), s / 2);
    return element("rect", { class: "grip " + side, "data-grip": side, x: x - s / 2, y: y - s / 2, width: s, height: s });
  });
  const [tx, ty] = at([0.5, 0]);
  const a = (p.angle * Math.PI) / 180;
  const [hx, hy] = seen([tx + Math.sin(a) * 20 * px, ty - Math.cos(a) * 20 * px], 5 * px);
  return [...squares,
    element("line", { class: "arm", x1: tx, y1: ty, x2: hx, y2: hy }),
    element("circle", { class: "grip turn", "data-grip": "turn", cx: hx, cy: hy, r: 5 * px })];
}

/** What the one piece in the hand is resized and turned by lies over all others. */
function grasp(px) {
  const p = hand().length === 1 && model().pieces.find((q) => q.id === hand()[0]);
  return p && !p.locked && !p.group ? [element("g", { class: "grasp", "data-piece": p.id }, ...grips(p, px))] : [];
}

/** Several in the hand are resized and turned by one frame round them. */
function together(px) {
  const ids = [...new Set(hand().map((id) => loose(id)?.id).filter(Boolean))];
  if (ids.length < 2) return [];
  const p = several(ids);
  return [element("g", { class: "together" }, element("path", { class: "halo", d: path(p.corners), fill: "none" }), element("path", { class: "round", d: path(p.corners), fill: "none" }), ...(p.locked ? [] : grips(p, px)))];
}

function noteOf(n, i, px) {
  const [w, h] = model().sheet;
  const r = 8.5 * px;
  const x = Math.max(r, Math.min(w - r, n.box[0] + n.box[2]));
  const y = Math.max(r, Math.min(h - r, n.box[1]));
  const text = element("text", { x, y: y + 3.8 * px, "text-anchor": "middle", "font-size": 11 * px });
  text.textContent = i + 1;
  return element("g", { class: "note " + (n.mend ? "mend" : "look"), "data-note": i + 1, "data-y": y },
    element("rect", { class: "note-place", x: n.box[0], y: n.box[1], width: n.box[2], height: n.box[3], fill: "none" }),
    element("circle", { cx: x, cy: y, r }), text);
}

/** How often the layer was drawn: who waits for an answer sees whether it has come. */
export let drawn = 0;

/** Draws the layer anew from the model; the focus stays on the piece that has it. */
export function refresh() {
  const svg = sheet();
  if (!svg) return;
  drawn++;
  const held = document.activeElement?.closest?.(".hold")?.dataset.piece;
  const px = +svg.dataset.px;
  const m = model();
  const layer = document.getElementById("overlay");
  layer.classList.remove("together-goes");
  layer.replaceChildren(
    element("g", { class: "holds" }, ...m.pieces.map((p) => holdOf(p, px))),
    ...grasp(px),
    ...together(px),
    element("g", { class: "notes" }, ...m.notes.flatMap((n, i) => (n.box ? [noteOf(n, i, px)] : []))),
    element("g", { id: "snaps" }));
  if (held !== undefined) hold(held)?.focus({ preventScroll: true });
  besides();
}

/** Each note beside the sheet at the height of its mark, as far as there is room. */
function besides() {
  const list = document.querySelector("#notes ol");
  if (!list) return;
  const items = [...list.children];
  const top = list.getBoundingClientRect().top;
  const scale = sheet().getScreenCTM();
  let free = 0;
  const wanted = items.map((li) => {
    const mark = sheet().querySelector(`.note[data-note="${li.dataset.note}"]`);
    return { li, y: mark ? scale.f + scale.d * +mark.dataset.y - top - 10 : 0 };
  }).sort((a, b) => a.y - b.y);
  const room = document.querySelector(".margin").clientHeight - document.getElementById("pieces").offsetHeight - 56;
  const needed = items.reduce((sum, li) => sum + li.offsetHeight + 6, 0);
  list.classList.toggle("stacked", needed > room);
  if (needed > room) {
    list.style.height = "";
    return;
  }
  // no lower than leaves room for those that follow
  let left = needed;
  for (const { li, y } of wanted) {
    const at = Math.max(free, Math.min(y, room - left));
    li.style.top = at + "px";
    free = at + li.offsetHeight + 6;
    left -= li.offsetHeight + 6;
  }
  list.style.height = free + "px";
}

for (const type of ["resize", "bench:view"]) {
  (type === "resize" ? window : document).addEventListener(type, () => {
    view();
    refresh();
  });
}
document.fonts?.ready.then(() => document.getElementById("sheet") && refresh());
