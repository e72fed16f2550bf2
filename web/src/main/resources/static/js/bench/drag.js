// Taking hold of pieces: moving, resizing, turning, one or several as one. What is sent is a distance.
import { model, piece, loose, sheet, chosen, along, toggled, looking, origin, figure, capture } from "./model.js";
import { drawn, hold, outlined, refresh } from "./overlay.js";
import { lines, snapped, gaps, hairlines, bounds, hang, several } from "./snap.js";
import { begin as band } from "./band.js";
import { choose, edit } from "./answers.js";
import { lift, carried, release } from "./lift.js";

const SNAP_PX = 6;
let drag = null;
let frame = 0;

const toMm = (e) => new DOMPoint(e.clientX, e.clientY).matrixTransform(sheet().getScreenCTM().inverse());

document.addEventListener("pointerdown", (e) => {
  if (e.button !== 0) return;
  const together = e.target.closest(".together");
  const g = e.target.closest(".hold") ?? hold(e.target.closest(".grasp")?.dataset.piece ?? "");
  if (!together && !g) {
    if (e.target.closest("#sheet")) band(e);
    return;
  }
  const id = g?.dataset.piece ?? chosen().split(",")[0];
  const p = together ? several([...new Set(chosen().split(",").map((h) => loose(h).id))]) : loose(id);
  if (!together && p.locked && !e.shiftKey) {
    band(e, id);
    return;
  }
  e.preventDefault();
  g?.focus({ preventScroll: true });
  if (g && !e.target.dataset.grip && (e.shiftKey || e.ctrlKey || e.metaKey)) {
    choose(toggled(id)).then(() => hold(id)?.focus({ preventScroll: true }));
    return;
  }
  const moving = p.several ?? [...new Set(along(id).map((h) => loose(h).id))];
  if (looking() || p.locked) {
    if (g) choose(id);
    return;
  }
  drag = { id, p, moving, round: moving.length > 1 ? several(moving) : p, start: toMm(e), grip: e.target.dataset.grip ?? "", lines: lines(moving), moved: false, x: 0, y: 0, edges: null, turn: 0, sx: null, sy: null };
  capture(sheet(), e);
});

/** A step on the sheet along the axes of a turned piece. */
function turned(p, x, y) {
  const a = (p.angle * Math.PI) / 180;
  return { x: x * Math.cos(a) + y * Math.sin(a), y: -x * Math.sin(a) + y * Math.cos(a) };
}

document.addEventListener("pointermove", (e) => {
  if (!drag) return;
  const at = toMm(e);
  const x = at.x - drag.start.x;
  const y = at.y - drag.start.y;
  const scale = sheet().getScreenCTM().a;
  if (!drag.moved && Math.hypot(x, y) * scale < 3) return;
  if (!drag.moved) {
    document.body.classList.add("dragging");
    if (!drag.grip || drag.grip === "turn" || drag.p.several) lift(drag.moving);
  }
  drag.moved = true;
  const reach = e.altKey ? 0 : SNAP_PX / scale;
  if (drag.grip === "turn") turning(at, e);
  else if (drag.grip) resizing(x, y, reach, e.shiftKey);
  else moving(x, y, reach);
  cancelAnimationFrame(frame);
  frame = requestAnimationFrame(show);
});

const nearer = (s, g) => (g && (!s || Math.abs(g.by) < Math.abs(s.by) - 1e-7) ? g : s);

function moving(x, y, reach) {
  const b = bounds(drag.round.corners);
  const at = { x: b.x + x, y: b.y + y, right: b.right + x, bottom: b.bottom + y };
  const parts = (from, to) => [{ at: from, part: "START" }, { at: (from + to) / 2, part: "MIDDLE" }, { at: to, part: "END" }];
  const sx = nearer(snapped(parts(at.x, at.right), drag.lines.x, reach), gaps(at, drag.lines.boxes, true, reach));
  const sy = nearer(snapped(parts(at.y, at.bottom), drag.lines.y, reach), gaps(at, drag.lines.boxes, false, reach));
  Object.assign(drag, { x: x + (sx?.by ?? 0), y: y + (sy?.by ?? 0), sx, sy });
  hairlines(sx, sy, { x: at.x + (sx?.by ?? 0), y: at.y + (sy?.by ?? 0), right: at.right + (sx?.by ?? 0), bottom: at.bottom + (sy?.by ?? 0) });
}

/** Which edges go along, how far along the piece's own axes; with Shift a corner keeps the proportion. */
function resizing(x, y, reach, proportional) {
  const { p, grip } = drag;
  const [, , width, height] = p.box;
  const east = grip.includes("e");
  const south = grip.includes("s");
  const across = east || grip.includes("w");
  const down = south || grip.includes("n");
  const b = bounds(p.corners);
  let sx = null;
  let sy = null;
  if (p.angle !== 0) {
    ({ x, y } = turned(p, x, y));
  } else {
    sx = across ? snapped([{ at: (east ? b.right : b.x) + x, part: east ? "END" : "START" }], drag.lines.x, reach) : null;
    sy = down ? snapped([{ at: (south ? b.bottom : b.y) + y, part: south ? "END" : "START" }], drag.lines.y, reach) : null;
    if (sx) x += sx.by;
    if (sy) y += sy.by;
  }
  hairlines(sx, sy, b);
  drag.edges = stretched(p, { wider: across ? (east ? x : -x) : 0, higher: down ? (south ? y : -y) : 0 }, east, south, proportional && across && down);
}

/** The edges of a piece so much wider and higher, held at the other side; never smaller than may be. */
export function stretched(p, by, east, south, proportional) {
  const [, , width, height] = p.box;
  const least = model().least;
  let wider = by.wider ? Math.max(least - width, by.wider) : 0;
  let higher = by.higher ? Math.max(least - height, by.higher) : 0;
  if (proportional) {
    const k = Math.max((width + wider) / width, (height + higher) / height, least / width, least / height);
    wider = width * (k - 1);
    higher = height * (k - 1);
  }
  return { left: east ? 0 : -wider, top: south ? 0 : -higher, right: east ? wider : 0, bottom: south ? higher : 0 };
}

export const middle = (c) => [(c[0] + c[4]) / 2, (c[1] + c[5]) / 2];

/** Round the middle of its box; every fifteen degrees it holds, with Shift nowhere else. */
function turning(at, e) {
  const [mx, my] = middle(drag.p.corners);
  const to = (q) => (Math.atan2(q.y - my, q.x - mx) * 180) / Math.PI;
  let angle = drag.p.angle + to(at) - to(drag.start);
  const fifteen = Math.round(angle / 15) * 15;
  if (e.shiftKey || (!e.altKey && Math.abs(angle - fifteen) < 2)) angle = fifteen;
  angle = Math.round(angle * 10) / 10;
  drag.turn = angle - drag.p.angle;
  drag.angle = ((((angle + 180) % 360) + 360) % 360) - 180;
  hairlines(null, null, null);
}

const art = (id) => document.getElementById("art-" + id);

export const moves = (x, y) => new DOMMatrix([1, 0, 0, 1, x, y]);
export const turns = (degrees, [x, y]) => moves(x, y).rotate(degrees).translate(-x, -y);
/** From one box to another. */
export const stretches = ([x, y, w, h], [u, v, wide, high]) => moves(u, v).scale(wide / w, high / h).translate(-x, -y);

/** Shows a matrix on pieces and what they are taken hold of by, before the server says what it means. */
export function shown(ids, matrix) {
  const transform = matrix.toString();
  if (!carried(matrix)) for (const id of ids) art(id)?.setAttribute("transform", transform);
  // of several the one frame round them goes along
  const round = sheet().querySelector(".together");
  document.getElementById("overlay").classList.toggle("together-goes", Boolean(round));
  (round ?? sheet().querySelector(".grasp"))?.setAttribute("transform", transform);
  if (!round) for (const q of model().pieces) if (ids.includes(loose(q.id).id)) hold(q.id)?.setAttribute("transform", transform);
}

export function unshown(ids) {
  release();
  for (const id of ids) art(id)?.removeAttribute("transform");
}

function show() {
  if (!drag) return;
  const { p, x, y, grip, edges } = drag;
  const [left, top, width, height] = drag.round.box;
  let now = [left + x, top + y, width, height];
  if (grip === "turn") {
    shown(drag.moving, turns(drag.turn, middle(p.corners)));
    say(p.several ? `turned by ${+drag.turn.toFixed(1)}°` : `turned to ${+drag.angle.toFixed(1)}°`);
    return;
  }
  if (grip) {
    now = [left + edges.left, top + edges.top, width + edges.right - edges.left, height + edges.bottom - edges.top];
    if (p.several) {
      shown(drag.moving, stretches(drag.round.box, now));
    } else {
      outlined(drag.id, pulled(p, edges));
    }
  } else {
    shown(drag.moving, moves(x, y));
  }
  place(now, p);
}

/** The corners of a piece whose edges were pulled along its own axes. */
export function pulled(p, edges) {
  const a = (p.angle * Math.PI) / 180;
  const c = [...p.corners];
  const move = (i, u, v) => {
    c[i] += Math.cos(a) * u - Math.sin(a) * v;
    c[i + 1] += Math.sin(a) * u + Math.cos(a) * v;
  };
  move(0, edges.left, edges.top);
  move(2, edges.right, edges.top);
  move(4, edges.right, edges.bottom);
  move(6, edges.left, edges.bottom);
  return c;
}

export const say = (text) => (document.getElementById("readout").textContent = text);

export function place(now, p) {
  const from = origin(p);
  say(`${figure(now[0] - from.x)}, ${figure(now[1] - from.y)} from the ${from.name} · ${figure(now[2])} × ${figure(now[3])} ${model().unit.symbol}`);
}

export const mm = (n) => `${+n.toFixed(9)} mm`;
export const edgesOf = (edges) => Object.fromEntries(Object.entries(edges).map(([edge, by]) => [edge, mm(by)]));

function change(d) {
  const piece = d.moving.join(",");
  if (d.grip === "turn") return d.p.several ? edit("swing", { piece, angle: String(+d.turn.toFixed(1)) }) : edit("turn", { piece: d.p.id, angle: String(+d.angle.toFixed(1)) });
  if (d.grip) return edit(d.p.several ? "stretch" : "resize", { piece: d.p.several ? piece : d.p.id, ...edgesOf(d.edges) });
  const [hangAcross, hangDown] = [hang(d.sx), hang(d.sy)];
  const by = { right: mm(d.x), down: mm(d.y) };
  return d.moving.length === 1 && (hangAcross || hangDown) ? edit("snap", { piece, ...by, hangAcross, hangDown }) : edit("move", { piece, ...by });
}

document.addEventListener("pointerup", async () => {
  if (!drag) return;
  const d = drag;
  drag = null;
  document.body.classList.remove("dragging");
  cancelAnimationFrame(frame);
  say("");
  if (!d.moved) {
    if (!d.p.several) await choose(d.id);
    hold(d.id)?.focus({ preventScroll: true });
    return;
  }
  const before = drawn;
  await change(d);
  unshown(d.moving);
  if (drawn === before) refresh(); // no answer: it lies where it lay
  hold(d.id)?.focus({ preventScroll: true });
});

function leave() {
  document.body.classList.remove("dragging");
  cancelAnimationFrame(frame);
  unshown(drag.moving);
  drag = null;
  say("");
  refresh();
}

document.addEventListener("pointercancel", () => drag && leave());

// Escape lets go where the piece was
document.addEventListener("keydown", (e) => {
  if (!drag || e.key !== "Escape") return;
  e.preventDefault();
  e.stopImmediatePropagation();
  leave();
}, true);

export const nudgeable = (id) => piece(id) && !looking() && !loose(id).locked;
