// Keys: everything that can be done to pieces without a mouse. They are told on the page that "?" opens.
import { model, piece, along, loose, hand, toggled, looking, board } from "./model.js";
import { drawn, hold, outlined, refresh } from "./overlay.js";
import { choose, edit } from "./answers.js";
import { start } from "./caret.js";
import { several } from "./snap.js";
import { nudgeable, shown, unshown, moves, turns, stretches, middle, stretched, pulled, edgesOf, say, place } from "./drag.js";
import { fitPanel, fitSheet, next, realSize, step } from "./view.js";

const ARROWS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
/** What the arrows do: move, size or turn; a letter changes it, Escape goes back to moving. */
let way = "move";
let pending = null;

const moved = (id) => [...new Set(along(id).map((h) => loose(h).id))];

/** Several steps in a row are one change. */
function later(kind, id, add) {
  if (pending && (pending.id !== id || pending.kind !== kind)) send();
  pending ??= { kind, id, ids: moved(id), x: 0, y: 0, turn: 0 };
  add(pending);
  clearTimeout(pending.timer);
  pending.timer = setTimeout(send, kind === "move" ? 160 : 300);
  return pending;
}

async function send() {
  const n = pending;
  pending = null;
  clearTimeout(n.timer);
  const ids = n.ids.join(",");
  const before = drawn;
  if (n.kind === "move") await edit("move", { piece: ids, right: `${n.x} mm`, down: `${n.y} mm` });
  else if (n.kind === "size") await edit(n.ids.length > 1 ? "stretch" : "resize", { piece: ids, ...edgesOf(n.edges) });
  else if (n.ids.length > 1) await edit("swing", { piece: ids, angle: String(n.turn) });
  else await edit("turn", { piece: ids, angle: String(+((((n.angle + 180) % 360) + 360) % 360 - 180).toFixed(1)) });
  unshown(n.ids);
  if (drawn === before) refresh();
  hold(n.id)?.focus({ preventScroll: true });
}

/** Takes pieces off; the keyboard is on the next one then. */
export async function takeOff(id) {
  const off = along(id.split(",")[0]);
  const all = model().pieces.map((p) => p.id).filter((p) => !off.includes(p) || p === off[0]);
  const at = all.indexOf(off[0]);
  const after = all[at + 1] ?? all[at - 1];
  await edit("remove", { piece: off.join(",") });
  if (!piece(off[0])) (hold(after ?? "") ?? document.getElementById("add-what"))?.focus({ preventScroll: true });
}

function arrow(id, [x, y], shift) {
  if (way === "size") {
    const by = shift ? 5 : 0.5;
    const n = later("size", id, (p) => {
      p.x += x * by;
      p.y += y * by;
    });
    const p = n.ids.length > 1 ? several(n.ids) : loose(id);
    n.edges = stretched(p, { wider: n.x, higher: n.y }, true, true, false);
    const [left, top, width, height] = p.box;
    const now = [left, top, width + n.edges.right, height + n.edges.bottom];
    if (p.several) shown(n.ids, stretches(p.box, now));
    else outlined(id, pulled(p, n.edges));
    place(now, p);
  } else if (way === "turn") {
    const n = later("turn", id, (p) => (p.turn += (x || y) * (shift ? 15 : 1)));
    const p = n.ids.length > 1 ? several(n.ids) : loose(id);
    n.angle = p.angle + n.turn;
    shown(n.ids, turns(n.turn, middle(p.corners)));
    say(p.several ? `turned by ${n.turn}°` : `turned to ${+n.angle.toFixed(1)}°`);
  } else {
    const by = shift ? 5 : 0.5;
    const n = later("move", id, (p) => {
      p.x += x * by;
      p.y += y * by;
    });
    shown(n.ids, moves(n.x, n.y));
  }
}

function set(now) {
  way = now;
  document.body.dataset.arrows = way;
  say(way === "move" ? "" : way === "size" ? "arrows size it, Shift by 5 mm; M moves again" : "arrows turn it by 1°, Shift by 15°; M moves again");
}

/** The group that a piece is, or is in. */
const groupOf = (id) => (model().pieces.some((p) => p.group === id) ? id : piece(id).group || id);
const again = (id) => hold(id)?.focus({ preventScroll: true });
const ids = (id) => moved(id).join(",");
const press = (selector) => document.querySelector(selector)?.click();

/** Acts on the piece that has the keyboard, or all in the hand with it. */
const ACTS = {
  m: () => set("move"),
  s: () => set("size"),
  t: () => set("turn"),
  f: (id) => edit("flip", { piece: id, way: "across" }),
  F: (id) => edit("flip", { piece: id, way: "down" }),
  g: (id) => edit("group", { piece: along(id).join(",") }),
  u: (id) => edit("ungroup", { piece: groupOf(id) }),
  l: (id) => edit("lock", { piece: id, on: piece(id).locked ? "off" : "on" }),
  h: (id) => edit("hide", { piece: id, on: "on" }),
  d: (id) => edit("copy", { piece: ids(id) }),
  c: (id) => edit("align", { piece: ids(id), edge: "centre", against: "PANEL" }),
  C: (id) => edit("align", { piece: ids(id), edge: "middle", against: "PANEL" }),
  e: (id) => edit("spread", { piece: ids(id), way: "across", against: "SELECTION" }),
  E: (id) => edit("spread", { piece: ids(id), way: "down", against: "SELECTION" }),
  ".": (id) => edit("reorder", { piece: id, by: "1" }),
  ",": (id) => edit("reorder", { piece: id, by: "-1" }),
};

/** Acts on the view, wherever the keyboard is but in a field. */
const VIEWS = {
  "?": () => location.assign("/keys?back=" + encodeURIComponent(location.pathname + location.search)),
  "+": () => step(1.4),
  "-": () => step(1 / 1.4),
  0: () => fitSheet(),
  1: () => realSize(),
  2: () => fitPanel(piece(hand()[0] ?? "")?.on || "front"),
  w: () => next("guides", ["over", "areas", "dim", "off"]),
  k: () => next("knife", ["off", "on"]),
  i: () => press(board().dataset.side === "inside" ? "#to-outside" : "#to-inside"),
  n: () => document.getElementById("add-what")?.focus(),
  b: () => document.querySelector("#title-block input, #title-block select, #title-block textarea")?.focus(),
  p: () => document.querySelector("#sheet .hold")?.focus({ preventScroll: true }),
  a: () => {
    const on = piece(hand()[0] ?? document.activeElement?.closest(".hold")?.dataset.piece ?? "")?.on ?? "front";
    choose(model().pieces.filter((p) => !p.group && !p.locked && p.on === on).map((p) => p.id).join(","));
  },
};

document.addEventListener("keydown", (e) => {
  const typing = e.target.closest("input:not([type=checkbox]):not([type=range]), textarea, select");
  if ((e.ctrlKey || e.metaKey) && !typing && ["z", "y"].includes(e.key.toLowerCase())) {
    e.preventDefault();
    document.getElementById(e.key.toLowerCase() === "y" || e.shiftKey ? "redo" : "undo")?.click();
    return;
  }
  if (e.ctrlKey || e.metaKey || e.altKey || typing || e.target.closest("dialog, .leaf")) return;
  const id = e.target.closest(".hold")?.dataset.piece;
  if (id && held(e, id)) return;
  if (VIEWS[e.key]) {
    e.preventDefault();
    VIEWS[e.key]();
  }
});

function held(e, id) {
  if (e.key === "Enter" && !e.shiftKey && hand().length === 1 && hand()[0] === id) {
    e.preventDefault();
    start(id); // words that are in the hand are typed in
  } else if (e.key === "Enter" || e.key === " ") {
    e.preventDefault();
    choose(e.shiftKey ? toggled(id) : id).then(() => again(id));
  } else if (e.key === "Escape") {
    if (way !== "move") set("move");
    else choose("").then(() => again(id));
  } else if (looking()) {
    return false; // who only looks on walks the pieces, no more
  } else if (e.key === "Delete" || e.key === "Backspace") {
    e.preventDefault();
    takeOff(id);
  } else if (ARROWS[e.key]) {
    e.preventDefault();
    if (nudgeable(id)) arrow(id, ARROWS[e.key], e.shiftKey);
  } else if (ACTS[e.key]) {
    e.preventDefault();
    const done = ACTS[e.key](id);
    const made = ["g", "d"].includes(e.key); // what it made has the keyboard then
    done?.then(() => ((made && hold(hand()[0] ?? "")) || hold(id) || hold(hand()[0] ?? ""))?.focus({ preventScroll: true }));
  } else {
    return false;
  }
  return true;
}
