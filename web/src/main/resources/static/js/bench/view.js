// The view: how large the sheet is, which part of it, what is laid over the art; kept in this browser.
import { sheet, model } from "./model.js";
import { element } from "./overlay.js";

let zoom = 1;
/** Whether a millimetre of the cover is one on the screen, however large the room is. */
let real = false;
let set = "";
let zoomed = 1;
let laidFor = "";
let shown = "";
let whole = null;
const LEAST_MARGIN = 244;
/** An ID-1 card is 85.60 mm wide and 53.98 mm high (ISO/IEC 7810). */
export const CARD = [85.6, 53.98];

const keep = (name, value) => localStorage.setItem("reglet-" + name, value);
const kept = (name, otherwise) => localStorage.getItem("reglet-" + name) ?? otherwise;

/** Pixels of CSS in a millimetre of this screen: as measured, else those of the CSS inch. */
export const pxPerMm = () => +kept("px-per-mm", 96 / 25.4);
const scroll = () => document.querySelector(".sheet-scroll");

/** As large as fits beside the margin and above the title block. */
function fit() {
  const svg = sheet();
  const room = document.querySelector(".sheet-room");
  if (!svg || !room) return;
  const { width, height } = svg.viewBox.baseVal;
  const tools = room.querySelector(".toolbar").offsetHeight;
  const down = document.getElementById("title-block").getBoundingClientRect().top - room.getBoundingClientRect().top - tools - 3;
  const across = document.documentElement.clientWidth - LEAST_MARGIN - 16;
  const w = Math.max(280, Math.min(across, (down * width) / height));
  const now = w + "px";
  if (now !== set) document.documentElement.style.setProperty("--sheet", (set = now));
}

/** The whole sheet, or a panel of it with a little round it. */
function part() {
  const svg = sheet();
  if (!svg) return;
  const v = svg.viewBox.baseVal;
  whole ??= [v.x, v.y, v.width, v.height];
  const panel = model().panels.find((p) => p.id && p.id === shown);
  const m = panel ? Math.min(panel.box[2], panel.box[3]) * 0.06 + 3 : 0;
  const [x, y, w, h] = panel ? [panel.box[0] - m, panel.box[1] - m, panel.box[2] + 2 * m, panel.box[3] + 2 * m] : whole;
  if (v.x === x && v.width === w) return;
  for (const each of [svg, document.getElementById("art")]) each.setAttribute("viewBox", `${x} ${y} ${w} ${h}`);
}

export function view() {
  const b = document.body;
  for (const [name, otherwise] of [["guides", "over"], ["centres", "off"], ["knife", "off"], ["eyes", "all"]]) {
    const value = kept(name, otherwise);
    if (b.dataset[name] !== value) b.dataset[name] = value;
  }
  for (const [id, value] of [["guides", b.dataset.guides], ["eyes", b.dataset.eyes], ["show-part", shown]]) {
    const field = document.getElementById(id);
    if (field) field.value = value;
  }
  for (const id of ["centres", "knife"]) {
    const box = document.getElementById(id);
    if (box) box.checked = b.dataset[id] === "on";
  }
  part();
  fit();
  if (real && sheet()) zoom = (sheet().viewBox.baseVal.width * pxPerMm()) / parseFloat(set);
  const svg = sheet();
  if (!svg) return;
  // what stays as it is must not be set again: the whole sheet would be drawn anew
  if (zoomed !== zoom) document.documentElement.style.setProperty("--zoom", (zoomed = zoom));
  const px = String(svg.viewBox.baseVal.width / (parseFloat(set) * zoom));
  if (svg.dataset.px !== px) svg.dataset.px = px;
  lay();
}

// ---- what is laid over the art and never printed

const box = ([x, y, w, h]) => `M${x} ${y}h${w}v${h}h${-w}Z`;
const template = () => JSON.parse(kept(templateKey(), "null"));
const templateKey = () => "template-" + location.pathname;

function lay() {
  const svg = sheet();
  if (!svg) return;
  let layer = document.getElementById("lay");
  if (!layer) svg.prepend((layer = element("g", { id: "lay" })));
  const m = model();
  const t = template();
  const wanted = JSON.stringify([document.body.dataset.guides === "areas", document.body.dataset.knife, t, m.sheet, m.zones]);
  if (wanted === laidFor && layer.isConnected) return;
  laidFor = wanted;
  const [w, h] = m.sheet;
  const trimmed = m.panels.find((p) => !p.id).box;
  const laid = [];
  if (document.body.dataset.guides === "areas") {
    const safe = m.zones.filter((z) => z.kind === "safe").map((z) => box(z.box)).join("");
    laid.push(element("path", { class: "area cut", "fill-rule": "evenodd", d: box([0, 0, w, h]) + box(trimmed) }));
    laid.push(element("path", { class: "area edge", "fill-rule": "evenodd", d: box(trimmed) + safe }));
    for (const z of m.zones) if (z.kind !== "safe") laid.push(element("path", { class: "area " + z.kind, d: box(z.box) }));
  }
  if (t) {
    const place = { x: (w - t.width) / 2, y: (h - t.height) / 2, width: t.width, height: t.height };
    laid.push(element("image", { class: "template", href: t.src, ...place, preserveAspectRatio: "none" }));
  }
  if (document.body.dataset.knife === "on") {
    const v = whole ?? [0, 0, w, h];
    laid.push(element("path", { class: "cut-off", "fill-rule": "evenodd", d: box(v) + box(trimmed) }));
  }
  layer.replaceChildren(...laid);
  const off = document.getElementById("template-off");
  if (off) off.hidden = !t;
  const said = document.getElementById("template-said");
  const anew = "The sheet was measured anew since this template was laid over: choose it again to have it judged.";
  if (said && t && !said.textContent) said.textContent = t.of === document.getElementById("board").dataset.madeOf ? t.said : anew;
}

// ---- zooming keeps what is under the pointer where it is

function zoomTo(wanted, at, inReal = false) {
  const room = scroll();
  const svg = sheet();
  if (!room || !svg) return;
  const before = svg.getBoundingClientRect();
  const p = at ?? { x: room.getBoundingClientRect().left + room.clientWidth / 2, y: room.getBoundingClientRect().top + room.clientHeight / 2 };
  const [u, v] = [(p.x - before.left) / before.width, (p.y - before.top) / before.height];
  real = inReal;
  zoom = Math.min(16, Math.max(0.25, wanted));
  document.dispatchEvent(new CustomEvent("bench:view"));
  const after = svg.getBoundingClientRect();
  room.scrollLeft += after.left + u * after.width - p.x;
  room.scrollTop += after.top + v * after.height - p.y;
}

/** So large that a millimetre of the cover is one on this screen. */
export function realSize() {
  zoomTo((sheet().viewBox.baseVal.width * pxPerMm()) / parseFloat(set), undefined, true);
}

export function step(by) {
  const wanted = zoom * by;
  zoomTo(Math.abs(wanted - 1) < 0.04 ? 1 : wanted);
}

export function fitSheet() {
  shown = "";
  zoomTo(1);
}

/** One panel as large as fits; the whole sheet when it is shown already. */
export function fitPanel(id) {
  shown = shown === id ? "" : id;
  zoomTo(1);
}

export function next(name, values) {
  const at = values.indexOf(document.body.dataset[name]);
  keep(name, values[(at + 1) % values.length]);
  document.dispatchEvent(new CustomEvent("bench:view"));
}

document.addEventListener("wheel", (e) => {
  if (!e.ctrlKey || !e.target.closest(".sheet-scroll")) return;
  e.preventDefault();
  zoomTo(zoom * Math.exp(-e.deltaY / 400), { x: e.clientX, y: e.clientY });
}, { passive: false });

let pan = null;
document.addEventListener("pointerdown", (e) => {
  if (e.button !== 1 || !e.target.closest(".sheet-scroll")) return;
  e.preventDefault();
  pan = { x: e.clientX, y: e.clientY };
});
document.addEventListener("pointermove", (e) => {
  if (!pan) return;
  scroll().scrollLeft -= e.clientX - pan.x;
  scroll().scrollTop -= e.clientY - pan.y;
  pan = { x: e.clientX, y: e.clientY };
});
document.addEventListener("pointerup", () => (pan = null));

document.addEventListener("change", (e) => {
  const { id, value, checked } = e.target;
  if (id === "guides" || id === "eyes") keep(id, value);
  else if (id === "centres" || id === "knife") keep(id, checked ? "on" : "off");
  else if (id === "show-part") {
    shown = value;
    zoom = 1;
    real = false;
  } else return;
  document.dispatchEvent(new CustomEvent("bench:view"));
});

// ---- the screen is measured once, by a card laid on it

function card() {
  const rule = document.getElementById("card-width");
  const drawn = document.getElementById("card");
  if (!rule || !drawn) return;
  drawn.setAttribute("width", +rule.value);
  drawn.setAttribute("height", (+rule.value * CARD[1]) / CARD[0]);
}

document.addEventListener("input", (e) => e.target.id === "card-width" && card());
document.addEventListener("toggle", (e) => {
  if (e.target.id !== "view-leaf" || !e.target.open) return;
  document.getElementById("card-width").value = pxPerMm() * CARD[0];
  card();
}, true);

document.addEventListener("click", (e) => {
  const z = e.target.closest("[data-zoom]")?.dataset.zoom;
  if (z === "fit") fitSheet();
  else if (z === "in") step(1.4);
  else if (z === "out") step(1 / 1.4);
  else if (z === "real") realSize();
  else if (e.target.id === "card-keep") {
    keep("px-per-mm", +document.getElementById("card-width").value / CARD[0]);
    realSize();
  } else if (e.target.id === "template-off") {
    localStorage.removeItem("reglet-" + templateKey());
    document.getElementById("template-said").textContent = "";
    document.dispatchEvent(new CustomEvent("bench:view"));
  }
});

document.addEventListener("change", async (e) => {
  const file = e.target.id === "template-file" && e.target.files[0];
  if (!file) return;
  const said = document.getElementById("template-said");
  said.textContent = `Reading ${file.name}…`;
  await htmx.ajax("POST", document.getElementById("board").dataset.bench + "/template", { source: "#uploads", target: "#template-said", swap: "innerHTML", values: { template: file } });
  e.target.value = "";
  const found = said.querySelector("[data-src]");
  if (!found) {
    said.textContent = "";
    return;
  }
  keep(templateKey(), JSON.stringify({ src: found.dataset.src, width: +found.dataset.width, height: +found.dataset.height, said: said.textContent.trim(), of: document.getElementById("board").dataset.madeOf }));
  document.dispatchEvent(new CustomEvent("bench:view"));
});
