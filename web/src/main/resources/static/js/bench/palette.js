// What the leaf of the palette offers beside the palette: asked for when it is opened, and for another colour to go with.
import { board, chosen } from "./model.js";

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
