// @ts-check
// Quick find: while a line is typed, what it is read as and what it may be going to say are shown below it.

const PAUSE = 90;

let timer;
let asked = 0;

/** @returns {HTMLInputElement} */
function field() {
  return document.querySelector("#find");
}

function clear() {
  asked++;
  const preview = document.querySelector("#preview");
  preview.className = "";
  preview.replaceChildren();
  field().setAttribute("aria-expanded", "false");
  field().removeAttribute("aria-activedescendant");
}

async function preview() {
  const mine = ++asked;
  const text = field().value;
  if (!text.trim()) {
    clear();
    return;
  }
  const address = `${field().form.dataset.preview}?text=${encodeURIComponent(text)}`;
  const response = await fetch(address, { headers: { Accept: "text/html" } });
  const html = await response.text();
  if (mine !== asked || !response.ok) {
    return;
  }
  const fresh = new DOMParser().parseFromString(html, "text/html");
  const found = fresh.querySelector("#preview");
  if (!found.children.length) {
    clear();
    return;
  }
  document.querySelector("#preview").replaceWith(found);
  field().setAttribute(
    "aria-expanded",
    String(found.querySelector("[role=option]") !== null),
  );
}

function options() {
  return [...document.querySelectorAll("#suggestions [role=option]")];
}

/** Moves the choice among the suggestions; beyond the ends nothing is chosen. */
function choose(by) {
  const all = options();
  const at = all.findIndex((option) => option.ariaSelected === "true");
  const next = at < 0 ? (by > 0 ? 0 : all.length - 1) : at + by;
  all.forEach(
    (option, place) => (option.ariaSelected = String(place === next)),
  );
  if (all[next]) {
    field().setAttribute("aria-activedescendant", all[next].id);
  } else {
    field().removeAttribute("aria-activedescendant");
  }
}

function take(option) {
  field().value = option.dataset.text + " ";
  document.querySelector("#suggestions").remove();
  field().focus();
  preview();
}

export function followFind() {
  const input = field();
  if (!input) {
    return;
  }
  input.setAttribute("role", "combobox");
  input.setAttribute("aria-expanded", "false");
  input.setAttribute("aria-controls", "preview");
  input.setAttribute("aria-autocomplete", "list");
  input.addEventListener("input", () => {
    clearTimeout(timer);
    timer = setTimeout(preview, PAUSE);
  });
  input.addEventListener("keydown", (event) => {
    if (event.key === "ArrowDown" || event.key === "ArrowUp") {
      event.preventDefault();
      choose(event.key === "ArrowDown" ? 1 : -1);
    } else if (event.key === "Escape") {
      clear();
    } else if (event.key === "Enter") {
      const chosen = options().find((option) => option.ariaSelected === "true");
      if (chosen) {
        event.preventDefault();
        take(chosen);
      }
    }
  });
  document.addEventListener("click", (event) => {
    const option = event.target.closest("#suggestions [role=option]");
    if (option) {
      take(option);
    } else if (!event.target.closest(".find")) {
      clear();
    }
  });
}
