// Sends a file to be put on the cover.
import { board, chosen, hand, piece } from "./model.js";
import { hold } from "./overlay.js";

/** A picture is sent as it is read; until it is there, the page says so. */
export async function send(file, as, on = piece(hand()[0] ?? "")?.on || "front", at = {}) {
  const readout = document.getElementById("readout");
  readout.textContent = `Reading ${file.name}, ${(file.size / 1e6).toFixed(1)} MB…`;
  board().classList.add("reading");
  const values = { base: document.getElementById("base").value, shown: chosen(), madeOf: board().dataset.madeOf, side: board().dataset.side, as, piece: hand()[0] ?? chosen(), on, ...at, picture: file };
  try {
    await htmx.ajax("POST", board().dataset.bench + "/picture", { source: "#uploads", values });
  } finally {
    board().classList.remove("reading");
    readout.textContent = "";
  }
  if (as === "piece" && chosen()) hold(chosen())?.focus({ preventScroll: true });
}
