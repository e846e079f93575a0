// @ts-check
// The keyboard: / finds, w goes to my week, j and k go through the lines, o opens one in place, x chooses it,
// a adds it to my week, t watches it, l lines up what is chosen, b edits the brief, z takes back its
// last change and Z does it again, Escape closes what is open, ? tells all this. The preferences turn all but Escape off.
import { closeEditors } from "./brief.js";
import { lineUp } from "./choose.js";
import { look } from "./look.js";
import { redo, takeBack } from "./page.js";

function isTyping(target) {
  return target.matches(
    "input:not([type=checkbox]):not([type=radio]), textarea, select",
  );
}

function entries() {
  return [...document.querySelectorAll(".line .c-entry a")];
}

/** Moves the focus to the entry number of the next line, or of the one before for a negative step. */
function step(by) {
  const all = entries();
  const line = document.activeElement?.closest(".line");
  const at = line ? all.indexOf(line.querySelector(".c-entry a")) : -1;
  const next = at < 0 ? 0 : Math.min(all.length - 1, Math.max(0, at + by));
  all[next]?.focus();
  all[next]?.scrollIntoView({ block: "nearest" });
}

function line() {
  return document.activeElement?.closest(".line");
}

/** Puts a watch on the section of the line, as its details do. */
function watchLine() {
  const form = document.querySelector("#watching");
  const chosen = line()?.querySelector("[name=line]");
  if (form instanceof HTMLFormElement && chosen instanceof HTMLInputElement) {
    const field = document.createElement("input");
    field.type = "hidden";
    field.name = "line";
    field.value = chosen.value;
    form.append(field);
    form.submit();
  }
}

/**
 * What each key says and, where the browser does not do it by itself, does.
 * @typedef {Record<string, [string, (() => unknown)?]>} Keys
 */

/** @type {Keys} */
const everywhere = {
  "/": [
    "find by a line of text",
    () => document.querySelector("#find")?.focus(),
  ],
  w: [
    "my week",
    () => document.querySelector('.top nav a[href$="/week"]')?.click(),
  ],
  "?": ["these keys", () => help().showModal()],
};

/** @type {Keys} */
const onLines = {
  j: ["the next line", () => step(1)],
  k: ["the line before", () => step(-1)],
  Enter: ["the sheet of the line"],
  o: [
    "show details of the line here, in a list",
    () => line()?.querySelector(".look") && look(line().querySelector(".look")),
  ],
  x: ["choose the line", () => line()?.querySelector("[name=line]").click()],
  a: ["add the line to my week", () => line()?.querySelector(".add")?.click()],
  t: ["watch the line: you are told what changes", () => watchLine()],
  l: ["line up what is chosen", lineUp],
};

/** @type {Keys} */
const onBrowse = {
  b: [
    "edit the brief",
    () => document.querySelector(".brief .phrase .opens")?.focus(),
  ],
  z: ["undo the last change of the brief", takeBack],
  Z: ["do it again", redo],
};

/** @type {Keys} */
const onWeek = {
  z: [
    "undo the last change of the plan",
    () => document.querySelector(".undo button")?.click(),
  ],
};

/** @returns {Keys} */
function available() {
  return {
    ...everywhere,
    ...(document.querySelector(".line") && onLines),
    ...(document.querySelector("[data-part=browse]") && onBrowse),
    ...(document.querySelector("[data-part=week]") && onWeek),
  };
}

/** A small window that says what the keys do. */
function help() {
  document.querySelector("#keys")?.remove();
  const dialog = document.createElement("dialog");
  dialog.id = "keys";
  dialog.setAttribute("aria-label", "Keys");
  const list = document.createElement("dl");
  for (const [key, [says]] of Object.entries(available())) {
    const row = document.createElement("div");
    const name = document.createElement("dt");
    const meaning = document.createElement("dd");
    name.textContent = key;
    meaning.textContent = says;
    row.append(name, meaning);
    list.append(row);
  }
  const close = document.createElement("button");
  close.textContent = "Close";
  close.className = "act";
  close.addEventListener("click", () => dialog.close());
  dialog.append(list, close);
  document.body.append(dialog);
  return dialog;
}

export function listenForKeys() {
  document.addEventListener("keydown", (event) => {
    if (event.key === "Escape") {
      closeEditors();
      return;
    }
    if (
      document.documentElement.dataset.keys === "off" ||
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      isTyping(event.target)
    ) {
      return;
    }
    const action = available()[event.key]?.[1];
    if (action) {
      event.preventDefault();
      action();
    }
  });
}
