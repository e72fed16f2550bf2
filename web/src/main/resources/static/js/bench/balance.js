// Where the weight of the design lies, laid over the sheet; asked for when it is wished, and anew after each change.
import { board, sheet } from "./model.js";

const wished = () => document.getElementById("balance-on")?.checked;
let asked = 0;

function clear() {
  document.getElementById("balance")?.remove();
  document.getElementById("balance-figures")?.replaceChildren();
}

async function show() {
  const turn = ++asked;
  if (!wished()) return clear();
  const answer = await fetch(`${board().dataset.bench}/balance?side=${board().dataset.side}`);
  if (turn !== asked || !wished()) return;
  clear();
  if (!answer.ok) return;
  const page = new DOMParser().parseFromString(await answer.text(), "text/html");
  sheet().querySelector(".guides")?.before(document.importNode(page.getElementById("balance"), true));
  document.getElementById("balance-figures").replaceChildren(page.getElementById("balance-said"));
}

document.addEventListener("change", (e) => {
  if (e.target.id === "balance-on") show();
});
document.addEventListener("htmx:afterSwap", (e) => {
  if (wished() && /\/(edits|undo|redo|picture)$/.test(e.detail?.pathInfo?.requestPath ?? "")) show();
});
