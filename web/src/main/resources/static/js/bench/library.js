// The leaf of the title's pictures, and pictures that are dragged or pasted onto the sheet.
import { board, chosen, hand, looking, model, part, piece } from "./model.js";
import { edit } from "./answers.js";
import { hold } from "./overlay.js";
import { send } from "./upload.js";

const leaf = () => document.querySelector("#leaf-pictures .leaf");
const path = (rest = "") => `${board().dataset.bench}/pictures${rest}`;

async function fill() {
  const place = leaf();
  const answer = await fetch(path(), { headers: { "HX-Request": "true" } });
  if (!place.isConnected) return;
  if (!answer.ok) {
    place.textContent = "The pictures could not be read: close this and open it again.";
    return;
  }
  const page = new DOMParser().parseFromString(await answer.text(), "text/html");
  place.replaceChildren(...page.body.children);
}

document.addEventListener("toggle", (e) => {
  if (e.target.id === "leaf-pictures" && e.target.open) fill();
}, true);

/** What is said of a picture goes to the title; the sheet and its notes follow. */
document.addEventListener("change", (e) => {
  const asset = e.target.closest?.(".asset");
  if (!asset || !e.target.dataset.asset) return;
  const values = { side: board().dataset.side, shown: chosen() };
  for (const field of asset.querySelectorAll("[data-asset]")) values[field.dataset.asset] = field.value;
  const licence = e.target.dataset.asset === "licence";
  htmx.ajax("POST", path("/" + asset.dataset.sha), { source: board(), values }).then(() => {
    if (licence && leaf()) fill().then(() => document.getElementById(e.target.id)?.focus());
  });
});

const onPanel = () => piece(hand()[0] ?? "")?.on || "front";

async function use(asset, as) {
  const { sha, name } = asset.dataset;
  if (as === "piece") {
    await edit("add", { what: "picture", picture: sha, name, panel: onPanel() });
    hold(chosen())?.focus({ preventScroll: true });
  } else if (as === "ground") await edit("ground", { picture: sha, ...(part() ? { own: "yes" } : {}) });
  else if (as === "credit") await edit("credits", {});
  else {
    await htmx.ajax("POST", path(`/${sha}/off`), { source: board(), target: "#leaf-pictures .leaf", swap: "innerHTML" });
  }
}

document.addEventListener("click", (e) => {
  const button = e.target.closest?.("[data-asset-use]");
  if (button && !looking()) use(button.closest(".asset"), button.dataset.assetUse);
});

// ---- dragged and pasted

/** A point of the window on the sheet, and the panel under it or next to it. */
function under(x, y) {
  const sheet = document.getElementById("sheet");
  const p = new DOMPoint(x, y).matrixTransform(sheet.getScreenCTM().inverse());
  const away = ({ box: [l, t, w, h] }) => Math.hypot(Math.max(0, l - p.x, p.x - l - w), Math.max(0, t - p.y, p.y - t - h));
  const panel = model().panels.filter((q) => q.id).sort((a, b) => away(a) - away(b))[0].id;
  return { panel, at: { atX: p.x.toFixed(3), atY: p.y.toFixed(3) } };
}

document.addEventListener("dragstart", (e) => {
  const asset = e.target.closest?.(".asset");
  if (asset) e.dataTransfer.setData("text/plain", "Reglet picture " + JSON.stringify(asset.dataset));
});

const carries = (e) => [...(e.dataTransfer?.types ?? [])].some((t) => t === "Files" || t === "text/plain");
document.addEventListener("dragover", (e) => {
  if (e.target.closest?.("#board") && carries(e) && !looking()) e.preventDefault();
});
document.addEventListener("drop", async (e) => {
  if (!e.target.closest?.("#board") || looking()) return;
  const { panel, at } = under(e.clientX, e.clientY);
  const files = [...e.dataTransfer.files];
  const text = e.dataTransfer.getData("text/plain");
  if (files.length) {
    e.preventDefault();
    for (const file of files) await send(file, "piece", panel, at);
  } else if (text.startsWith("Reglet picture ")) {
    e.preventDefault();
    const { sha, name } = JSON.parse(text.slice(15));
    await edit("add", { what: "picture", picture: sha, name, panel, atX: `${at.atX} mm`, atY: `${at.atY} mm` });
  } else return;
  hold(chosen())?.focus({ preventScroll: true });
});

document.addEventListener("paste", (e) => {
  const file = [...(e.clipboardData?.files ?? [])].find((f) => f.type.startsWith("image/"));
  if (!file || looking() || document.activeElement?.closest("textarea, input:not([type=checkbox]):not([type=range])")) return;
  e.preventDefault();
  send(file, "piece", onPanel());
});
