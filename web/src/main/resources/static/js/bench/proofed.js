// The sheet as it comes from the press, laid over the art while nothing moves.
import { board, sheet } from "./model.js";

const wished = () => document.getElementById("proofing")?.value ?? "";
let asked = 0;

function clear() {
  document.getElementById("proofed")?.remove();
}

function show() {
  const turn = ++asked;
  const view = wished();
  if (!view) return clear();
  const address = board().dataset.bench.replace(/bench$/, "proof/picture");
  const image = document.createElementNS("http://www.w3.org/2000/svg", "image");
  const base = document.getElementById("base").value;
  image.id = "proofed";
  const page = document.querySelector("#art rect.sheet");
  for (const name of ["x", "y", "width", "height"]) image.setAttribute(name, page.getAttribute(name));
  image.setAttribute("preserveAspectRatio", "none");
  image.addEventListener("load", () => {
    if (turn !== asked || !wished()) return;
    clear();
    sheet().querySelector(".guides")?.before(image);
  });
  image.setAttribute("href", `${address}?view=${view}&side=${board().dataset.side}&v=${base}-${Date.now()}`);
  // an image that is nowhere is not fetched by every browser
  const hidden = new Image();
  hidden.onload = () => image.dispatchEvent(new Event("load"));
  hidden.src = image.getAttribute("href");
}

document.addEventListener("change", (e) => {
  if (e.target.id === "proofing") show();
});
// what moves is the art: the proof is taken off until the hand lets go and the answer is there
document.addEventListener("pointerdown", (e) => {
  if (wished() && e.target.closest?.(".hold, .grip")) clear();
});
document.addEventListener("pointerup", () => {
  if (wished() && !document.getElementById("proofed")) setTimeout(() => wished() && !document.querySelector(".htmx-request") && show(), 60);
});
document.addEventListener("htmx:afterSwap", (e) => {
  if (wished() && /\/(edits|undo|redo|picture)$/.test(e.detail?.pathInfo?.requestPath ?? "")) show();
});
