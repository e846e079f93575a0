// Shows another address of the same screen by changing only what differs, so that focus, scroll and open editors stay.
import { Idiomorph } from "./idiomorph.js";

let asked = 0;

/** How many changes were made since this page was loaded or came to from elsewhere. */
function changes() {
  return history.state?.changes ?? 0;
}

/** Goes back to before the last change; stays where there is none to take back. */
export function takeBack() {
  if (changes() > 0) {
    history.back();
  }
}

/** Fetches `address` and shows it. A newer call overtakes an older one. */
export async function show(address, { remember = true } = {}) {
  const mine = ++asked;
  let response;
  let html;
  try {
    response = await fetch(address, { headers: { Accept: "text/html" } });
    html = await response.text();
  } catch {
    // Without an answer the browser's own way shows what is wrong.
    window.location.assign(address);
    return;
  }
  if (mine !== asked) {
    return;
  }
  const fresh = new DOMParser().parseFromString(html, "text/html");
  const part = document.querySelector("[data-part]");
  const replacement = fresh.querySelector("[data-part]");
  if (!part || part.dataset.part !== replacement?.dataset.part) {
    window.location.assign(address);
    return;
  }
  if (remember) {
    history.pushState({ changes: changes() + 1 }, "", response.url);
  }
  document.title = fresh.title;
  Idiomorph.morph(part, replacement, {
    morphStyle: "outerHTML",
    // What is being typed stays; a link or a phrase that has the focus changes like any other.
    ignoreActiveValue: document.activeElement?.matches("input") ?? false,
    callbacks: {
      beforeAttributeUpdated: (name) => !["open", "data-side"].includes(name),
    },
  });
}
