// Copying pieces to another place, panel or cover: by the browser's own copy, cut and paste.
import { board, hand, loose, looking } from "./model.js";
import { hold } from "./overlay.js";
import { edit } from "./answers.js";
import { takeOff } from "./keys.js";

const KIND = "Reglet pieces";
const here = () => board().dataset.bench.match(/editions\/(\d+)/)[1];
const typing = () => document.activeElement?.closest("input:not([type=checkbox]):not([type=range]), textarea, select");

/** The loose pieces in the hand, else the one that has the keyboard. */
export function taken() {
  const focused = document.activeElement?.closest(".hold")?.dataset.piece;
  const ids = hand().length ? hand() : focused ? [focused] : [];
  return [...new Set(ids.map((id) => loose(id)?.id).filter(Boolean))];
}

for (const type of ["copy", "cut"]) {
  document.addEventListener(type, (e) => {
    const ids = taken();
    if (typing() || !ids.length || String(getSelection())) return;
    e.preventDefault();
    e.clipboardData.setData("text/plain", `${KIND} ${JSON.stringify({ from: here(), side: board().dataset.side, pieces: ids })}`);
    if (type === "cut" && !looking()) takeOff(ids.join(","));
  });
}

document.addEventListener("paste", async (e) => {
  const text = e.clipboardData.getData("text/plain");
  if (typing() || looking() || !text.startsWith(KIND)) return;
  e.preventDefault();
  try {
    const { from, side, pieces } = JSON.parse(text.slice(KIND.length));
    await edit("paste", { from, fromSide: side, piece: pieces.join(",") });
    hold(hand()[0] ?? "")?.focus({ preventScroll: true });
  } catch {
    // something else that begins so
  }
});
