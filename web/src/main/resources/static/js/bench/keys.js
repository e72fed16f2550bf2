// Keys: walking the pieces, nudging, taking off, undo and redo.
import { model, piece, along, loose, toggled, looking } from "./model.js";
import { hold } from "./overlay.js";
import { choose, edit } from "./answers.js";
import { nudgeable } from "./drag.js";

const ARROWS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
let nudge = null;

async function send() {
  const n = nudge;
  nudge = null;
  await edit("move", { piece: n.moving.join(","), right: `${n.x} mm`, down: `${n.y} mm` });
  for (const m of n.moving) document.getElementById("art-" + m)?.removeAttribute("transform");
  hold(n.id)?.focus({ preventScroll: true });
}

/** Takes pieces off; the keyboard is on the next one then. */
export async function takeOff(id) {
  const off = along(id.split(",")[0]);
  const all = model().pieces.map((p) => p.id).filter((p) => !off.includes(p) || p === off[0]);
  const next = all[all.indexOf(off[0]) + 1] ?? all[all.indexOf(off[0]) - 1];
  await edit("remove", { piece: off.join(",") });
  if (!piece(off[0])) (hold(next ?? "") ?? document.getElementById("add-what"))?.focus({ preventScroll: true });
}

document.addEventListener("keydown", (e) => {
  const typing = e.target.closest("input:not([type=checkbox]):not([type=range]), textarea, select");
  if ((e.ctrlKey || e.metaKey) && !typing && ["z", "y"].includes(e.key.toLowerCase())) {
    e.preventDefault();
    document.getElementById(e.key.toLowerCase() === "y" || e.shiftKey ? "redo" : "undo")?.click();
    return;
  }
  const id = e.target.closest(".hold")?.dataset.piece;
  if (!id) return;
  if (e.key === "Enter" || e.key === " ") {
    e.preventDefault();
    choose(e.shiftKey ? toggled(id) : id).then(() => hold(id)?.focus({ preventScroll: true }));
  } else if (e.key === "Escape") {
    choose("");
  } else if (looking()) {
    // who only looks on walks the pieces, no more
  } else if (e.key === "Delete" || e.key === "Backspace") {
    e.preventDefault();
    takeOff(id);
  } else if (ARROWS[e.key] && nudgeable(id)) {
    e.preventDefault();
    const step = e.shiftKey ? 5 : 0.5;
    const [x, y] = ARROWS[e.key];
    if (nudge && nudge.id !== id) {
      clearTimeout(nudge.timer);
      send();
    }
    nudge ??= { id, moving: [...new Set(along(id).map((h) => loose(h).id))], x: 0, y: 0 };
    nudge.x += x * step;
    nudge.y += y * step;
    for (const g of nudge.moving.flatMap((m) => [hold(m), document.getElementById("art-" + m)])) g?.setAttribute("transform", `translate(${nudge.x} ${nudge.y})`);
    clearTimeout(nudge.timer);
    nudge.timer = setTimeout(send, 160);
  }
});
