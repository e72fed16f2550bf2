// What a piece can be laid on while it is dragged: the sheet's lines, edges and middles of other pieces, equal gaps.
import { model, piece, loose, sheet, figure } from "./model.js";
import { element } from "./overlay.js";

export const bounds = (c) => {
  const x = [c[0], c[2], c[4], c[6]];
  const y = [c[1], c[3], c[5], c[7]];
  return { x: Math.min(...x), y: Math.min(...y), right: Math.max(...x), bottom: Math.max(...y) };
};

/** The upright box round several. */
export const round = (boxes) => boxes.reduce((a, b) => ({ x: Math.min(a.x, b.x), y: Math.min(a.y, b.y), right: Math.max(a.right, b.right), bottom: Math.max(a.bottom, b.bottom) }));

/** All there is to be laid on, but for pieces that go along. */
export function lines(except) {
  const m = model();
  const hidden = document.body.dataset.guides === "off";
  const x = hidden ? [] : [...m.lines.x];
  const y = hidden ? [] : [...m.lines.y];
  const boxes = [];
  for (const p of m.pieces) {
    if (except.includes(loose(p.id).id)) continue;
    const b = bounds(p.corners);
    if (!p.group) boxes.push({ ...b, name: p.name });
    for (const at of [b.x, (b.x + b.right) / 2, b.right]) x.push({ at, name: p.name, hang: "", of: b });
    for (const at of [b.y, (b.y + b.bottom) / 2, b.bottom]) y.push({ at, name: p.name, hang: "", of: b });
  }
  return { x, y, boxes };
}

/** The line that is nearest to one of the places; of several there, one that holds this part. */
export function snapped(places, candidates, reach) {
  let best = null;
  for (const { at, part } of places) {
    for (const line of candidates) {
      const by = line.at - at;
      const far = Math.abs(by);
      if (far >= reach) continue;
      const holds = line.hang.endsWith(":" + part);
      if (best === null || far < Math.abs(best.by) - 1e-7 || (far < Math.abs(best.by) + 1e-7 && holds && !best.holds)) best = { by, line, part, holds };
    }
  }
  return best;
}

/** Places where the gaps to neighbours are equal: between two, or going on as two others stand. */
export function gaps(b, boxes, across, reach) {
  const [from, to, lo, hi] = across ? ["x", "right", "y", "bottom"] : ["y", "bottom", "x", "right"];
  const beside = boxes.filter((o) => o[lo] < b[hi] && o[hi] > b[lo]).sort((p, q) => p[from] - q[from]);
  const size = b[to] - b[from];
  let best = null;
  const take = (at, spans) => {
    const by = at - b[from];
    if (Math.abs(by) < reach && (best === null || Math.abs(by) < Math.abs(best.by))) best = { by, spans, across };
  };
  for (let i = 0; i + 1 < beside.length; i++) {
    const [p, q] = [beside[i], beside[i + 1]];
    const room = q[from] - p[to];
    if (room > size) {
      const gap = (room - size) / 2;
      take(p[to] + gap, [[p[to], p[to] + gap], [q[from] - gap, q[from]]]);
    }
    if (room > 0) {
      take(q[to] + room, [[p[to], q[from]], [q[to], q[to] + room]]);
      take(p[from] - room - size, [[p[from] - room, p[from]], [p[to], q[from]]]);
    }
  }
  return best;
}

const px = () => +sheet().dataset.px;

function label(x, y, text) {
  const t = element("text", { class: "snap-label", x, y, "font-size": 11 * px(), "text-anchor": "middle" });
  t.textContent = text;
  return t;
}

/** How far a line of a panel is from the trim; of a piece, how far that piece is from this one. */
function far(s, b, across) {
  const unit = model().unit.symbol;
  if (s.line.of) {
    const [from, to] = across ? ["y", "bottom"] : ["x", "right"];
    const gap = Math.max(s.line.of[from] - b[to], b[from] - s.line.of[to], 0);
    return gap < 1e-6 ? s.line.name : `${s.line.name}, ${figure(gap)} ${unit} apart`;
  }
  const at = across ? 0 : 1;
  const edges = model().panels.flatMap((p) => [p.box[at], p.box[at] + p.box[at + 2]]);
  const off = Math.min(...edges.map((e) => Math.abs(e - s.line.at)));
  return off < 1e-6 || s.line.name.endsWith("middle") ? s.line.name : `${s.line.name}, ${figure(off)} ${unit} from the trim`;
}

/** Shows what a piece that lies in a box is laid on. */
export function hairlines(sx, sy, b) {
  const v = sheet().viewBox.baseVal;
  const drawn = [];
  const s = px();
  for (const [snap, across] of [[sx, true], [sy, false]]) {
    if (!snap) continue;
    if (snap.spans) {
      const mid = across ? (b.y + b.bottom) / 2 : (b.x + b.right) / 2;
      for (const [p, q] of snap.spans) {
        const ends = across ? { x1: p, y1: mid, x2: q, y2: mid } : { x1: mid, y1: p, x2: mid, y2: q };
        drawn.push(element("line", { class: "snap gap", ...ends }));
        drawn.push(label(across ? (p + q) / 2 : mid, across ? mid - 4 * s : (p + q) / 2, figure(q - p)));
      }
      continue;
    }
    const at = snap.line.at;
    drawn.push(element("line", across ? { class: "snap", x1: at, y1: v.y, x2: at, y2: v.y + v.height } : { class: "snap", x1: v.x, y1: at, x2: v.x + v.width, y2: at }));
    const text = far(snap, b, across);
    drawn.push(across ? label(Math.max(v.x + 110 * s, Math.min(v.x + v.width - 110 * s, at)), Math.max(v.y + 12 * s, b.y - 6 * s), text) : label(Math.max(v.x + 110 * s, Math.min(v.x + v.width - 110 * s, (b.x + b.right) / 2)), at - 4 * s, text));
  }
  document.getElementById("snaps").replaceChildren(...drawn);
}

/** What a piece hangs on after it was laid on a line; empty where it stays as it hangs. */
export const hang = (s) => (s && s.holds ? s.line.hang : "");

export const several = (ids) => {
  const all = ids.map((id) => piece(id)).filter(Boolean);
  const b = round(all.map((p) => bounds(p.corners)));
  return {
    id: "",
    several: ids,
    on: all[0].on,
    angle: 0,
    locked: all.some((p) => p.locked),
    box: [b.x, b.y, b.right - b.x, b.bottom - b.y],
    corners: [b.x, b.y, b.right, b.y, b.right, b.bottom, b.x, b.bottom],
  };
};
