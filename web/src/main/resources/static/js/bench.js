// Taking hold of pieces: dragging, resizing, nudging, snapping while dragging. Where a piece then
// hangs and what that means is worked out on the server.

const SNAP_PX = 6;
const board = () => document.getElementById("board");
const sheet = () => document.getElementById("sheet");
let zoom = 1;
let drag = null;
let nudge = null;

const chosen = () => board().dataset.chosen;
const hold = (id) => sheet()?.querySelector(`.hold[data-piece="${CSS.escape(id)}"]`);

function send(path, values, then) {
  const all = { base: document.getElementById("base").value, ...values };
  return htmx.ajax("POST", board().dataset.bench + path, { source: board(), target: "#board", swap: "outerHTML", values: all }).then(then ?? (() => {}));
}

function choose(id, focus) {
  htmx.ajax("GET", `${board().dataset.bench}?chosen=${encodeURIComponent(id)}`, { source: board(), target: "#board", swap: "outerHTML" })
    .then(() => focus && hold(id)?.focus());
}

// ---- the view: guides, centres, tray, zoom; kept in this browser

const keep = (name, value) => localStorage.setItem("reglet-" + name, value);
const kept = (name, otherwise) => localStorage.getItem("reglet-" + name) ?? otherwise;

function view() {
  const b = document.body;
  b.dataset.guides = kept("guides", "over");
  b.dataset.centres = kept("centres", "off");
  b.dataset.zoomed = zoom === 1 ? "no" : "yes";
  document.documentElement.style.setProperty("--zoom", zoom);
  const side = kept("tray", "auto");
  b.dataset.tray = side === "auto" ? roomier() : side;
  const set = (id, value) => { const e = document.getElementById(id); if (e) e.value = value; };
  set("guides", b.dataset.guides);
  set("tray-side", side);
  const c = document.getElementById("centres");
  if (c) c.checked = b.dataset.centres === "on";
  const pad = document.getElementById("focus-pad");
  if (pad) {
    pad.style.setProperty("--ratio", pad.dataset.ratio);
    markFocus(pad, pad.dataset.x, pad.dataset.y);
  }
}

/** The side of the tray that leaves the sheet larger in this window. */
function roomier() {
  const svg = sheet();
  if (!svg) return "beside";
  const { width, height } = svg.viewBox.baseVal;
  const w = window.innerWidth;
  const h = window.innerHeight - 132;
  const beside = Math.min((w - 336) / width, h / height);
  const under = Math.min((w - 20) / width, (h - 190) / height);
  return under > beside ? "under" : "beside";
}

document.addEventListener("change", (e) => {
  if (e.target.id === "guides") keep("guides", e.target.value);
  else if (e.target.id === "tray-side") keep("tray", e.target.value);
  else if (e.target.id === "centres") keep("centres", e.target.checked ? "on" : "off");
  else return;
  view();
});

document.addEventListener("click", (e) => {
  const z = e.target.closest("[data-zoom]");
  if (z) {
    zoom = z.dataset.zoom === "fit" ? 1 : z.dataset.zoom === "in" ? Math.min(8, zoom * 1.4) : Math.max(0.5, zoom / 1.4);
    if (Math.abs(zoom - 1) < 0.05) zoom = 1;
    view();
  }
});
window.addEventListener("resize", view);
document.addEventListener("htmx:afterSettle", view);

// ---- the focus of the background picture

function markFocus(pad, x, y) {
  const mark = pad.querySelector(".focus-mark");
  mark.style.left = x * 100 + "%";
  mark.style.top = y * 100 + "%";
}

document.addEventListener("pointerdown", (e) => {
  const pad = e.target.closest("#focus-pad");
  if (!pad) return;
  const box = pad.getBoundingClientRect();
  const x = Math.min(1, Math.max(0, (e.clientX - box.left) / box.width)).toFixed(2);
  const y = Math.min(1, Math.max(0, (e.clientY - box.top) / box.height)).toFixed(2);
  document.getElementById("bg-x").value = x;
  document.getElementById("bg-y").value = y;
  markFocus(pad, x, y);
  document.getElementById("bg-x").dispatchEvent(new Event("input", { bubbles: true }));
});

// ---- dragging

function toMm(e) {
  return new DOMPoint(e.clientX, e.clientY).matrixTransform(sheet().getScreenCTM().inverse());
}

const boxOf = (rect) => ({ x: +rect.getAttribute("x"), y: +rect.getAttribute("y"), w: +rect.getAttribute("width"), h: +rect.getAttribute("height") });

/** Lines to snap to: edges and middles of guides and of other pieces, as drawn on the sheet. */
function lines(except) {
  const x = [];
  const y = [];
  const add = (b) => { x.push(b.x, b.x + b.width / 2, b.x + b.width); y.push(b.y, b.y + b.height / 2, b.y + b.height); };
  const guides = sheet().querySelector(".guides");
  const hidden = document.body.dataset.guides === "off";
  if (!hidden) {
    for (const g of guides.querySelectorAll(".guide-safe.halo, .guide-trim.halo, .guide-barcode.halo")) add(g.getBBox());
    for (const g of guides.querySelectorAll(".guide-fold.halo")) x.push(g.getBBox().x);
  }
  for (const h of sheet().querySelectorAll(".hold")) {
    if (h.dataset.piece !== except) add(h.querySelector("rect").getBBox());
  }
  return { x, y };
}

function snapped(at, candidates, reach) {
  let best = null;
  for (const a of at) {
    for (const line of candidates) {
      const by = line - a;
      if (Math.abs(by) < reach && (best === null || Math.abs(by) < Math.abs(best.by))) best = { by, line };
    }
  }
  return best;
}

function hairlines(sx, sy) {
  for (const old of sheet().querySelectorAll(".snap")) old.remove();
  const v = sheet().viewBox.baseVal;
  const draw = (x1, y1, x2, y2) => {
    const l = document.createElementNS("http://www.w3.org/2000/svg", "line");
    for (const [k, n] of Object.entries({ x1, y1, x2, y2 })) l.setAttribute(k, n);
    l.setAttribute("class", "snap");
    sheet().append(l);
  };
  if (sx) draw(sx.line, v.y, sx.line, v.y + v.height);
  if (sy) draw(v.x, sy.line, v.x + v.width, sy.line);
}

document.addEventListener("pointerdown", (e) => {
  const g = e.target.closest(".hold");
  if (!g || e.button !== 0) {
    if (e.target.closest("#sheet") && chosen()) choose("", false);
    return;
  }
  e.preventDefault();
  if (board().dataset.looking) {
    choose(g.dataset.piece, true);
    return;
  }
  const start = toMm(e);
  drag = { g, id: g.dataset.piece, start, box: boxOf(g.querySelector("rect")), resize: e.target.classList.contains("grip"), lines: lines(g.dataset.piece), moved: false };
  g.classList.add("moving");
  sheet().setPointerCapture(e.pointerId);
});

document.addEventListener("pointermove", (e) => {
  if (!drag) return;
  const p = toMm(e);
  let dx = p.x - drag.start.x;
  let dy = p.y - drag.start.y;
  const scale = sheet().getScreenCTM().a;
  if (!drag.moved && Math.hypot(dx, dy) * scale < 3) return;
  drag.moved = true;
  const b = drag.box;
  const reach = e.altKey ? 0 : SNAP_PX / scale;
  const xs = drag.resize ? [b.x + b.w + dx] : [b.x + dx, b.x + b.w / 2 + dx, b.x + b.w + dx];
  const ys = drag.resize ? [b.y + b.h + dy] : [b.y + dy, b.y + b.h / 2 + dy, b.y + b.h + dy];
  const sx = snapped(xs, drag.lines.x, reach);
  const sy = snapped(ys, drag.lines.y, reach);
  if (sx) dx += sx.by;
  if (sy) dy += sy.by;
  hairlines(sx, sy);
  drag.now = drag.resize ? { ...b, w: Math.max(1, b.w + dx), h: Math.max(1, b.h + dy) } : { ...b, x: b.x + dx, y: b.y + dy };
  const r = drag.g.querySelector("rect");
  r.setAttribute("x", drag.now.x);
  r.setAttribute("y", drag.now.y);
  r.setAttribute("width", drag.now.w);
  r.setAttribute("height", drag.now.h);
  if (!drag.resize) {
    sheet().querySelector(`.artwork [data-piece="${CSS.escape(drag.id)}"]`)?.setAttribute("transform", `translate(${dx} ${dy})`);
    drag.g.querySelector(".grip")?.setAttribute("transform", `translate(${dx} ${dy})`);
  }
  document.getElementById("readout").textContent = `${drag.now.x.toFixed(2)}, ${drag.now.y.toFixed(2)} · ${drag.now.w.toFixed(2)} × ${drag.now.h.toFixed(2)} mm`;
});

document.addEventListener("pointerup", () => {
  if (!drag) return;
  const d = drag;
  drag = null;
  d.g.classList.remove("moving");
  if (!d.moved) choose(d.id, true);
  else place(d.id, d.now);
});
document.addEventListener("pointercancel", () => { if (drag) { const id = drag.id; drag = null; choose(id, true); } });

function place(id, b) {
  const mm = (n) => n.toFixed(4) + " mm";
  send(`/pieces/${encodeURIComponent(id)}/box`, { from: "sheet", left: mm(b.x), top: mm(b.y), width: mm(b.w), height: mm(b.h) }, () => hold(id)?.focus());
}

// ---- keys

const ARROWS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

document.addEventListener("keydown", (e) => {
  const typing = e.target.closest("input, textarea, select");
  if ((e.ctrlKey || e.metaKey) && !typing && ["z", "y"].includes(e.key.toLowerCase())) {
    e.preventDefault();
    document.getElementById(e.key.toLowerCase() === "y" || e.shiftKey ? "redo" : "undo")?.click();
    return;
  }
  const g = e.target.closest(".hold");
  if (!g) return;
  const id = g.dataset.piece;
  if (e.key === "Enter" || e.key === " ") {
    e.preventDefault();
    choose(id, true);
  } else if (e.key === "Escape") {
    choose("", false);
  } else if (board().dataset.looking) {
    // who only looks on walks the pieces, no more
  } else if (e.key === "Delete" || e.key === "Backspace") {
    e.preventDefault();
    send(`/pieces/${encodeURIComponent(id)}/off`, {});
  } else if (ARROWS[e.key]) {
    e.preventDefault();
    const step = e.shiftKey ? 5 : 0.5;
    const [x, y] = ARROWS[e.key];
    if (!nudge || nudge.id !== id) nudge = { id, box: boxOf(g.querySelector("rect")) };
    nudge.box.x += x * step;
    nudge.box.y += y * step;
    const r = g.querySelector("rect");
    r.setAttribute("x", nudge.box.x);
    r.setAttribute("y", nudge.box.y);
    clearTimeout(nudge.timer);
    nudge.timer = setTimeout(() => { const n = nudge; nudge = null; place(n.id, n.box); }, 160);
  }
});

view();
