// The bench: what a server can't do. Each module has one duty; none knows a rule of the trade.
import { refresh } from "./bench/overlay.js";
import { arrange } from "./bench/answers.js";
import "./bench/drag.js";
import "./bench/keys.js";
import "./bench/clipboard.js";
import "./bench/block.js";
import "./bench/faces.js";
import "./bench/says.js";
import "./bench/caret.js";
import "./bench/paste.js";
import "./bench/library.js";
import "./bench/palette.js";
import "./bench/starts.js";
import "./bench/cut.js";
import "./bench/balance.js";
import "./bench/proofed.js";
import { rested } from "./bench/rest.js";
import { view } from "./bench/view.js";

function show() {
  arrange();
  view();
  refresh();
  rested();
}

if (document.getElementById("sheet")) {
  // an answer settles in several places at once; it is shown once, before anything waits for it
  let due = false;
  document.addEventListener("htmx:afterSettle", () => {
    if (due) return;
    due = true;
    queueMicrotask(() => {
      due = false;
      show();
    });
  });
  show();
}
