// The leaf of typefaces: filled when it is opened, found in by typing; it stays while faces are tried.
import { board, chosen } from "./model.js";

let by = "classification";
let find = "";
let wanted = 0;

const leaf = () => document.querySelector("#leaf-face .leaf");

const listing = () => ({ piece: chosen(), side: board().dataset.side, by });

/**
 * Lists the typefaces.
 * @param keep the element that stays as it is: a file that is being chosen reaches only the field that asked for it
 */
async function fill(keep = null) {
  const place = leaf();
  const mine = ++wanted;
  const query = new URLSearchParams(listing());
  const answer = await fetch(`${board().dataset.bench}/faces?${query}`, { headers: { "HX-Request": "true" } });
  if (mine !== wanted || !place.isConnected) return;
  if (!answer.ok) {
    place.textContent = "The typefaces could not be read: close this and open it again.";
    return;
  }
  const page = new DOMParser().parseFromString(await answer.text(), "text/html");
  if (keep?.isConnected) page.getElementById(keep.id)?.replaceWith(keep);
  place.replaceChildren(...page.body.children);
  const field = document.getElementById("face-find");
  field.value = find;
  sift();
  field.focus();
}

/** Sends something about fonts; the answer is the list anew. */
async function about(path, values) {
  const open = [...leaf().querySelectorAll(".own-font[open]")].map((d) => d.dataset.font);
  wanted++;
  await htmx.ajax("POST", board().dataset.bench + "/fonts" + path, { source: "#uploads", target: "#leaf-face .leaf", swap: "innerHTML", values: { ...listing(), ...values } });
  document.getElementById("face-find").value = find;
  sift();
  for (const d of leaf().querySelectorAll(".own-font")) d.open = open.includes(d.dataset.font);
  leaf().querySelector("#own-fonts > details").open = true;
}

/** Fonts are sent one after another; what is said of each stays. */
async function bring(files) {
  const told = [];
  for (const font of files) {
    document.getElementById("font-said").textContent = `Reading ${font.name}, ${(font.size / 1e6).toFixed(1)} MB…`;
    await about("", { font });
    const said = document.getElementById("font-said");
    if (!said.textContent.startsWith("Reading")) told.push(said.textContent);
    said.textContent = told.join(" ");
  }
  const again = document.getElementById("font-file");
  again.value = "";
  again.focus();
}

/** Shows the families that have every typed word in their name, classification or genres. */
function sift() {
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const seen = new Set();
  for (const section of leaf().querySelectorAll("section")) {
    let some = false;
    for (const row of section.querySelectorAll(".family")) {
      row.hidden = !words.every((w) => row.dataset.found.includes(w));
      if (!row.hidden) {
        some = true;
        seen.add(row.querySelector(".keep").dataset.family);
      }
    }
    section.hidden = !some;
  }
  document.getElementById("face-found").textContent = seen.size === 1 ? "1 family" : `${seen.size} families`;
}

/** Shows which face the words are in now. */
export function marked(face) {
  for (const b of leaf()?.querySelectorAll("[data-face]") ?? []) b.setAttribute("aria-pressed", String(b.dataset.face === face));
}

document.addEventListener("toggle", (e) => {
  if (e.target.id === "leaf-face" && e.target.open) fill();
}, true);

document.addEventListener("input", (e) => {
  if (e.target.id !== "face-find") return;
  find = e.target.value;
  sift();
});

document.addEventListener("change", (e) => {
  if (e.target.id === "font-file" && e.target.files.length) bring([...e.target.files]);
});

document.addEventListener("submit", (e) => {
  const form = e.target.closest?.("#own-fonts .cut");
  if (!form) return;
  e.preventDefault();
  about("/" + form.closest(".own-font").dataset.font + "/cut", Object.fromEntries(new FormData(form)));
});

document.addEventListener("click", (e) => {
  const off = e.target.closest("#own-fonts .font-off");
  if (off) {
    about("/" + off.closest(".own-font").dataset.font + "/off", {}).then(() => document.getElementById("font-file")?.focus());
    return;
  }
  const way = e.target.closest("[data-faces]")?.dataset.faces;
  if (way) {
    by = way;
    fill(document.getElementById("own-fonts"));
    return;
  }
  const keep = e.target.closest(".keep");
  if (!keep) return;
  const on = keep.getAttribute("aria-pressed") !== "true";
  htmx.ajax("POST", "/faces/kept", { source: "#board", values: { family: keep.dataset.family, on } }).then(() => {
    for (const k of leaf().querySelectorAll(`.keep[data-family="${keep.dataset.family}"]`)) k.setAttribute("aria-pressed", String(on));
  });
});

// arrows go from one specimen to the next
document.addEventListener("keydown", (e) => {
  const here = e.target.closest?.("#leaf-face .face, #face-find");
  if (!here || !["ArrowDown", "ArrowUp"].includes(e.key)) return;
  const all = [...leaf().querySelectorAll(".family:not([hidden]) .face")].filter((b) => b.offsetParent);
  const at = all.indexOf(here) + (e.key === "ArrowDown" ? 1 : -1);
  if (!all[at]) return;
  e.preventDefault();
  all[at].focus();
});
