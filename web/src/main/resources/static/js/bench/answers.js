// Sends changes, one after the other, and puts what is another now where it belongs.
import { say } from "../page.js";
import { pieces, release, settle } from "./lift.js";
import { board, chosen, merge, looking, part } from "./model.js";

let queue = Promise.resolve();
/** Whether the change that was sent last was refused, or didn't get through. */
let refused = false;
let lost = false;
document.addEventListener("htmx:responseError", () => (refused = true));
document.addEventListener("htmx:sendError", () => (lost = true));

/** Sends a form's fields; the revision is read when its turn comes, so that quick changes follow each other. Whether it was taken; undefined when it didn't get through. */
export function post(path, fields) {
  queue = queue.then(() => {
    const values = { base: document.getElementById("base").value, shown: chosen(), madeOf: board().dataset.madeOf, side: board().dataset.side, ...(board().dataset.caret ? { caret: board().dataset.caret } : {}), ...fields };
    refused = lost = false;
    return htmx.ajax("POST", board().dataset.bench + path, { source: board(), values }).then(() => (lost ? undefined : !refused));
  }).catch(() => undefined);
  return queue;
}

export function edit(kind, fields) {
  if (looking()) return Promise.resolve(false);
  return post("/edits", { edit: kind, ...fields, ...(kind === "ground" ? { part: part() } : {}) });
}

let choosing = null;

/** Takes pieces in the hand; asked for twice at once, it is done once. */
export function choose(id) {
  if (choosing?.id === id) return choosing.done;
  if (id === chosen()) return Promise.resolve();
  const done = htmx.ajax("GET", `${board().dataset.bench}?side=${board().dataset.side}&chosen=${encodeURIComponent(id)}`, { source: board() });
  choosing = { id, done: done.finally(() => (choosing = choosing?.id === id ? null : choosing)) };
  return choosing.done;
}

/** Lines of letters that are drawn as before are not sent again: they are taken over, where they stand now. */
function keep(g, before) {
  const places = g.querySelectorAll("[data-keep]");
  if (!places.length) return;
  const lines = [...(before?.querySelectorAll("[data-text]") ?? [])];
  for (const place of places) {
    const line = lines[place.dataset.keep];
    if (!line) {
      location.reload();
      return;
    }
    line.setAttribute("transform", place.getAttribute("transform"));
    place.replaceWith(line);
  }
}

/** A picture that is seen otherwise stays as it was until the other is here: a quick one first, a fine one when the hand rests. */
function pictured(g, before) {
  const were = [...(before?.querySelectorAll("image") ?? [])];
  for (const [i, image] of [...g.querySelectorAll("image[data-href]")].entries()) {
    const [href, was] = [image.dataset.href, were[i]?.getAttribute("href")];
    image.removeAttribute("data-href");
    if (!was || was.replace("&quick=true", "") === href || !href.startsWith("/")) {
      image.setAttribute("href", href);
      continue;
    }
    image.setAttribute("href", was);
    if (!href.includes("?as=")) shown(image, href);
    else shown(image, href + "&quick=true").then(() => setTimeout(() => image.isConnected && shown(image, href), 250));
  }
}

/** Shows a picture when it is decoded, so that none is missing in between. */
function shown(image, href) {
  const coming = new Image();
  coming.src = href;
  return coming.decode().catch(() => {}).then(() => image.setAttribute("href", href));
}

/** Exchanges the pieces that came, takes away those that went, and sets the order. */
export function arrange() {
  const changed = document.getElementById("changed");
  if (!changed?.dataset.order) return;
  const order = changed.dataset.order.split(" ");
  // pieces that came, went or changed places need the art as one; what only is another takes its place
  if (pieces().map((g) => g.dataset.piece).join(" ") === order.join(" ")) release();
  else settle();
  const artwork = document.getElementById("artwork");
  const now = new Map(pieces().map((g) => [g.dataset.piece, g]));
  const came = new Map([...changed.querySelectorAll("svg > [data-piece]")].map((g) => [g.dataset.piece, g]));
  if (!merge(JSON.parse(changed.querySelector(".change").textContent))) {
    location.reload();
    return;
  }
  for (const [id, g] of came) {
    keep(g, now.get(id));
    pictured(g, now.get(id));
    if (now.has(id)) now.get(id).replaceWith(g);
    else artwork.append(g);
    now.set(id, g);
  }
  for (const [id, g] of now) if (!order.includes(id)) g.remove();
  if (pieces().map((g) => g.dataset.piece).join(" ") !== order.join(" ")) artwork.append(...order.map((id) => now.get(id)));
  if (changed.dataset.caret) document.dispatchEvent(new CustomEvent("bench:caret", { detail: changed.dataset.caret }));
  delete changed.dataset.caret;
  if (changed.dataset.told) say(changed.dataset.told);
  const figures = changed.dataset.figures?.split("|");
  for (const [i, name] of ["left", "top", "width", "height", "angle"].entries()) {
    const field = figures && document.getElementById("p-" + name);
    if (field) field.value = field.defaultValue = figures[i];
    if (field) delete field.dataset.good;
  }
  changed.replaceChildren();
  delete changed.dataset.figures;
  delete changed.dataset.told;
  delete changed.dataset.order;
}
