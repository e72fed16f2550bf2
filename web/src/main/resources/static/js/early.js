// What somebody types, presses or drags before the page's scripts are there is kept and done when they are. This script
// stands in the head and is not deferred, so it listens before anything can be seen. Scripts that the page needs are
// deferred: they all have run when the window hears DOMContentLoaded, and nothing can come between that and the end of
// this listener.
"use strict";
(() => {
  const POINTED = ["pointerdown", "pointermove", "pointerup", "click", "dblclick", "contextmenu"];
  const kept = [];
  let down = false;

  /** Whether the browser itself does what pressing this is for: doing it again would undo it, or do it twice. */
  const native = (target) => target.closest("a[href], summary, label, select, option, textarea, input, button:not([type=button]):not([data-edit]):not([data-post])");

  function early(e) {
    const { type, target } = e;
    if (!e.isTrusted || !(target instanceof Element)) return;
    if (type === "pointerdown") down = true;
    if (type === "pointermove" && !down) return;
    if (type === "pointerup") down = false;
    if (type === "click" && native(target)) return;
    // in a field the browser writes what is typed: that there is another value is told by the input event
    if (type === "keydown" && target.closest("input, select, textarea, summary, a[href], button")) return;
    if (type === "submit") {
      // a form without an address is a script's: the browser would load the page anew and forget what was entered
      if (target.hasAttribute("action")) return;
      e.preventDefault();
    }
    // the bench takes these keys; the browser would scroll by them
    if (type === "keydown" && document.body.matches(".bench") && [" ", "ArrowUp", "ArrowDown", "ArrowLeft", "ArrowRight", "Backspace"].includes(e.key)) e.preventDefault();
    kept.push(e);
  }

  /**
   * The same event once more. A button was meant wherever it lies by now, since what comes late moves it; on the sheet it is the
   * place that was meant, where scripts may have laid grips over what was met.
   */
  function again(e) {
    const button = e.target.isConnected && e.target.closest("button");
    const place = POINTED.includes(e.type) && !button ? document.elementFromPoint(e.clientX, e.clientY) : null;
    const target = place ?? (e.target.isConnected ? e.target : document.getElementById(e.target.id) ?? document.activeElement);
    if (e.type === "submit") target.requestSubmit(e.submitter?.isConnected ? e.submitter : null);
    else target.dispatchEvent(new e.constructor(e.type, e));
  }

  const types = [...POINTED, "keydown", "input", "change", "submit"];
  for (const type of types) window.addEventListener(type, early, true);
  window.addEventListener("DOMContentLoaded", () => {
    for (const type of types) window.removeEventListener(type, early, true);
    kept.splice(0).forEach(again);
  });
})();
