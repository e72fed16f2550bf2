// Pasted text keeps its paragraphs and its emphasis, as stars, and nothing else of what it looked like.
import { literal } from "./caret.js";

const BLOCKS = new Set(["P", "DIV", "LI", "UL", "OL", "BLOCKQUOTE", "H1", "H2", "H3", "H4", "H5", "H6", "TR", "SECTION", "ARTICLE", "PRE"]);
const UNSEEN = new Set(["STYLE", "SCRIPT", "TITLE", "META", "LINK", "HEAD"]);

/** The page's policy allows no styles, not even in what is only read: they are kept under another name. */
const unstyled = (html) => html.replace(/<style[\s\S]*?<\/style>/gi, "").replace(/(<[a-z][^>]*?\s)style(\s*=)/gi, "$1data-style$2");

const weight = (style) => ({ bold: 700, bolder: 700, normal: 400 })[style] ?? +style;

function read(node, as, out) {
  if (node.nodeType === Node.TEXT_NODE) {
    const text = as.kept ? node.data : node.data.replace(/[\s\u00a0]+/g, (s) => (s.includes("\u00a0") ? s.replace(/[^\u00a0]/g, "") || " " : " "));
    if (text) out.push({ text, italic: as.italic, bold: as.bold });
    return;
  }
  if (node.nodeType !== Node.ELEMENT_NODE || UNSEEN.has(node.tagName)) return;
  if (node.tagName === "BR") {
    out.push({ break: true });
    return;
  }
  const style = node.getAttribute("data-style") ?? "";
  const said = (name) => new RegExp(`(?:^|;)\\s*${name}\\s*:\\s*([\\w-]+)`, "i").exec(style)?.[1].toLowerCase();
  const [fontStyle, fontWeight, whiteSpace] = ["font-style", "font-weight", "white-space"].map(said);
  const now = { ...as };
  if (["I", "EM", "CITE", "DFN", "VAR"].includes(node.tagName)) now.italic = true;
  if (["B", "STRONG"].includes(node.tagName)) now.bold = true;
  if (fontStyle) now.italic = fontStyle !== "normal";
  if (fontWeight) now.bold = weight(fontWeight) >= 600;
  if (whiteSpace?.startsWith("pre") || node.tagName === "PRE") now.kept = true;
  const block = BLOCKS.has(node.tagName);
  if (block) out.push({ paragraph: true });
  for (const inner of node.childNodes) read(inner, now, out);
  if (block) out.push({ paragraph: true });
}

const marked = (text) => text.replace(/[*_\\]/g, "\\$&");

/** A stretch with its stars, which stand next to letters: spaces at its ends go outside. */
function starred({ text, italic, bold }) {
  const stars = (bold ? "**" : "") + (italic ? "*" : "");
  const [, before, inner, after] = /^(\s*)([^]*?)(\s*)$/.exec(text);
  return inner && stars ? before + stars + marked(inner) + [...stars].reverse().join("") + after : marked(text);
}

/** The text of an HTML document. */
export function text(html) {
  const out = [];
  read(new DOMParser().parseFromString(unstyled(html), "text/html").body, { italic: false, bold: false, kept: false }, out);
  const paragraphs = [[]];
  for (const part of out) {
    const now = paragraphs[paragraphs.length - 1];
    const last = now[now.length - 1];
    if (part.paragraph) {
      if (now.length) paragraphs.push([]);
    } else if (part.break) paragraphs.push([]);
    else if (last && last.italic === part.italic && last.bold === part.bold) last.text += part.text;
    else now.push({ ...part });
  }
  return paragraphs.map((p) => p.map(starred).join("").replace(/ {2,}/g, " ").trim()).join("\n").replace(/^\n+|\n+$/g, "");
}

document.addEventListener("paste", (e) => {
  const field = e.target;
  if (!field.matches?.("#w-text, #w-says")) return;
  const prose = !literal() && (field.id === "w-text" || "prose" in field.dataset);
  const html = e.clipboardData.getData("text/html");
  const as = e.clipboardData.getData("text/plain").replace(/\r\n?/g, "\n");
  const flat = as.replace(/\s*\n\s*/g, " ").trim();
  const pasted = prose ? (html ? text(html) : as) : field.id === "w-text" ? marked(flat) : flat;
  e.preventDefault();
  field.setRangeText(pasted, field.selectionStart, field.selectionEnd, "end");
  field.dispatchEvent(new Event("input", { bubbles: true }));
});
