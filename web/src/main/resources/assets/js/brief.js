// @ts-check
// The brief: a change in an editor shows at once, and links that change the brief replace only what differs.
import {
  filledIn,
  show,
  canRedo,
  canTakeBack,
  redo,
  takeBack,
} from "./page.js";

/**
 * The address that submitting `form` would lead to, without the fields that were left empty.
 * @param {HTMLFormElement} form
 */
function addressOf(form) {
  const query = filledIn(form).toString();
  return form.action + (query ? "?" + query : "");
}

function openEditors() {
  return document.querySelectorAll(".brief .phrase > .panel");
}

/** Closes the open editor and gives the focus back to the phrase it belongs to. */
export function closeEditors() {
  const panel = openEditors()[0];
  if (!panel) {
    return false;
  }
  const phrase = panel.closest(".phrase").querySelector(".opens");
  if (panel.contains(document.activeElement)) {
    phrase.focus();
  }
  openEditors().forEach((each) => each.remove());
  phrase.setAttribute("aria-expanded", "false");
  return true;
}

/** Turns a panel that would leave the window on the right to the left of its phrase. */
function keepInWindow(panel) {
  if (panel.getBoundingClientRect().right > document.body.clientWidth) {
    panel.dataset.side = "left";
  }
}

/** Opens the editor of a phrase, which the server writes with the counts of this moment. */
async function openEditor(link) {
  const id = link.closest(".phrase").querySelector(".opens").id;
  const wasOpen = link.getAttribute("aria-expanded") === "true";
  closeEditors();
  if (wasOpen) {
    return;
  }
  await show(link.href, { remember: false });
  const panel = document
    .getElementById(id)
    ?.parentElement.querySelector(".panel");
  if (panel) {
    keepInWindow(panel);
    panel.querySelector("input:not([type=hidden]), a")?.focus();
  }
}

function isPlainClick(event) {
  return (
    event.button === 0 &&
    !(event.metaKey || event.ctrlKey || event.shiftKey || event.altKey)
  );
}

/** Buttons that only scripts can serve. */
export function showUndoing() {
  const back = document.querySelector("#take-back");
  if (back) {
    back.hidden = !canTakeBack();
    document.querySelector("#redo").hidden = !canRedo();
  }
}

export function followBrief() {
  if (!document.querySelector("[data-part=browse]")) {
    return;
  }
  const here = window.location.pathname;

  document.addEventListener("change", (event) => {
    /** @type {HTMLFormElement} */
    const form = event.target.closest("form.editor");
    if (
      form &&
      !event.target.matches("[data-narrows]") &&
      form.checkValidity()
    ) {
      const topic = form.id.replace(/^edit-/, "");
      show(addressOf(form), { editing: topic });
    }
  });

  document.addEventListener("submit", (event) => {
    /** @type {HTMLFormElement} */
    const form = event.target.closest("form");
    if (form.matches("form.editor")) {
      event.preventDefault();
      const address = addressOf(form);
      closeEditors();
      show(address);
    }
  });

  document.addEventListener("click", (event) => {
    if (event.target.closest("#take-back")) {
      takeBack();
      return;
    }
    if (event.target.closest("#redo")) {
      redo();
      return;
    }
    /** @type {HTMLAnchorElement} */
    const link = event.target.closest("a[href]");
    if (!event.target.closest(".brief .phrase")) {
      closeEditors();
    }
    if (!link || !isPlainClick(event) || !link.closest("[data-part]")) {
      return;
    }
    if (link.matches(".opens")) {
      event.preventDefault();
      openEditor(link);
    } else if (link.pathname === here && !link.hash && !link.matches(".look")) {
      event.preventDefault();
      closeEditors();
      link.closest(".orders")?.removeAttribute("open");
      show(link.href);
    }
  });

  document.addEventListener("shown", showUndoing);
  showUndoing();

  window.addEventListener("popstate", () => {
    if (window.location.pathname === here) {
      show(window.location.href, { remember: false });
    }
  });
}
