// While pieces go along with the hand, they, what lies over them and the guides are sheets of their own between the
// art and what is taken hold of: what lies still is not drawn anew in each frame, and what is in front stays there.
import { sheet } from "./model.js";

/** So many sheets are laid over each other at most; where pieces lie more mixed, the art is drawn as it is. */
const MOST = 9;
let lifted = null;

/** Pieces from the first that moves on, parted wherever one that moves follows one that lies still. */
function runs(ids, pieces) {
  const first = pieces.findIndex((g) => ids.includes(g.dataset.piece));
  const found = [];
  for (const g of first < 0 ? [] : pieces.slice(first)) {
    const moves = ids.includes(g.dataset.piece);
    if (found.at(-1)?.moves !== moves) found.push({ moves, pieces: [] });
    found.at(-1).pieces.push(g);
  }
  return found;
}

export function lift(ids) {
  settle();
  const art = document.getElementById("art");
  const artwork = document.getElementById("artwork");
  const found = runs(ids, [...artwork.children]);
  // what is multiplied needs all that lies under it on the same sheet
  if (!found.length || found.length > MOST || found.some((r) => r.pieces.some((g) => g.matches(".multiplied") || g.querySelector(".multiplied")))) return;
  const own = (moves, onto, pieces) => {
    const s = art.cloneNode(false);
    s.removeAttribute("id");
    s.classList.add("lifted");
    s.append(...pieces);
    return { moves, onto, sheet: s };
  };
  const guides = [...sheet().children].filter((g) => g.id !== "overlay");
  const sheets = [...found.map((r) => own(r.moves, artwork, r.pieces)), own(false, null, guides)];
  sheet().before(...sheets.map((s) => s.sheet));
  const { x, y, width } = sheet().viewBox.baseVal;
  const px = sheet().getBoundingClientRect().width / width;
  lifted = { top: sheet(), sheets, toPx: new DOMMatrix([px, 0, 0, px, -x * px, -y * px]) };
}

/** Every piece of the art, from back to front, wherever it lies. */
export function pieces() {
  const lying = lifted ? lifted.sheets.filter((s) => s.onto).flatMap((s) => [...s.sheet.children]) : [];
  return [...document.getElementById("artwork").children, ...lying];
}

/** Shows a matrix, in mm, on the sheets that move; false when nothing is lifted. */
export function carried(matrix) {
  if (!lifted || lifted.released) return false;
  const { toPx } = lifted;
  const transform = toPx.multiply(matrix).multiply(toPx.inverse()).toString();
  for (const s of lifted.sheets) if (s.moves) s.sheet.style.transform = transform;
  return true;
}

/** What moved lies where its pieces say; the sheets are put together when there is time. */
export function release() {
  if (!lifted || lifted.released) return;
  for (const s of lifted.sheets) s.sheet.style.transform = "";
  lifted.released = setTimeout(settle, 200);
}

/** Lays everything back onto the art, in its order. */
export function settle() {
  if (!lifted) return;
  clearTimeout(lifted.released);
  for (const s of lifted.sheets) {
    if (s.onto?.isConnected) s.onto.append(...s.sheet.children);
    if (!s.onto && lifted.top.isConnected) lifted.top.prepend(...s.sheet.children);
    s.sheet.remove();
  }
  lifted = null;
}
