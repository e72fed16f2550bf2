// The docket: an answer that brings fields anew (another house or binding has others) takes back nothing that was typed
// while it was on its way.
const choices = () => document.getElementById("house-choices");
const fields = () => [...(choices()?.querySelectorAll("input:not([type=hidden]), select") ?? [])].filter((f) => f.id);
const value = (f) => (f.type === "checkbox" ? f.checked : f.value);

let sent = new Map();
let later = [];

document.addEventListener("htmx:beforeRequest", (e) => {
  if (e.target.id === "docket") sent = new Map(fields().map((f) => [f.id, value(f)]));
});

document.addEventListener("htmx:oobBeforeSwap", (e) => {
  if (e.detail.target === choices()) later = fields().filter((f) => sent.has(f.id) && sent.get(f.id) !== value(f));
});

document.addEventListener("htmx:oobAfterSwap", () => {
  const typed = later;
  later = [];
  for (const was of typed) {
    const now = document.getElementById(was.id);
    if (!now) continue;
    if (now.type === "checkbox") now.checked = was.checked;
    else now.value = was.value;
    now.dispatchEvent(new Event("input", { bubbles: true })); // it is sent with the next change
  }
});
