// The keyboard: j and k go through the lines, b edits the brief, z takes back its last change, Escape closes an editor.
import { closeEditors } from "./brief.js";
import { takeBack } from "./page.js";

function isTyping(target) {
  return target.matches(
    "input:not([type=checkbox]):not([type=radio]), textarea, select",
  );
}

/** Moves the focus to the entry number of the next line, or of the one before for a negative step. */
function step(by) {
  const entries = [...document.querySelectorAll(".line .c-entry a")];
  const at = entries.indexOf(document.activeElement);
  const next = at < 0 ? 0 : Math.min(entries.length - 1, Math.max(0, at + by));
  entries[next]?.focus();
}

const actions = {
  j: () => step(1),
  k: () => step(-1),
  b: () => document.querySelector(".brief .phrase summary")?.focus(),
  z: takeBack,
};

export function listenForKeys() {
  document.addEventListener("keydown", (event) => {
    if (event.key === "Escape") {
      closeEditors();
      return;
    }
    if (
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      isTyping(event.target)
    ) {
      return;
    }
    const action = document.querySelector("[data-part=browse]")
      ? actions[event.key]
      : undefined;
    if (action) {
      event.preventDefault();
      action();
    }
  });
}
