// Sends changes, one after the other, and puts what is another now where it belongs.
import { say } from "../page.js";
import { settle } from "./lift.js";
import { board, chosen, merge, looking, part } from "./model.js";

let queue = Promise.resolve();

/** Sends a form's fields; the revision is read when its turn comes, so that quick changes follow each other. */
export function post(path, fields) {
  queue = queue.then(() => {
    const values = { base: document.getElementById("base").value, shown: chosen(), madeOf: board().dataset.madeOf, side: board().dataset.side, ...fields };
    return htmx.ajax("POST", board().dataset.bench + path, { source: board(), values });
  }).catch(() => {});
  return queue;
}

export function edit(kind, fields) {
  if (looking()) return Promise.resolve();
  return post("/edits", { edit: kind, ...fields, ...(kind === "ground" ? { part: part() } : {}) });
}

export function choose(id) {
  if (id === chosen()) return Promise.resolve();
  return htmx.ajax("GET", `${board().dataset.bench}?side=${board().dataset.side}&chosen=${encodeURIComponent(id)}`, { source: board() });
}

/** Exchanges the pieces that came, takes away those that went, and sets the order. */
export function arrange() {
  const changed = document.getElementById("changed");
  if (!changed?.dataset.order) return;
  settle();
  const artwork = document.getElementById("artwork");
  const now = new Map([...artwork.children].map((g) => [g.dataset.piece, g]));
  const came = new Map([...changed.querySelectorAll("svg > [data-piece]")].map((g) => [g.dataset.piece, g]));
  const order = changed.dataset.order.split(" ");
  if (!merge(JSON.parse(changed.querySelector(".change").textContent))) {
    location.reload();
    return;
  }
  for (const [id, g] of came) {
    if (now.has(id)) now.get(id).replaceWith(g);
    else artwork.append(g);
    now.set(id, g);
  }
  for (const [id, g] of now) if (!order.includes(id)) g.remove();
  const stands = [...artwork.children].map((g) => g.dataset.piece);
  if (stands.join(" ") !== order.join(" ")) artwork.append(...order.map((id) => now.get(id)));
  if (changed.dataset.told) say(changed.dataset.told);
  changed.replaceChildren();
  delete changed.dataset.told;
  delete changed.dataset.order;
}
