// The marker of the plot follows the slider while it is dragged; the figures come from the server.

const slide = document.getElementById("slide");

function follow() {
  const plot = document.querySelector(".curve");
  const marker = document.getElementById("curve-marker");
  const { from, to, left, right } = plot.dataset;
  const at = +left + ((slide.value - from) / Math.max(1, to - from)) * (right - left);
  const line = marker.querySelector("line");
  const dx = at - line.getAttribute("x1");
  marker.setAttribute("transform", `translate(${dx} 0)`);
  marker.querySelector("text").textContent = slide.value;
  const spot = marker.querySelector("rect");
  if (spot) spot.style.visibility = Math.abs(dx) < 0.01 ? "visible" : "hidden";
}

slide?.addEventListener("input", follow);
