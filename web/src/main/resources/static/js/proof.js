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

const share = (v) => Math.min(1, Math.max(0, v));
let at = { x: 0.5, y: 0.5 };

function read(x, y) {
  at = { x: share(x), y: share(y) };
  wanted = { x: at.x.toFixed(4), y: at.y.toFixed(4) };
  ask();
}

image?.addEventListener("pointermove", (e) => {
  const box = image.getBoundingClientRect();
  read((e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height);
  cross.hidden = true;
});

// by keys: arrows move a cross over the sheet, with Shift ten times as far
const cross = document.getElementById("ink-cross");
const ways = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

figure?.addEventListener("keydown", (e) => {
  const way = ways[e.key];
  if (!way) return;
  e.preventDefault();
  const step = e.shiftKey ? 0.05 : 0.005;
  read(at.x + way[0] * step, at.y + way[1] * step);
  cross.hidden = false;
  cross.style.left = `${at.x * image.clientWidth}px`;
  cross.style.top = `${at.y * image.clientHeight}px`;
});
