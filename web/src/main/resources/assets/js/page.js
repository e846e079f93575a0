// @ts-check
// Shows another address of the same screen by changing only what differs, so that focus and scroll stay.
import { first, nextTask } from "./frame.js";
import { Idiomorph } from "./idiomorph.js";
import { holdBack, showSight } from "./list.js";

let asked = 0;

/** How many changes were made since this page was loaded or came to from elsewhere, and how many can be done again. */
let changes = history.state?.changes ?? 0;
let furthest = 0;

/** Tells the browser the address and the title of what is shown, once. */
let tell = () => {};

export function canTakeBack() {
  return changes > 0;
}

export function canRedo() {
  return changes < furthest;
}

/** Goes back to before the last change; stays where there is none to take back. */
export function takeBack() {
  if (canTakeBack()) {
    history.back();
  }
}

/** Does again what was taken back. */
export function redo() {
  if (canRedo()) {
    history.forward();
  }
}

/** The address with a parameter more. */
export function withParameter(address, name, value) {
  const url = new URL(address, window.location.href);
  url.hash = "";
  url.searchParams.append(name, value);
  return url.href;
}

/** The address that is remembered: without the editor that happens to be open. */
function remembered(address) {
  return address.replace(/([?&])edit=[^&#]*(&|$)/, (all, before, after) =>
    after ? before : "",
  );
}

/**
 * Fetches `address` and shows it. A newer call overtakes an older one. `editing` leaves the editor of that condition open.
 * When it is done, the event "shown" tells.
 */
export function show(address, options = {}) {
  return first(fetchAndPut(address, options));
}

/**
 * @param {string} address
 * @param {{ remember?: boolean, editing?: string }} options
 */
async function fetchAndPut(address, { remember = true, editing }) {
  const mine = ++asked;
  const wanted = editing ? withParameter(address, "edit", editing) : address;
  let response;
  let html;
  try {
    response = await fetch(wanted, { headers: { Accept: "text/html" } });
    html = await response.text();
  } catch {
    // Without an answer the browser's own way shows what is wrong.
    window.location.assign(address);
    return;
  }
  if (mine !== asked) {
    return;
  }
  await put(html, { address, shown: response.url, remember, mine });
}

/** Shows a page that has come as the answer to something else than a link. */
export async function place(html, address, { remember }) {
  await put(html, { address, shown: address, remember, mine: ++asked });
}

/** Puts the part of the page in the place of that which is shown, unless something newer is asked for meanwhile. */
async function put(html, { address, shown, remember, mine }) {
  // One task after the other, so that none keeps a key or a click waiting for long.
  await nextTask();
  const fresh = new DOMParser().parseFromString(html, "text/html");
  const part = document.querySelector("[data-part]");
  const replacement = fresh.querySelector("[data-part]");
  if (!part || part.dataset.part !== replacement?.dataset.part) {
    window.location.assign(address);
    return;
  }
  await nextTask();
  if (mine !== asked) {
    return;
  }
  tell();
  if (remember) {
    furthest = ++changes;
  }
  const count = changes;
  tell = () => {
    tell = () => {};
    if (remember) {
      history.pushState({ changes: count }, "", remembered(shown));
    }
    document.title = fresh.title;
  };
  const anew = !document
    .querySelector("#list")
    ?.contains(document.activeElement);
  holdBack(replacement, anew);
  Idiomorph.morph(part, replacement, {
    morphStyle: "outerHTML",
    // What is being typed stays; a link or a phrase that has the focus changes like any other.
    ignoreActiveValue: document.activeElement?.matches("input") ?? false,
    callbacks: {
      // One list has little in common with another: to put the new one in its place is quicker than to compare them.
      beforeNodeMorphed: (old, fresh) => {
        if (old.id === "list" && anew) {
          old.replaceWith(fresh);
          return false;
        }
        return true;
      },
      // What scripts have made of an element stays: what is open, and what can be painted.
      beforeAttributeUpdated: (name, element, change) =>
        !["open", "data-side"].includes(name) &&
        !(
          change === "remove" &&
          element.id === "paint" &&
          name !== "data-closed"
        ),
    },
  });
  for (const menu of document.querySelectorAll(".top > .menu")) {
    const freshMenu = fresh.querySelector(`.top > .${menu.classList.item(1)}`);
    if (freshMenu) {
      // Not in its place: a click that is just being made on it would be lost.
      Idiomorph.morph(menu, freshMenu.innerHTML, { morphStyle: "innerHTML" });
    }
  }
  document.dispatchEvent(new Event("shown"));
  first(showSight().then(() => tell()));
}

/**
 * An address keeps a browser busy, which has better to do until what the reader waits for is shown; but whoever acts before acts
 * at the new address.
 */
export function followAddress() {
  for (const act of ["pointerdown", "keydown", "click"]) {
    document.addEventListener(act, () => tell(), { capture: true });
  }
  window.addEventListener("popstate", ({ state }) => {
    changes = state?.changes ?? 0;
  });
}

/**
 * The fields of a form that are not empty, as its address would have them.
 * @param {HTMLFormElement} form
 */
export function filledIn(form) {
  const asked = new URLSearchParams();
  for (const [name, value] of new FormData(form)) {
    if (typeof value === "string" && value !== "") {
      asked.append(name, value);
    }
  }
  return asked;
}
