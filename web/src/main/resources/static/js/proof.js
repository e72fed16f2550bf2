// The inks where the pointer is: asked for at most one at a time.
const figure = document.querySelector(".proof-sheet");
const image = document.getElementById("proofed");
const said = document.getElementById("inks-at");
let wanted = null;
let asking = false;

async function ask() {
  if (asking || !wanted) return;
  asking = true;
  const at = wanted;
  wanted = null;
  const answer = await fetch(`${figure.dataset.at}&x=${at.x}&y=${at.y}`).catch(() => null);
  if (answer?.ok) said.textContent = await answer.text();
  asking = false;
  ask();
}

image?.addEventListener("pointermove", (e) => {
  const box = image.getBoundingClientRect();
  const share = (v) => Math.min(1, Math.max(0, v)).toFixed(4);
  wanted = { x: share((e.clientX - box.left) / box.width), y: share((e.clientY - box.top) / box.height) };
  ask();
});
