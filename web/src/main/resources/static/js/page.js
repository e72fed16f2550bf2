// What every page needs from the browser: saying what failed, and what is not saved.

const message = () => document.getElementById("message");

export function say(sentence) {
  const box = message();
  if (box) {
    const p = document.createElement("p");
    p.textContent = sentence;
    box.replaceChildren(p);
  }
}

document.addEventListener("htmx:afterOnLoad", (e) => {
  if (e.detail.successful && message()) message().replaceChildren();
});

// with people, what changes something carries the session's token
document.addEventListener("htmx:configRequest", (e) => {
  const token = document.querySelector("meta[name=csrf]");
  if (token) e.detail.headers[token.dataset.header] = token.content;
});

/** What is told of places that are not on the page any more, since the hand went on meanwhile, is left out. */
document.addEventListener("htmx:beforeSwap", (e) => {
  const gone = [...(e.detail.serverResponse ?? "").matchAll(/<[a-z][^>]*\shx-swap-oob=[^>]*>/gi)]
    .map(([tag]) => /\sid="([^"]+)"/.exec(tag)?.[1])
    .filter((id) => id && !document.getElementById(id));
  if (!gone.length) return;
  const answer = document.createElement("template");
  answer.innerHTML = e.detail.serverResponse;
  for (const id of gone) answer.content.querySelector(`[id="${CSS.escape(id)}"]`)?.remove();
  e.detail.serverResponse = answer.innerHTML;
});

function unsaved(sentence) {
  say(sentence);
  const saved = document.getElementById("saved");
  if (saved) {
    saved.textContent = "Not saved.";
    saved.classList.add("unsaved");
  }
}

document.addEventListener("htmx:sendError", () =>
  unsaved("Not saved: the connection to Reglet is lost. What you typed is still here and is sent with your next change."));
document.addEventListener("htmx:timeout", () => unsaved("Not saved: Reglet took too long to answer. Change anything to send it again."));
document.addEventListener("htmx:responseError", () => {
  const saved = document.getElementById("saved");
  if (saved) {
    saved.textContent = "Not saved.";
    saved.classList.add("unsaved");
  }
});

// a field is marked wrong as long as its message says something
const mark = () => {
  for (const p of document.querySelectorAll(".msg[id^=msg-]")) {
    const field = document.getElementById(p.id.slice(4));
    if (field) p.textContent.trim() ? field.setAttribute("aria-invalid", "true") : field.removeAttribute("aria-invalid");
  }
};
document.addEventListener("htmx:afterSettle", mark);
mark();

// drawings side by side share the width as their sheets do (the page's policy allows no style attributes)
const share = () => {
  for (const d of document.querySelectorAll("[data-share]")) d.style.setProperty("--share", d.dataset.share);
};
document.addEventListener("htmx:afterSwap", share);
document.addEventListener("htmx:oobAfterSwap", share);
share();

// a margin note and its mark on the sheet light up together
for (const [type, on] of [["mouseover", true], ["mouseout", false], ["focusin", true], ["focusout", false]]) {
  document.addEventListener(type, (e) => {
    const note = e.target.closest?.(".notes-list [data-note]");
    if (note) {
      document.querySelector(`.note[data-note="${note.dataset.note}"], .noted[data-note="${note.dataset.note}"]`)?.classList.toggle("lit", on);
    }
  });
}
