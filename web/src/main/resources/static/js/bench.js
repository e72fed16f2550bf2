// The bench: what a server can't do. Each module has one duty; none knows a rule of the trade.
import { refresh } from "./bench/overlay.js";
import { arrange } from "./bench/answers.js";
import "./bench/drag.js";
import "./bench/keys.js";
import "./bench/block.js";
import { view } from "./bench/view.js";

if (document.getElementById("sheet")) {
  document.addEventListener("htmx:afterSettle", () => {
    arrange();
    view();
    refresh();
  });
  view();
  refresh();
}
