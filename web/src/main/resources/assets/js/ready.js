// @ts-check
// Readiness and My registration look again by themselves: at the moment of the opening, while an answer is awaited, and every now and then.
import { show } from "./page.js";

const OFTEN = 2_000;
const NOW_AND_THEN = 12_000;

/** A browser cannot wait for longer than that. */
const LONGEST = 2_000_000_000;

let waiting = 0;

/** @returns {HTMLElement | null} */
function main() {
  return document.querySelector("main.ready");
}

function plan() {
  window.clearTimeout(waiting);
  const part = main();
  if (!part) {
    return;
  }
  const opens = Number(part.dataset.opens ?? 0);
  const soon = part.dataset.awaited === "yes" ? OFTEN : NOW_AND_THEN;
  waiting = window.setTimeout(
    look,
    Math.min(opens > 0 ? Math.min(opens + 150, soon) : soon, LONGEST),
  );
}

/** Not while something is being sent or pressed here. What is open stays open. */
async function look() {
  const busy =
    document.hidden ||
    main()?.querySelector("form[data-sent]") ||
    document.activeElement?.matches("main button, main select");
  if (!busy) {
    await show(window.location.href, { remember: false });
  }
  plan();
}

export function followReady() {
  document.addEventListener("submit", ({ target }) => {
    const form = /** @type {HTMLElement} */ (target);
    if (form.matches("[data-once]")) {
      form.dataset.sent = "yes";
      // After it is sent: a button that is off does not send.
      window.setTimeout(() =>
        form.querySelector("button")?.toggleAttribute("disabled", true),
      );
    }
  });
  document.addEventListener("visibilitychange", () => {
    if (!document.hidden && main()) {
      void look();
    }
  });
  window.addEventListener("pageshow", () => {
    for (const form of document.querySelectorAll("form[data-sent]")) {
      form.removeAttribute("data-sent");
      form.querySelector("button")?.removeAttribute("disabled");
    }
  });
  plan();
}
