// The form of a rule sheet: sentences beside the fields they are about, a form drawn anew when a
// choice changes its shape, and a range of cells pasted into a step table.

const form = () => document.getElementById("draft-form");

/** Sends the form as it stands when its turn has come, with what a button or a paste asks for. */
function send(act, more) {
  return htmx.ajax("POST", form().action, { source: form(), target: "#sheet-draft", swap: "outerHTML", values: { act, ...more } });
}

// each sentence goes to the field whose place is named, or the nearest one that holds it
function place() {
  const messages = [...document.querySelectorAll(".field-msg")];
  for (const m of messages) m.textContent = "";
  for (const e of form().querySelectorAll("[aria-invalid]")) e.removeAttribute("aria-invalid");
  for (const note of document.querySelectorAll("#draft-answer [data-place]")) {
    const at = note.dataset.place;
    const holds = (p) => at === p || at.startsWith(p + ".") || at.startsWith(p + "[");
    const best = messages.find((m) => m.dataset.for === at)
      ?? messages.find((m) => m.dataset.for.startsWith(at + "."))
      ?? messages.filter((m) => holds(m.dataset.for)).sort((a, b) => b.dataset.for.length - a.dataset.for.length)[0];
    if (best && !best.textContent) best.textContent = note.querySelector("p").textContent;
    fieldOf(note)?.setAttribute("aria-invalid", "true");
  }
}

/** The field a note is about: the one at its place, or the first inside it. */
function fieldOf(note) {
  const at = note.dataset.place;
  return [...form().elements].find((f) => f.name === at) ?? [...form().elements].find((f) => f.name.startsWith(at + "."));
}

document.addEventListener("change", (e) => {
  if (e.target.dataset?.shape) {
    e.stopPropagation();
    send("shape", {});
  }
});

document.addEventListener("paste", (e) => {
  const cell = e.target.closest?.(".steps input");
  const text = e.clipboardData?.getData("text/plain") ?? "";
  if (!cell || !/[\t\n;]/.test(text.trim())) return;
  e.preventDefault();
  const rule = cell.closest(".steps").dataset.rule;
  send(`paste ${rule} ${cell.dataset.row} ${cell.dataset.column}`, { pasted: text });
});

// a note leads to its field
document.addEventListener("click", (e) => {
  const note = e.target.closest("#draft-answer [data-place]");
  if (note) fieldOf(note)?.focus();
});

document.addEventListener("htmx:afterSettle", () => form() && place());
place();
