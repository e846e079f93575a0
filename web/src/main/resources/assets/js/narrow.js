// @ts-check
// A long list of values in an editor: searched as one types, and left where it was after each change.

/** What was typed into which editor, and how far its list was scrolled; every change writes the editor anew. */
const kept = { editor: "", text: "", top: 0 };

/** Whoever types need not know how a name is accented; see SearchText on the server. */
function folded(text) {
  return text
    .normalize("NFKD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replaceAll("ł", "l")
    .replace(/(?<!\p{L})ال(?=\p{L}{2})/gu, "");
}

/** @param {HTMLInputElement} box */
function narrow(box) {
  const words = folded(box.value).split(/\s+/).filter(Boolean);
  const fields = /** @type {HTMLElement[]} */ ([
    ...box.closest("fieldset").querySelectorAll(".field"),
  ]);
  for (const field of fields) {
    const name = folded(field.querySelector("label > span").textContent);
    field.hidden = !words.every((word) => name.includes(word));
  }
  const left = fields.filter((field) => !field.hidden).length;
  box.nextElementSibling.textContent = words.length
    ? `${left} of ${fields.length}`
    : "";
}

/** @returns {HTMLInputElement | null} */
function box() {
  return document.querySelector("[data-narrows]");
}

function listOf(found) {
  return found.closest("fieldset").querySelector(".fields");
}

function restore() {
  const found = box();
  if (!found) {
    kept.editor = "";
    return;
  }
  found.parentElement.hidden = false;
  if (found.form.id === kept.editor) {
    found.value = kept.text;
    narrow(found);
    listOf(found).scrollTop = kept.top;
  } else {
    Object.assign(kept, { editor: found.form.id, text: "", top: 0 });
  }
}

export function narrowLongLists() {
  document.addEventListener("input", (event) => {
    if (event.target.matches("[data-narrows]")) {
      kept.text = event.target.value;
      narrow(event.target);
    }
  });

  document.addEventListener("keydown", (event) => {
    if (event.key === "Enter" && event.target.matches?.("[data-narrows]")) {
      event.preventDefault();
    }
  });

  document.addEventListener(
    "scroll",
    (event) => {
      const found = box();
      if (found && event.target === listOf(found)) {
        kept.top = event.target.scrollTop;
      }
    },
    true,
  );

  document.addEventListener("shown", restore);
  restore();
}
