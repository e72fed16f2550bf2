// What the leaf of the palette offers beside the palette: asked for when it is opened, and for another colour to go with.
import { edit } from "./answers.js";
import { board, chosen, looking, sheet } from "./model.js";

let base = "";

async function fill() {
  const place = document.getElementById("palette-offers");
  if (!place) return;
  const query = new URLSearchParams({ side: board().dataset.side, chosen: chosen(), base });
  const answer = await fetch(`${board().dataset.bench}/palette?${query}`, { headers: { "HX-Request": "true" } });
  if (!place.isConnected) return;
  if (!answer.ok) {
    base = "";
    place.textContent = "The colours could not be read: close this and open it again.";
    return;
  }
  const page = new DOMParser().parseFromString(await answer.text(), "text/html");
  place.replaceChildren(...page.body.children);
  for (const s of place.querySelectorAll("[data-colour].swatch")) s.style.background = s.dataset.colour;
}

document.addEventListener("toggle", (e) => {
  if (e.target.id === "leaf-palette" && e.target.open) fill();
}, true);

document.addEventListener("change", async (e) => {
  if (e.target.id !== "palette-base") return;
  base = e.target.value;
  await fill();
  document.getElementById("palette-base")?.focus();
});

// ---- a colour off the sheet: the next press on it takes the colour that is seen there

const pick = () => document.getElementById("palette-pick");
const picking = () => pick()?.getAttribute("aria-pressed") === "true";

function picks(on) {
  pick()?.setAttribute("aria-pressed", on);
  document.body.classList.toggle("picking", on);
  const said = document.getElementById("palette-picking");
  if (said) said.textContent = on ? "Press on the sheet; Escape to leave it." : "";
}

document.addEventListener("click", (e) => {
  if (e.target.id === "palette-pick" && !looking()) picks(!picking());
});
document.addEventListener("keydown", (e) => {
  if (e.key !== "Escape" || !picking()) return;
  e.stopPropagation();
  picks(false);
}, true);
document.addEventListener("pointerdown", async (e) => {
  if (!picking() || !e.target.closest?.("#board .sheet-scroll")) return;
  e.preventDefault();
  e.stopPropagation();
  picks(false);
  const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(sheet().getScreenCTM().inverse());
  const query = new URLSearchParams({ side: board().dataset.side, x: p.x, y: p.y });
  const answer = await fetch(`${board().dataset.bench}/palette/at?${query}`, { headers: { "HX-Request": "true" } });
  const said = document.getElementById("palette-picking");
  if (answer.ok) await edit("swatch", { colour: await answer.text() });
  else if (said) said.textContent = "That point lies off the sheet: press on it.";
}, true);
