// Words of a fact, edited in the title block: it is asked whether the fact changes or this place.
import { chosen, looking } from "./model.js";
import { edit, post } from "./answers.js";

const field = () => document.getElementById("w-says");
const asking = (on) => (document.getElementById("ask-says").hidden = !on);

document.addEventListener("input", (e) => {
  if (e.target.id === "w-says" && !looking()) asking(e.target.value !== e.target.dataset.said);
});

/** Enter goes to the question, Escape takes back what was typed. */
document.addEventListener("keydown", (e) => {
  if (!e.target.closest(".says") || !field() || e.defaultPrevented) return; // own words are no fact's
  if (e.key === "Escape") leave();
  else if (e.key === "Enter" && e.target.id === "w-says" && !("prose" in e.target.dataset)) {
    if (field().value !== field().dataset.said) document.getElementById("says-fact").focus();
  } else return;
  e.preventDefault();
  e.stopPropagation();
});

function leave() {
  field().value = field().dataset.said;
  asking(false);
  field().focus();
}

document.addEventListener("click", async (e) => {
  const { id } = e.target;
  if (id === "says-not") leave();
  else if (id === "says-fact") {
    const { fact, said } = field().dataset;
    await post("/fact", { fact, said, text: field().value, piece: chosen() });
  } else if (id === "says-here") {
    await edit("set", { piece: chosen(), source: "own", literal: "on", text: field().value });
    document.getElementById("w-text")?.focus();
  }
});
