// The leaf in which a picture's subject is marked; what is cut out is worked out by the server.
import { board, chosen, hand, looking, part, capture } from "./model.js";
import { edit } from "./answers.js";
import { hold } from "./overlay.js";

const leaf = () => document.querySelector("#leaf-cut .leaf");
const pad = () => document.getElementById("cut-pad");
const kind = () => leaf().dataset.editKind;
let marks = []; // what was marked of the picture in the hand, oldest first
/** What had been marked when an outline came of it: undo and redo come back to it. */
const made = new Map();
let shown = null;
let drawing = null;
let cursor = { x: 0.5, y: 0.5 };

const stays = () => document.querySelector("[data-cut-side][aria-pressed=true]").dataset.cutSide === "+";
const isBrush = () => document.getElementById("cut-tool").value === "brush";
const radius = () => document.getElementById("cut-radius").value / 400;
const finds = () => document.getElementById("cut-finds").checked;
const word = (m) => `${m.stays ? "+" : "-"} ${m.radius} ${m.points.map((p) => p.x.toFixed(4) + "," + p.y.toFixed(4)).join(" ")}`;
const piece = () => hand()[0] ?? "";

/** Widths in the square: it is stretched to the picture's proportion. */
function ratio() {
  const [w, h] = pad().dataset.ratio.split("/").map(Number);
  return w / h;
}

function draw() {
  if (!pad()) return;
  const r = ratio();
  const [sx, sy] = r >= 1 ? [1, r] : [1 / r, 1];
  const group = pad().querySelector(".cut-marks");
  group.replaceChildren(...[...marks, ...(drawing ? [drawing] : [])].map((m) => {
    const path = document.createElementNS("http://www.w3.org/2000/svg", "path");
    const d = m.points.map((p, i) => `${i ? "L" : "M"}${p.x * 1000 / sx} ${p.y * 1000 / sy}`).join("") + (m.radius ? (m.points.length === 1 ? "l0.01 0" : "") : "Z");
    path.setAttribute("d", d);
    path.setAttribute("class", (m.stays ? "stays" : "goes") + (m.radius ? " brush" : ""));
    path.setAttribute("transform", `scale(${sx} ${sy})`);
    path.setAttribute("stroke-width", m.radius ? m.radius * 2000 : 3);
    return path;
  }));
}

async function outline(of = null) {
  const on = pad();
  if (!on) return;
  const query = new URLSearchParams({ side: board().dataset.side, piece: piece(), part: part() });
  const answer = await fetch(`${board().dataset.bench}/outline?${query}`);
  if (!on.isConnected || !answer.ok) return;
  const d = await answer.text();
  if (of) made.set(d, of);
  marks = [...(made.get(d) ?? marks)];
  draw();
  on.querySelector(".cut-line").setAttribute("d", d);
  on.querySelector(".cut-gone").setAttribute("d", d ? "M0 0H1000V1000H0Z" + d : "");
  document.getElementById("said-cut").textContent = d ? "its subject" : "all of it";
}

/** One change, the leaf staying; whether it was taken. */
async function send(fields) {
  pad().classList.add("working");
  const taken = await edit(kind(), { ...(piece() ? { piece: piece() } : {}), ...fields, stay: "yes" });
  pad()?.classList.remove("working");
  if (taken) await outline([...marks]);
  return taken;
}

async function marked(mark) {
  if (finds()) {
    marks.push(mark);
    draw();
    if (!(await send({ cutOut: "proposed", marks: marks.map(word).join(";") }))) marks.pop();
  } else {
    marks = [];
    await send({ cutOut: "painted", marks: word(mark) });
  }
  draw();
}

document.addEventListener("toggle", (e) => {
  if (e.target.id !== "leaf-cut" || !e.target.open) return;
  const now = chosen() + pad().querySelector("img").src;
  if (shown !== now) {
    marks = [];
    made.clear();
    made.set("", []);
  }
  shown = now;
  outline();
  draw();
}, true);

/** Undo and redo may leave the block, and this leaf with it, as it is. */
document.addEventListener("htmx:afterSwap", (e) => {
  if (document.getElementById("leaf-cut")?.open && /\/(undo|redo)$/.test(e.detail?.pathInfo?.requestPath ?? "")) outline();
});

const at = (e) => {
  const box = pad().getBoundingClientRect();
  const share = (v) => Math.max(0, Math.min(1, v));
  return { x: share((e.clientX - box.left) / box.width), y: share((e.clientY - box.top) / box.height) };
};

document.addEventListener("pointerdown", (e) => {
  if (!e.target.closest?.("#cut-pad") || e.button || looking()) return;
  e.preventDefault();
  pad().focus();
  capture(pad(), e);
  drawing = { stays: stays(), radius: isBrush() ? radius() : 0, points: [at(e)] };
  draw();
});
document.addEventListener("pointermove", (e) => {
  if (!drawing) return;
  const p = at(e);
  const last = drawing.points.at(-1);
  if (Math.hypot(p.x - last.x, p.y - last.y) > 0.003) drawing.points.push(p);
  draw();
});
document.addEventListener("pointerup", () => {
  if (!drawing) return;
  const mark = drawing;
  drawing = null;
  if (mark.radius || mark.points.length > 2) marked(mark);
  else draw();
});
document.addEventListener("pointercancel", () => {
  drawing = null;
  draw();
});

document.addEventListener("keydown", (e) => {
  if (e.target.id !== "cut-pad" || looking()) return;
  const step = e.shiftKey ? 0.1 : 0.02;
  const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[e.key];
  if (by) {
    const within = (v) => Math.max(0, Math.min(1, v));
    cursor = { x: within(cursor.x + by[0]), y: within(cursor.y + by[1]) };
  } else if (e.key === "Enter" || e.key === " ") marked({ stays: stays(), radius: radius(), points: [cursor] });
  else return;
  e.preventDefault();
  e.stopPropagation();
  const spot = pad().querySelector(".cut-at");
  spot.setAttribute("cx", cursor.x * 1000);
  spot.setAttribute("cy", cursor.y * 1000);
  spot.setAttribute("r", Math.max(8, radius() * 1000));
}, true);

document.addEventListener("click", async (e) => {
  const side = e.target.closest?.("[data-cut-side]");
  if (side) {
    for (const b of document.querySelectorAll("[data-cut-side]")) b.setAttribute("aria-pressed", b === side);
  } else if (e.target.id === "cut-propose") {
    await send({ cutOut: "proposed", marks: marks.map(word).join(";") });
  } else if (e.target.id === "cut-apart") {
    await edit("add", { what: "subject", piece: piece(), part: part() });
    hold(chosen())?.focus({ preventScroll: true });
  } else if (e.target.dataset?.cutOut === "off") marks = [];
});
