// The title block, the margin and the tools: fields send what they hold, buttons what they say.
import { board, chosen, hand, piece, toggled, looking } from "./model.js";
import { choose, edit, post } from "./answers.js";
import { lay } from "./starts.js";
import { hold } from "./overlay.js";
import { marked } from "./faces.js";
import { takeOff } from "./keys.js";
import { send as sendFile } from "./upload.js";

const timers = new Map();

/** What one field changes; the title block stays, since the hand is in it. */
function send(field) {
  const fields = { [field.name]: field.type === "checkbox" ? (field.checked ? "on" : "off") : field.value, stay: "yes" };
  if (["set", "place", "turn", "appear", "hang", "hide", "lock"].includes(field.dataset.edit)) fields.piece = chosen();
  if (field.dataset.edit === "place") fields.from = field.closest("[data-from]").dataset.from;
  if (["hang", "hide", "lock"].includes(field.dataset.edit) || field.name === "source" || "anew" in field.dataset || field.dataset.edit === "swatch") delete fields.stay;
  if (field.dataset.name) fields.name = field.dataset.name;
  const focused = field.id;
  const sent = field.value;
  return edit(field.dataset.edit, fields).then((taken) => {
    if (taken) {
      field.dataset.good = sent;
      delete field.dataset.refused;
    } else if (taken === false && field.tagName !== "TEXTAREA") {
      field.dataset.refused = "";
      if (document.activeElement !== field) giveWay(field);
    }
    if (!fields.stay && focused) document.getElementById(focused)?.focus();
    pair(field);
  });
}

/** What was refused gives way to the last that was taken, once the hand leaves it; the sentence stays. */
function giveWay(field) {
  delete field.dataset.refused;
  if (!field.isConnected) return;
  if (field.type === "checkbox") field.checked = !field.checked;
  else if (field.dataset.good !== undefined) field.value = field.dataset.good;
  else if (field.options) field.value = [...field.options].find((o) => o.defaultSelected)?.value ?? field.value;
  else field.value = field.defaultValue;
  pair(field);
}

document.addEventListener("focusout", (e) => {
  if (e.target.dataset && "refused" in e.target.dataset) giveWay(e.target);
});

/** The picker and the text of one colour say the same. */
function pair(field) {
  if (!field.isConnected) return;
  if (isColour(field) && field.type !== "color") {
    const picker = field.parentElement.querySelector("input[type=color]");
    const hex = field.value.trim().replace(/^#(.)(.)(.)$/, "#$1$1$2$2$3$3");
    if (picker && /^#[0-9a-f]{6}$/i.test(hex)) picker.value = hex;
    return;
  }
  if (field.type !== "color") return;
  const text = field.parentElement.querySelector("input:not([type=color])");
  if (text && document.activeElement !== text) text.value = field.value;
}

const isColour = (field) => /colour$|^panel$/i.test(field.name);
const live = (field) => field.matches("textarea, [type=range], [type=color]") || (field.matches("input") && ["set", "ground"].includes(field.dataset.edit) && !isColour(field) && !("late" in field.dataset) && field.type !== "checkbox");

// ---- leaves: one is open at a time, and stays open while its piece is in the hand

let leaf = { of: null, id: null };
document.addEventListener("toggle", (e) => {
  if (!e.target.matches?.("details.leafed")) return;
  if (e.target.open) leaf = { of: chosen(), id: e.target.id };
  else if (leaf.id === e.target.id && e.target.isConnected) leaf.id = null;
}, true);

function reopen() {
  if (leaf.id === null) return;
  const now = document.getElementById(leaf.id);
  if (leaf.of === chosen() && now) now.open = true;
  else leaf.id = null;
}

document.addEventListener("keydown", (e) => {
  const open = e.key === "Escape" && e.target.closest?.("details.leafed[open], details.view-leaf[open]");
  if (!open) return;
  open.open = false;
  open.querySelector("summary").focus();
});

document.addEventListener("input", (e) => {
  const field = e.target.closest?.("#title-block [data-edit]");
  if (!field || !live(field)) return;
  if (field.type === "range") said(field);
  if (field.id === "w-text" || "run" in field.dataset) {
    typed(field);
    return;
  }
  clearTimeout(timers.get(field));
  timers.set(field, setTimeout(() => { timers.delete(field); send(field); }, 200));
});

/** What a slider is at, beside it and in the field that has the same figure. */
function said(range) {
  const output = range.closest(".leaf")?.querySelector(`output[for="${range.id}"]`);
  if (output) output.textContent = range.value;
  const figure = document.getElementById(range.id + "-figure");
  if (figure) figure.value = range.value;
}

/** Words go to the sheet key by key, sliders step by step; what is typed while one is on its way goes in one. */
async function typed(field) {
  if (timers.has(field)) {
    timers.set(field, true);
    return;
  }
  do {
    timers.set(field, false);
    await send(field);
  } while (timers.get(field) && field.isConnected);
  timers.delete(field);
}

document.addEventListener("change", (e) => {
  const field = e.target.closest?.("#title-block [data-edit]");
  if (field?.id === "w-text" || (field && "run" in field.dataset)) {
    if (timers.get(field)) { // left before the last keys were on their way
      timers.set(field, false);
      send(field);
    }
  } else if (field && (!live(field) || timers.has(field))) {
    clearTimeout(timers.get(field));
    timers.delete(field);
    send(field);
  }
  if (e.target.id === "g-part") choose(e.target.value ? "ground:" + e.target.value : "").then(() => document.getElementById("g-part")?.focus());
  if (e.target.id === "w-insert") putIn(e.target);
  if (e.target.id === "bg-file") upload(e.target, "ground");
  if (e.target.id === "motif-file") upload(e.target, "motif");
  if (e.target.id === "letters-file") upload(e.target, "letters");
  if (e.target.id === "add-picture") upload(e.target, "piece");
});

/** Puts the name of a fact where the caret is in the words. */
function putIn(list) {
  const words = document.getElementById("w-text");
  words.setRangeText(list.value, words.selectionStart, words.selectionEnd, "end");
  list.value = "";
  words.focus();
  words.dispatchEvent(new Event("input", { bubbles: true }));
}

/** The file of a field is sent, and the field is ready for another. */
async function upload(input, as) {
  if (input.files[0]) await sendFile(input.files[0], as).finally(() => (input.value = ""));
}

document.addEventListener("click", async (e) => {
  const piece = e.target.closest("#pieces .piece");
  if (piece) {
    const id = piece.dataset.piece;
    await choose(id && (e.shiftKey || e.ctrlKey || e.metaKey) ? toggled(id) : id);
    document.querySelector(`#pieces .piece[data-piece="${CSS.escape(piece.dataset.piece)}"]`)?.focus();
    return;
  }
  const done = e.target.closest("[data-choose]");
  if (done) {
    const was = chosen();
    await choose(done.dataset.choose);
    hold(was)?.focus({ preventScroll: true });
    return;
  }
  const walk = e.target.closest("[data-post]");
  if (walk) {
    const id = walk.id;
    await post(walk.dataset.post, { chosen: chosen() });
    document.getElementById(id)?.focus();
    return;
  }
  const button = e.target.closest("button[data-edit]");
  if (!button || looking()) return;
  const { edit: kind, ...fields } = button.dataset;
  if (kind === "remove") {
    takeOff(chosen());
    return;
  }
  if (!("piece" in fields) && button.closest("#title-block")) fields.piece = chosen();
  if (["align", "spread"].includes(kind)) fields.against = document.getElementById("against").value;
  if (kind === "copy" && fields.to && document.getElementById("copy-mirrored").checked) fields.mirrored = "on";
  const { textContent: label, title } = button;
  if (fields.face) {
    // the leaf stays: the next face can be tried
    if (await edit(kind, { ...fields, stay: "yes" })) marked(fields.face);
    return;
  }
  if (button.matches(".start")) {
    await lay(button);
    return;
  }
  await edit(kind, fields);
  const again = [...document.querySelectorAll("#title-block button")].find((b) => b.textContent === label && b.title === title);
  (again ?? hold(chosen()) ?? document.getElementById("add-what"))?.focus({ preventScroll: true });
});

document.addEventListener("submit", async (e) => {
  if (e.target.id === "add-form") {
    e.preventDefault();
    const what = document.getElementById("add-what").value;
    const on = piece(hand()[0] ?? "")?.on || "front";
    const [kind, which] = what.split(":");
    if (what === "picture") {
      document.getElementById("add-picture").click();
      return;
    }
    if (kind === "ornament" || kind === "pattern") {
      await edit("add", { what: kind, ornament: which, panel: on });
      leaf = { of: chosen(), id: "leaf-motif" };
      reopen();
    } else if (kind === "shape") await edit("add", { what: kind, figure: which, panel: on });
    else if (kind === "frame") await edit("add", { what: kind, panel: which });
    else await edit("add", what === "band" ? { what, panel: on } : { what });
    hold(chosen())?.focus({ preventScroll: true });
  } else if (e.target.id === "swatch-form") {
    e.preventDefault();
    await edit("swatch", Object.fromEntries(new FormData(e.target)));
  }
});

// ---- the focus of a picture

function markFocus() {
  const pad = document.getElementById("focus-pad");
  if (!pad) return;
  for (const said of ["ratio", "quarters", "mirror"]) pad.style.setProperty("--" + said, pad.dataset[said]);
  const mark = pad.querySelector(".focus-mark");
  mark.style.left = document.getElementById("pic-x").value * 100 + "%";
  mark.style.top = document.getElementById("pic-y").value * 100 + "%";
}

function focusAt(e) {
  const pad = document.getElementById("focus-pad");
  const box = pad.getBoundingClientRect();
  for (const [id, at] of [["pic-x", (e.clientX - box.left) / box.width], ["pic-y", (e.clientY - box.top) / box.height]]) {
    const range = document.getElementById(id);
    range.value = Math.min(1, Math.max(0, at)).toFixed(2);
  }
  markFocus();
}

let focusing = false;
document.addEventListener("pointerdown", (e) => {
  if (!e.target.closest("#focus-pad") || looking()) return;
  e.preventDefault();
  focusing = true;
  focusAt(e);
});
document.addEventListener("pointermove", (e) => focusing && focusAt(e));
document.addEventListener("pointerup", () => {
  if (!focusing) return;
  focusing = false;
  const kind = document.getElementById("focus-pad").dataset.editKind;
  edit(kind, { focusX: document.getElementById("pic-x").value, focusY: document.getElementById("pic-y").value, stay: "yes", ...(kind === "set" ? { piece: chosen() } : {}) });
});
document.addEventListener("input", (e) => ["pic-x", "pic-y"].includes(e.target.id) && markFocus());

function paint() {
  for (const s of document.querySelectorAll(".swatch[data-colour]")) s.style.background = s.dataset.colour;
  reopen();
  markFocus();
}
document.addEventListener("htmx:afterSettle", paint);
paint();
