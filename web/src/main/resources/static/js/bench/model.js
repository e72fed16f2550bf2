// What the browser knows of the cover, as the server told it: boxes, lines, limits, in mm.

let read = "";
let parsed = null;

export const board = () => document.getElementById("board");
export const sheet = () => document.getElementById("sheet");
export const looking = () => Boolean(board().dataset.looking);

export function model() {
  const text = document.getElementById("model").textContent;
  if (text !== read) {
    read = text;
    parsed = JSON.parse(text);
  }
  return parsed;
}

/** Takes over what a change changed; false when this page doesn't have what it builds on. */
export function merge(change) {
  const m = model();
  const by = new Map(m.pieces.map((p) => [p.id, p]));
  for (const p of change.pieces) by.set(p.id, p);
  if (change.order.some((id) => !by.has(id))) return false;
  parsed = { ...m, base: change.base, notes: change.notes, pieces: change.order.map((id) => by.get(id)) };
  read = JSON.stringify(parsed);
  document.getElementById("model").textContent = read;
  return true;
}

export const piece = (id) => model().pieces.find((p) => p.id === id);

/** The loose piece that a piece is in, itself when it is in no group. */
export function loose(id) {
  let p = piece(id);
  while (p && p.group) p = piece(p.group);
  return p;
}

/** The piece in the hand; of several their ids, parted by commas. */
export const chosen = () => document.getElementById("title-block")?.dataset.chosen ?? "";
export const hand = () => chosen().split(",").filter((id) => id && !id.startsWith("ground:"));

/** The part whose ground is in the hand, empty for that of the whole sheet. */
export const part = () => (chosen().startsWith("ground:") ? chosen().slice(7) : "");

/** What goes along with a piece: all in the hand when it is one of several, else itself. */
export const along = (id) => (hand().length > 1 && hand().includes(id) ? hand() : [id]);

/** The hand with a piece put in, or out of it when it was in. */
export function toggled(id) {
  const now = hand();
  return (now.includes(id) ? now.filter((h) => h !== id) : [...now, id]).join(",");
}

/** Where figures of a piece are measured from: the trim of the panel it hangs on, else the sheet. */
export function origin(p) {
  const panel = model().panels.find((q) => q.id === p.on);
  return panel ? { x: panel.box[0], y: panel.box[1], name: panel.name } : { x: 0, y: 0, name: "sheet" };
}

/** A length in mm as a figure of the unit in force. */
export function figure(mm) {
  const { mm: per, decimals } = model().unit;
  return (mm / per).toFixed(decimals);
}

/** Moves of this pointer go to an element until it is let go; one that was done before the scripts were there has none. */
export function capture(onto, e) {
  if (e.isTrusted) onto.setPointerCapture(e.pointerId);
}
