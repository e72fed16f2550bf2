// The view: how large the sheet is, guides, centres, zoom; kept in this browser.
import { sheet } from "./model.js";

let zoom = 1;
let set = "";
const LEAST_MARGIN = 244;

const keep = (name, value) => localStorage.setItem("reglet-" + name, value);
const kept = (name, otherwise) => localStorage.getItem("reglet-" + name) ?? otherwise;

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

export function view() {
  const b = document.body;
  b.dataset.guides = kept("guides", "over");
  b.dataset.centres = kept("centres", "off");
  document.documentElement.style.setProperty("--zoom", zoom);
  const guides = document.getElementById("guides");
  if (guides) guides.value = b.dataset.guides;
  const centres = document.getElementById("centres");
  if (centres) centres.checked = b.dataset.centres === "on";
  fit();
}

document.addEventListener("change", (e) => {
  if (e.target.id === "guides") keep("guides", e.target.value);
  else if (e.target.id === "centres") keep("centres", e.target.checked ? "on" : "off");
  else return;
  view();
});

document.addEventListener("click", (e) => {
  const z = e.target.closest("[data-zoom]");
  if (!z) return;
  zoom = z.dataset.zoom === "fit" ? 1 : z.dataset.zoom === "in" ? Math.min(8, zoom * 1.4) : Math.max(0.5, zoom / 1.4);
  if (Math.abs(zoom - 1) < 0.05) zoom = 1;
  document.dispatchEvent(new CustomEvent("bench:view"));
});
