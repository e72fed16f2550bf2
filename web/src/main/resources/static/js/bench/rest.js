// What is asked when the hand rests: how words stand out. It is dropped when something else goes on meanwhile.
import { board, chosen, looking, merge, model } from "./model.js";
import { refresh } from "./overlay.js";

const REST = 700;
let timer = null;
let asked = 0;
let down = false;

/** Asks when nothing was done for a while. */
export function rested() {
  asked++;
  clearTimeout(timer);
  if (document.getElementById("sheet") && !looking()) timer = setTimeout(ask, REST);
}

async function ask() {
  const mine = asked;
  if (down || document.querySelector(".htmx-request")) return rested();
  const address = board().dataset.bench.replace(/bench$/, "standing-out");
  const answer = await fetch(`${address}?side=${board().dataset.side}&chosen=${encodeURIComponent(chosen())}`, { headers: { "HX-Request": "true" } }).catch(() => null);
  if (!answer?.ok || mine !== asked) return;
  const page = new DOMParser().parseFromString(await answer.text(), "text/html");
  const told = page.getElementById("rested");
  if (mine !== asked || !told || down) return rested();
  const m = model();
  if (told.dataset.base !== document.getElementById("base").value) return;
  // nothing is exchanged under a caret or under the hand that is about to press a note's button
  if (document.getElementById("caret") || document.activeElement?.closest("#notes")) return;
  const notes = JSON.parse(told.textContent);
  const before = document.getElementById("notes");
  if (JSON.stringify(notes) !== JSON.stringify(m.notes) || before.textContent !== page.getElementById("notes").textContent) {
    merge({ base: m.base, notes, pieces: [], order: m.pieces.map((p) => p.id) });
    before.replaceWith(page.getElementById("notes"));
    document.getElementById("measure-line").replaceWith(page.getElementById("measure-line"));
    refresh();
  }
  const place = document.getElementById("stands-out");
  if (!place) return;
  place.textContent = told.dataset.standsOut;
  place.classList.toggle("low", told.dataset.low === "true");
}

document.addEventListener("pointerdown", () => (down = true), true);
for (const type of ["pointerup", "pointercancel"]) document.addEventListener(type, () => (down = false), true);
