// Words typed where they stand: a field of the title block has the keys, caret and selection are drawn on the sheet.
import { board, looking, piece, sheet } from "./model.js";
import { element, hold } from "./overlay.js";
import { choose, edit, post } from "./answers.js";

let of = ""; // the piece that is typed in
let lines = [];
let fact = null; // the fact that its words were of
let wanted = null; // the point that arrows up and down keep to
let pulling = null;
let taking = null; // what was typed last in words that are being made their own

const field = () => document.getElementById("w-text") ?? document.getElementById("w-says");
const question = () => document.getElementById("ask-typed");
const escaped = (text) => text.replace(/[*_\\]/g, "\\$&");
const plain = (text) => text.replace(/\\([*_\\])/g, "$1");

function read(json) {
  lines = json.map((l) => {
    const i = Array.isArray(l.i) ? l.i : l.x.map((_, k) => l.i + k);
    return { m: new DOMMatrix(l.m), u: l.u, d: l.d, i, x: l.x };
  });
}

/** Puts the caret into words: where somebody pointed, else all of them are selected. */
export async function start(id, e) {
  if (looking() || !piece(id) || piece(id).locked) return;
  await choose(id);
  const f = field();
  if (!f || f.readOnly) return;
  const query = new URLSearchParams({ piece: id, side: board().dataset.side });
  const answer = await fetch(`${board().dataset.bench}/caret?${query}`, { headers: { "HX-Request": "true" } });
  if (!answer.ok || !f.isConnected) return;
  read(await answer.json());
  of = id;
  board().dataset.caret = id;
  fact = f.id === "w-says" ? { ...f.dataset } : null;
  document.body.classList.add("typing-words");
  f.focus({ preventScroll: true });
  const at = e ? nearest(toMm(e)) : null;
  f.setSelectionRange(at ?? 0, at ?? f.value.length);
  draw();
}

function stop(back) {
  const was = of;
  of = "";
  delete board().dataset.caret;
  document.body.classList.remove("typing-words");
  document.getElementById("caret")?.remove();
  if (fact && field()?.id === "w-text") ask(was);
  else if (back) hold(was)?.focus({ preventScroll: true });
}

// ---- words of a fact: whether the fact changes or only this place is asked when they are typed

let asked = null;

function ask(id) {
  asked = { id, fact };
  fact = null;
  document.getElementById("ask-typed-what").textContent = `Change the book’s ${asked.fact.fact}, wherever it stands, or only these words?`;
  document.getElementById("typed-fact").textContent = `The book’s ${asked.fact.fact}`;
  question().hidden = false;
  document.getElementById("typed-fact").focus({ preventScroll: true });
}

async function answered(how) {
  const { id, fact: of } = asked;
  const prose = "prose" in of;
  const text = field()?.id === "w-text" ? field().value : of.said;
  asked = null;
  question().hidden = true;
  if (how !== "here") await edit("set", { piece: id, source: of.fact });
  if (how === "fact") await post("/fact", { fact: of.fact, said: of.said, text: prose ? text : plain(text), piece: id });
  hold(id)?.focus({ preventScroll: true });
}

/** Words of a fact become the place's own with the first key; what is typed meanwhile goes after it. */
async function take(f) {
  const prose = "prose" in f.dataset;
  const first = taking === null;
  taking = { text: f.value, from: f.selectionStart, to: f.selectionEnd };
  if (!first) return;
  const sent = f.value;
  await edit("set", { piece: of, source: "own", literal: "on", text: sent });
  const now = field();
  const { text, from, to } = taking;
  taking = null;
  if (now?.id !== "w-text") return; // it was refused
  const place = (i) => (prose ? i : escaped(text.slice(0, i)).length);
  now.focus({ preventScroll: true });
  if (text !== sent) now.value = prose ? text : escaped(text);
  now.setSelectionRange(place(from), place(to));
  if (text !== sent) now.dispatchEvent(new Event("input", { bubbles: true }));
  draw();
}

document.addEventListener("input", (e) => {
  if (!of || e.target !== field() || e.target.id !== "w-says") return;
  e.stopPropagation();
  take(e.target);
}, true);

// a fact has no marks of emphasis: what is typed into it is what it says
document.addEventListener("beforeinput", (e) => {
  if (!of || !fact || "prose" in fact || e.target !== field() || e.target.id !== "w-text" || !/[*_\\]/.test(e.data ?? "")) return;
  e.preventDefault();
  e.target.setRangeText(escaped(e.data), e.target.selectionStart, e.target.selectionEnd, "end");
  e.target.dispatchEvent(new Event("input", { bubbles: true }));
});

// ---- where the caret is

const toMm = (e) => new DOMPoint(e.clientX, e.clientY).matrixTransform(sheet().getScreenCTM().inverse());

/** The line that a place in the text is on. */
function lineOf(index) {
  let found = lines[0];
  for (const l of lines) if (l.i[0] <= index) found = l;
  return found;
}

function along(line, index) {
  let k = line.i.findIndex((i) => i >= index);
  if (k < 0) k = line.i.length - 1;
  return line.x[k];
}

/** How far a point is from a line's letters, and the place in the text next to it. */
function near(line, p) {
  const q = p.matrixTransform(line.m.inverse());
  const [least, most] = [Math.min(...line.x), Math.max(...line.x)];
  const k = line.x.reduce((best, x, i) => (Math.abs(x - q.x) < Math.abs(line.x[best] - q.x) ? i : best), 0);
  return { away: Math.hypot(Math.max(0, least - q.x, q.x - most), 3 * Math.max(0, -line.u - q.y, q.y - line.d)), index: line.i[k] };
}

function nearest(p) {
  const all = lines.map((l) => near(l, p)).sort((a, b) => a.away - b.away);
  return all[0]?.index ?? 0;
}

function inside(p) {
  const c = piece(of)?.corners;
  if (!c) return false;
  let sign = 0;
  for (let i = 0; i < 8; i += 2) {
    const [x, y, x2, y2] = [c[i], c[i + 1], c[(i + 2) % 8], c[(i + 3) % 8]];
    const s = Math.sign((x2 - x) * (p.y - y) - (y2 - y) * (p.x - x));
    if (s && sign && s !== sign) return lines.some((l) => near(l, p).away === 0);
    sign = s || sign;
  }
  return true;
}

const focus = (f) => (f.selectionDirection === "backward" ? f.selectionStart : f.selectionEnd);
const anchor = (f) => (f.selectionDirection === "backward" ? f.selectionEnd : f.selectionStart);

function select(f, from, to) {
  f.setSelectionRange(Math.min(from, to), Math.max(from, to), to < from ? "backward" : "forward");
  draw();
}

/** The caret as two points on the sheet; after line breaks at the end it is under the last line. */
function caretAt(f) {
  const index = focus(f);
  if (!lines.length) {
    const [x, y, , , x2, y2] = piece(of).corners;
    return [x, y, x, Math.min(y + 6, y2 || y + 6)];
  }
  const line = lineOf(index);
  const last = line.i[line.i.length - 1];
  const below = line === lines[lines.length - 1] && index > last ? f.value.slice(last, index).split("\n").length - 1 : 0;
  const before = lines[lines.length - 2];
  const step = before ? Math.hypot(line.m.e - before.m.e, line.m.f - before.m.f) : 1.2 * (line.u + line.d);
  const x = below ? line.x[0] : along(line, index);
  const [a, b] = [new DOMPoint(x, -line.u + below * step), new DOMPoint(x, line.d + below * step)].map((q) => q.matrixTransform(line.m));
  return [a.x, a.y, b.x, b.y];
}

function selected(f) {
  const quads = [];
  for (const l of lines) {
    for (let k = 0; k + 1 < l.i.length; k++) {
      const on = l.i[k] >= f.selectionStart && l.i[k] < f.selectionEnd && Math.abs(l.x[k + 1] - l.x[k]) < 3 * (l.u + l.d);
      if (!on) continue;
      const [a, b] = [l.x[k], l.x[k + 1]];
      const p = [[a, -l.u], [b, -l.u], [b, l.d], [a, l.d]].map(([x, y]) => new DOMPoint(x, y).matrixTransform(l.m));
      quads.push("M" + p.map((q) => `${q.x.toFixed(3)} ${q.y.toFixed(3)}`).join("L") + "Z");
    }
  }
  return quads.join("");
}

function draw() {
  const f = field();
  if (!of || !f || !piece(of)) {
    document.getElementById("caret")?.remove();
    return;
  }
  let g = document.getElementById("caret");
  if (!g) {
    g = element("g", { id: "caret" }, element("path", { class: "selection" }), element("line", { class: "under" }), element("line", { class: "stroke" }));
    sheet().append(g);
  }
  const [x1, y1, x2, y2] = caretAt(f);
  g.dataset.at = focus(f);
  g.querySelector(".selection").setAttribute("d", selected(f));
  for (const line of g.querySelectorAll("line")) for (const [k, v] of Object.entries({ x1, y1, x2, y2 })) line.setAttribute(k, v);
}

document.addEventListener("bench:caret", (e) => {
  if (!of) return;
  read(JSON.parse(e.detail));
  draw();
});
document.addEventListener("selectionchange", () => of && draw());
document.addEventListener("bench:view", () => of && draw());

// ---- by mouse

document.addEventListener("dblclick", (e) => {
  if (of || !e.target.closest?.("#sheet")) return;
  const id = document.elementFromPoint(e.clientX, e.clientY)?.closest(".hold, .grasp")?.dataset.piece; // the sheet has the pointer
  if (id) start(id, e);
});

document.addEventListener("pointerdown", (e) => {
  if (!of || e.button !== 0 || !e.target.closest("#sheet")) return;
  const p = toMm(e);
  if (!inside(p)) {
    stop(false);
    return;
  }
  e.preventDefault();
  e.stopPropagation();
  const f = field();
  f.focus({ preventScroll: true });
  const at = nearest(p);
  pulling = e.shiftKey ? anchor(f) : at;
  select(f, pulling, at);
  sheet().setPointerCapture(e.pointerId);
}, true);

document.addEventListener("pointermove", (e) => {
  if (pulling === null || !of) return;
  e.stopPropagation();
  select(field(), pulling, nearest(toMm(e)));
}, true);
document.addEventListener("pointerup", () => (pulling = null), true);

// ---- by keys

function upOrDown(f, by) {
  const n = lines.indexOf(lineOf(focus(f)));
  const to = lines[n + by];
  if (!to) return by < 0 ? 0 : f.value.length;
  wanted ??= new DOMPoint(along(lines[n], focus(f)), 0).matrixTransform(lines[n].m);
  return near(to, wanted).index;
}

/** Stars round what is selected, or off it. */
function emphasise(f, mark) {
  const [from, to] = [f.selectionStart, f.selectionEnd];
  const { value } = f;
  const has = value.slice(from - mark.length, from) === mark && value.slice(to, to + mark.length) === mark;
  if (has) f.setRangeText(value.slice(from, to), from - mark.length, to + mark.length, "select");
  else {
    f.setRangeText(mark + value.slice(from, to) + mark, from, to, "select");
    f.setSelectionRange(from + mark.length, to + mark.length);
  }
  f.dispatchEvent(new Event("input", { bubbles: true }));
}

document.addEventListener("keydown", (e) => {
  if (!of || e.target !== field()) return;
  const f = e.target;
  const line = lines.length ? lineOf(focus(f)) : null;
  const to = (index) => {
    select(f, e.shiftKey ? anchor(f) : index, index);
    e.preventDefault();
  };
  if (!["ArrowUp", "ArrowDown"].includes(e.key)) wanted = null;
  if (e.key === "Escape" || (e.key === "Enter" && fact && !("prose" in fact) && !e.shiftKey)) {
    e.preventDefault();
    stop(true);
  } else if (line && e.key === "ArrowUp") to(upOrDown(f, -1));
  else if (line && e.key === "ArrowDown") to(upOrDown(f, 1));
  else if (line && e.key === "Home" && !e.ctrlKey) to(line.i[0]);
  else if (line && e.key === "End" && !e.ctrlKey) to(line.i[line.i.length - 1]);
  else if ((e.ctrlKey || e.metaKey) && ["i", "b"].includes(e.key) && (f.id === "w-text" || "prose" in f.dataset)) {
    e.preventDefault();
    emphasise(f, e.key === "i" ? "*" : "**");
  } else return;
  e.stopImmediatePropagation(); // else Escape would answer the question, too
}, true);

document.addEventListener("focusout", (e) => {
  if (!of || e.target !== field() || taking !== null) return;
  setTimeout(() => {
    if (of && taking === null && document.hasFocus() && document.activeElement !== field()) stop(false);
  });
});

document.addEventListener("click", (e) => {
  const how = { "typed-fact": "fact", "typed-here": "here", "typed-not": "not" }[e.target.id];
  if (how && asked) answered(how);
});
document.addEventListener("keydown", (e) => {
  if (e.key !== "Escape" || !asked || question().hidden) return;
  e.preventDefault();
  e.stopPropagation();
  answered("not");
}, true);
