// The leaf of starting points: asked for when it is opened, and for another dress.
import { board, chosen } from "./model.js";
import { edit, post } from "./answers.js";

const place = () => document.querySelector("#leaf-starts .leaf");
const path = (rest = "") => `${board().dataset.bench}/starts${rest}`;
let dress = {};
/** What was tried since the leaf was opened: a layout or a look; null for nothing. */
let tried = null;

const buttonOf = (what) => what && [...place().querySelectorAll(".start")].find((b) => b.dataset.layout === what.layout && b.dataset.look === what.look);

function mark() {
  const back = place()?.querySelector("#start-back");
  if (!back) return; // what is offered is not here yet
  const on = buttonOf(tried);
  for (const b of place().querySelectorAll(".start")) b.setAttribute("aria-pressed", b === on);
  back.hidden = !tried;
}

async function fill() {
  const into = place();
  if (!into) return;
  const answer = await fetch(`${path()}?${new URLSearchParams(dress)}`, { headers: { "HX-Request": "true" } });
  if (!into.isConnected) return;
  if (!answer.ok) {
    into.textContent = "The layouts could not be drawn: close this and open it again.";
    return;
  }
  const page = new DOMParser().parseFromString(await answer.text(), "text/html");
  into.replaceChildren(...page.body.children);
  mark();
}

/** What is refused is told as the refusal of a change is. */
const send = (rest, values) =>
  htmx.ajax("POST", path(rest), { source: board(), target: "#leaf-starts .leaf", swap: "innerHTML", values: { ...dress, ...values } }).then(() => place() && mark());

document.addEventListener("toggle", (e) => {
  if (e.target.id !== "leaf-starts") return;
  if (e.target.open) fill();
  else if (tried) {
    tried = null;
    // the block stayed as it was meanwhile, so that the leaf did
    if (e.target.isConnected) htmx.ajax("GET", `${board().dataset.bench}?${new URLSearchParams({ side: board().dataset.side, chosen: chosen() })}`, { source: board() });
  }
}, true);

/** Lays the book out so; the leaf stays, and the next can be tried. */
export async function lay(button) {
  const { edit: kind, ...fields } = button.dataset;
  if (!(await edit(kind, { ...fields, stay: "yes" }))) return;
  tried = { layout: fields.layout, look: fields.look };
  if (place()) mark();
}

document.addEventListener("change", async (e) => {
  const choice = e.target.dataset?.start;
  if (!choice) return;
  for (const field of place().querySelectorAll("[data-start]")) dress[field.dataset.start] = field.value;
  await fill();
  document.getElementById(e.target.id)?.focus();
  const on = buttonOf(tried);
  if (on) lay(on);
});

document.addEventListener("submit", async (e) => {
  if (e.target.id !== "look-form") return;
  e.preventDefault();
  await send("/looks", { name: e.target.elements.name.value });
  document.querySelector("#look-form input")?.focus();
});

/** What undo took back is not on the sheet any more. */
document.addEventListener("htmx:afterSwap", (e) => {
  if (!tried || !/\/(undo|redo)$/.test(e.detail?.pathInfo?.requestPath ?? "")) return;
  tried = null;
  mark();
});

document.addEventListener("click", async (e) => {
  if (e.target.id === "start-back") {
    await post("/undo", { chosen: chosen(), stay: "yes" });
    tried = null;
    mark();
    return;
  }
  const off = e.target.closest?.("[data-look-off]");
  if (!off || !confirm("Take this look away? Covers that wear it stay as they are.")) return;
  await send(`/looks/${off.dataset.look}/off`, {});
  document.querySelector("#look-form input")?.focus();
});
