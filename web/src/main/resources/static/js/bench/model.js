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

export const piece = (id) => model().pieces.find((p) => p.id === id);

/** The loose piece that a piece is in, itself when it is in no group. */
export function loose(id) {
  let p = piece(id);
  while (p && p.group) p = piece(p.group);
  return p;
}

export const chosen = () => document.getElementById("title-block")?.dataset.chosen ?? "";

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
