// @ts-check
// Choosing several lines: what is chosen stays so while lines come and go, and can be lined up, added or copied together.

const chosen = new Set();

function boxes() {
  /** @type {NodeListOf<HTMLInputElement>} */
  const found = document.querySelectorAll(".lines [name=line]");
  return [...found];
}

/** Shows what is chosen on the lines that are here, and in the bar. */
function tell() {
  boxes().forEach((box) => {
    box.checked = chosen.has(box.value);
    box.closest(".line").classList.toggle("chosen", box.checked);
  });
  const bar = document.querySelector("#chosen");
  if (!bar) {
    return;
  }
  bar.classList.toggle("some", chosen.size > 0);
  bar.querySelector("#chosen-count").textContent =
    chosen.size === 1 ? "1 line chosen" : `${chosen.size} lines chosen`;
  bar.querySelector("#copy-chosen").hidden = false;
  bar.querySelector("#choose-none").hidden = false;
  bar.querySelectorAll("input[name=line]").forEach((field) => field.remove());
  const here = new Set(boxes().map((box) => box.value));
  for (const entry of chosen) {
    // Lines that are not here are sent along all the same.
    if (!here.has(entry)) {
      const field = document.createElement("input");
      field.type = "hidden";
      field.name = "line";
      field.value = entry;
      bar.append(field);
    }
  }
}

export function lineUp() {
  document.querySelector("#chosen button[type=submit]")?.click();
}

async function copy(text, button) {
  await navigator.clipboard.writeText(text);
  const said = button.textContent;
  button.textContent = "Copied";
  setTimeout(() => (button.textContent = said), 1500);
}

/** Without scripts nothing can be copied, so that it is not offered. */
function offerCopy() {
  document.querySelectorAll("[data-copy]").forEach((button) => {
    button.hidden = false;
  });
}

export function followChoice() {
  document.addEventListener("shown", offerCopy);
  offerCopy();
  document.addEventListener("change", (event) => {
    const box = event.target;
    if (box.matches(".lines [name=line]")) {
      if (box.checked) {
        chosen.add(box.value);
      } else {
        chosen.delete(box.value);
      }
      tell();
    }
  });
  document.addEventListener("click", (event) => {
    if (event.target.id === "choose-none") {
      chosen.clear();
      tell();
    } else if (event.target.id === "copy-chosen") {
      // Of another term than the first, a line has its term before its number.
      const numbers = [...chosen].map((line) => line.split(".").pop());
      copy(numbers.join("\n"), event.target);
    } else if (event.target.matches("[data-copy]")) {
      const from = document.querySelector(event.target.dataset.copy);
      copy(from.textContent, event.target);
    }
  });
  document.addEventListener("shown", tell);
  document.addEventListener("lines", tell);
  boxes()
    .filter((box) => box.checked)
    .forEach((box) => chosen.add(box.value));
  tell();
}
