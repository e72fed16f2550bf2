// The lines of the words that are typed on the sheet, as the server told them, and where a caret stands in them.

/** Of each: its matrix, how far the caret reaches up and down, places in what is written, and where they are. */
export let lines = [];

export function read(json) {
  lines = json.map((l) => {
    const i = Array.isArray(l.i) ? l.i : l.x.map((_, k) => l.i + k);
    return { m: new DOMMatrix(l.m), u: l.u, d: l.d, i, x: l.x };
  });
}

/** The line that a place in the text is on; undefined where there is none. */
export function lineOf(index) {
  let found = lines[0];
  for (const l of lines) if (l.i[0] <= index) found = l;
  return found;
}

/** How far along a line a place is. */
export function along(line, index) {
  const k = line.i.findIndex((i) => i >= index);
  return line.x[k < 0 ? line.i.length - 1 : k];
}

/** How far a point is from a line's letters, and the place in the text next to it. */
export function near(line, p) {
  const q = p.matrixTransform(line.m.inverse());
  const [least, most] = [Math.min(...line.x), Math.max(...line.x)];
  const k = line.x.reduce((best, x, i) => (Math.abs(x - q.x) < Math.abs(line.x[best] - q.x) ? i : best), 0);
  return { away: Math.hypot(Math.max(0, least - q.x, q.x - most), 3 * Math.max(0, -line.u - q.y, q.y - line.d)), index: line.i[k] };
}

export function nearest(p) {
  const all = lines.map((l) => near(l, p)).sort((a, b) => a.away - b.away);
  return all[0]?.index ?? 0;
}

const onSheet = (line, x, y) => new DOMPoint(x, y).matrixTransform(line.m);

/** The caret as two points on the sheet; after line breaks at the end it is under the last line. */
export function caretAt(index, text, corners) {
  const line = lineOf(index);
  if (!line) {
    const [x, y, , , , y2] = corners;
    return [x, y, x, Math.min(y + 6, y2 || y + 6)];
  }
  const last = line.i[line.i.length - 1];
  const below = line === lines[lines.length - 1] && index > last ? text.slice(last, index).split("\n").length - 1 : 0;
  const before = lines[lines.length - 2];
  const step = below * (before ? Math.hypot(line.m.e - before.m.e, line.m.f - before.m.f) : 1.2 * (line.u + line.d));
  const x = below ? line.x[0] : along(line, index);
  const [a, b] = [onSheet(line, x, step - line.u), onSheet(line, x, step + line.d)];
  return [a.x, a.y, b.x, b.y];
}

/** What lies behind selected letters, as a path; no letter is three lines wide, what is goes over to letters that read the other way. */
export function selected(from, to) {
  let quads = "";
  for (const l of lines) {
    for (let k = 0; k + 1 < l.i.length; k++) {
      const [a, b] = [l.x[k], l.x[k + 1]];
      if (l.i[k] < from || l.i[k] >= to || Math.abs(b - a) >= 3 * (l.u + l.d)) continue;
      const corners = [onSheet(l, a, -l.u), onSheet(l, b, -l.u), onSheet(l, b, l.d), onSheet(l, a, l.d)];
      quads += "M" + corners.map((q) => `${q.x.toFixed(3)} ${q.y.toFixed(3)}`).join("L") + "Z";
    }
  }
  return quads;
}
