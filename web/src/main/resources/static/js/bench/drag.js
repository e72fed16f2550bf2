// Taking hold of pieces: dragging and resizing, with lines to snap to. What is sent is a distance.
import { model, piece, loose, sheet, chosen, along, toggled, looking, origin, figure } from "./model.js";
import { hold, path, element, refresh } from "./overlay.js";
import { choose, edit } from "./answers.js";

const SNAP_PX = 6;
let drag = null;
let frame = 0;

const toMm = (e) => new DOMPoint(e.clientX, e.clientY).matrixTransform(sheet().getScreenCTM().inverse());
const bounds = (c) => {
  const x = [c[0], c[2], c[4], c[6]];
  const y = [c[1], c[3], c[5], c[7]];
  return { x: Math.min(...x), y: Math.min(...y), right: Math.max(...x), bottom: Math.max(...y) };
};

/** Lines to snap to: the sheet's, unless guides are hidden, and edges and middles of other pieces. */
function lines(except) {
  const m = model();
  const hidden = document.body.dataset.guides === "off";
  const x = hidden ? [] : [...m.x];
  const y = hidden ? [] : [...m.y];
  for (const p of m.pieces) {
    if (except.includes(loose(p.id).id)) continue;
    const b = bounds(p.corners);
    x.push(b.x, (b.x + b.right) / 2, b.right);
    y.push(b.y, (b.y + b.bottom) / 2, b.bottom);
  }
  return { x, y };
}

function snapped(at, candidates, reach) {
  let best = null;
  for (const a of at) {
    for (const line of candidates) {
      const by = line - a;
      if (Math.abs(by) < reach && (best === null || Math.abs(by) < Math.abs(best.by))) best = { by, line };
    }
  }
  return best;
}

function hairlines(sx, sy) {
  const v = sheet().viewBox.baseVal;
  const drawn = [];
  if (sx) drawn.push(element("line", { class: "snap", x1: sx.line, y1: v.y, x2: sx.line, y2: v.y + v.height }));
  if (sy) drawn.push(element("line", { class: "snap", x1: v.x, y1: sy.line, x2: v.x + v.width, y2: sy.line }));
  document.getElementById("snaps").replaceChildren(...drawn);
}

document.addEventListener("pointerdown", (e) => {
  const g = e.target.closest(".hold");
  if (!g || e.button !== 0) {
    if (e.target.closest("#sheet") && chosen()) choose("");
    return;
  }
  e.preventDefault();
  const id = g.dataset.piece;
  const p = loose(id);
  g.focus({ preventScroll: true });
  if (e.shiftKey || e.ctrlKey || e.metaKey) {
    choose(toggled(id)).then(() => hold(id)?.focus({ preventScroll: true }));
    return;
  }
  const moving = [...new Set(along(id).map((h) => loose(h).id))];
  if (looking() || p.locked) {
    choose(id);
    return;
  }
  drag = { id, p, moving, start: toMm(e), grip: e.target.dataset.grip ?? "", lines: lines(moving), moved: false, x: 0, y: 0, edges: null, turn: 0 };
  sheet().setPointerCapture(e.pointerId);
});

/** A step on the sheet along the axes of a turned piece. */
function turned(p, x, y) {
  const a = (p.angle * Math.PI) / 180;
  return { x: x * Math.cos(a) + y * Math.sin(a), y: -x * Math.sin(a) + y * Math.cos(a) };
}

document.addEventListener("pointermove", (e) => {
  if (!drag) return;
  const at = toMm(e);
  let x = at.x - drag.start.x;
  let y = at.y - drag.start.y;
  const scale = sheet().getScreenCTM().a;
  if (!drag.moved && Math.hypot(x, y) * scale < 3) return;
  drag.moved = true;
  const reach = e.altKey ? 0 : SNAP_PX / scale;
  if (drag.grip === "turn") {
    turning(at, e);
  } else if (drag.grip) {
    resizing(x, y, reach, e.shiftKey);
  } else {
    const b = bounds(drag.p.corners);
    const sx = snapped([b.x + x, (b.x + b.right) / 2 + x, b.right + x], drag.lines.x, reach);
    const sy = snapped([b.y + y, (b.y + b.bottom) / 2 + y, b.bottom + y], drag.lines.y, reach);
    if (sx) x += sx.by;
    if (sy) y += sy.by;
    hairlines(sx, sy);
  }
  drag.x = x;
  drag.y = y;
  cancelAnimationFrame(frame);
  frame = requestAnimationFrame(show);
});

/** Which edges go along, how far along the piece's own axes; with Shift a corner keeps the proportion. */
function resizing(x, y, reach, proportional) {
  const { p, grip } = drag;
  const [, , width, height] = p.box;
  const east = grip.includes("e");
  const south = grip.includes("s");
  const across = east || grip.includes("w");
  const down = south || grip.includes("n");
  let sx = null;
  let sy = null;
  if (p.angle !== 0) {
    ({ x, y } = turned(p, x, y));
  } else {
    const b = bounds(p.corners);
    sx = across && snapped([(east ? b.right : b.x) + x], drag.lines.x, reach);
    sy = down && snapped([(south ? b.bottom : b.y) + y], drag.lines.y, reach);
    if (sx) x += sx.by;
    if (sy) y += sy.by;
  }
  hairlines(sx, sy);
  const least = model().least;
  let wider = across ? Math.max(least - width, east ? x : -x) : 0;
  let higher = down ? Math.max(least - height, south ? y : -y) : 0;
  if (proportional && across && down) {
    const k = Math.max((width + wider) / width, (height + higher) / height, least / width, least / height);
    wider = width * (k - 1);
    higher = height * (k - 1);
  }
  drag.edges = { left: east ? 0 : -wider, top: south ? 0 : -higher, right: east ? wider : 0, bottom: south ? higher : 0 };
}

/** Round the middle of its box; every fifteen degrees it holds, with Shift nowhere else. */
function turning(at, e) {
  const c = drag.p.corners;
  const [mx, my] = [(c[0] + c[4]) / 2, (c[1] + c[5]) / 2];
  const to = (q) => (Math.atan2(q.y - my, q.x - mx) * 180) / Math.PI;
  let angle = drag.p.angle + to(at) - to(drag.start);
  const fifteen = Math.round(angle / 15) * 15;
  if (e.shiftKey || (!e.altKey && Math.abs(angle - fifteen) < 2)) angle = fifteen;
  angle = Math.round(angle * 10) / 10;
  drag.turn = angle - drag.p.angle;
  drag.angle = ((((angle + 180) % 360) + 360) % 360) - 180;
  hairlines(null, null);
}

/** Shows where the piece would go; the server says what that means. */
function show() {
  if (!drag) return;
  const { p, x, y, grip, edges } = drag;
  const [left, top, width, height] = p.box;
  const from = origin(p);
  let now = [left + x, top + y, width, height];
  if (grip === "turn") {
    const c = p.corners;
    const by = `rotate(${drag.turn} ${(c[0] + c[4]) / 2} ${(c[1] + c[5]) / 2})`;
    document.getElementById("art-" + p.id)?.setAttribute("transform", by);
    hold(drag.id)?.setAttribute("transform", by);
    document.getElementById("readout").textContent = `turned to ${+drag.angle.toFixed(1)}°`;
    return;
  }
  if (grip) {
    now = [left + edges.left, top + edges.top, width + edges.right - edges.left, height + edges.bottom - edges.top];
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
    hold(drag.id)?.querySelector(".box").setAttribute("d", path(c));
  } else {
    for (const id of drag.moving) document.getElementById("art-" + id)?.setAttribute("transform", `translate(${x} ${y})`);
    for (const q of model().pieces) if (drag.moving.includes(loose(q.id).id)) hold(q.id)?.setAttribute("transform", `translate(${x} ${y})`);
  }
  document.getElementById("readout").textContent =
    `${figure(now[0] - from.x)}, ${figure(now[1] - from.y)} from the ${from.name} · ${figure(now[2])} × ${figure(now[3])} ${model().unit.symbol}`;
}

const mm = (n) => `${+n.toFixed(9)} mm`;

document.addEventListener("pointerup", async () => {
  if (!drag) return;
  const d = drag;
  drag = null;
  cancelAnimationFrame(frame);
  document.getElementById("readout").textContent = "";
  if (!d.moved) {
    await choose(d.id);
    hold(d.id)?.focus({ preventScroll: true });
    return;
  }
  if (d.grip === "turn") await edit("turn", { piece: d.p.id, angle: String(+d.angle.toFixed(1)) });
  else if (d.grip) await edit("resize", { piece: d.p.id, ...Object.fromEntries(Object.entries(d.edges).map(([edge, by]) => [edge, mm(by)])) });
  else await edit("move", { piece: d.moving.join(","), right: mm(d.x), down: mm(d.y) });
  for (const id of d.moving) document.getElementById("art-" + id)?.removeAttribute("transform");
  refresh();
  hold(d.id)?.focus({ preventScroll: true });
});

document.addEventListener("pointercancel", () => {
  if (!drag) return;
  for (const id of drag.moving) document.getElementById("art-" + id)?.removeAttribute("transform");
  drag = null;
  refresh();
});

export const nudgeable = (id) => piece(id) && !looking() && !loose(id).locked;
