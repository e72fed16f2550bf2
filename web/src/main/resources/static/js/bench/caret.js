// Words typed where they stand: a field of the title block has the keys, caret and selection are drawn on the sheet.
import { board, chosen, looking, piece, sheet, capture } from "./model.js";
import { element, hold } from "./overlay.js";
import { choose, edit, post } from "./answers.js";
import { along, caretAt, lineOf, lines, near, nearest, read, selected } from "./lines.js";

let of = ""; // the piece that is typed in
let fact = null; // the fact that its words were of
let said = null; // what they say instead, since somebody typed
let wanted = null; // the point that arrows up and down keep to
let pulling = null;
let taking = null; // what was typed last in words that are being made their own
let after = null; // what waits until they are
let coming = null; // what is typed while the caret is on its way

const field = () => document.getElementById("w-text") ?? document.getElementById("w-says");
const question = () => document.getElementById("ask-typed");
const escaped = (text) => text.replace(/[*_\\]/g, "\\$&");
const plain = (text) => text.replace(/\\([*_\\])/g, "$1");

/** Puts the caret into words: where somebody pointed, else all of them are selected. What is typed meanwhile goes in there. */
export async function start(id, e) {
  if (looking() || !piece(id) || piece(id).locked) return;
  coming = "";
  try {
    await arrive(id, e);
  } finally {
    const typed = coming;
    coming = null;
    const f = field();
    if (typed && of === id && f) {
      f.setRangeText(literal() && f.id === "w-text" ? escaped(typed) : typed, f.selectionStart, f.selectionEnd, "end");
      f.dispatchEvent(new Event("input", { bubbles: true }));
    }
  }
}

async function arrive(id, e) {
  await choose(id);
  if (!field() || field().readOnly) return;
  const query = new URLSearchParams({ piece: id, side: board().dataset.side });
  const answer = await fetch(`${board().dataset.bench}/caret?${query}`, { headers: { "HX-Request": "true" } });
  if (!answer.ok || chosen() !== id) return;
  const f = field(); // the title block may have come anew meanwhile
  if (!f || f.readOnly) return;
  read(await answer.json());
  of = id;
  board().dataset.caret = id;
  fact = f.id === "w-says" ? { ...f.dataset } : null;
  said = null;
  document.body.classList.add("typing-words");
  f.focus({ preventScroll: true });
  const at = e ? nearest(toMm(e)) : null;
  f.setSelectionRange(at ?? 0, at ?? f.value.length);
  draw();
}

document.addEventListener("keydown", (e) => {
  if (coming === null || e.ctrlKey || e.metaKey || e.altKey) return;
  if (e.key.length === 1) coming += e.key;
  else if (e.key === "Backspace") coming = coming.slice(0, -1);
  else return;
  e.preventDefault();
  e.stopImmediatePropagation(); // else a letter would be an act on the piece
}, true);

/** Whether a short fact is typed, which has no marks of emphasis and no lines. */
export const literal = () => Boolean(of && fact && !("prose" in fact));

function stop(back) {
  if (taking !== null) {
    after = () => stop(back);
    return;
  }
  const was = of;
  of = "";
  delete board().dataset.caret;
  document.body.classList.remove("typing-words");
  document.getElementById("caret")?.remove();
  if (fact && said !== null) ask(was);
  else if (back) hold(was)?.focus({ preventScroll: true });
}

// ---- words of a fact: whether the fact changes or only this place is asked when they are typed

let asked = null;

function ask(id) {
  asked = { id, fact, text: said };
  fact = null;
  document.getElementById("ask-typed-what").textContent = `Change the book’s ${asked.fact.fact}, wherever it stands, or only these words?`;
  document.getElementById("typed-fact").textContent = `The book’s ${asked.fact.fact}`;
  question().hidden = false;
  document.getElementById("typed-fact").focus({ preventScroll: true });
}

async function answered(how) {
  const { id, fact: told, text } = asked;
  asked = null;
  question().hidden = true;
  if (how === "not") await edit("set", { piece: id, source: told.fact });
  if (how === "fact") await post("/fact", { fact: told.fact, said: told.said, text: "prose" in told ? text : plain(text), piece: id, typed: "true" });
  hold(id)?.focus({ preventScroll: true });
}

/** Words of a fact become the place's own with the first key; what is typed meanwhile goes after it. */
async function take(f) {
  const id = of;
  const written = (text) => ("prose" in f.dataset ? text : escaped(text));
  const first = taking === null;
  taking = { text: f.value, from: f.selectionStart, to: f.selectionEnd };
  if (!first) return;
  const sent = f.value;
  await edit("set", { piece: id, source: "own", literal: "on", text: sent });
  const { text, from, to } = taking;
  const then = after;
  taking = after = null;
  const now = chosen() === id ? field() : null;
  if (now?.id !== "w-says") said = written(text); // else it was refused
  if (now?.id === "w-text") {
    now.focus({ preventScroll: true });
    now.value = said;
    now.setSelectionRange(written(text.slice(0, from)).length, written(text.slice(0, to)).length);
  }
  if (said !== null && text !== sent) edit("set", { piece: id, text: said, stay: "yes" });
  if (then) then();
  else draw();
}

document.addEventListener("input", (e) => {
  if (!of || !fact || e.target !== field()) return;
  if (e.target.id === "w-text") said = e.target.value;
  else {
    e.stopPropagation();
    take(e.target);
  }
}, true);

// a fact has no marks of emphasis: what is typed into it is what it says
document.addEventListener("beforeinput", (e) => {
  if (!literal() || e.target !== field() || e.target.id !== "w-text" || !/[*_\\]/.test(e.data ?? "")) return;
  e.preventDefault();
  e.target.setRangeText(escaped(e.data), e.target.selectionStart, e.target.selectionEnd, "end");
  e.target.dispatchEvent(new Event("input", { bubbles: true }));
});

// ---- where the caret is

const toMm = (e) => new DOMPoint(e.clientX, e.clientY).matrixTransform(sheet().getScreenCTM().inverse());

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
  const [x1, y1, x2, y2] = caretAt(focus(f), f.value, piece(of).corners);
  g.dataset.at = focus(f);
  g.querySelector(".selection").setAttribute("d", selected(f.selectionStart, f.selectionEnd));
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
  capture(sheet(), e);
}, true);

document.addEventListener("pointermove", (e) => {
  if (pulling === null || !of) return;
  e.stopPropagation();
  select(field(), pulling, nearest(toMm(e)));
}, true);
document.addEventListener("pointerup", () => (pulling = null), true);

// ---- by keys

function upOrDown(f, by) {
  const line = lineOf(focus(f));
  const to = lines[lines.indexOf(line) + by];
  if (!to) return by < 0 ? 0 : f.value.length;
  wanted ??= new DOMPoint(along(line, focus(f)), 0).matrixTransform(line.m);
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
  const line = lineOf(focus(f));
  const to = (index) => {
    select(f, e.shiftKey ? anchor(f) : index, index);
    e.preventDefault();
  };
  if (!["ArrowUp", "ArrowDown"].includes(e.key)) wanted = null;
  if (e.key === "Escape" || (e.key === "Enter" && literal())) {
    e.preventDefault();
    stop(true);
  } else if (line && e.key === "ArrowUp") to(upOrDown(f, -1));
  else if (line && e.key === "ArrowDown") to(upOrDown(f, 1));
  else if (line && e.key === "Home" && !e.ctrlKey) to(line.i[0]);
  else if (line && e.key === "End" && !e.ctrlKey) to(line.i[line.i.length - 1]);
  else if ((e.ctrlKey || e.metaKey) && ["i", "b"].includes(e.key) && !literal()) {
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
