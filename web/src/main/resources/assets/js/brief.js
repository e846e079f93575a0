// The brief: a change in an editor shows at once, and links that change the brief replace only what differs.
import { show } from "./page.js";

/** The address that submitting `form` would lead to, without the fields that were left empty. */
function addressOf(form) {
  const values = [...new FormData(form)].filter(([, value]) => value !== "");
  const query = new URLSearchParams(values).toString();
  return form.action + (query ? "?" + query : "");
}

function openEditors() {
  return document.querySelectorAll(".brief details[open]");
}

/** Closes every open editor and gives the focus back to the phrase it belongs to. */
export function closeEditors() {
  const open = [...openEditors()];
  const holdsFocus = open.find((editor) =>
    editor.contains(document.activeElement),
  );
  open.forEach((editor) => (editor.open = false));
  holdsFocus?.closest(".phrase")?.querySelector("summary")?.focus();
  return open.length > 0;
}

/** Turns a panel that would leave the window on the right to the left of its phrase. */
function keepInWindow(phrase) {
  const panel = phrase.querySelector(".panel");
  panel.removeAttribute("data-side");
  if (panel.getBoundingClientRect().right > document.body.clientWidth) {
    panel.dataset.side = "left";
  }
}

function isPlainClick(event) {
  return (
    event.button === 0 &&
    !(event.metaKey || event.ctrlKey || event.shiftKey || event.altKey)
  );
}

export function followBrief() {
  if (!document.querySelector("[data-part=browse]")) {
    return;
  }
  const here = window.location.pathname;

  // A toggle does not bubble; on its way down it can be heard.
  document.addEventListener(
    "toggle",
    ({ target }) =>
      target.open && target.matches(".phrase") && keepInWindow(target),
    true,
  );

  document.addEventListener("change", (event) => {
    const form = event.target.closest("form.editor");
    if (form && form.checkValidity()) {
      show(addressOf(form));
    }
  });

  document.addEventListener("submit", (event) => {
    if (event.target.matches("form.editor")) {
      event.preventDefault();
      const address = addressOf(event.target);
      closeEditors();
      show(address);
    }
  });

  document.addEventListener("click", (event) => {
    const link = event.target.closest("a[href]");
    if (!event.target.closest(".brief details[open]")) {
      openEditors().forEach((editor) => (editor.open = false));
    }
    if (
      link &&
      isPlainClick(event) &&
      link.pathname === here &&
      !link.hash &&
      link.closest("[data-part]")
    ) {
      event.preventDefault();
      closeEditors();
      show(link.href);
    }
  });

  window.addEventListener("popstate", () => {
    if (window.location.pathname === here) {
      show(window.location.href, { remember: false });
    }
  });
}
